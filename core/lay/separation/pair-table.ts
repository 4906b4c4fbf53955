import { convexParts, type Ring } from '../convex-parts.ts'
import { fillHollows } from '../fill-hollows.ts'
import type { Instance } from '../instance.ts'
import { CLEARANCE_OVER, clearanceRing, minkowskiSum } from '../no-fit.ts'
import { type Shape } from '../shape.ts'
import { easeArcs } from './ease-arcs.ts'
import { ACCEPTED_OVERLAP_MM, BULGE_MM, HAIR_MM, HOLLOW_MM, ROUNDING_MM } from '../tolerances.ts'

/** What looking for a place in one strip takes, in the unit of work. */
export const STRIP_WORK = 0.5

/** When the kept regions hold more numbers than this (of 8 bytes each) they are forgotten and made again as needed. */
const MOST_NUMBERS = 12_000_000

/**
 * Convex regions as half planes, three numbers each: the outward normal and its reach; `starts` says where each region
 * begins.
 */
interface Regions {
  readonly minX: number
  readonly maxX: number
  readonly minY: number
  readonly maxY: number
  readonly starts: Int32Array
  readonly planes: Float64Array
}

/** How deep shapes stand in each other, by pair. Depth: the shortest way out of the deepest of the convex parts. */
export class PairTable {
  private readonly instance: Instance
  private readonly clearance: Ring | null
  private readonly parts: (readonly Ring[] | undefined)[] = []
  private readonly pairs: (Regions | undefined)[][] = []
  private readonly againstObstacles = new Map<number, Regions>()
  private readonly gap: number
  private readonly outlines: Outlines
  private numbers = 0

  constructor(instance: Instance, outlines: Outlines) {
    this.outlines = outlines
    this.instance = instance
    this.gap = instance.gap
    this.clearance = instance.gap > 0 ? clearanceRing(instance.gap) : null
  }

  /** Depth of `b` in `a`, where b's corner lies at (dx, dy) from a's. */
  depth(a: Shape, b: Shape, dx: number, dy: number): number {
    if (a.isBox && b.isBox) {
      const gap = this.gap
      const across = Math.min(a.width - dx, b.width + dx)
      const along = Math.min(a.height - dy, b.height + dy)
      const least = (across < along ? across : along) + gap
      return least > 0 ? least : 0
    }
    return a.id <= b.id ? depthIn(this.regionsOf(a, b), dx, dy) : depthIn(this.regionsOf(b, a), -dx, -dy)
  }

  /** How far right of a's corner b's must be to come clear of it from beyond, `dy` above it. */
  clearRight(a: Shape, b: Shape, dy: number): number {
    if (a.isBox && b.isBox) return a.width + this.gap
    return a.id <= b.id ? farthest(this.regionsOf(a, b), 'x', dy) : -nearest(this.regionsOf(b, a), 'x', -dy)
  }

  /** How far above a's corner b's must be to come clear of it from beyond, `dx` to its right. */
  clearAbove(a: Shape, b: Shape, dx: number): number {
    if (a.isBox && b.isBox) return a.height + this.gap
    return a.id <= b.id ? farthest(this.regionsOf(a, b), 'y', dx) : -nearest(this.regionsOf(b, a), 'y', -dx)
  }

  /**
   * The least place from `from` on, to the right of a's corner, at which b's, somewhere between `low` and `high` above it,
   * may be with b no deeper in a than a lay may have; perhaps a little less, never more.
   */
  leastClear(a: Shape, b: Shape, low: number, high: number, from: number): number {
    const slackMm = ACCEPTED_OVERLAP_MM + CLEARANCE_OVER * this.gap
    const stretches: (readonly [low: number, high: number])[] = []
    if (a.id <= b.id)
      eachCovered(this.regionsOf(a, b), low, high, slackMm, (left, right) => stretches.push([left, right]))
    else eachCovered(this.regionsOf(b, a), -high, -low, slackMm, (left, right) => stretches.push([-right, -left]))
    stretches.sort((p, q) => p[0] - q[0])
    return stretches.reduce((at, [left, right]) => (left <= at && right > at ? right : at), from)
  }

  /** Depth of a shape in the cloth's flaws and in what lies outside a remnant. */
  obstacleDepth(shape: Shape, x: number, y: number): number {
    if (this.instance.obstacles.length === 0) return 0
    let regions = this.againstObstacles.get(shape.id)
    if (!regions) {
      regions = regionsOf(
        this.instance.obstacles.flatMap((o) =>
          this.partsOf(shape).map((m) =>
            minkowskiSum(
              o,
              m.map((v) => -v),
            ),
          ),
        ),
      )
      this.againstObstacles.set(shape.id, regions)
    }
    return depthIn(regions, x, y)
  }

  private regionsOf(a: Shape, b: Shape): Regions {
    const known = this.pairs[a.id]?.[b.id]
    if (known) return known
    const fixed = this.partsOf(a).map((p) => (this.clearance ? minkowskiSum(p, this.clearance) : p))
    const regions = regionsOf(
      fixed.flatMap((f) =>
        this.partsOf(b).map((m) =>
          minkowskiSum(
            f,
            m.map((v) => -v),
          ),
        ),
      ),
    )
    this.numbers += regions.planes.length
    if (this.numbers > MOST_NUMBERS) {
      this.pairs.length = 0
      this.numbers = regions.planes.length
    }
    ;(this.pairs[a.id] ??= [])[b.id] = regions
    return regions
  }

  private partsOf(shape: Shape): readonly Ring[] {
    return (this.parts[shape.id] ??= convexParts(OUTLINES[this.outlines](shape.ring)))
  }
}

/** Eased outlines are a hair larger where they are curved, inner ones a hair smaller; both are much quicker. */
export type Outlines = 'exact' | 'eased' | 'inner'

const OUTLINES: Readonly<Record<Outlines, (ring: Ring) => Ring>> = {
  exact: (ring) => ring,
  eased: (ring) => easeArcs(fillHollows(ring, HOLLOW_MM), BULGE_MM),
  inner: (ring) => backwards(fillHollows(easeArcs(backwards(ring), BULGE_MM), HOLLOW_MM)),
}

/** Going round the other way, hollows are bulges: what is added there is taken from the piece. */
const backwards = (ring: Ring): Ring => ring.map((_, i) => ring[i % 2 === 0 ? ring.length - 2 - i : ring.length - i]!)

type Axis = 'x' | 'y'

/** Where a line along an axis leaves the last region; −Infinity where it meets none. */
function farthest(regions: Regions, axis: Axis, at: number): number {
  let far = -Infinity
  eachStretch(regions, axis, at, (_, high) => (far = Math.max(far, high)))
  return far
}

/** Where it comes into the first one. */
function nearest(regions: Regions, axis: Axis, at: number): number {
  let near = Infinity
  eachStretch(regions, axis, at, (low) => (near = Math.min(near, low)))
  return near
}

/** The stretches of a line along an axis that lie within regions, deeper than rounding. */
function eachStretch(
  { starts, planes }: Regions,
  axis: Axis,
  at: number,
  take: (low: number, high: number) => void,
): void {
  const [own, other] = axis === 'x' ? [0, 1] : [1, 0]
  for (let r = 0; r + 1 < starts.length; r++) {
    let [low, high] = [-Infinity, Infinity]
    for (let k = starts[r]!; k < starts[r + 1]! && low < high; k += 3) {
      const slope = planes[k + own]!
      const rest = planes[k + 2]! - planes[k + other]! * at
      if (slope > ROUNDING_MM) high = Math.min(high, rest / slope)
      else if (slope < -ROUNDING_MM) low = Math.max(low, rest / slope)
      else if (rest < HAIR_MM) high = low
    }
    if (high - low > HAIR_MM) take(low, high)
  }
}

/** What of each region lies in it on every level line between two: it is convex, so what lies in it on both. */
function eachCovered(
  { starts, planes }: Regions,
  below: number,
  above: number,
  slackMm: number,
  take: (left: number, right: number) => void,
): void {
  for (let r = 0; r + 1 < starts.length; r++) {
    let [left, right] = [-Infinity, Infinity]
    for (let k = starts[r]!; k < starts[r + 1]! && left < right; k += 3) {
      const slope = planes[k]!
      for (const y of [below, above]) {
        const rest = planes[k + 2]! - slackMm - planes[k + 1]! * y
        if (slope > ROUNDING_MM) right = Math.min(right, rest / slope)
        else if (slope < -ROUNDING_MM) left = Math.max(left, rest / slope)
        else if (rest <= 0) right = left
      }
    }
    if (right > left) take(left, right)
  }
}

function depthIn({ minX, maxX, minY, maxY, starts, planes }: Regions, x: number, y: number): number {
  if (x <= minX || x >= maxX || y <= minY || y >= maxY) return 0
  let deepest = 0
  for (let r = 0; r + 1 < starts.length; r++) {
    let depth = Infinity
    const end = starts[r + 1]!
    for (let k = starts[r]!; k < end; k += 3) {
      const out = planes[k + 2]! - planes[k]! * x - planes[k + 1]! * y
      if (out < depth) {
        depth = out
        if (depth <= deepest) break
      }
    }
    if (depth > deepest) deepest = depth
  }
  return deepest
}

function regionsOf(rings: readonly Ring[]): Regions {
  const starts = new Int32Array(rings.length + 1)
  const planes: number[] = []
  let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity]
  rings.forEach((ring, r) => {
    for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
      const [ax, ay, bx, by] = [ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!]
      minX = Math.min(minX, bx)
      maxX = Math.max(maxX, bx)
      minY = Math.min(minY, by)
      maxY = Math.max(maxY, by)
      const length = Math.hypot(bx - ax, by - ay)
      if (length < 1e-9) continue
      const [nx, ny] = [(by - ay) / length, -(bx - ax) / length]
      planes.push(nx, ny, nx * bx + ny * by)
    }
    starts[r + 1] = planes.length
  })
  return { minX, maxX, minY, maxY, starts, planes: Float64Array.from(planes) }
}
