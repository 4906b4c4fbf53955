import { flatten } from './flatten.ts'
import { edgeOf, type Outline } from './outline.ts'
import type { Point } from './point.ts'

/** Whether a point lies inside an outline; on its edge either answer may come. */
export function isInside(outline: Outline, p: Point): boolean {
  const polygon = flatten(outline, 0.5)
  return polygon.reduce((inside, _, i) => {
    const [a, b] = edgeOf(polygon, i)
    const crosses = a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x
    return crosses ? !inside : inside
  }, false)
}
