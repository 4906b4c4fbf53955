/** A flat ring [x0, y0, x1, y1, …]. */
export type Ring = readonly number[]

/** Even-odd test; points on the outline may answer either way. */
export function isInside(ring: Ring, x: number, y: number): boolean {
  let odd = false
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const [xi, yi, xj, yj] = [ring[i]!, ring[i + 1]!, ring[j]!, ring[j + 1]!]
    if (yi > y !== yj > y && x < xi + ((y - yi) / (yj - yi)) * (xj - xi)) odd = !odd
  }
  return odd
}

/** How far a place is from the nearest edge of a ring, mm. */
export function distanceToRing(ring: Ring, x: number, y: number): number {
  let best = Infinity
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2)
    best = Math.min(best, pointToSegment(x, y, ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!))
  return best
}

/**
 * True when some part of `a`'s outline runs inside `b` farther than `depth` from b's outline. Of
 * each edge of `a` what lies within `depth` of b's outline is taken out; the rest lies wholly
 * inside or wholly outside, and one point of it tells which. Exact, nothing is sampled.
 */
export function insideDeeper(a: Ring, b: Ring, depth: number): boolean {
  const box = boxOf(b)
  for (let i = 0, j = a.length - 2; i < a.length; j = i, i += 2) {
    if (isBeside(box, a[j]!, a[j + 1]!, a[i]!, a[i + 1]!)) continue
    const [px, py, dx, dy] = [a[j]!, a[j + 1]!, a[i]! - a[j]!, a[i + 1]! - a[j + 1]!]
    const near: [number, number][] = []
    for (let k = 0, l = b.length - 2; k < b.length; l = k, k += 2) {
      const interval = withinOfSegment(px, py, dx, dy, b[l]!, b[l + 1]!, b[k]!, b[k + 1]!, depth)
      if (interval) near.push(interval)
    }
    for (const [low, high] of rest(near)) {
      const t = (low + high) / 2
      if (isInside(b, px + t * dx, py + t * dy)) return true
    }
  }
  return false
}

/** [least x, least y, greatest x, greatest y]. */
export type Box = readonly [number, number, number, number]

/** The box round a ring, mm. */
export function boxOf(ring: Ring): Box {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity]
  for (let i = 0; i < ring.length; i += 2) {
    x0 = Math.min(x0, ring[i]!)
    x1 = Math.max(x1, ring[i]!)
    y0 = Math.min(y0, ring[i + 1]!)
    y1 = Math.max(y1, ring[i + 1]!)
  }
  return [x0, y0, x1, y1]
}

/** An edge wholly to one side of a box. */
const isBeside = ([x0, y0, x1, y1]: Box, ax: number, ay: number, bx: number, by: number): boolean =>
  (ax < x0 && bx < x0) || (ax > x1 && bx > x1) || (ay < y0 && by < y0) || (ay > y1 && by > y1)

/** Points a hair within the middle of every edge: of two outlines on one line, they tell which side each lies on. */
export function justWithin(ring: Ring, hair: number): readonly (readonly [number, number])[] {
  let twice = 0
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2)
    twice += ring[j]! * ring[i + 1]! - ring[i]! * ring[j + 1]!
  const side = twice > 0 ? hair : -hair
  const points: (readonly [number, number])[] = []
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const [dx, dy] = [ring[i]! - ring[j]!, ring[i + 1]! - ring[j + 1]!]
    const length = Math.hypot(dx, dy)
    if (length < hair) continue
    const [x, y] = [
      (ring[i]! + ring[j]!) / 2 - (side * dy) / length,
      (ring[i + 1]! + ring[j + 1]!) / 2 + (side * dx) / length,
    ]
    if (isInside(ring, x, y)) points.push([x, y])
  }
  return points
}

/** True when two outlines that do not cross come closer than `limit`. */
export function outlinesCloserThan(a: Ring, b: Ring, limit: number): boolean {
  const near = (p: Ring, q: Ring) => {
    for (let i = 0; i < p.length; i += 2) if (distanceToRing(q, p[i]!, p[i + 1]!) < limit) return true
    return false
  }
  return near(a, b) || near(b, a)
}

function pointToSegment(x: number, y: number, ax: number, ay: number, bx: number, by: number): number {
  const [dx, dy] = [bx - ax, by - ay]
  const squared = dx * dx + dy * dy
  const t = squared > 0 ? Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / squared)) : 0
  return Math.hypot(x - ax - t * dx, y - ay - t * dy)
}

/** The stretch 0..1 of p + t·d within `r` of a segment: the rounded band is convex, so it is one interval. */
function withinOfSegment(
  px: number,
  py: number,
  dx: number,
  dy: number,
  ax: number,
  ay: number,
  bx: number,
  by: number,
  r: number,
): [number, number] | null {
  let [low, high] = [Infinity, -Infinity]
  const take = (from: number, to: number) => {
    low = Math.min(low, from)
    high = Math.max(high, to)
  }
  const squared = dx * dx + dy * dy
  for (const [cx, cy] of [
    [ax, ay],
    [bx, by],
  ] as const) {
    const [ex, ey] = [px - cx, py - cy]
    const half = ex * dx + ey * dy
    const discriminant = half * half - squared * (ex * ex + ey * ey - r * r)
    if (discriminant >= 0 && squared > 0)
      take((-half - Math.sqrt(discriminant)) / squared, (-half + Math.sqrt(discriminant)) / squared)
  }
  const length = Math.hypot(bx - ax, by - ay)
  if (length > 0) {
    const [ux, uy] = [(bx - ax) / length, (by - ay) / length]
    const along = clip((px - ax) * ux + (py - ay) * uy, dx * ux + dy * uy, 0, length)
    const beside = clip((py - ay) * ux - (px - ax) * uy, dy * ux - dx * uy, -r, r)
    if (along && beside) {
      const [from, to] = [Math.max(along[0], beside[0]), Math.min(along[1], beside[1])]
      if (from <= to) take(from, to)
    }
  }
  return high < 0 || low > 1 || low > high ? null : [Math.max(0, low), Math.min(1, high)]
}

/** Where start + t·rate lies between low and high. */
function clip(start: number, rate: number, low: number, high: number): readonly [number, number] | null {
  if (Math.abs(rate) < 1e-15) return start >= low && start <= high ? [-Infinity, Infinity] : null
  const [a, b] = [(low - start) / rate, (high - start) / rate]
  return a < b ? [a, b] : [b, a]
}

/** What the intervals leave of 0..1. */
function rest(taken: readonly (readonly [number, number])[]): readonly (readonly [number, number])[] {
  const left: [number, number][] = []
  let from = 0
  for (const [low, high] of taken.toSorted((a, b) => a[0] - b[0])) {
    if (low > from + 1e-12) left.push([from, low])
    from = Math.max(from, high)
  }
  if (from < 1 - 1e-12) left.push([from, 1])
  return left
}
