import type { Instance } from '../instance.ts'
import type { Arrangement, Spot } from '../placer.ts'
import { BestFit, boxSizesOf, NONE, UNITS } from './best-fit.ts'
import { LedgeList } from './ledge-list.ts'

/**
 * An endless roll without flaws or phases, which is all that this decoder takes; of other shapes it lays the boxes
 * round them.
 */
export const hasSkyline = (instance: Instance): boolean =>
  !instance.hasSides &&
  instance.sheets === 1 &&
  instance.maxY === Infinity &&
  instance.obstacles.length === 0 &&
  instance.items.every((i) => i.across === null && i.along === null)

export const isSkylineInstance = (instance: Instance): boolean =>
  hasSkyline(instance) && instance.items.every((i) => i.postures.every((p) => p.shape.isBox))

/** Lays boxes in an order from the lowest ledge up, each set against the higher neighbour of its ledge. */
export class Skyline {
  private readonly instance: Instance
  private readonly sizes
  private readonly ledges: LedgeList
  private readonly fit: BestFit
  private readonly wholeWidth: number
  private readonly laid: { readonly box: Int32Array; readonly x: Int32Array; readonly y: Int32Array; count: number }

  constructor(instance: Instance) {
    const n = instance.items.length
    this.instance = instance
    this.sizes = boxSizesOf(instance)
    this.ledges = new LedgeList(n)
    this.fit = new BestFit(this.sizes)
    this.wholeWidth = Math.round((instance.maxX - instance.minX) * UNITS) + this.sizes.gap
    this.laid = { box: new Int32Array(n), x: new Int32Array(n), y: new Int32Array(n), count: 0 }
  }

  /** Length of the lay of boxes in this order; Infinity once it reaches `limit`. */
  lengthOf(order: Int32Array, limit: number): number {
    const { ledges, fit, laid } = this
    const { heights, widths, gap } = this.sizes
    const limitUnits = limit * UNITS + gap
    ledges.clear(this.wholeWidth)
    fit.begin(order)
    laid.count = 0
    let top = 0
    while (laid.count < order.length) {
      const ledge = ledges.lowest()
      const level = ledges.y[ledge]!
      const [onLeft, onRight] = [ledges.wallLeft(ledge), ledges.wallRight(ledge)]
      const lower = Math.min(onLeft, onRight)
      const box = fit.bestFor(ledges.width[ledge]!, Math.max(onLeft, onRight), lower)
      if (box === NONE) {
        // Nothing fits: it is given up to its lower neighbour.
        ledges.raise(ledge, ledges.width[ledge]!, lower, true)
        continue
      }
      const reached = level + heights[box]!
      if (reached > top && reached >= limitUnits) return Infinity
      top = Math.max(top, reached)
      fit.take(box)
      laid.box[laid.count] = box
      laid.x[laid.count] = ledges.raise(ledge, widths[box]!, heights[box]!, onLeft >= onRight)
      laid.y[laid.count++] = level
    }
    return (top - gap) / UNITS
  }

  /** Mean height of the upper edge of the last lay: less of it is less waste below. */
  meanHeight(): number {
    return this.ledges.areaUnder() / this.wholeWidth / UNITS
  }

  /** The lay of the last order whose length was asked for, which must have been finished. */
  arrangement(): Arrangement {
    const { instance, laid, sizes } = this
    const spots = Array.from({ length: laid.count }, (_, k): Spot => {
      const box = laid.box[k]!
      return {
        item: sizes.itemOf[box]!,
        posture: sizes.postures[box]!,
        x: instance.minX + laid.x[k]! / UNITS,
        y: laid.y[k]! / UNITS,
        sheet: 0,
      }
    })
    return {
      spots,
      left: [],
      sheets: 1,
      length: Math.max(0, ...spots.map((s) => s.y + s.posture.shape.height)),
      offsets: instance.groups.map((g) => ({ across: g.across, along: g.along })),
    }
  }
}

/** The lay of boxes in an order. */
export function layOnSkyline(instance: Instance, order: readonly number[]): Arrangement {
  const skyline = new Skyline(instance)
  skyline.lengthOf(Int32Array.from(order), Infinity)
  return skyline.arrangement()
}
