import { HAIR_MM } from './tolerances.ts'

/** Places start + k·step: where a matched piece may stand on one axis. */
export interface Lattice {
  readonly start: number
  readonly step: number
}

export const modulo = (value: number, step: number): number => ((value % step) + step) % step

/** The lattice's first place from low on. */
export const latticeStart = ({ start, step }: Lattice, low: number): number => low + modulo(start - low, step)

/** The lattice's places from low to high. */
export function latticePoints(lattice: Lattice, low: number, high: number): readonly number[] {
  const points: number[] = []
  for (let x = latticeStart(lattice, low); x <= high; x += lattice.step) points.push(x)
  return points
}

/** Blocked stretches of one line, sorted as they come; the buffers are used again for every line. */
export class Intervals {
  private low = new Float64Array(256)
  private high = new Float64Array(256)
  private count = 0
  /** So many of them a climber has passed. */
  private passed = 0

  clear(): void {
    this.count = 0
    this.passed = 0
  }

  add(low: number, high: number): void {
    if (this.count === this.low.length) this.grow()
    let i = this.count++
    while (i > 0 && this.low[i - 1]! > low) {
      this.low[i] = this.low[i - 1]!
      this.high[i] = this.high[i - 1]!
      i--
    }
    this.low[i] = low
    this.high[i] = high
  }

  /**
   * The height above a stretch, and above all that it meets there, for one who has climbed to `from`: stretches that
   * begin above are kept for later. To be asked with ever higher `from`.
   */
  climbed(from: number, low: number, high: number): number {
    if (low + HAIR_MM >= from) {
      this.add(low, high)
      return from
    }
    if (high - HAIR_MM <= from) return from
    let y = high
    for (; this.passed < this.count && this.low[this.passed]! + HAIR_MM < y; this.passed++)
      if (this.high[this.passed]! - HAIR_MM > y) y = this.high[this.passed]!
    return y
  }

  /** A place on the lattice may jump over the start of a later stretch: looked at again until nothing blocks. */
  lowestFreeOnLattice(from: number, lattice: Lattice): number {
    const onLattice = (y: number) => y - HAIR_MM + modulo(lattice.start - (y - HAIR_MM), lattice.step)
    let y = onLattice(from)
    for (let blocked = true; blocked;) {
      blocked = false
      for (let i = 0; i < this.count; i++) {
        if (this.low[i]! + HAIR_MM >= y || this.high[i]! - HAIR_MM <= y) continue
        y = onLattice(this.high[i]!)
        blocked = true
      }
    }
    return y
  }

  private grow(): void {
    const [low, high] = [new Float64Array(this.low.length * 2), new Float64Array(this.high.length * 2)]
    low.set(this.low)
    high.set(this.high)
    this.low = low
    this.high = high
  }
}
