import { arcBetween, isStraight } from './arc.ts'
import { edgeOf, type Outline } from './outline.ts'
import { at, cross, distance, dot, minusPoint, rightOf, unit, type Point } from './point.ts'

/** What an edge lies on, without ends. A circle's radius is negative where the edge turns right. */
export type Curve =
  | { readonly kind: 'line'; readonly from: Point; readonly direction: Point }
  | { readonly kind: 'circle'; readonly centre: Point; readonly radius: number }

/** Edge `i` of an outline as a line or an arc. */
export function curveOf(outline: Outline, i: number): Curve {
  const [a, b] = edgeOf(outline, i)
  if (isStraight(a.bulge)) return { kind: 'line', from: a, direction: unit(minusPoint(b, a)) }
  const { centre, radius } = arcBetween(a, b, a.bulge!)
  return { kind: 'circle', centre, radius }
}

/** The curve moved to the right of its travel (outwards on a counter-clockwise outline). */
export function movedCurve(curve: Curve, by: number): Curve {
  if (curve.kind === 'circle') return { ...curve, radius: curve.radius + by }
  const out = rightOf(curve.direction)
  return { ...curve, from: at(curve.from.x + out.x * by, curve.from.y + out.y * by) }
}

/** Where two curves meet, nearest to a place; null when they do not. */
export function meet(a: Curve, b: Curve, near: Point): Point | null {
  const points =
    a.kind === 'line'
      ? b.kind === 'line'
        ? lines(a, b)
        : lineCircle(a, b)
      : b.kind === 'line'
        ? lineCircle(b, a)
        : circles(a, b)
  return points.reduce<Point | null>(
    (best, p) => (best === null || distance(p, near) < distance(best, near) ? p : best),
    null,
  )
}

/** The place on a curve nearest to a point. */
export function footOn(curve: Curve, p: Point): Point {
  if (curve.kind === 'line') {
    const along = dot(minusPoint(p, curve.from), curve.direction)
    return at(curve.from.x + curve.direction.x * along, curve.from.y + curve.direction.y * along)
  }
  const out = unit(minusPoint(p, curve.centre))
  const r = Math.abs(curve.radius)
  return at(curve.centre.x + out.x * r, curve.centre.y + out.y * r)
}

type Line = Extract<Curve, { kind: 'line' }>
type Circle = Extract<Curve, { kind: 'circle' }>

function lines(a: Line, b: Line): readonly Point[] {
  const turn = cross(a.direction, b.direction)
  // Below this the two are one straight line for any outline that fits on cloth.
  if (Math.abs(turn) < 1e-9) return []
  const t = cross(minusPoint(b.from, a.from), b.direction) / turn
  return [at(a.from.x + a.direction.x * t, a.from.y + a.direction.y * t)]
}

function lineCircle(line: Line, circle: Circle): readonly Point[] {
  const foot = footOn(line, circle.centre)
  const away = distance(foot, circle.centre)
  const r = Math.abs(circle.radius)
  if (away > r) return []
  const half = Math.sqrt(r * r - away * away)
  return [
    at(foot.x + line.direction.x * half, foot.y + line.direction.y * half),
    at(foot.x - line.direction.x * half, foot.y - line.direction.y * half),
  ]
}

function circles(a: Circle, b: Circle): readonly Point[] {
  const [ra, rb, d] = [Math.abs(a.radius), Math.abs(b.radius), distance(a.centre, b.centre)]
  if (d < 1e-9 || d > ra + rb || d < Math.abs(ra - rb)) return []
  const along = (d * d + ra * ra - rb * rb) / (2 * d)
  const half = Math.sqrt(Math.max(0, ra * ra - along * along))
  const u = unit(minusPoint(b.centre, a.centre))
  const foot = at(a.centre.x + u.x * along, a.centre.y + u.y * along)
  return [at(foot.x - u.y * half, foot.y + u.x * half), at(foot.x + u.y * half, foot.y - u.x * half)]
}
