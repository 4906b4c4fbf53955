import type { Lay } from '../../contract/index.ts'
import type { Bound } from './bound.ts'

/** A lay with its proof and the steps it took. */
export interface Found {
  readonly lay: Omit<Lay, 'seconds'>
  readonly bound: Bound
  readonly steps: number
}

const EQUAL_MM = 1e-3

/** No lay can be shorter, on no fewer sheets. */
export const isProven = ({ lay }: Found): boolean => lay.length <= lay.bound + EQUAL_MM

/** Fewer sheets first, then the shorter last one. */
export function isShorter(a: Found, b: Found): boolean {
  const [sheetsA, sheetsB] = [sheetsOf(a), sheetsOf(b)]
  return sheetsA === sheetsB ? a.lay.length < b.lay.length - EQUAL_MM : sheetsA < sheetsB
}

const sheetsOf = ({ lay }: Found): number => Math.max(1, ...lay.placements.map((p) => p.sheet ?? 1))
