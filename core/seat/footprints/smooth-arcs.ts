import {
  at,
  bulgeOfRise,
  cross,
  distance,
  dot,
  minusPoint,
  unit,
  vertex,
  type Point,
  type Vertex,
} from '../../outline/index.ts'

/**
 * Arcs through points, each running smoothly into the next; one arc through three points, two
 * between each pair of more. The last point is left out, as the start of what follows.
 */
export function smoothArcs(points: readonly Point[]): readonly Vertex[] {
  if (points.length === 3) return oneArc(points as [Point, Point, Point])
  const tangents = points.map((_, i) => tangentAt(points, i))
  return points.slice(0, -1).flatMap((p, i) => biarc(p, tangents[i]!, points[i + 1]!, tangents[i + 1]!))
}

/** The circle through three points, as two stretches of the one arc so that the middle point stays a corner. */
function oneArc([a, b, c]: readonly [Point, Point, Point]): readonly Vertex[] {
  const tangent = circleTangent(a, b, c, b)
  const start = mirrorTangent(a, b, tangent)
  return [vertex(a, bulgeFrom(a, start, b)), vertex(b, bulgeFrom(b, tangent, c))]
}

/** At inner points the tangent of the circle through it and its neighbours; at the ends that circle carried on. */
function tangentAt(points: readonly Point[], i: number): Point {
  const last = points.length - 1
  const middle = Math.min(Math.max(i, 1), last - 1)
  return circleTangent(points[middle - 1]!, points[middle]!, points[middle + 1]!, points[i]!)
}

/** Direction of travel at one of three points on their circle. */
function circleTangent(a: Point, b: Point, c: Point, where: Point): Point {
  const [ab, bc] = [minusPoint(b, a), minusPoint(c, b)]
  const turn = cross(ab, bc)
  if (Math.abs(turn) < 1e-9 * dot(ab, ab)) return unit(minusPoint(c, a))
  // At the middle point the tangent leans from each chord by half of the arc it stands for.
  const atB = unit(at(ab.x * dot(bc, bc) + bc.x * dot(ab, ab), ab.y * dot(bc, bc) + bc.y * dot(ab, ab)))
  if (where === b) return atB
  return where === a ? mirrorTangent(a, b, atB) : mirrorTangent(b, c, atB)
}

/** The tangent at the other end of an arc: mirrored at the chord. */
function mirrorTangent(a: Point, b: Point, tangent: Point): Point {
  const chord = unit(minusPoint(b, a))
  const along = 2 * dot(tangent, chord)
  return at(chord.x * along - tangent.x, chord.y * along - tangent.y)
}

/** The bulge of the arc that leaves `a` along `tangent` and ends in `b`. */
function bulgeFrom(a: Point, tangent: Point, b: Point): number {
  const chord = minusPoint(b, a)
  const half = Math.atan2(cross(tangent, chord), dot(tangent, chord))
  return Math.tan(half / 2)
}

/** Two arcs with one tangent where they meet; the legs of the control polygon are equally long. */
function biarc(a: Point, ta: Point, b: Point, tb: Point): readonly Vertex[] {
  const v = minusPoint(b, a)
  const sum = at(ta.x + tb.x, ta.y + tb.y)
  const turn = 2 * (1 - dot(ta, tb))
  const vs = dot(v, sum)
  const leg =
    Math.abs(turn) < 1e-9 ? dot(v, v) / (4 * dot(v, tb) || 1) : (-vs + Math.sqrt(vs * vs + turn * dot(v, v))) / turn
  const middle = at((a.x + ta.x * leg + b.x - tb.x * leg) / 2, (a.y + ta.y * leg + b.y - tb.y * leg) / 2)
  if (!(distance(a, middle) > 1e-6) || !(distance(middle, b) > 1e-6)) return [vertex(a, bulgeOfRise(1, 0))]
  const second = bulgeFrom(middle, mirrorTangent(a, middle, ta), b)
  return [vertex(a, bulgeFrom(a, ta, middle)), vertex(middle, second)]
}
