import { flatten } from './flatten.ts'
import { areaOf, edgeOf, type Outline } from './outline.ts'
import { at, cross, type Point } from './point.ts'

/** The balance point of an outline: where a label stands well. */
export function centroidOf(outline: Outline): Point {
  const polygon = flatten(outline, 1)
  const area = areaOf(polygon)
  if (Math.abs(area) < 1e-9) return outline[0] ?? at(0, 0)
  const sum = polygon.reduce(
    (total, _, i) => {
      const [a, b] = edgeOf(polygon, i)
      const weight = cross(a, b)
      return { x: total.x + (a.x + b.x) * weight, y: total.y + (a.y + b.y) * weight }
    },
    { x: 0, y: 0 },
  )
  return at(sum.x / (6 * area), sum.y / (6 * area))
}
