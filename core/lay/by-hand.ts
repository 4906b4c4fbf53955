import type { Lay, LayProblem, Placement } from '../../contract/index.ts'
import { onTheCloth, placementKey } from './around.ts'

/** A lay with one piece put elsewhere; its length follows. */
export function withPlacement(problem: LayProblem, lay: Lay, moved: Placement): Lay {
  const placements = lay.placements.map((p) => (placementKey(p) === placementKey(moved) ? moved : p))
  return { ...lay, placements, length: usedLength(problem, placements) }
}

/** The piece in its next allowed turn, about the middle of its box. */
export function nextTurn(problem: LayProblem, place: Placement): Placement {
  const { turns, outline } = problem.pieces.find((p) => p.id === place.id)!
  const turn = turns[(turns.findIndex((t) => same(t, place.turn)) + 1) % turns.length]!
  const [fromX, fromY] = middleOf(outline, place)
  const [toX, toY] = middleOf(outline, { ...place, turn })
  return { ...place, turn, x: place.x + fromX - toX, y: place.y + fromY - toY }
}

/** The greatest distance of any piece from the starting end. */
export function usedLength(problem: LayProblem, placements: readonly Placement[]): number {
  return Math.max(
    0,
    ...placements.flatMap((p) =>
      problem.pieces.find((q) => q.id === p.id)!.outline.map(([x, y]) => onTheCloth(p, x, y)[1]),
    ),
  )
}

const same = (a: number, b: number): boolean => (((a - b) % 360) + 360) % 360 < 1e-9

function middleOf(outline: readonly (readonly [number, number])[], place: Placement): readonly [number, number] {
  const points = outline.map(([x, y]) => onTheCloth(place, x, y))
  const middle = (axis: 0 | 1) =>
    (Math.min(...points.map((p) => p[axis])) + Math.max(...points.map((p) => p[axis]))) / 2
  return [middle(0), middle(1)]
}
