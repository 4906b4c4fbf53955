import { z } from 'zod'

/** The longest thing a cushion maker tapes; anything above is a slip of the unit. */
export const LONGEST_MM = 20_000

export const PositiveMm = z
  .number()
  .positive('must be more than nought')
  .max(LONGEST_MM, 'is more than 20 m: check the unit')
export const LARGEST_ALLOWANCE_MM = 500
export const AllowanceMm = z
  .number()
  .min(0, 'cannot be negative')
  .max(LARGEST_ALLOWANCE_MM, 'is more than 500 mm: check the unit')

/** A deeper notch would show beside the seam. */
export const DEEPEST_NOTCH_MM = 6

/**
 * Text without NUL, which SQLite would cut short, and without lone surrogates, which are not UTF-8. Characters that
 * would move the cursor or turn the line round are kept as marks that are seen, and obeyed by nobody.
 */
export const Words = (most: number) =>
  z
    .string()
    .max(most)
    .refine((s) => !UNSTORABLE.test(s), 'contains characters that cannot be stored')
    .overwrite((s) => s.replaceAll(OBEYED, markOf))

const UNSTORABLE = /\0|\p{Surrogate}/u

/** Control characters but for tab and line ends, and those that set the direction of what follows (Unicode, UAX 9). */
const OBEYED = /[\u0001-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u061c\u200e\u200f\u2028-\u202e\u2066-\u2069]/g

/** The picture Unicode has of a control character, or its sign for what cannot be shown. */
const markOf = (c: string): string => {
  const code = c.charCodeAt(0)
  return code < 0x20 ? String.fromCharCode(0x2400 + code) : code === 0x7f ? '\u2421' : '\u2426'
}

/** A record of so many entries at most. */
export const FewOf = <K extends z.ZodType<string, string>, V extends z.ZodType>(most: number, key: K, value: V) =>
  z.record(key, value).refine((r) => Object.keys(r).length <= most, `has more than ${most} entries`)
