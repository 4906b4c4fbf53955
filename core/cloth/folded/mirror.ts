import { turned } from '../../lay/index.ts'
import { at, distanceFromEdge, type Point } from '../../outline/index.ts'

export type Flat = readonly (readonly [number, number])[]

/** The same within this, mm: flattened arcs of a piece and of its mirror image differ by less. */
const SAME_MM = 0.1

/** An outline in one of its turns, its box at the origin. */
function posed(flat: Flat, turn: number, isMirrored: boolean): Flat {
  const points = flat.map(([x, y]) => turned(x, y, turn, false)).map(([x, y]) => [isMirrored ? -x : x, y] as const)
  const [left, foot] = [Math.min(...points.map((p) => p[0])), Math.min(...points.map((p) => p[1]))]
  return points.map(([x, y]) => [x - left, y - foot] as const)
}

/** Every corner of each lies on a corner or an edge of the other. */
function isSame(a: Flat, b: Flat): boolean {
  const size = (f: Flat, k: 0 | 1) => Math.max(...f.map((p) => p[k]))
  if (Math.abs(size(a, 0) - size(b, 0)) > SAME_MM || Math.abs(size(a, 1) - size(b, 1)) > SAME_MM) return false
  const [ofA, ofB] = [a, b].map((f) => f.map(([x, y]) => at(x, y))) as [Point[], Point[]]
  const liesOn = (points: Point[], other: Point[]) => points.every((p) => distanceFromEdge(other, p) < SAME_MM)
  return liesOn(ofA, ofB) && liesOn(ofB, ofA)
}

/** How wide an outline lies in a turn. */
export function widthIn(flat: Flat, turn: number): number {
  const xs = flat.map(([x, y]) => turned(x, y, turn, false)[0])
  return Math.max(...xs) - Math.min(...xs)
}

export interface Turning {
  readonly outline: Flat
  readonly turns: readonly number[]
}

/**
 * The turns in which the layer below, which lies the wrong way up, gives the other piece in a turn that it may have as
 * well.
 */
export const pairTurns = (piece: Turning, other: Turning): readonly number[] => {
  const others = other.turns.map((t) => posed(other.outline, t, false))
  return piece.turns.filter((t) => {
    const below = posed(piece.outline, t, true)
    return others.some((o) => isSame(below, o))
  })
}

/** A turn in which a piece is its own mirror image from left to right, so that half of it lies on the fold. */
export const foldTurn = ({ outline, turns }: Turning): number | null =>
  turns.find((t) => t % 90 === 0 && isSame(posed(outline, t, true), posed(outline, t, false))) ?? null
