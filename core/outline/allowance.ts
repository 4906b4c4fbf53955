import { directionOn, isSmoothAt } from './along.ts'
import { curveOf, footOn, meet, movedCurve, type Curve } from './curve.ts'
import { bulgeOn } from './offset.ts'
import { vertex, type Outline, type Vertex } from './outline.ts'
import { at, cross, dot, rightOf, unit, type Point } from './point.ts'

/**
 * The cut line round a sewing line: every edge of a counter-clockwise outline moved outwards by its own allowance, all
 * along it. Where an edge meets one with another allowance at too flat a corner for the two cut lines to meet
 * without shortening the wider one, the cut steps from the one to the other at the corner, by an edge of its own.
 * @throws RangeError when there is not one allowance for each edge (a bug in the caller).
 */
export function withAllowances(outline: Outline, allowancesMm: readonly number[]): Outline {
  const n = outline.length
  if (allowancesMm.length !== n)
    throw new RangeError(`withAllowances: ${allowancesMm.length} allowances for ${n} edges`)
  const curves = outline.map((_, i) => movedCurve(curveOf(outline, i), allowancesMm[i]!))
  const corners = outline.map((_, i) => cornerAt(outline, i, allowancesMm, curves))
  return outline.flatMap((v, i): Vertex[] => {
    const { arrives, leaves } = corners[i]!
    const edge = vertex(leaves, bulgeOn(curves[i]!, leaves, corners[(i + 1) % n]!.arrives, v.bulge ?? 0))
    return arrives === leaves ? [edge] : [vertex(arrives), edge]
  })
}

/**
 * Where the cut of the edge before a corner ends, and where that of the edge after it begins: one place, or the two
 * ends of a step.
 */
interface CutCorner {
  readonly arrives: Point
  readonly leaves: Point
}

const one = (p: Point): CutCorner => ({ arrives: p, leaves: p })

/** Allowances nearer to each other than this are one. */
const SAME_MM = 1e-6

function cornerAt(outline: Outline, i: number, allowancesMm: readonly number[], curves: readonly Curve[]): CutCorner {
  const before = (i + outline.length - 1) % outline.length
  const [a, b] = [allowancesMm[before]!, allowancesMm[i]!]
  const corner = outline[i]!
  const [arriving, leaving] = [directionOn(outline, before, 1), directionOn(outline, i, 0)]
  const foot = (way: Point, by: number): Point => at(corner.x + rightOf(way).x * by, corner.y + rightOf(way).y * by)
  const isSame = Math.abs(a - b) < SAME_MM
  if (isSmoothAt(outline, i))
    return isSame ? one(foot(leaving, b)) : { arrives: foot(arriving, a), leaves: foot(leaving, b) }
  const isOutward = cross(arriving, leaving) > 0
  const cosine = dot(arriving, leaving)
  // The cut lines meet before the corner where the narrower allowance is less than the wider one's share along its
  // normal.
  if (!isSame && isOutward && Math.min(a, b) < Math.max(a, b) * cosine)
    return { arrives: foot(arriving, a), leaves: foot(leaving, b) }
  if (!isSame && !isOutward && cosine > FLAT)
    return alongBisector(corner, arriving, leaving, curves[before]!, curves[i]!)
  const tangent = (way: Point, by: number): Curve => ({ kind: 'line', from: foot(way, by), direction: way })
  const near = meet(tangent(arriving, a), tangent(leaving, b), foot(leaving, b)) ?? foot(leaving, b)
  return one(meet(curves[before]!, curves[i]!, near) ?? near)
}

/** Inward corners flatter than 60° step; sharper ones meet, as their allowances overlap there anyhow. */
const FLAT = 0.5

/** At an inward corner both cut lines end on the line that halves it, so that they cannot cross. */
function alongBisector(corner: Point, arriving: Point, leaving: Point, before: Curve, after: Curve): CutCorner {
  const out = unit(at(rightOf(arriving).x + rightOf(leaving).x, rightOf(arriving).y + rightOf(leaving).y))
  const half: Curve = { kind: 'line', from: corner, direction: out }
  const on = (curve: Curve): Point => meet(half, curve, corner) ?? footOn(curve, corner)
  return { arrives: on(before), leaves: on(after) }
}
