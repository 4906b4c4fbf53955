import { phrase } from '../language/index.ts'
import type { ClothChoice } from '../../contract/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'

/** What is missing of a cloth in hand on which a job cannot be laid. */
export interface Shortfall {
  /** So much longer it would have to be; null where no length of this width would do. */
  readonly shortMm: number | null
  /** Whole cushions that can be cut from it. */
  readonly fit: number
  readonly of: number
  /** How long it would have to be the other way of the cloth; null where that does not go either. */
  readonly turned: { readonly direction: ClothChoice['direction']; readonly neededMm: number } | null
}

/** `210 mm short; 4 of 5 cushions fit; railroaded it would need 3850 mm`. */
export function shortfallWords({ shortMm, fit, of, turned }: Shortfall, unit: LengthUnit): string {
  const mm = (length: number) => formatLengthWithUnit(length, unit)
  const short =
    shortMm === null
      ? 'no length of this width would do'
      : shortMm > 0
        ? phrase`${mm(shortMm)} short`
        : 'its shape leaves too little room'
  const gives = of > 1 ? phrase`; ${fit === 0 ? 'not one' : fit} of ${of} cushions ${fit === 1 ? 'fits' : 'fit'}` : ''
  return `${short}${gives}${turned ? phrase`; ${turned.direction === 'railroaded' ? 'railroaded' : 'up the roll'} it would need ${mm(turned.neededMm)}` : ''}`
}
