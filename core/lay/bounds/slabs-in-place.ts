import type { Ring } from '../convex-parts.ts'
import { lengthOf, spansAt } from './profile.ts'

/** A band of a piece's height, and where lines across it meet the piece, from the left of its box. */
export interface PlacedSlab {
  readonly low: number
  readonly high: number
  /** Where the leftmost part that a line meets begins at most and ends at least. */
  readonly fromMost: number
  readonly toLeast: number
  /** No line meets less of the piece, all parts together. */
  readonly width: number
}

/** A piece is told in bands of this height before they are put together. */
const BAND_MM = 25
/** Bands that lose less area than this by being put together are one. */
const SAME_MM2 = 1

/** A piece in bands from its foot up, `most` of them at most, neighbours put together where that gives away the least. */
export function slabsInPlace(ring: Ring, most: number): readonly PlacedSlab[] {
  const ys = [...new Set(ring.filter((_, i) => i % 2 === 1))].sort((a, b) => a - b)
  let slabs = ys.slice(1).flatMap((top, i) => bandsBetween(ring, ys[i]!, top))
  for (;;) {
    const losses = slabs.slice(1).map((b, i) => lossOf(slabs[i]!, b))
    const least = Math.min(...losses)
    if (slabs.length <= 1 || (slabs.length <= most && least > SAME_MM2)) return slabs
    const at = losses.indexOf(least)
    slabs = slabs.flatMap((s, i) => (i === at ? [] : i === at + 1 ? [together(slabs[at]!, s)] : [s]))
  }
}

/** Between two corners what a line meets changes evenly: it is least and most at the ends of a band. */
function bandsBetween(ring: Ring, foot: number, top: number): readonly PlacedSlab[] {
  const height = top - foot
  if (height < 1e-6) return []
  const count = Math.ceil(height / BAND_MM)
  const hair = height * 1e-6
  const lineAt = (k: number) => spansAt(ring, foot + hair + ((height - 2 * hair) * k) / count)
  return Array.from({ length: count }, (_, k) => {
    const [below, above] = [lineAt(k), lineAt(k + 1)]
    return {
      low: foot + (height * k) / count,
      high: foot + (height * (k + 1)) / count,
      fromMost: Math.max(below[0]![0], above[0]![0]),
      toLeast: Math.min(below[0]![1], above[0]![1]),
      width: Math.min(lengthOf(below), lengthOf(above)),
    }
  })
}

const together = (a: PlacedSlab, b: PlacedSlab): PlacedSlab => ({
  low: a.low,
  high: b.high,
  fromMost: Math.max(a.fromMost, b.fromMost),
  toLeast: Math.min(a.toLeast, b.toLeast),
  width: Math.min(a.width, b.width),
})

const lossOf = (a: PlacedSlab, b: PlacedSlab): number =>
  (a.high - a.low) * a.width + (b.high - b.low) * b.width - (b.high - a.low) * Math.min(a.width, b.width)
