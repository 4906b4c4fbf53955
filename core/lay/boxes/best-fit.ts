import type { Instance } from '../instance.ts'
import type { Posture } from '../shape.ts'

/** Boxes are laid in whole micrometres, so that equal is equal. */
export const UNITS = 1000
export const NONE = -1

/** The boxes of an instance in every turn, in units; each carries its gap along, to the right and up. */
export interface BoxSizes {
  readonly itemOf: Int32Array
  readonly postures: readonly Posture[]
  readonly widths: Int32Array
  readonly heights: Int32Array
  /** Where the turns of each item begin, and where the last end. */
  readonly firstOf: Int32Array
  readonly gap: number
}

export function boxSizesOf({ items, gap }: Instance): BoxSizes {
  const gapUnits = Math.round(gap * UNITS)
  const postures = items.flatMap((item) => item.postures)
  const counts = items.map((item) => item.postures.length)
  const firstOf = new Int32Array(items.length + 1)
  counts.forEach((count, i) => (firstOf[i + 1] = firstOf[i]! + count))
  return {
    itemOf: Int32Array.from(counts.flatMap((count, i) => Array.from({ length: count }, () => i))),
    postures,
    widths: Int32Array.from(postures, (p) => Math.round(p.shape.width * UNITS) + gapUnits),
    heights: Int32Array.from(postures, (p) => Math.round(p.shape.height * UNITS) + gapUnits),
    firstOf,
    gap: gapUnits,
  }
}

/**
 * Which box goes on a ledge: one of its whole width, best one that also comes level with a neighbour; else one that
 * comes level with a neighbour, the higher first; else the first in the order that fits. The fitness rule follows the
 * known best-fit heuristics for strips of rectangles.
 */
export class BestFit {
  private readonly sizes: BoxSizes
  private readonly byWidth: ReadonlyMap<number, Int32Array>
  private readonly byHeight: ReadonlyMap<number, Int32Array>
  private readonly narrowest: number
  private readonly rank: Int32Array
  private readonly isLaid: Uint8Array
  private order: Int32Array
  private head = 0

  constructor(sizes: BoxSizes) {
    this.sizes = sizes
    this.byWidth = grouped(sizes.widths)
    this.byHeight = grouped(sizes.heights)
    this.narrowest = sizes.widths.reduce((least, w) => Math.min(least, w), Infinity)
    const items = sizes.firstOf.length - 1
    this.rank = new Int32Array(items)
    this.isLaid = new Uint8Array(items)
    this.order = this.rank
  }

  /** No box is laid; between equals this order decides. */
  begin(order: Int32Array): void {
    this.order = order
    this.head = 0
    this.isLaid.fill(0)
    for (let i = 0; i < order.length; i++) this.rank[order[i]!] = i
  }

  take(box: number): void {
    this.isLaid[this.sizes.itemOf[box]!] = 1
  }

  /** The best box for so much room between walls of two heights; NONE where none fits. */
  bestFor(room: number, higher: number, lower: number): number {
    if (room < this.narrowest) return NONE
    const whole = this.bestOf(this.byWidth.get(room), room, higher, lower)
    if (whole !== NONE) return whole
    const level = this.bestOf(this.byHeight.get(higher), room, NaN, NaN)
    if (level !== NONE) return level
    const flush = this.bestOf(this.byHeight.get(lower), room, NaN, NaN)
    return flush !== NONE ? flush : this.firstInOrder(room)
  }

  /** Of the boxes not yet laid that fit the room, one level with a neighbour before others, then the first in order. */
  private bestOf(among: Int32Array | undefined, room: number, higher: number, lower: number): number {
    let best = NONE
    if (!among) return best
    const { isLaid, rank } = this
    const { itemOf, widths, heights } = this.sizes
    let bestFit = -1
    for (let k = 0; k < among.length; k++) {
      const box = among[k]!
      if (isLaid[itemOf[box]!] || widths[box]! > room) continue
      const fit = (heights[box] === higher ? 2 : 0) + (heights[box] === lower ? 1 : 0)
      if (fit > bestFit || (fit === bestFit && rank[itemOf[box]!]! < rank[itemOf[best]!]!)) {
        best = box
        bestFit = fit
      }
    }
    return best
  }

  private firstInOrder(room: number): number {
    const { order, isLaid } = this
    const { firstOf, widths } = this.sizes
    while (this.head < order.length && isLaid[order[this.head]!]) this.head++
    for (let r = this.head; r < order.length; r++) {
      const item = order[r]!
      if (isLaid[item]) continue
      for (let box = firstOf[item]!; box < firstOf[item + 1]!; box++) if (widths[box]! <= room) return box
    }
    return NONE
  }
}

function grouped(values: Int32Array): ReadonlyMap<number, Int32Array> {
  const groups = new Map<number, number[]>()
  values.forEach((v, box) => groups.set(v, [...(groups.get(v) ?? []), box]))
  return new Map([...groups].map(([v, list]) => [v, Int32Array.from(list)]))
}
