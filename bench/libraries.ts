import { MaxRectsPacker, PACKING_LOGIC } from 'maxrects-packer'
import type { LayProblem } from '../contract/index.ts'

interface Box {
  readonly width: number
  readonly height: number
}

/**
 * Shortest lay that a well-known packing library for rectangles finds, in its several ways and orders; null where a
 * problem is beyond them.
 */
export function libraryLength(problem: LayProblem): number | null {
  if (!problem.pieces.every((p) => p.outline.length === 4 && p.match === null) || problem.cloth.flaws.length > 0)
    return null
  const mayTurn = problem.pieces.some((p) => p.turns.includes(90))
  const boxes = problem.pieces.flatMap((p) =>
    Array.from({ length: p.qty }, (): Box => ({ width: p.outline[2]![0], height: p.outline[2]![1] })),
  )
  const orders = [
    (b: Box) => b.height,
    (b: Box) => b.width * b.height,
    (b: Box) => b.width,
    (b: Box) => Math.max(b.width, b.height),
  ].map((key) => boxes.toSorted((a, b) => key(b) - key(a)))
  return Math.min(
    ...orders.flatMap((order) =>
      [PACKING_LOGIC.MAX_AREA, PACKING_LOGIC.MAX_EDGE].map((logic) =>
        maxRects(order, problem.cloth.width, mayTurn, logic),
      ),
    ),
  )
}

const total = (boxes: readonly Box[]): number => boxes.reduce((sum, b) => sum + b.height, 0)

/** The packer fills a sheet; the shortest sheet that holds all is looked for by halving. */
function maxRects(boxes: readonly Box[], width: number, mayTurn: boolean, logic: PACKING_LOGIC): number {
  let [low, high] = [boxes.reduce((sum, b) => sum + b.width * b.height, 0) / width, total(boxes)]
  while (high - low > 0.5) {
    const length = (low + high) / 2
    const packer = new MaxRectsPacker(width, length, 0, {
      smart: false,
      pot: false,
      square: false,
      allowRotation: mayTurn,
      logic,
    })
    for (const b of boxes) packer.add(b.width, b.height, null)
    const fits = packer.bins.length === 1 && packer.rects.every((r) => !r.oversized)
    if (fits) high = length
    else low = length
  }
  return high
}
