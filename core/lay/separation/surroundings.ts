import type { Posture, Shape } from '../shape.ts'
import { TOUCH_MM } from '../tolerances.ts'
import type { PairTable } from './pair-table.ts'

/** Where pieces stand on a strip, by their numbers. */
export interface Standing {
  readonly count: number
  readonly x: Float64Array
  readonly y: Float64Array
  readonly postures: readonly Posture[]
}

/**
 * The pieces round the one that is being moved, from the starting end of the cloth upwards, so that a look at a place
 * sees those beside it and no others. Gathered anew for each piece that moves, since the one before has moved by then.
 */
export class Surroundings {
  private readonly standing: Standing
  private readonly pairs: PairTable
  private readonly gap: number
  /** All pieces by where they begin; nearly in order from one time to the next. */
  private readonly order: Int32Array
  /** Of the others in that order: their boxes, shapes and weights. */
  private readonly left: Float64Array
  private readonly right: Float64Array
  private readonly bottom: Float64Array
  private readonly top: Float64Array
  private readonly weight: Float64Array
  private readonly shapes: Shape[]
  private clothWeight = 1
  private tallest = 0
  /** Places looked at so far: the work done. */
  looked = 0

  constructor(standing: Standing, pairs: PairTable, gap: number) {
    const n = standing.count
    this.standing = standing
    this.pairs = pairs
    this.gap = gap
    this.order = Int32Array.from({ length: n }, (_, i) => i)
    this.left = new Float64Array(n)
    this.right = new Float64Array(n)
    this.bottom = new Float64Array(n)
    this.top = new Float64Array(n)
    this.weight = new Float64Array(n)
    this.shapes = standing.postures.map((p) => p.shape)
  }

  /** Gathers what stands round piece i, each with its weight in that piece's row of weights; the last is the cloth's. */
  gather(i: number, weights: Float64Array): void {
    const { order, standing, left, right, bottom, top, weight, shapes } = this
    const { x, y, postures, count } = standing
    sortBy(order, y)
    const row = i * (count + 1)
    this.clothWeight = weights[row + count]!
    this.tallest = 0
    let k = 0
    for (const j of order) {
      if (j === i) continue
      const shape = postures[j]!.shape
      left[k] = x[j]!
      right[k] = x[j]! + shape.width
      bottom[k] = y[j]!
      top[k] = y[j]! + shape.height
      weight[k] = weights[row + j]!
      shapes[k] = shape
      if (shape.height > this.tallest) this.tallest = shape.height
      k++
    }
  }

  /** Weighted overlap of the piece put down so; given up where it comes to `limit` or more. */
  cost(shape: Shape, x: number, y: number, limit: number): number {
    this.looked++
    const { pairs, gap, left, right, bottom, top, weight, shapes } = this
    const others = this.standing.count - 1
    const [low, high, from, to] = [y - gap, y + shape.height + gap, x - gap, x + shape.width + gap]
    const depth = pairs.obstacleDepth(shape, x, y)
    let total = depth > TOUCH_MM ? depth * this.clothWeight : 0
    for (let k = this.firstAbove(low - this.tallest); k < others && bottom[k]! < high; k++) {
      if (top[k]! <= low || left[k]! >= to || right[k]! <= from) continue
      const d = pairs.depth(shape, shapes[k]!, left[k]! - x, bottom[k]! - y)
      if (d <= TOUCH_MM) continue
      total += d * weight[k]!
      if (total >= limit) return total
    }
    return total
  }

  /** The first of the others that begins at a height or above. */
  private firstAbove(height: number): number {
    let [low, high] = [0, this.standing.count - 1]
    while (low < high) {
      const middle = (low + high) >> 1
      if (this.bottom[middle]! < height) low = middle + 1
      else high = middle
    }
    return low
  }
}

/** Sorts numbers of pieces by a value each, by insertion: little is out of order. */
export function sortBy(order: Int32Array, value: Float64Array): void {
  for (let k = 1; k < order.length; k++) {
    const j = order[k]!
    const own = value[j]!
    let at = k
    for (; at > 0 && value[order[at - 1]!]! > own; at--) order[at] = order[at - 1]!
    order[at] = j
  }
}
