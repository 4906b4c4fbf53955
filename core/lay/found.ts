import type { Lay } from '../../contract/index.ts'
import { compareLays, measured } from './better.ts'
import type { Bound } from './bounds/index.ts'
import type { FreeRectangle } from './free-rectangle.ts'

/** A lay with its proof and the steps it took. */
export interface Found {
  readonly lay: Omit<Lay, 'seconds'>
  readonly bound: Bound
  readonly steps: number
  /** The largest rectangle of cloth within its length on which nothing lies. */
  readonly free: FreeRectangle
}

/** The best of what several lanes found of one problem, with the best of their bounds, since each holds for all. */
export function bestOf(all: readonly Found[]): Found {
  const best = all.reduce((a, b) => (isBetter(b, a) ? b : a))
  const { bound, lay } = all.reduce((a, b) => (b.lay.bound > a.lay.bound ? b : a))
  return { ...best, bound, lay: { ...best.lay, bound: Math.min(best.lay.length, lay.bound) } }
}

/** Less cloth; of equals the one that leaves more in one piece. */
function isBetter(a: Found, b: Found): boolean {
  const order = compareLays(measured(a.lay), measured(b.lay))
  return order < 0 || (order === 0 && a.free.width * a.free.height > b.free.width * b.free.height + 1)
}
