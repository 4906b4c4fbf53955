import { flatten } from './flatten.ts'
import type { Outline } from './outline.ts'
import type { Point } from './point.ts'

/** Whether a point lies inside an outline; on its edge either answer may come. */
export function isInside(outline: Outline, { x, y }: Point): boolean {
  const polygon = flatten(outline, 0.5)
  let inside = false
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const [a, b] = [polygon[j]!, polygon[i]!]
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside
  }
  return inside
}
