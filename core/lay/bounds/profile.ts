import type { Ring } from '../convex-parts.ts'

/** So much of a piece's height on which a line across it meets at least so much of it. */
export interface Slab {
  readonly height: number
  readonly width: number
}

/** A slanted edge is told in steps of so much of the width, so many at most. */
const STEP_MM = 10
const MOST_STEPS = 16

/**
 * How wide a piece is across its height: slabs, the widest first, whose widths it has at least on so much of its height.
 * Where it is hollow or forked the parts count together. `most`: so many slabs tell it at most.
 */
export function profileOf(ring: Ring, most: number): readonly Slab[] {
  const ys = [...new Set(ring.filter((_, i) => i % 2 === 1))].sort((a, b) => a - b)
  const slabs = ys.slice(1).flatMap((top, i): Slab[] => {
    const height = top - ys[i]!
    if (height <= 1e-9) return []
    const hair = height * 1e-6
    const [below, above] = [widthAt(ring, ys[i]! + hair), widthAt(ring, top - hair)]
    // Between two corners the width changes evenly: told in steps, it is least at one of the ends of each.
    const steps = Math.max(1, Math.min(MOST_STEPS, Math.ceil(Math.abs(above - below) / STEP_MM)))
    const at = (k: number) => below + ((above - below) * k) / steps
    return Array.from({ length: steps }, (_, k) => ({ height: height / steps, width: Math.min(at(k), at(k + 1)) }))
  })
  return fewer(
    slabs.toSorted((a, b) => b.width - a.width),
    most,
  )
}

/** How much of a line across an outline lies in it; the line meets no corner. */
const widthAt = (ring: Ring, y: number): number => lengthOf(spansAt(ring, y))

export const lengthOf = (spans: readonly (readonly [from: number, to: number])[]): number =>
  spans.reduce((sum, [from, to]) => sum + to - from, 0)

/** The parts of a line across an outline that lie in it, from left to right; the line meets no corner. */
export function spansAt(ring: Ring, y: number): readonly (readonly [from: number, to: number])[] {
  const xs: number[] = []
  for (let i = 0; i < ring.length; i += 2) {
    const [x1, y1] = [ring[i]!, ring[i + 1]!]
    const [x2, y2] = [ring[(i + 2) % ring.length]!, ring[(i + 3) % ring.length]!]
    if (y1 > y !== y2 > y) xs.push(x1 + ((y - y1) / (y2 - y1)) * (x2 - x1))
  }
  xs.sort((a, b) => a - b)
  return xs.flatMap((x, i) => (i % 2 === 1 ? [[xs[i - 1]!, x] as const] : []))
}

/** Neighbours put together, the narrower width counting for both, where that gives away the least. */
function fewer(slabs: readonly Slab[], most: number): readonly Slab[] {
  let now = slabs
  for (;;) {
    const losses = now.slice(1).map((s, i) => now[i]!.height * (now[i]!.width - s.width))
    const least = Math.min(...losses)
    if (now.length <= 1 || (now.length <= most && least > 0)) return now
    const at = losses.indexOf(least)
    now = now.flatMap((s, i) =>
      i === at ? [] : i === at + 1 ? [{ height: s.height + now[at]!.height, width: s.width }] : [s],
    )
  }
}
