import type { Packing } from './packing.ts'
import { sortBy } from './surroundings.ts'
import type { Overlap } from './weights.ts'

/** All pairs that overlap, the smaller number first. */
export function overlapsOf(packing: Packing): Overlap[] {
  const { count, y, postures } = packing
  const order = Int32Array.from({ length: count }, (_, i) => i)
  sortBy(order, y)
  const out: Overlap[] = []
  order.forEach((a, at) => {
    const end = y[a]! + postures[a]!.shape.height + packing.instance.gap
    for (let k = at + 1; k < count && y[order[k]!]! < end; k++) {
      const b = order[k]!
      const [i, j] = a < b ? [a, b] : [b, a]
      const depthMm = packing.depth(i, j)
      if (depthMm > 0) out.push({ i, j, depthMm })
    }
    const depthMm = packing.depth(a, count)
    if (depthMm > 0) out.push({ i: a, j: count, depthMm })
  })
  return out
}

export const totalDepth = (overlaps: readonly Overlap[]): number => overlaps.reduce((sum, o) => sum + o.depthMm, 0)

/** The pieces in any of them, by number. */
export function piecesIn(overlaps: readonly Overlap[], count: number): number[] {
  const pieces = new Set(overlaps.flatMap(({ i, j }) => [i, j]))
  pieces.delete(count)
  return [...pieces].sort((a, b) => a - b)
}
