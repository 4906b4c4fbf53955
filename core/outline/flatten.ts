import { arcBetween, arcPoint, isStraight } from './arc.ts'
import { edgeOf, type Outline, type Polygon } from './outline.ts'
import { at, type Point } from './point.ts'

/** Arcs become chords that stay within `toleranceMm` of them; straight edges stay as they are. */
export function flatten(outline: Outline, toleranceMm: number): Polygon {
  if (isPolygon(outline)) return outline
  return outline.flatMap((v, i): readonly Point[] => {
    if (isStraight(v.bulge)) return [at(v.x, v.y)]
    const arc = arcBetween(v, edgeOf(outline, i)[1], v.bulge!)
    const step = 2 * Math.acos(Math.max(-1, 1 - toleranceMm / Math.abs(arc.radius)))
    const chords = Math.max(1, Math.ceil(Math.abs(arc.sweep) / Math.max(step, 1e-3)))
    return Array.from({ length: chords }, (_, k) => (k === 0 ? at(v.x, v.y) : arcPoint(arc, k / chords)))
  })
}

const isPolygon = (outline: Outline): outline is Polygon => outline.every((v) => v.bulge === undefined)
