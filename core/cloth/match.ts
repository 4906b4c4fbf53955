import type { Cloth, ClothChoice, LayProblem } from '../../contract/index.ts'
import { depthWay, onPiece, rowWay, type CushionFrames, type Panel, type PatternFrame } from '../cover/index.ts'
import { boxOf, type Point } from '../outline/index.ts'
import { bandCentre, modulo, wayOf, type PatternWay } from '../pattern/index.ts'
import type { ClothRow } from './cloth-row.ts'

export type Match = NonNullable<LayProblem['pieces'][number]['match']>

/** A pattern by the ways of the cushions: along the row, and from front to back; null where it does not repeat. */
export interface RowPattern {
  readonly row: PatternWay | null
  readonly depth: PatternWay | null
}

export const rowPattern = (choice: ClothChoice): RowPattern => ({
  row: wayOf(choice.cloth, rowWay(choice)),
  depth: wayOf(choice.cloth, depthWay(choice)),
})

/**
 * Where a band's middle is ruled to fall, in mm of cloth: from the left end of the row, or from a front edge; null
 * where only neighbours must agree.
 */
export interface Placed {
  readonly band: number
  readonly at: number | null
}

export interface Ruled {
  readonly row: Placed
  readonly depth: Placed
}

/**
 * Where the pattern is ruled to fall on a cushion. The placement rule holds along the row, whichever way the cloth
 * runs, and the second rule from front to back. Where nothing repeats along the row the placement rule is taken from
 * the front edge instead, unless the second rule says otherwise: no rule is passed over in silence.
 */
export function ruledPlaces(choice: ClothChoice, pattern: RowPattern, row: ClothRow, cushion: number): Ruled {
  const { match, alongRule } = choice
  const nothing: Placed = { band: 0, at: null }
  if (match.kind === 'none') return { row: nothing, depth: nothing }
  const { rule } = match
  const middle = row.depthMm(cushion) / 2
  if (alongRule === 'centred') return { row: rowPlace(rule, pattern.row, row, cushion), depth: { band: 0, at: middle } }
  if (alongRule !== 'front-edges-alike') {
    const at = alongRule.kind === 'band-on-middle' ? middle : row.atDepth(cushion, alongRule.fromMm)
    return { row: rowPlace(rule, pattern.row, row, cushion), depth: { band: alongRule.band, at } }
  }
  if (pattern.row || !pattern.depth) return { row: rowPlace(rule, pattern.row, row, cushion), depth: nothing }
  const at =
    rule.kind === 'band-at-mark'
      ? row.atDepth(cushion, rule.markMm)
      : rule.kind === 'band-at-left-end'
        ? halfBand(pattern.depth, rule.band)
        : middle
  return { row: nothing, depth: { band: rule.band, at } }
}

type Rule = Extract<ClothChoice['match'], { kind: 'matched' }>['rule']

function rowPlace(rule: Rule, pattern: PatternWay | null, row: ClothRow, cushion: number): Placed {
  const { band } = rule
  if (!pattern) return { band, at: null }
  switch (rule.kind) {
    case 'band-on-centre':
      return { band, at: row.lengthMm / 2 }
    case 'band-on-each-centre':
      return { band, at: row.startMm(cushion) + row.widthMm(cushion) / 2 }
    case 'band-at-left-end':
      return { band, at: halfBand(pattern, band) }
    case 'band-at-mark':
      return { band, at: row.atMark(rule.markMm) }
    default:
      return rule satisfies never
  }
}

/** A band at an end lies there in its full width. */
const halfBand = ({ bands }: PatternWay, band: number): number => bands[Math.min(band, bands.length - 1)]!.widthMm / 2

/** A frame with what it takes to match on it; `sense` is −1 where the row runs down the roll. */
export interface Matching {
  readonly pattern: PatternWay
  readonly frame: PatternFrame
  readonly sense: 1 | -1
  readonly placed: Placed
  /** From the cushion's own coordinate to mm of cloth. */
  readonly onCloth: (ownMm: number) => number
}

/** How a panel is matched on each way of the roll. */
export interface Matchings {
  readonly across: Matching | null
  readonly along: Matching | null
}

export function matchingsOf(
  choice: ClothChoice,
  pattern: RowPattern,
  frames: CushionFrames,
  ruled: Ruled,
  row: ClothRow,
  cushion: number,
): Matchings {
  const isUp = choice.direction === 'up-the-roll'
  const inRow: Matching | null = frames.row &&
    pattern.row && {
      pattern: pattern.row,
      frame: frames.row,
      sense: isUp ? 1 : -1,
      placed: ruled.row,
      onCloth: (own) => row.inRow(cushion, own),
    }
  const inDepth: Matching | null = frames.depth &&
    pattern.depth && {
      pattern: pattern.depth,
      frame: frames.depth,
      sense: 1,
      placed: ruled.depth,
      onCloth: (own) => row.atDepth(cushion, own),
    }
  return isUp ? { across: inRow, along: inDepth } : { across: inDepth, along: inRow }
}

/**
 * The match of a panel: an anchor on its piece and the phases that anchor must have. Where a way of the
 * pattern is symmetrical the anchor is the mirror axis nearest the panel's middle, so that the panel
 * may be turned by 180° and still match; and such cloths alone allow it.
 */
export function matchOf(panel: Panel, { across, along }: Matchings): Match | null {
  const [x, y] = [across && anchorOn(panel, across), along && anchorOn(panel, along)]
  if (!x && !y) return null
  const own = (axis: 'x' | 'y') => (across?.frame.axis === axis ? x!.own : along?.frame.axis === axis ? y!.own : 0)
  return { group: 'run', anchor: [own('x'), own('y')], across: x?.phase ?? null, along: y?.phase ?? null }
}

/**
 * Whether a panel looks right upside down on a way of the pattern: its mirror axes must lie where the rule puts them.
 */
export const isMirrored = ({ pattern, placed }: Matching): boolean => placed.at !== null && pattern.axes.length > 0

/** Whether a piece of seen cloth looks the same turned by 180°. */
export const looksAlikeTurned = (cloth: Cloth): boolean =>
  (['across', 'along'] as const).every((way) => wayOf(cloth, way)?.axes.length !== 0)

/** An anchor on the piece's own axis, in mm of cloth, and its phase in the repeat. */
function anchorOn(panel: Panel, matching: Matching): { own: number; phase: number } {
  const { pattern, frame, sense, placed, onCloth } = matching
  const { bands, repeat, axes } = pattern
  const centre = bandCentre(bands, Math.min(placed.band, bands.length - 1))
  const middle = middleOf(panel)
  // Growth is even on a piece, so that its middle may stand for all of it.
  const middleAt = sense * onCloth(frame.start + frame.rises * middle[frame.axis])
  const place = placed.at === null ? centre : sense * placed.at
  const anchors = isMirrored(matching)
    ? axes.map((axis) => ({ u: nearest(place + axis - centre, repeat, middleAt), phase: axis }))
    : [{ u: middleAt, phase: modulo(centre + middleAt - place, repeat) }]
  const best = anchors.reduce((a, b) => (Math.abs(b.u - middleAt) < Math.abs(a.u - middleAt) ? b : a))
  return { own: onPiece(panel, middle)[frame.axis] + (best.u - middleAt) * sense * frame.rises, phase: best.phase }
}

function middleOf({ finished }: Panel): Point {
  const { minX, maxX, minY, maxY } = boxOf(finished)
  return { x: (minX + maxX) / 2, y: (minY + maxY) / 2 }
}

const nearest = (place: number, step: number, to: number): number => place + Math.round((to - place) / step) * step
