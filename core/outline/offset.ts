import { at, edgeOf, type Point, type Polygon } from './polygon.ts'

/**
 * Moves each edge of a counter-clockwise outline outwards by its own distance (negative: inwards)
 * and meets neighbouring edges again. Parallel neighbours keep their common corner, moved square
 * to the second edge. This is how a sewing line becomes a cut line.
 * @throws RangeError when there is not one distance for each edge (a bug in the caller).
 */
export function offsetEdges(outline: Polygon, distances: readonly number[]): Polygon {
  if (distances.length !== outline.length) throw new RangeError(`offsetEdges: ${distances.length} distances for ${outline.length} edges`)
  const lines = outline.map((_, i) => movedEdge(outline, i, distances[i]!))
  return lines.map((line, i) => meet(lines.at(i - 1)!, line))
}

interface Line {
  readonly from: Point
  /** Unit direction. */
  readonly dx: number
  readonly dy: number
}

function movedEdge(outline: Polygon, i: number, by: number): Line {
  const [a, b] = edgeOf(outline, i)
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1
  const dx = (b.x - a.x) / length
  const dy = (b.y - a.y) / length
  return { from: at(a.x + dy * by, a.y - dx * by), dx, dy }
}

function meet(before: Line, after: Line): Point {
  const cross = before.dx * after.dy - before.dy * after.dx
  // Below this the edges are one straight line for any outline that fits on cloth.
  if (Math.abs(cross) < 1e-9) return after.from
  const t = ((after.from.x - before.from.x) * after.dy - (after.from.y - before.from.y) * after.dx) / cross
  return at(before.from.x + before.dx * t, before.from.y + before.dy * t)
}
