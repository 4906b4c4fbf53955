import { distance, between, type Point } from '../../outline/index.ts'
import { leastSquares } from './least-squares.ts'

/** One tape: from a corner to another, or to the middle of a side (two corners). */
export interface Tape {
  readonly name: string
  readonly from: number
  readonly to: readonly [number] | readonly [number, number]
  readonly mm: number
}

export interface Survey {
  readonly points: readonly Point[]
  /** Measured less solved, of each tape. */
  readonly residualsMm: readonly number[]
  readonly rmsMm: number
  readonly suspicion: Suspicion
}

/** What more tapes than needed say about misreadings. */
export type Suspicion =
  | { readonly kind: 'none' }
  /** Without this tape the others agree; it would have to read `shouldBeMm`. */
  | { readonly kind: 'tape'; readonly tape: string; readonly shouldBeMm: number; readonly offMm: number }
  /**
   * Something is wrong, but leaving out any one of these would mend it: one more tape will tell. The smallest slip
   * first.
   */
  | { readonly kind: 'one-of'; readonly tapes: readonly { readonly tape: string; readonly offMm: number }[] }

/** Tapes that disagree by less than this are as good as tapes get. */
const GOOD_RMS_MM = 3

/** Solves corners from tapes by least squares, from a start, and looks for the tape most likely misread. */
export function survey(corners: number, tapes: readonly Tape[], start: readonly Point[]): Survey {
  const points = solve(corners, tapes, start).points
  const residualsMm = tapes.map((t) => t.mm - tapeLength(points, t))
  return { points, residualsMm, rmsMm: rms(residualsMm), suspicion: suspicionOf(corners, tapes, points, residualsMm) }
}

/** The end of a tape: a corner, or the middle of a side. */
const endOf = (points: readonly Point[], to: Tape['to']): Point =>
  to.length === 1 ? points[to[0]]! : between(points[to[0]]!, points[to[1]]!, 0.5)

const tapeLength = (points: readonly Point[], t: Tape): number => distance(points[t.from]!, endOf(points, t.to))

/** Corner 0 stays at the origin and corner 1 on the x axis, so that nothing can slide or turn. */
export function solve(
  corners: number,
  tapes: readonly Tape[],
  start: readonly Point[],
): { readonly points: readonly Point[]; readonly isHeld: boolean } {
  const unknowns = 2 * corners - 3
  const place = (v: readonly number[]): readonly Point[] => [
    { x: 0, y: 0 },
    { x: v[0]!, y: 0 },
    ...Array.from({ length: corners - 2 }, (_, i) => ({ x: v[1 + 2 * i]!, y: v[2 + 2 * i]! })),
  ]
  const first = [start[1]!.x, ...start.slice(2).flatMap((p) => [p.x, p.y])]
  const columns = (corner: number): readonly (readonly [number, 'x' | 'y'])[] =>
    corner === 0
      ? []
      : corner === 1
        ? [[0, 'x']]
        : [
            [2 * corner - 3, 'x'],
            [2 * corner - 2, 'y'],
          ]
  const { values, isHeld } = leastSquares(first, unknowns, (v) => {
    const points = place(v)
    return tapes.map((t) => {
      const [a, b] = [points[t.from]!, endOf(points, t.to)]
      const length = distance(a, b) || 1e-9
      const direction = { x: (a.x - b.x) / length, y: (a.y - b.y) / length }
      const gradient = [
        ...columns(t.from).map(([k, axis]) => [k, direction[axis]] as const),
        ...t.to.flatMap((corner) => columns(corner).map(([k, axis]) => [k, -direction[axis] / t.to.length] as const)),
      ]
      return { residual: length - t.mm, gradient }
    })
  })
  return { points: place(values), isHeld }
}

function suspicionOf(
  corners: number,
  tapes: readonly Tape[],
  points: readonly Point[],
  residuals: readonly number[],
): Suspicion {
  const spare = tapes.length - (2 * corners - 3)
  if (spare < 1 || rms(residuals) * Math.sqrt(tapes.length / spare) < GOOD_RMS_MM) return { kind: 'none' }
  const without = tapes.flatMap((tape, i) => {
    const others = tapes.filter((_, j) => j !== i)
    const found = solve(corners, others, points)
    if (!found.isHeld) return []
    const shouldBeMm = tapeLength(found.points, tape)
    const left = Math.hypot(...others.map((t) => t.mm - tapeLength(found.points, t)))
    return [{ tape: tape.name, shouldBeMm, offMm: tape.mm - shouldBeMm, left }]
  })
  const ranked = without.toSorted((a, b) => a.left - b.left)
  const [best] = ranked
  if (!best) return { kind: 'one-of', tapes: tapes.map((t, i) => ({ tape: t.name, offMm: residuals[i]! })) }
  // Those that mend it about as well cannot be told apart.
  const alike = ranked.filter((r) => r.left < best.left + Math.max(1, 0.2 * Math.hypot(...residuals)))
  if (alike.length > 1)
    return {
      kind: 'one-of',
      tapes: alike
        .toSorted((a, b) => Math.abs(a.offMm) - Math.abs(b.offMm))
        .map(({ tape, offMm }) => ({ tape, offMm })),
    }
  return { kind: 'tape', tape: best.tape, shouldBeMm: best.shouldBeMm, offMm: best.offMm }
}

const rms = (values: readonly number[]): number =>
  values.length === 0 ? 0 : Math.hypot(...values) / Math.sqrt(values.length)
