import { phrase } from '../language/index.ts'
import type { Seat } from '../../contract/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import { atHeight, boxOf, edgeLength, keepsShape, type Outline } from '../outline/index.ts'
import { asExpression, entered, figure, type Figure } from '../working/index.ts'
import { derivedFigures, plainSums } from './cushion-sums.ts'
import { dimensionFigure, valueOf } from './dimension.ts'
import { divide, type Cut, type DivisionFault, type Place } from './division/index.ts'
import { shapeSeat, type EdgedOutline, type SeatFault, type ShapedSeat } from './shaped-seat.ts'
import { isRow } from './reshape.ts'
import { rowSeats } from './size-rows.ts'
import { slotsOf } from './slots.ts'

export interface CushionSize {
  readonly width: Figure
  readonly depth: Figure
  readonly thickness: Figure
}

/** A cushion, block or cover: its true outline at the foot, its leaning sides, and its sizes over all. */
export interface Solid extends CushionSize, EdgedOutline {}

/** The outline of a solid's top: each edge moved by its lean. */
export const topOf = ({ outline, edges, thickness }: Solid): Outline =>
  atHeight(
    outline,
    edges.map((e) => e.leanRad),
    thickness.value,
  )

/** One shape of cushion and how often it is made. */
export interface Design {
  /** A, B, … in the order in which they stand on the seat. */
  readonly id: string
  /** Its letter among the designs of its own part, whatever else is on the ticket. */
  readonly letter: string
  readonly count: number
  readonly solid: Solid
}

export interface PlacedCushion {
  readonly design: number
  readonly place: Place | null
  /** From the left end of the seat, along its front, to the cushion's left front corner. */
  readonly leftMm: number
}

export interface Cushions {
  readonly seat: ShapedSeat
  readonly designs: readonly Design[]
  readonly count: number
  /** Every cushion in order: the index of its design, and where it stands on the seat (null: another of the same). */
  readonly inOrder: readonly PlacedCushion[]
  readonly measured: readonly Figure[]
  /** Worked out from the tape: edges, area, the sizes of an arc. */
  readonly derived: readonly Figure[]
}

/**
 * From the tape to the cushions: the seat's outline less its clearances, divided. Equal cushions
 * share a design, named by the letter of its part where the ticket has several. Leaning sides must leave a top.
 */
export function cushionsOf(seat: Seat, part = ''): Result<Cushions, SeatFault | DivisionFault> {
  const rows = rowSeats(seat)
  const shaped = shapeSeat(rows[0]!)
  if (!shaped.ok) return shaped
  const cut: CutSeat[] = []
  for (const row of rows) {
    const found = cutsOf(row)
    if (!found.ok) return found
    // The seat as it was measured is that of the first row: the others stand nowhere on it.
    cut.push(...(row === rows[0] ? found.value : found.value.map((c) => ({ ...c, cut: { ...c.cut, place: null } }))))
  }
  const groups = alike(cut)
  const name = (i: number) =>
    part === '' ? designLetter(i) : groups.length === 1 ? part : `${part}${designLetter(i).toLowerCase()}`
  const isAlone = part === '' && groups.length === 1
  const designs = groups.map((g, i): Design => ({
    id: name(i),
    letter: designLetter(i),
    count: g.count,
    solid: solidOf(g.of.seat, g.of.cut, isAlone ? '' : name(i)),
  }))
  return ok({
    seat: shaped.value,
    designs,
    count: cut.length,
    inOrder: inOrder(seat, cut, groups),
    measured: rows.flatMap(measuredOf),
    derived: derivedFigures(rows[0]!, shaped.value),
  })
}

/** One cushion, and the seat it was measured on. */
interface CutSeat {
  readonly cut: Cut
  readonly seat: Seat
}

function cutsOf(seat: Seat): Result<readonly CutSeat[], SeatFault | DivisionFault> {
  const shaped = shapeSeat(seat)
  if (!shaped.ok) return shaped
  const cuts = divide(seat, shaped.value)
  if (!cuts.ok) return cuts
  const thickness = valueOf(seat.thickness)
  for (const cut of cuts.value) {
    if (!hasTop(cut.outline, cut.edges, thickness)) return err({ code: 'top-vanishes' })
  }
  return ok(cuts.value.map((cut) => ({ cut, seat })))
}

/** Readings of a row; of rows after the first what was measured otherwise. */
function measuredOf(row: Seat, i: number, rows: readonly Seat[]): readonly Figure[] {
  const first = slotsOf(rows[0]!)
  return slotsOf(row)
    .filter((s, k) => i === 0 || s.dimension !== first[k]!.dimension)
    .map((s) =>
      i === 0
        ? dimensionFigure(s.dimension, `seat.${s.slot}`, s.label, `measure.${s.slot}`)
        : dimensionFigure(
            s.dimension,
            `seat.row${i + 1}.${s.slot}`,
            phrase`Row ${i + 1}, ${s.label.toLowerCase()}`,
            'measure.rows',
          ),
    )
}

/** Smaller than this nothing can be sewn; the plan stops there. */
export const LEAST_CUSHION_MM = 10
export const LEAST_COVER_MM = 3

export const designLetter = (i: number): string =>
  i < 26
    ? String.fromCharCode(65 + i)
    : `${String.fromCharCode(64 + Math.floor(i / 26))}${String.fromCharCode(65 + (i % 26))}`

/** Between leaning sides no edge may be turned, crossed or all but gone at the top. */
export function hasTop(foot: Outline, edges: Solid['edges'], thicknessMm: number): boolean {
  const leans = edges.map((e) => e.leanRad)
  if (leans.every((l) => l === 0)) return true
  const top = atHeight(foot, leans, thicknessMm)
  return keepsShape(foot, top) && top.every((_, i) => edgeLength(top, i) > Math.min(LEAST_EDGE_MM, edgeLength(foot, i)))
}

const LEAST_EDGE_MM = 2

interface Alike {
  readonly of: CutSeat
  count: number
}

function alike(cuts: readonly CutSeat[]): readonly Alike[] {
  const groups: Alike[] = []
  for (const of of cuts) {
    const known = groups.find((g) => isAlike(g.of, of))
    if (known) known.count++
    else groups.push({ of, count: 1 })
  }
  return groups
}

function inOrder(
  { division, edges, clearanceMm }: Seat,
  cuts: readonly CutSeat[],
  groups: readonly Alike[],
): readonly PlacedCushion[] {
  const startsClear =
    cuts[0]!.cut.edges.some((e) => e.side === 'left' && e.meets !== 'open' && e.meets !== 'neighbour') &&
    Object.keys(edges).length > 0
  const start = startsClear ? clearanceMm : 0
  const stands = isRow(division)
  let left = start
  return cuts.map((of) => {
    const { cut } = of
    const placed = { design: groups.findIndex((g) => isAlike(g.of, of)), place: cut.place, leftMm: left }
    const front = cut.edges.reduce((sum, e, i) => (e.side === 'front' ? sum + edgeLength(cut.outline, i) : sum), 0)
    left = stands ? left + front + division.gapMm : start
    return placed
  })
}

/** A hundredth of a millimetre is nobody's cut. */
function isAlike({ cut: a, seat }: CutSeat, { cut: b, seat: other }: CutSeat): boolean {
  return (
    near(valueOf(seat.thickness), valueOf(other.thickness), 0.01) &&
    a.outline.length === b.outline.length &&
    a.outline.every(
      (v, i) =>
        near(v.x, b.outline[i]!.x, 0.01) &&
        near(v.y, b.outline[i]!.y, 0.01) &&
        near(v.bulge ?? 0, b.outline[i]!.bulge ?? 0, 1e-5) &&
        near(a.edges[i]!.leanRad, b.edges[i]!.leanRad, 1e-9),
    )
  )
}

const near = (a: number, b: number, by: number): boolean => Math.abs(a - b) <= by

function solidOf(seat: Seat, cut: Cut, letter: string): Solid {
  const box = boxOf(cut.outline)
  const sums = plainSums(seat)
  const label = letter === '' ? 'Cushion' : phrase`Cushion ${letter}`
  const id = letter === '' ? 'cushion' : `cushion.${letter}`
  const size = (way: 'width' | 'depth', value: number): Figure => {
    const common = { id: `${id}.${way}`, label: phrase`${label} ${way}`, quantity: 'length', line: 'net' } as const
    return sums && near(box[way === 'width' ? 'maxX' : 'maxY'], sums[way].value, 0.01)
      ? figure({ ...common, sum: sums[way].sum, rule: sums[way].rule })
      : entered({ ...common, value, rule: 'over all, from the outline' })
  }
  const thickness = dimensionFigure(seat.thickness, 'seat.thickness', 'Thickness', 'measure.thickness')
  return {
    outline: cut.outline,
    edges: cut.edges,
    width: size('width', box.maxX),
    depth: size('depth', box.maxY),
    thickness: figure({
      id: `${id}.thickness`,
      label: phrase`${label} thickness`,
      quantity: 'length',
      line: 'net',
      sum: asExpression(thickness),
      rule: 'as measured',
    }),
  }
}

/** The two ends of a cushion's front edge, from its left; a row of stripes runs on from one to the next. */
export function frontSpan({ outline, edges }: { readonly outline: Outline; readonly edges: EdgedOutline['edges'] }): {
  readonly from: number
  readonly to: number
} {
  const n = outline.length
  const fronts = edges.flatMap((e, i) => (e.side === 'front' ? [outline[i]!.x, outline[(i + 1) % n]!.x] : []))
  return { from: Math.min(...fronts), to: Math.max(...fronts) }
}
