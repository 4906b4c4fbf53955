import type { Instance } from '../instance.ts'
import { STRIP_WORK, type PairTable } from '../separation/index.ts'
import type { Shape } from '../shape.ts'
import { ACCEPTED_OVERLAP_MM } from '../tolerances.ts'
import { acceptedWidth } from './alike.ts'
import type { Prices } from './covering.ts'
import type { Pattern } from './patterns.ts'
import type { PlacedSlab } from './slabs-in-place.ts'

/** A slab of a piece in one of its turns, and the row that it counts for. */
export interface Pose {
  readonly row: number
  readonly kind: number
  /** Whether there is one piece of this kind only, which never lies beside itself. */
  readonly isSingle: boolean
  readonly shape: Shape
  readonly slab: PlacedSlab
}

export interface Chains {
  readonly dearest: (prices: Prices) => Pattern
  readonly work: number
  /** Rows that this says nothing of: so slanted or narrow that they may begin where the one before them does. */
  readonly unfit: ReadonlySet<number>
}

/** Heights of one piece above another are looked at in strips of so much. */
const STRIP_MM = 12
/** Looks that one search for the dearest takes: what is left of them over the slabs is how fine the steps are. */
const LOOKS = 3_000_000
const LEAST_STEP_MM = 1

/**
 * Chains of slabs across the cloth, from left to right, the middle of each as far from that of the one before as their
 * pieces keep each other on a line that crosses both slabs: by their whole outlines, wherever one lies above the other.
 * The dearest of them is worth no less than what any line across a true lay crosses. Yields the work done.
 */
export function* chainsOf(instance: Instance, table: PairTable, poses: readonly Pose[]): Generator<number, Chains> {
  const width = acceptedWidth(instance)
  const n = poses.length
  const stepMm = Math.max(LEAST_STEP_MM, (n * n * width) / LOOKS)
  const places = Math.floor(width / stepMm) + 1
  const steps = new Int32Array(n * n).fill(NEVER)
  for (let a = 0; a < n; a++)
    for (let b = 0; b < n; b++) {
      if (poses[a]!.isSingle && poses[a]!.kind === poses[b]!.kind) continue
      const { apartMm, strips } = apartOnALine(table, poses[a]!, poses[b]!, width)
      if (apartMm < Infinity) steps[a * n + b] = Math.max(0, Math.floor(apartMm / stepMm))
      yield strips * STRIP_WORK
    }
  const first = poses.map((p) => Math.floor(middleOf(p) / stepMm))
  const last = poses.map((p) => Math.floor((width - p.shape.width + middleOf(p)) / stepMm))
  const unfit = withoutStep(poses, steps)
  const grid: Grid = {
    ...{ steps, first, last, places },
    worth: poses.map(() => new Float64Array(places)),
    before: poses.map(() => new Int16Array(places)),
  }
  return { unfit, work: n * n * places, dearest: (prices) => dearestChain(poses, grid, unfit, prices) }
}

const NEVER = -1

const middleOf = ({ slab }: Pose): number => (slab.fromMost + slab.toLeast) / 2

/** How far right of the middle of one slab that of another begins on a line that crosses both; Infinity where none does. */
function apartOnALine(
  table: PairTable,
  a: Pose,
  b: Pose,
  width: number,
): { readonly apartMm: number; readonly strips: number } {
  const from = Math.max(a.slab.toLeast - b.slab.fromMost - ACCEPTED_OVERLAP_MM, a.shape.width - width)
  const [low, high] = [a.slab.low - b.slab.high, a.slab.high - b.slab.low]
  const strips = Math.max(1, Math.ceil((high - low) / STRIP_MM))
  let least = Infinity
  let k = 0
  for (; k < strips && least > from; k++) {
    const [foot, top] = [low + ((high - low) * k) / strips, low + ((high - low) * (k + 1)) / strips]
    least = Math.min(least, table.leastClear(a.shape, b.shape, foot, top, from))
  }
  return { apartMm: least > width - b.shape.width ? Infinity : least + middleOf(b) - middleOf(a), strips: k }
}

/** Of two slabs of which one may begin where the other does the narrower one is left out. */
function withoutStep(poses: readonly Pose[], steps: Int32Array): ReadonlySet<number> {
  const unfit = new Set<number>()
  const n = poses.length
  for (let a = 0; a < n; a++)
    for (let b = 0; b < n; b++) {
      const rows = [poses[a]!.row, poses[b]!.row]
      if (steps[a * n + b] !== 0 || rows.some((r) => unfit.has(r))) continue
      unfit.add((poses[a]!.slab.width < poses[b]!.slab.width ? poses[a]! : poses[b]!).row)
    }
  return unfit
}

interface Grid {
  readonly steps: Int32Array
  readonly first: readonly number[]
  readonly last: readonly number[]
  readonly places: number
  /** By slab, the most that a chain is worth up to a place; and the slab before the one that ends there. */
  readonly worth: readonly Float64Array[]
  readonly before: readonly Int16Array[]
}

/** Place by place across the cloth, the most that a chain is worth which ends there with each slab. */
function dearestChain(
  poses: readonly Pose[],
  { steps, first, last, places, worth, before }: Grid,
  unfit: ReadonlySet<number>,
  prices: Prices,
): Pattern {
  const n = poses.length
  const priceOf = (p: number) => prices[poses[p]!.row]!
  const own = [...poses.keys()].filter((p) => priceOf(p) > 0 && !unfit.has(poses[p]!.row))
  let best = { worth: 0, pose: -1, at: -1 }
  for (let at = 0; at < places; at++)
    for (const p of own) {
      const carried = at > 0 ? worth[p]![at - 1]! : 0
      worth[p]![at] = carried
      before[p]![at] = CARRIED
      if (at < first[p]! || at > last[p]!) continue
      let [most, from] = [0, BEGINS]
      for (const q of own) {
        const step = steps[q * n + p]!
        if (step < 1 || step > at) continue
        const w = worth[q]![at - step]!
        if (w > most) [most, from] = [w, q]
      }
      most += priceOf(p)
      if (most <= carried) continue
      worth[p]![at] = most
      before[p]![at] = from
      if (most > best.worth) best = { worth: most, pose: p, at }
    }
  const taken = new Map<number, number>()
  for (let { pose, at } = best; pose >= 0;) {
    while (before[pose]![at] === CARRIED) at--
    const { row } = poses[pose]!
    taken.set(row, (taken.get(row) ?? 0) + 1)
    const previous = before[pose]![at]!
    if (previous >= 0) at -= steps[previous * n + pose]!
    pose = previous
  }
  return { worth: best.worth, taken: [...taken] }
}

const BEGINS = -1
const CARRIED = -2
