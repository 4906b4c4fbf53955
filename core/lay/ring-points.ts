import type { Ring } from './convex-parts.ts'

/** Whether a ring winds round a point: upward edges to its right count one, downward ones minus one. */
export function windsRound(ring: Ring, x: number, y: number): boolean {
  let winding = 0
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const [ax, ay, bx, by] = [ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!]
    const isLeft = (bx - ax) * (y - ay) - (x - ax) * (by - ay)
    if (ay <= y && by > y && isLeft > 0) winding++
    else if (ay > y && by <= y && isLeft < 0) winding--
  }
  return winding !== 0
}

/** From a point to the nearest of a ring's edges. */
export function distanceFrom(ring: Ring, x: number, y: number): number {
  let least = Infinity
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const [ax, ay] = [ring[j]!, ring[j + 1]!]
    const [dx, dy] = [ring[i]! - ax, ring[i + 1]! - ay]
    const share = ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)
    const t = Math.min(1, Math.max(0, share))
    least = Math.min(least, Math.hypot(x - ax - t * dx, y - ay - t * dy))
  }
  return least
}
