import { bulgeOfRise, isStraight } from './arc.ts'
import { onEdge } from './along.ts'
import { edgeOf, vertex, type Outline } from './outline.ts'
import { cross, distance, minusPoint, type Point } from './point.ts'

/**
 * An outline carried over by a map of its plane that keeps left and right. An arc becomes the arc over the mapped
 * chord that is as high as the mapped middle of the old one: exact where the map is even, near where it is nearly so.
 */
export function mapped(outline: Outline, map: (p: Point) => Point): Outline {
  const corners = outline.map(map)
  return outline.map((v, i) => {
    const [a, b] = edgeOf(corners, i)
    return vertex(a, isStraight(v.bulge) ? 0 : bulgeOfRise(distance(a, b), riseAt(a, b, map(onEdge(outline, i, 0.5)))))
  })
}

/** How far a point lies to the right of the line from a to b: outwards on a counter-clockwise outline. */
const riseAt = (a: Point, b: Point, p: Point): number => cross(minusPoint(p, a), minusPoint(b, a)) / distance(a, b)
