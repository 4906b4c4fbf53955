import type { LayPiece } from '../../contract/index.ts'
import { turned } from './shape.ts'
import { ACCEPTED_OVERLAP_MM } from './tolerances.ts'

/**
 * Where the left of a piece's box may stand so that its edges lie on the sides they are demanded on: null for a piece
 * that demands none, no place at all where this turn brings an edge to no side or two edges are not as far apart as
 * the cloth is wide.
 */
export function placesAtSides(
  { sides = [], outline }: Pick<LayPiece, 'sides' | 'outline'>,
  turn: number,
  flip: boolean,
  clothWidth: number,
): readonly number[] | null {
  if (sides.length === 0) return null
  const xs = outline.map(([x, y]) => turned(x, y, turn, flip)[0])
  const [left, right] = [Math.min(...xs), Math.max(...xs)]
  const places = sides.map(({ edge, of }) => {
    const ends = [xs[edge]!, xs[(edge + 1) % xs.length]!]
    const liesOn = (side: number) => ends.every((x) => Math.abs(x - side) < ACCEPTED_OVERLAP_MM)
    return [
      ...(of !== 'right' && liesOn(left) ? [0] : []),
      ...(of !== 'left' && liesOn(right) ? [clothWidth - (right - left)] : []),
    ]
  })
  const [first, ...others] = places as [number[], ...number[][]]
  return first.filter((x) => others.every((o) => o.some((y) => Math.abs(x - y) < ACCEPTED_OVERLAP_MM)))
}
