import { phrase } from '../../language/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../units/index.ts'
import {
  areaOf,
  at,
  distance,
  distanceFromEdge,
  flatten,
  isInside,
  isSimple,
  onEdge,
  outwardOn,
  turnAt,
  type Point,
  type Polygon,
} from '../../outline/index.ts'
import type { Cover } from '../cover.ts'
import type { Panel } from '../panel.ts'
import { cutOutline, sewnOutline } from '../piece.ts'

/** Every cut outline is simple and stands off its sewing line by each edge's own allowance, all along that edge. */
export function cutOutlinesAreSound(cover: Cover, unit: LengthUnit = 'mm'): readonly string[] {
  const say = (mm: number) => formatLengthWithUnit(mm, unit)
  return cover.panels.flatMap((panel) => {
    if (!(areaOf(panel.finished) > 0)) return [phrase`${panel.name}: nothing is left of the finished outline`]
    if (!isSimple(cutOutline(panel))) return [phrase`${panel.name}: the cut outline crosses itself`]
    if (areaOf(cutOutline(panel)) < areaOf(sewnOutline(panel)) - 1)
      return [phrase`${panel.name}: the cut outline is smaller than the sewing line`]
    return allowanceFaults(panel, say).slice(0, 1)
  })
}

/** Shares of an edge at which its allowance is measured. */
const PLACES = [0.04, 0.5, 0.96]
const OFF_MM = 0.15
const CHORD_MM = 0.03
/** Of outlines with more edges every so many are measured. */
const MOST_EDGES = 60

function allowanceFaults(panel: Panel, say: (mm: number) => string): readonly string[] {
  // Washing takes as much of the allowance as of the rest: it is measured before.
  const asWorn = { ...panel, growth: { ...panel.growth, whole: { x: 1, y: 1 } } }
  const [sewn, cut] = [sewnOutline(asWorn), flatten(cutOutline(asWorn), CHORD_MM)]
  const widest = Math.max(...panel.edges.map((e) => e.allowance.value))
  const inward = sewn.filter((_, i) => turnAt(sewn, i) < 0)
  const step = Math.ceil(sewn.length / MOST_EDGES)
  return panel.edges.flatMap(({ name, allowance }, i) => {
    if (i % step !== 0) return []
    return PLACES.flatMap((share) => {
      const from = onEdge(sewn, i, share)
      // In an inward corner the allowances of both edges overlap.
      if (inward.some((corner) => distance(corner, from) < 2.5 * widest)) return []
      return standsOff(cut, from, outwardOn(sewn, i, share), allowance.value)
        ? []
        : [phrase`${panel.name}: along the ${name} the cut is not ${say(allowance.value)} off the sewing line`]
    })
  })
}

function standsOff(cut: Polygon, from: Point, outward: Point, mm: number): boolean {
  const out = (by: number): Point => at(from.x + outward.x * by, from.y + outward.y * by)
  return distanceFromEdge(cut, out(mm)) < OFF_MM && (mm < OFF_MM || isInside(cut, out(mm / 2)))
}
