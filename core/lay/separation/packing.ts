import type { Instance, Item } from '../instance.ts'
import { latticeStart } from '../intervals.ts'
import type { Arrangement } from '../placer.ts'
import type { Posture } from '../shape.ts'
import type { PairTable } from './pair-table.ts'
import { Surroundings } from './surroundings.ts'
import { Weights } from './weights.ts'
import { ROUNDING_MM, TOUCH_MM } from '../tolerances.ts'

/** Where a piece may stand on one axis: anywhere from low to high, or on the places `low`, `low + step`, … */
export interface Reach {
  readonly low: number
  readonly high: number
  readonly step: number | null
}

export interface Snapshot {
  readonly x: Float64Array
  readonly y: Float64Array
  readonly postures: readonly Posture[]
  readonly across: Float64Array
  readonly along: Float64Array
}

/**
 * All pieces on a strip of a given length, overlapping perhaps. Each pair has a weight that grows
 * while the pair overlaps; pieces always stand inside the strip and on their phase lattice.
 */
export class Packing {
  readonly instance: Instance
  readonly pairs: PairTable
  readonly count: number
  readonly x: Float64Array
  readonly y: Float64Array
  readonly postures: Posture[]
  /** Width and height of each piece as it stands. */
  private readonly w: Float64Array
  private readonly h: Float64Array
  /** Phase of each group on each axis; free groups may be moved. */
  readonly across: Float64Array
  readonly along: Float64Array
  readonly weights: Weights
  readonly surroundings: Surroundings
  length = 0

  constructor(instance: Instance, pairs: PairTable, start: Arrangement, random: () => number) {
    this.instance = instance
    this.pairs = pairs
    const n = (this.count = instance.items.length)
    this.x = new Float64Array(n)
    this.y = new Float64Array(n)
    this.w = new Float64Array(n)
    this.h = new Float64Array(n)
    this.weights = new Weights(n)
    this.postures = instance.items.map((item) => item.postures[0]!)
    this.across = Float64Array.from(start.offsets, (o) => o.across ?? 0)
    this.along = Float64Array.from(start.offsets, (o) => o.along ?? 0)
    this.length = start.length
    for (const spot of start.spots) this.put(spot.item, spot.posture, spot.x, spot.y)
    for (const i of start.left)
      this.put(i, this.postures[i]!, instance.minX + random() * (instance.maxX - instance.minX), random() * this.length)
    this.surroundings = new Surroundings(this, this.pairs, instance.gap)
  }

  put(i: number, posture: Posture, x: number, y: number): void {
    this.postures[i] = posture
    this.w[i] = posture.shape.width
    this.h[i] = posture.shape.height
    this.x[i] = x
    this.y[i] = y
  }

  reachX(item: Item, posture: Posture): Reach | null {
    const { minX, maxX, repeatAcross } = this.instance
    return reach(
      minX,
      maxX - posture.shape.width,
      item.across === null ? null : this.across[item.group]! + item.across - posture.anchorX,
      repeatAcross,
    )
  }

  reachY(item: Item, posture: Posture): Reach | null {
    return reach(
      0,
      this.length - posture.shape.height,
      item.along === null ? null : this.along[item.group]! + item.along - posture.anchorY,
      this.instance.repeatAlong,
    )
  }

  /** Depth of i and j in each other; j = count asks for flaws and the cloth's outline. */
  depth(i: number, j: number): number {
    const shape = this.postures[i]!.shape
    if (j < this.count && !this.boxesMeet(i, j)) return 0
    const d =
      j === this.count
        ? this.pairs.obstacleDepth(shape, this.x[i]!, this.y[i]!)
        : this.pairs.depth(shape, this.postures[j]!.shape, this.x[j]! - this.x[i]!, this.y[j]! - this.y[i]!)
    return d > TOUCH_MM ? d : 0
  }

  private boxesMeet(i: number, j: number): boolean {
    const { x, y, w, h } = this
    const gap = this.instance.gap
    return (
      x[i]! < x[j]! + w[j]! + gap &&
      x[j]! < x[i]! + w[i]! + gap &&
      y[i]! < y[j]! + h[j]! + gap &&
      y[j]! < y[i]! + h[i]! + gap
    )
  }

  /** Puts every piece back inside the strip, on its lattice; false where one has no place on it at all. */
  confine(length: number): boolean {
    this.length = length
    return this.instance.items.every((item, i) => {
      const posture = this.postures[i]!
      const [rx, ry] = [this.reachX(item, posture), this.reachY(item, posture)]
      if (!rx || !ry) return false
      this.x[i] = nearest(rx, this.x[i]!)
      this.y[i] = nearest(ry, this.y[i]!)
      return true
    })
  }

  snapshot(): Snapshot {
    return {
      x: this.x.slice(),
      y: this.y.slice(),
      postures: [...this.postures],
      across: this.across.slice(),
      along: this.along.slice(),
    }
  }

  restore(s: Snapshot): void {
    this.across.set(s.across)
    this.along.set(s.along)
    s.postures.forEach((p, i) => this.put(i, p, s.x[i]!, s.y[i]!))
  }

  arrangement(): Arrangement {
    const { items, groups } = this.instance
    const binds = (g: number, axis: 'across' | 'along') => items.some((item) => item.group === g && item[axis] !== null)
    return {
      spots: items.map((_, i) => ({ item: i, posture: this.postures[i]!, x: this.x[i]!, y: this.y[i]!, sheet: 0 })),
      left: [],
      sheets: 1,
      length: items.reduce((top, _, i) => Math.max(top, this.y[i]! + this.postures[i]!.shape.height), 0),
      offsets: groups.map((_, g) => ({
        across: binds(g, 'across') ? this.across[g]! : null,
        along: binds(g, 'along') ? this.along[g]! : null,
      })),
    }
  }
}

function reach(low: number, high: number, start: number | null, step: number | null): Reach | null {
  const most = high + ROUNDING_MM
  if (start === null || step === null) return most < low ? null : { low, high: Math.max(low, high), step: null }
  const first = latticeStart({ start, step }, low - ROUNDING_MM)
  return first > most ? null : { low: first, high: first + Math.floor((most - first) / step) * step, step }
}

/** The place of a reach nearest to a value. */
export function nearest({ low, high, step }: Reach, value: number): number {
  const at = step === null ? value : low + Math.round((value - low) / step) * step
  return at < low ? low : at > high ? high : at
}

/** Any place of a reach, all alike. */
export const anywhere = ({ low, high, step }: Reach, random: () => number): number =>
  step === null
    ? low + random() * (high - low)
    : low + Math.floor(random() * (Math.round((high - low) / step) + 1)) * step
