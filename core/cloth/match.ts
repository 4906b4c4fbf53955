import type { ClothChoice, LayProblem } from '../../contract/index.ts'
import type { Panel } from '../cover/index.ts'
import { boxOf } from '../outline/index.ts'
import type { Cushions } from '../seat/index.ts'
import { bandCentre, modulo, repeatOf } from './stripes.ts'

export type Match = NonNullable<LayProblem['pieces'][number]['match']>

/** How a panel stands to the stripe: where the run's pattern coordinate u lies on it. */
export interface PatternFrame {
  /** u of the panel's own x = 0 (or y = 0 for `y`). */
  readonly start: number
  readonly axis: 'x' | 'y'
  /** Whether u rises (1) or falls (−1) along the panel's axis. */
  readonly rises: 1 | -1
}

/**
 * Where the ruling band's middle lies, in the run's own coordinate u: from the left end of the row
 * (stripes front to back) or from the front edge (stripes left to right).
 * A squeezed row is matched as if its cushions touched: the cloth goes in with the foam.
 */
export function ruledPlace(choice: ClothChoice, cushions: Cushions, cushion: number): number {
  if (choice.match.kind === 'none') return 0
  const { rule } = choice.match
  const across = choice.direction === 'up-the-roll'
  const own = across ? cushions.size.width.value : cushions.size.depth.value
  const start = across ? runStart(cushions, cushion) : 0
  const run = across ? runStart(cushions, cushions.count - 1) + own : own
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

/** u at which a cushion begins: where its neighbour ended, and the gap if it is open to the eye. */
export function runStart(cushions: Cushions, cushion: number): number {
  return cushion * patternPitch(cushions)
}

/**
 * The match of a panel: an anchor on it and the phase that anchor must have. Where the stripes are
 * symmetrical the anchor is the mirror axis nearest the panel's middle, so that the panel may be
 * turned by 180° and still match; and such cloths alone allow it. `axes` are the mirror axes of the
 * pattern from the start of its repeat.
 */
export function matchOf(choice: ClothChoice, panel: Panel, frame: PatternFrame, ruled: number, axes: readonly number[]): Match | null {
  const { pattern } = choice.cloth
  if (pattern.kind === 'plain' || choice.match.kind === 'none') return null
  const bands = pattern.bands
  const centre = bandCentre(bands, Math.min(choice.match.rule.band, bands.length - 1))
  const repeat = repeatOf(choice.cloth)!
  const box = boxOf(panel.finished)
  const length = frame.axis === 'x' ? box.maxX : box.maxY
  const middle = frame.start + (frame.rises * length) / 2
  // u of an anchor and its phase within the repeat.
  const anchors = axes.length > 0 ? axes.map((axis) => ({ u: nearest(ruled + axis - centre, repeat, middle), phase: axis })) : [{ u: middle, phase: modulo(centre + middle - ruled, repeat) }]
  const best = anchors.reduce((a, b) => (Math.abs(b.u - middle) < Math.abs(a.u - middle) ? b : a))
  const own = (best.u - frame.start) * frame.rises
  return { group: 'run', anchor: frame.axis === 'x' ? [own, 0] : [0, own], across: best.phase, along: null }
}

function patternPitch(cushions: Cushions): number {
  if (cushions.count < 2) return cushions.size.width.value
  const gap = cushions.leftMm[1]! - cushions.leftMm[0]! - cushions.size.width.value
  // Singles all start at the left end: each is a run of its own.
  return cushions.leftMm[1] === cushions.leftMm[0] ? 0 : cushions.size.width.value + Math.max(0, gap)
}

/** A mark on the furniture in the run's coordinate, where a squeezed row stands closer than it is cut. */
function markInRun(cushions: Cushions, markMm: number): number {
  const standing = cushions.count > 1 ? cushions.leftMm[1]! - cushions.leftMm[0]! : 0
  if (standing <= 0) return markMm - cushions.leftMm[0]!
  const fromFirst = markMm - cushions.leftMm[0]!
  const cushion = Math.max(0, Math.min(cushions.count - 1, Math.floor(fromFirst / standing)))
  return runStart(cushions, cushion) + fromFirst - cushion * standing
}

const bandWidth = (choice: ClothChoice, band: number): number => (choice.cloth.pattern.kind === 'stripes' ? (choice.cloth.pattern.bands[band]?.widthMm ?? 0) : 0)

const nearest = (place: number, step: number, to: number): number => place + Math.round((to - place) / step) * step
