import type { Ring } from './convex-parts.ts'

/**
 * A convex region ready for cutting by upright and level lines: its box, and its lower and upper
 * boundary from left to right. For a rectangle both are one level line.
 */
export interface ConvexRegion {
  readonly minX: number
  readonly maxX: number
  readonly minY: number
  readonly maxY: number
  readonly isBox: boolean
  /** Upright lines on which to look for a place beside the region: its ends, and its bends one in every few degrees. */
  readonly lines: Float64Array
  /** [x0, y0, x1, y1, …] by rising x. */
  readonly lower: Float64Array
  readonly upper: Float64Array
}

/**
 * Where the reference point of `moving` may not be when `fixed` stands at the origin: the Minkowski
 * sum of `fixed` and the point-mirrored `moving`. Both convex and counter-clockwise.
 */
export const noFitRegion = (fixed: Ring, moving: Ring): ConvexRegion =>
  regionOf(minkowskiSum(fixed, pointMirrored(moving)))

/** Sum of two convex counter-clockwise rings, by merging their edges in order of direction. */
export function minkowskiSum(a: Ring, b: Ring): Ring {
  const p = fromLowest(a)
  const q = fromLowest(b)
  const out: number[] = []
  const [n, m] = [p.length / 2, q.length / 2]
  let [i, j] = [0, 0]
  while (i < n || j < m) {
    out.push(p[2 * (i % n)]! + q[2 * (j % m)]!, p[2 * (i % n) + 1]! + q[2 * (j % m) + 1]!)
    const cross = edgeX(p, i) * edgeY(q, j) - edgeY(p, i) * edgeX(q, j)
    // Both run out at the same direction as they started, so an exhausted ring simply waits.
    if (j >= m || (i < n && cross >= 0)) {
      if (i < n && j < m && cross === 0) j++
      i++
    } else j++
  }
  return out
}

const CLEARANCE_SIDES = 16
/** The round of the gap reaches beyond it by this share of it at most, at its corners. */
export const CLEARANCE_OVER = 1 / Math.cos(Math.PI / CLEARANCE_SIDES) - 1

/** A round of radius `gap` drawn outside itself with so many sides, level and upright ones included. */
export function clearanceRing(gap: number): Ring {
  const corner = gap * (1 + CLEARANCE_OVER)
  return Array.from({ length: CLEARANCE_SIDES }, (_, i) => {
    const angle = ((i + 0.5) / CLEARANCE_SIDES) * 2 * Math.PI
    return [corner * Math.cos(angle), corner * Math.sin(angle)]
  }).flat()
}

/** A convex ring as its left and right chains, to look up how far it reaches at a height. */
export function regionOf(ring: Ring): ConvexRegion {
  const n = ring.length / 2
  let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity]
  for (let i = 0; i < n; i++) {
    minX = Math.min(minX, ring[2 * i]!)
    maxX = Math.max(maxX, ring[2 * i]!)
    minY = Math.min(minY, ring[2 * i + 1]!)
    maxY = Math.max(maxY, ring[2 * i + 1]!)
  }
  const [left, right] = [chainStart(ring, minX, 'lowest'), chainStart(ring, maxX, 'lowest')]
  const [leftTop, rightTop] = [chainStart(ring, minX, 'highest'), chainStart(ring, maxX, 'highest')]
  const lower = Float64Array.from(walk(ring, left, right))
  const upper = Float64Array.from(walk(ring, rightTop, leftTop))
  const isBox = lower.length === 4 && upper.length === 4 && lower[1] === lower[3] && upper[1] === upper[3]
  return {
    minX,
    maxX,
    minY,
    maxY,
    isBox,
    lines: Float64Array.from(isBox ? [minX, maxX] : [minX, maxX, ...bends(ring)]),
    lower,
    upper: reversedPairs(upper),
  }
}

/** Between lines of a flattened arc the corner is found by sliding, so that not every vertex is worth a line. */
const BEND = Math.PI / 10

function bends(ring: Ring): number[] {
  const xs: number[] = []
  const n = ring.length / 2
  let sinceLast = 0
  for (let i = 0; i < n; i++) {
    const cross = edgeX(ring, i + n - 1) * edgeY(ring, i) - edgeY(ring, i + n - 1) * edgeX(ring, i)
    const dot = edgeX(ring, i + n - 1) * edgeX(ring, i) + edgeY(ring, i + n - 1) * edgeY(ring, i)
    sinceLast += Math.atan2(cross, dot)
    if (sinceLast < BEND) continue
    xs.push(ring[2 * i]!)
    sinceLast = 0
  }
  return xs
}

/** The y of a chain at x, which must lie within the chain. */
export function chainAt(chain: Float64Array, x: number): number {
  let low = 0
  let high = chain.length / 2 - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (chain[2 * middle]! <= x) low = middle
    else high = middle
  }
  const [x0, y0, x1, y1] = [chain[2 * low]!, chain[2 * low + 1]!, chain[2 * high]!, chain[2 * high + 1]!]
  return x1 - x0 < 1e-12 ? y0 : y0 + ((x - x0) / (x1 - x0)) * (y1 - y0)
}

const edgeX = (ring: Ring, i: number): number => ring[(2 * i + 2) % ring.length]! - ring[(2 * i) % ring.length]!
const edgeY = (ring: Ring, i: number): number => ring[(2 * i + 3) % ring.length]! - ring[(2 * i + 1) % ring.length]!

const pointMirrored = (ring: Ring): Ring => ring.map((v) => -v)

function fromLowest(ring: Ring): Ring {
  let start = 0
  for (let i = 2; i < ring.length; i += 2) {
    if (ring[i + 1]! < ring[start + 1]! || (ring[i + 1] === ring[start + 1] && ring[i]! < ring[start]!)) start = i
  }
  return [...ring.slice(start), ...ring.slice(0, start)]
}

function chainStart(ring: Ring, x: number, which: 'lowest' | 'highest'): number {
  let best = -1
  for (let i = 0; i < ring.length / 2; i++) {
    if (Math.abs(ring[2 * i]! - x) > 1e-9) continue
    if (
      best < 0 ||
      (which === 'lowest' ? ring[2 * i + 1]! < ring[2 * best + 1]! : ring[2 * i + 1]! > ring[2 * best + 1]!)
    )
      best = i
  }
  return best
}

function walk(ring: Ring, from: number, to: number): number[] {
  const n = ring.length / 2
  const out = [ring[2 * from]!, ring[2 * from + 1]!]
  for (let i = from; i !== to;) {
    i = (i + 1) % n
    out.push(ring[2 * i]!, ring[2 * i + 1]!)
  }
  return out
}

function reversedPairs(chain: Float64Array): Float64Array {
  const out = new Float64Array(chain.length)
  for (let i = 0; i < chain.length; i += 2) {
    out[i] = chain[chain.length - 2 - i]!
    out[i + 1] = chain[chain.length - 1 - i]!
  }
  return out
}
