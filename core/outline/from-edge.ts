import type { Polygon } from './outline.ts'
import type { Point } from './point.ts'

/** How far a point lies from the boundary of a polygon, inside or out; flatten an outline first. */
export function distanceFromEdge(polygon: Polygon, p: Point): number {
  return polygon.reduce((least, a, i) => {
    const b = polygon[(i + 1) % polygon.length]!
    const [dx, dy] = [b.x - a.x, b.y - a.y]
    const share = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)))
    return Math.min(least, Math.hypot(a.x + share * dx - p.x, a.y + share * dy - p.y))
  }, Infinity)
}
