import type { Cloth, ClothChoice, LayProblem } from '../../contract/index.ts'
import type { Panel } from '../cover/index.ts'
import { boxOf, edgeLength, onEdge } from '../outline/index.ts'
import { frontSpan, type Cushions } from '../seat/index.ts'
import type { PatternFrame, PatternFrames } from './pattern-frame.ts'
import { axesOf, bandCentre, bandsOf, modulo, repeatOf, type Way } from './stripes.ts'

export type Match = NonNullable<LayProblem['pieces'][number]['match']>

/**
 * Where the ruling band's middle lies, in the run's own coordinate u: from the left end of the row
 * (stripes front to back) or from the front edge (stripes left to right).
 * A squeezed row is matched as if its cushions touched: the cloth goes in with the foam.
 */
export function ruledPlace(choice: ClothChoice, cushions: Cushions, cushion: number): number {
  if (choice.match.kind === 'none') return 0
  const { rule } = choice.match
  const across = choice.direction === 'up-the-roll'
  const own = across ? frontWidth(cushions, cushion) : depthOf(cushions, cushion)
  const start = across ? runStart(cushions, cushion) : 0
  const last = cushions.count - 1
  const run = across ? runStart(cushions, last) + frontWidth(cushions, last) : own
  switch (rule.kind) {
    case 'band-on-centre':
      return run / 2
    case 'band-on-each-centre':
      return start + own / 2
    case 'band-at-left-end':
      return bandWidth(choice, rule.band) / 2
    case 'band-at-mark':
      return across ? markInRun(cushions, rule.markMm) : rule.markMm
    default:
      return rule satisfies never
  }
}

/**
 * u at which a cushion's front begins: where its neighbour's ended, and the gap if it is open to the
 * eye. Single cushions are a run of their own each.
 */
export function runStart(cushions: Cushions, cushion: number): number {
  if (isSingles(cushions)) return 0
  let start = 0
  for (let i = 0; i < cushion; i++) start += frontWidth(cushions, i) + Math.max(0, gapAfter(cushions, i))
  return start
}

/** Where the pattern along the roll is ruled to fall, in its own coordinate; null where only neighbours must agree. */
export function ruledAlong(choice: ClothChoice, cushions: Cushions, cushion: number): number | null {
  if (choice.alongRule === 'front-edges-alike') return null
  if (choice.direction === 'up-the-roll') return depthOf(cushions, cushion) / 2
  return -(runStart(cushions, cushion) + frontWidth(cushions, cushion) / 2)
}

/** Where the pattern is ruled to fall on each way. */
export interface Ruled {
  readonly across: number
  readonly along: number | null
}

/**
 * The match of a panel: an anchor on it and the phases that anchor must have. Where a way of the
 * pattern is symmetrical the anchor is the mirror axis nearest the panel's middle, so that the panel
 * may be turned by 180° and still match; and such cloths alone allow it.
 */
export function matchOf(choice: ClothChoice, panel: Panel, frames: PatternFrames, ruled: Ruled): Match | null {
  if (choice.match.kind === 'none') return null
  const across = frames.across && anchorOn(choice.cloth, 'across', panel, frames.across, ruled.across, choice.match.rule.band)
  const along = frames.along && anchorOn(choice.cloth, 'along', panel, frames.along, ruled.along, 0)
  if (!across && !along) return null
  const own = (axis: 'x' | 'y') => (frames.across?.axis === axis ? across!.own : frames.along?.axis === axis ? along!.own : 0)
  return { group: 'run', anchor: [own('x'), own('y')], across: across?.phase ?? null, along: along?.phase ?? null }
}

/** Whether a panel looks right upside down on a way of the pattern: its mirror axes must lie where the rule puts them. */
export const isMirrored = (cloth: Cloth, way: Way, ruled: number | null): boolean => ruled !== null && axesOf(cloth, way).length > 0

/** An anchor on the panel's own axis and its phase in the repeat. */
function anchorOn(cloth: Cloth, way: Way, panel: Panel, frame: PatternFrame, ruled: number | null, band: number): { own: number; phase: number } {
  const bands = bandsOf(cloth, way)
  const centre = bandCentre(bands, Math.min(band, bands.length - 1))
  const repeat = repeatOf(cloth, way)!
  const box = boxOf(panel.finished)
  const centreOwn = frame.axis === 'x' ? (box.minX + box.maxX) / 2 : (box.minY + box.maxY) / 2
  const middle = frame.start + frame.rises * centreOwn
  const place = ruled ?? centre
  const axes = isMirrored(cloth, way, ruled) ? axesOf(cloth, way) : []
  const anchors = axes.length > 0 ? axes.map((axis) => ({ u: nearest(place + axis - centre, repeat, middle), phase: axis })) : [{ u: middle, phase: modulo(centre + middle - place, repeat) }]
  const best = anchors.reduce((a, b) => (Math.abs(b.u - middle) < Math.abs(a.u - middle) ? b : a))
  return { own: (best.u - frame.start) * frame.rises, phase: best.phase }
}

const designOf = (cushions: Cushions, cushion: number) => cushions.designs[cushions.inOrder[cushion]!.design]!.solid

function frontWidth(cushions: Cushions, cushion: number): number {
  const { from, to } = frontSpan(designOf(cushions, cushion))
  return to - from
}

const depthOf = (cushions: Cushions, cushion: number): number => designOf(cushions, cushion).depth.value

const isSingles = ({ inOrder }: Cushions): boolean => inOrder.length > 1 && inOrder[1]!.leftMm === inOrder[0]!.leftMm

/** Along the front, negative where neighbours are squeezed. */
function gapAfter(cushions: Cushions, cushion: number): number {
  const [here, next] = [cushions.inOrder[cushion]!, cushions.inOrder[cushion + 1]]
  return next ? next.leftMm - here.leftMm - frontLength(cushions, cushion) : 0
}

function frontLength(cushions: Cushions, cushion: number): number {
  const { outline, edges } = designOf(cushions, cushion)
  return edges.reduce((sum, e, i) => (e.side === 'front' ? sum + edgeLength(outline, i) : sum), 0)
}

/** How far across its front a place lies that was taped along it: the same on a straight front, less on a bowed one. */
function acrossFront(cushions: Cushions, cushion: number, alongMm: number): number {
  const { outline, edges } = designOf(cushions, cushion)
  const { from } = frontSpan({ outline, edges })
  let left = alongMm
  for (const [i, e] of edges.entries()) {
    if (e.side !== 'front') continue
    const length = edgeLength(outline, i)
    if (left <= length) return onEdge(outline, i, left / length).x - from
    left -= length
  }
  return frontWidth(cushions, cushion) + left
}

/** A mark on the furniture in the run's coordinate, where a squeezed row stands closer than it is cut. */
function markInRun(cushions: Cushions, markMm: number): number {
  const { inOrder } = cushions
  if (isSingles(cushions)) return markMm - inOrder[0]!.leftMm
  const cushion = Math.max(0, inOrder.findLastIndex((c) => c.leftMm <= markMm))
  return runStart(cushions, cushion) + acrossFront(cushions, cushion, markMm - inOrder[cushion]!.leftMm)
}

const bandWidth = (choice: ClothChoice, band: number): number => bandsOf(choice.cloth, 'across')[band]?.widthMm ?? 0

const nearest = (place: number, step: number, to: number): number => place + Math.round((to - place) / step) * step
