import type { LayPiece } from '../../contract/index.ts'

type Point = [number, number]

/** No part is narrower than this: less is not worth its seam. */
const NARROWEST_MM = 60

/**
 * A piece cut in two in the middle of its width, or in three with the middle half whole, each part with a seam
 * allowance beside the join. Parts keep the piece's anchor, so that its pattern goes on over the join. What is too
 * narrow to join stays whole.
 */
export function joined(piece: LayPiece, where: 'middle' | 'sides', seamMm: number): readonly LayPiece[] {
  const xs = piece.outline.map((p) => p[0])
  const [low, high] = [Math.min(...xs), Math.max(...xs)]
  const joins = (where === 'middle' ? [0.5] : [0.25, 0.75]).map((share) => low + share * (high - low))
  if ((high - low) / (2 * joins.length) < NARROWEST_MM) return [piece]
  const edges = [low - seamMm, ...joins, high + seamMm]
  return edges
    .slice(1)
    .map((to, i) => ({
      ...piece,
      id: `${piece.id}/part-${i + 1}`,
      outline: between(piece.outline, edges[i]! - seamMm, to + seamMm),
    }))
}

/** The part of an outline from one x to another. */
const between = (outline: readonly Point[], from: number, to: number): Point[] =>
  clipped(
    clipped(outline, (x) => x - from),
    (x) => to - x,
  )

/** What lies where `inside` of x is not negative. */
function clipped(outline: readonly Point[], inside: (x: number) => number): Point[] {
  return outline.flatMap((p, i): Point[] => {
    const q = outline[(i + 1) % outline.length]!
    const [a, b] = [inside(p[0]), inside(q[0])]
    const crossing: Point = [p[0] + ((q[0] - p[0]) * a) / (a - b), p[1] + ((q[1] - p[1]) * a) / (a - b)]
    return [...(a >= 0 ? [p] : []), ...(a > 0 !== b > 0 && a !== 0 && b !== 0 ? [crossing] : [])]
  })
}
