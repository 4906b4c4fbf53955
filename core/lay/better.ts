import type { Lay } from '../../contract/index.ts'
import { EQUAL_LENGTH_MM } from './tolerances.ts'

/** What lays of one problem are compared by. */
export interface Measured {
  readonly length: number
  readonly sheets: number
}

/**
 * Which of two lays of one problem takes less cloth: below nought where `a` does. Fewer sheets first, then the shorter
 * last one; nought where they are as long as each other.
 */
export function compareLays(a: Measured, b: Measured): number {
  if (a.sheets !== b.sheets) return a.sheets - b.sheets
  return Math.abs(a.length - b.length) <= EQUAL_LENGTH_MM ? 0 : a.length - b.length
}

export const measured = (lay: Pick<Lay, 'length' | 'placements'>): Measured => ({
  length: lay.length,
  sheets: lay.placements.reduce((most, p) => Math.max(most, p.sheet ?? 1), 1),
})

/** Takes less cloth than the other, or there is no other. */
export const isShorter = (a: Lay, b: Lay | null | undefined): boolean => !b || compareLays(measured(a), measured(b)) < 0

/** No lay can be shorter: its bound, which is nought where fewer sheets might do, is its length. */
export const isProven = ({ length, bound }: Pick<Lay, 'length' | 'bound'>): boolean => length <= bound + EQUAL_LENGTH_MM
