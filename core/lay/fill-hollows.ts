import type { Ring } from './convex-parts.ts'

/**
 * Bridges the corners of a flattened hollow arc where that fills in no more than `depth`. The
 * result contains the ring, so a lay of it is a lay of the ring; it has far fewer convex parts.
 * Sharp hollows are kept.
 */
export function fillHollows(ring: Ring, depth: number): Ring {
  const n = ring.length / 2
  const x = (i: number) => ring[2 * (i % n)]!
  const y = (i: number) => ring[2 * (i % n) + 1]!
  const isHollow = (i: number) =>
    (x(i) - x(i + n - 1)) * (y(i + 1) - y(i)) - (y(i) - y(i + n - 1)) * (x(i + 1) - x(i)) < 0
  let start = 0
  while (start < n && isHollow(start)) start++
  const out: number[] = []
  for (let i = start; i < start + n;) {
    out.push(x(i), y(i))
    let next = i + 1
    while (next < start + n && bridgeHolds(i, next + 1)) next++
    i = next
  }
  return out

  function bridgeHolds(from: number, to: number): boolean {
    const [dx, dy] = [x(to) - x(from), y(to) - y(from)]
    const length = Math.hypot(dx, dy)
    for (let i = from + 1; i < to; i++) {
      const left = ((y(i) - y(from)) * dx - (x(i) - x(from)) * dy) / length
      if (!isHollow(i) || left < 0 || left > depth) return false
    }
    return true
  }
}
