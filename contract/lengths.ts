import { z } from 'zod'

/** The longest thing a cushion maker tapes; anything above is a slip of the unit. */
export const LONGEST_MM = 20_000

export const PositiveMm = z.number().positive('must be more than nought').max(LONGEST_MM, 'is more than 20 m: check the unit')
export const LARGEST_ALLOWANCE_MM = 500
export const AllowanceMm = z.number().min(0, 'cannot be negative').max(LARGEST_ALLOWANCE_MM, 'is more than 500 mm: check the unit')

/** A deeper notch would show beside the seam. */
export const DEEPEST_NOTCH_MM = 6

/** Text without NUL, which SQLite would cut short, and without lone surrogates, which are not UTF-8. */
export const Words = (most: number) =>
  z
    .string()
    .max(most)
    .refine((s) => !UNSTORABLE.test(s), 'contains characters that cannot be stored')

const UNSTORABLE = /\0|\p{Surrogate}/u
