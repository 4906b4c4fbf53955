import type { Ring } from '../convex-parts.ts'
import { distanceFrom } from '../ring-points.ts'

/** Edges longer than this are edges of the piece, not parts of a flattened arc. */
const ARC_EDGE_MM = 80

/**
 * The ring with the short edges of its bulging arcs dropped, their neighbours lengthened until they
 * meet, wherever that adds no more than `depth`. The result contains the ring and has far fewer
 * edges. Counter-clockwise in and out.
 */
export function easeArcs(ring: Ring, depth: number): Ring {
  let points = pairs(ring)
  for (let i = 0, kept = 0; points.length > 4 && kept < points.length;) {
    const met = meetingAcross(points, i)
    if (met && distanceFrom(ring, met[0], met[1]) <= depth) {
      points = withoutEdge(points, i, met)
      kept = 0
    } else kept++
    i = (i + 1) % points.length
  }
  return points.flat()
}

type Point = readonly [number, number]

const pairs = (ring: Ring): Point[] => ring.flatMap((x, i) => (i % 2 === 0 ? [[x, ring[i + 1]!] as const] : []))

/** The end points of edge i give way to one. */
function withoutEdge(points: readonly Point[], i: number, met: Point): Point[] {
  const next = (i + 1) % points.length
  return points.flatMap((p, k) => (k === i ? [met] : k === next ? [] : [p]))
}

/** Where the neighbours of edge i meet beyond it; null where it is no short edge of a bulge. */
function meetingAcross(points: readonly Point[], i: number): Point | null {
  const n = points.length
  const [a, b, c, d] = [points[(i + n - 1) % n]!, points[i]!, points[(i + 1) % n]!, points[(i + 2) % n]!]
  if (Math.hypot(c[0] - b[0], c[1] - b[1]) > ARC_EDGE_MM) return null
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]]
  const [ex, ey] = [c[0] - b[0], c[1] - b[1]]
  const turnsLeft = ux * ey - uy * ex > 0 && ex * vy - ey * vx > 0
  const cross = ux * vy - uy * vx
  if (!turnsLeft || cross <= 1e-9) return null
  const t = (ex * vy - ey * vx) / cross
  return [b[0] + t * ux, b[1] + t * uy]
}
