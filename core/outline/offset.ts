import { directionOn, isSmoothAt } from './along.ts'
import { isStraight } from './arc.ts'
import { curveOf, footOn, meet, movedCurve, type Curve } from './curve.ts'
import { edgeOf, vertex, type Outline } from './outline.ts'
import { at, dot, minusPoint, rightOf, type Point } from './point.ts'
import { isSimple } from './is-simple.ts'

/**
 * Moves each edge of a counter-clockwise outline outwards by its own distance (negative: inwards)
 * and meets neighbouring edges again, lines and arcs alike. Edges that run smoothly into each other
 * keep their common corner, moved square to the second edge. An arc that rounds a corner between
 * edges moved by different distances stays tangent to both.
 * This is how a sewing line becomes a cut line, and the foot of a bevelled block its top.
 * @throws RangeError when there is not one distance for each edge (a bug in the caller).
 */
export function offsetEdges(outline: Outline, distances: readonly number[]): Outline {
  const n = outline.length
  if (distances.length !== n) throw new RangeError(`offsetEdges: ${distances.length} distances for ${n} edges`)
  const curves = outline.map((_, i) => movedCurve(curveOf(outline, i), distances[i]!))
  const corners = outline.map((_, i) => movedCorner(outline, i, distances, curves))
  outline.forEach((_, i) => {
    if (!roundsUnequal(outline, i, distances)) return
    const fillet = keepTangent(outline, i, curves)
    if (!fillet) return
    curves[i] = fillet.curve
    corners[i] = fillet.start
    corners[(i + 1) % n] = fillet.end
  })
  return outline.map((v, i) =>
    vertex(corners[i]!, bulgeOn(curves[i]!, corners[i]!, corners[(i + 1) % n]!, v.bulge ?? 0)),
  )
}

/** False when an offset has swallowed or turned an edge, or crossed the outline with itself. */
export function keepsShape(before: Outline, after: Outline): boolean {
  const stays = before.every((v, i) => {
    const [a, b] = edgeOf(before, i)
    const [c, d] = edgeOf(after, i)
    return dot(minusPoint(b, a), minusPoint(d, c)) > 0 && (isStraight(v.bulge) || (after[i]!.bulge ?? 0) * v.bulge! > 0)
  })
  return stays && isSimple(after)
}

function movedCorner(outline: Outline, i: number, distances: readonly number[], curves: readonly Curve[]): Point {
  const before = (i + outline.length - 1) % outline.length
  const corner = outline[i]!
  const outAfter = rightOf(directionOn(outline, i, 0))
  const square = at(corner.x + outAfter.x * distances[i]!, corner.y + outAfter.y * distances[i]!)
  if (isSmoothAt(outline, i)) return square
  const outBefore = rightOf(directionOn(outline, before, 1))
  const tangent = (out: Point, by: number): Curve => ({
    kind: 'line',
    from: at(corner.x + out.x * by, corner.y + out.y * by),
    direction: at(-out.y, out.x),
  })
  const near = meet(tangent(outBefore, distances[before]!), tangent(outAfter, distances[i]!), square) ?? square
  return meet(curves[before]!, curves[i]!, near) ?? near
}

const SAME = 1e-9

function roundsUnequal(outline: Outline, i: number, distances: readonly number[]): boolean {
  if (isStraight(outline[i]!.bulge)) return false
  const n = outline.length
  const [before, after] = [(i + n - 1) % n, (i + 1) % n]
  const isUnequal =
    Math.abs(distances[before]! - distances[i]!) > SAME || Math.abs(distances[after]! - distances[i]!) > SAME
  return (
    isUnequal &&
    isSmoothAt(outline, i) &&
    isSmoothAt(outline, after) &&
    [before, after].every((j) => bendOf(outline, i) > SHARPER * bendOf(outline, j))
  )
}

/** A rounding bends more than the edges it joins; the arcs of a smooth hull bend alike and are moved each by itself. */
const SHARPER = 3

function bendOf(outline: Outline, i: number): number {
  const curve = curveOf(outline, i)
  return curve.kind === 'line' ? 0 : 1 / Math.abs(curve.radius)
}

function keepTangent(
  outline: Outline,
  i: number,
  curves: readonly Curve[],
): { curve: Curve; start: Point; end: Point } | null {
  const n = outline.length
  const [before, after] = [(i + n - 1) % n, (i + 1) % n]
  const old = curves[i]!
  if (old.kind !== 'circle') return null
  const [first, last] = [curves[before]!, curves[after]!]
  const centre = meet(movedCurve(first, -old.radius), movedCurve(last, -old.radius), old.centre)
  if (!centre) return null
  const curve: Curve = { kind: 'circle', centre, radius: old.radius }
  const [start, end] = [footOn(first, centre), footOn(last, centre)]
  return { curve, start, end }
}

/** The bulge between two points of a curve; of the two ways round a circle the one nearer to the bulge it had. */
export function bulgeOn(curve: Curve, a: Point, b: Point, was: number): number {
  if (curve.kind === 'line') return 0
  const angle = (p: Point) => Math.atan2(p.y - curve.centre.y, p.x - curve.centre.x)
  const turn = Math.atan2(Math.sin(angle(b) - angle(a)), Math.cos(angle(b) - angle(a)))
  const wanted = 4 * Math.atan(was)
  const sweep = [turn - 2 * Math.PI, turn, turn + 2 * Math.PI].reduce((best, s) =>
    Math.abs(s - wanted) < Math.abs(best - wanted) ? s : best,
  )
  // An arc moved past its own centre has turned inside out.
  const flips = Math.sign(curve.radius) !== Math.sign(was)
  return Math.tan(sweep / 4) * (flips ? -1 : 1)
}
