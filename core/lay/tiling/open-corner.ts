import type { Ring } from '../convex-parts.ts'
import { windsRound } from '../ring-points.ts'
import { CORNER_MM } from '../tolerances.ts'

/** A ring put down at (x, y), and the far corner of its box. */
export interface Placed {
  readonly ring: Ring
  readonly x: number
  readonly y: number
  readonly right: number
  readonly top: number
}

export interface Corner {
  readonly x: number
  readonly y: number
  /** Direction of the edge from which the opening begins, counter-clockwise from the x axis. */
  readonly angle: number
  readonly opening: number
}

const LEAST_OPENING = 0.01
const TURN = 2 * Math.PI

/**
 * The lowest (then leftmost) corner of what lies on a strip round which something is still open; null when the strip is
 * full.
 */
export function openCorner(
  placed: readonly Placed[],
  strip: { readonly minX: number; readonly maxX: number; readonly top: number },
): Corner | null {
  let best: Corner | null = null
  const consider = (x: number, y: number) => {
    if (y > strip.top - CORNER_MM || (best && (y > best.y + CORNER_MM || (y > best.y - CORNER_MM && x >= best.x))))
      return
    const gap = openingAt(placed, strip, x, y)
    if (gap) best = { x, y, ...gap }
  }
  consider(strip.minX, 0)
  for (const { ring, x, y } of placed) for (let i = 0; i < ring.length; i += 2) consider(x + ring[i]!, y + ring[i + 1]!)
  return best
}

/** The first open stretch of directions round a point, from the x axis on. */
function openingAt(
  placed: readonly Placed[],
  strip: { readonly minX: number; readonly maxX: number; readonly top: number },
  x: number,
  y: number,
): { angle: number; opening: number } | null {
  const taken: (readonly [number, number])[] = []
  if (y < CORNER_MM) taken.push([Math.PI, TURN])
  if (x < strip.minX + CORNER_MM) taken.push([Math.PI / 2, 1.5 * Math.PI])
  if (x > strip.maxX - CORNER_MM) taken.push([1.5 * Math.PI, 2.5 * Math.PI])
  for (const p of placed) {
    if (x < p.x - CORNER_MM || x > p.right + CORNER_MM || y < p.y - CORNER_MM || y > p.top + CORNER_MM) continue
    const sector = sectorOf(p.ring, x - p.x, y - p.y)
    if (sector === 'inside') return null
    if (sector) taken.push(sector)
  }
  return firstGap(taken)
}

/** What a ring takes of the directions round a point on it. */
function sectorOf(ring: Ring, x: number, y: number): readonly [number, number] | 'inside' | null {
  const n = ring.length
  for (let i = 0; i < n; i += 2) {
    if (Math.abs(ring[i]! - x) > CORNER_MM || Math.abs(ring[i + 1]! - y) > CORNER_MM) continue
    const [nextX, nextY] = [ring[(i + 2) % n]! - ring[i]!, ring[(i + 3) % n]! - ring[i + 1]!]
    const [lastX, lastY] = [ring[(i + n - 2) % n]! - ring[i]!, ring[(i + n - 1) % n]! - ring[i + 1]!]
    return fromTo(Math.atan2(nextY, nextX), Math.atan2(lastY, lastX))
  }
  for (let i = 0; i < n; i += 2) {
    const [ax, ay] = [ring[i]!, ring[i + 1]!]
    const [dx, dy] = [ring[(i + 2) % n]! - ax, ring[(i + 3) % n]! - ay]
    const length = Math.hypot(dx, dy)
    const along = ((x - ax) * dx + (y - ay) * dy) / length
    const beside = ((y - ay) * dx - (x - ax) * dy) / length
    if (along > 0 && along < length && Math.abs(beside) < CORNER_MM) {
      const angle = Math.atan2(dy, dx)
      return fromTo(angle, angle + Math.PI)
    }
  }
  return windsRound(ring, x, y) ? 'inside' : null
}

function fromTo(start: number, end: number): readonly [number, number] {
  const from = ((start % TURN) + TURN) % TURN
  const size = (((end - start) % TURN) + TURN) % TURN
  return [from, from + size]
}

/** The first gap that begins where a taken stretch ends, at an angle in [0, π). */
function firstGap(taken: readonly (readonly [number, number])[]): { angle: number; opening: number } | null {
  const spread = taken
    .flatMap(([a, b]) => [[a - TURN, b - TURN] as const, [a, b] as const, [a + TURN, b + TURN] as const])
    .sort((p, q) => p[0] - q[0])
  let reach = -Infinity
  for (const [a, b] of spread) {
    if (a > reach + LEAST_OPENING && reach > -LEAST_OPENING && reach < Math.PI)
      return { angle: reach, opening: a - reach }
    reach = Math.max(reach, b)
  }
  return null
}
