/** A pair that stands in each other, or, with j = the number of pieces, a piece that stands in a flaw or off the cloth. */
export interface Overlap {
  readonly i: number
  readonly j: number
  readonly depthMm: number
}

/** Weights grow by up to this factor a round where overlaps are deepest, and fade where there are none. */
const GROW = 1.8
const LEAST_GROW = 1.15
const FADE = 0.95

/**
 * What an overlap counts, by pair: 1 at first, more the longer the pair goes on overlapping. A row for each piece, with
 * a last column for flaws and the cloth's outline.
 */
export class Weights {
  readonly values: Float64Array
  private readonly columns: number
  /** Places of the pairs, above the diagonal, that weigh more than 1. */
  private heavy = new Set<number>()

  constructor(count: number) {
    this.columns = count + 1
    this.values = new Float64Array(count * this.columns).fill(1)
  }

  reset(): void {
    this.values.fill(1)
    this.heavy.clear()
  }

  /** After a round: pairs that overlap weigh more, by their depth; the others less. */
  follow(overlaps: readonly Overlap[]): void {
    const deepest = overlaps.reduce((most, o) => Math.max(most, o.depthMm), 0)
    const fading = this.heavy
    this.heavy = new Set()
    for (const { i, j, depthMm } of overlaps) {
      const at = i * this.columns + j
      fading.delete(at)
      this.set(at, this.values[at]! * (LEAST_GROW + (GROW - LEAST_GROW) * (depthMm / deepest)))
    }
    for (const at of fading) this.set(at, Math.max(1, this.values[at]! * FADE))
  }

  private set(at: number, value: number): void {
    const { columns, values } = this
    const [i, j] = [Math.floor(at / columns), at % columns]
    values[at] = value
    if (j < columns - 1) values[j * columns + i] = value
    if (value > 1) this.heavy.add(at)
  }
}
