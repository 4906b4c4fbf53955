import type { Lay } from '../../contract/index.ts'
import type { Bound } from './bound.ts'
import type { FreeRectangle } from './free-rectangle.ts'

/** A lay with its proof and the steps it took. */
export interface Found {
  readonly lay: Omit<Lay, 'seconds'>
  readonly bound: Bound
  readonly steps: number
  /** The largest rectangle of cloth within its length on which nothing lies. */
  readonly free: FreeRectangle
}

const EQUAL_MM = 1e-3

/** No lay can be shorter, on no fewer sheets. */
export const isProven = ({ lay }: Found): boolean => lay.length <= lay.bound + EQUAL_MM

/** Fewer sheets first, then the shorter last one; of equals the one that leaves more in one piece. */
function isShorter(a: Found, b: Found): boolean {
  const [sheetsA, sheetsB] = [sheetsOf(a), sheetsOf(b)]
  if (sheetsA !== sheetsB) return sheetsA < sheetsB
  if (Math.abs(a.lay.length - b.lay.length) > EQUAL_MM) return a.lay.length < b.lay.length
  return a.free.width * a.free.height > b.free.width * b.free.height + 1
}

/** The best of what several lanes found of one problem, with the best of their bounds, since each holds for all. */
export function bestOf(all: readonly Found[]): Found {
  const best = all.reduce((a, b) => (isShorter(b, a) ? b : a))
  const { bound, lay } = all.reduce((a, b) => (b.lay.bound > a.lay.bound ? b : a))
  return { ...best, bound, lay: { ...best.lay, bound: Math.min(best.lay.length, lay.bound) } }
}

const sheetsOf = ({ lay }: Found): number => Math.max(1, ...lay.placements.map((p) => p.sheet ?? 1))
