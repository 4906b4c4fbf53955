import { cushionsIn, MOST_CUSHIONS_OF_ALL } from './part-faults.ts'
import { z } from 'zod'
import { LARGEST_ALLOWANCE_MM, LONGEST_MM } from './lengths.ts'
import { Handles, TiePlace } from './make-up.ts'
import { LEAST_GAP_MM, MOST_CUSHIONS, MOST_GAP_MM, MOST_LEAN_DEG, MOST_OVERHANG_MM, MOST_SWEEP_DEG } from './seat.ts'

/** What a number may be, both ends included. Without a `min` it must be more than nought. */
export interface Limits {
  readonly min?: number
  readonly max: number
}

/** The names by which kinds are told apart in the documents. */
type TellsApart = 'kind' | 'at' | 'by'
export type Kinds = z.ZodDiscriminatedUnion<z.ZodObject[]>
export type KindOf<U extends Kinds, T = z.infer<U>> = T extends T ? T[TellsApart & keyof T] & string : never
/** The fields of a thing that is of the kind `K`, or of one of them. */
export type FieldOf<U extends Kinds, K, T = z.infer<U>> = T extends T
  ? T[TellsApart & keyof T] extends K
    ? keyof T & string
    : never
  : never

/**
 * What a field of a document takes, read from its schema, so that it stands nowhere else: `limits(Cloth.shape.widthMm)`.
 * A programming error if the schema is no number with both ends, or has a lower one that is not taken and is not nought.
 */
export function limits(schema: z.ZodType): Limits {
  const number = bare(schema)
  const ends = number instanceof z.ZodNumber ? [number.minValue ?? NaN, number.maxValue ?? NaN] : []
  const [min, max] = ends.filter(Number.isFinite)
  if (min === undefined || max === undefined) throw new Error('Only a number with both ends has limits.')
  if (z.safeParse(number, min).success) return { min, max }
  if (min !== 0) throw new Error('Only nought may be left out at the lower end.')
  return { max }
}

/** As `limits`, for a field of one kind of a thing: `limitsOfKind(Closure, 'snaps', 'lapMm')`. */
export function limitsOfKind<U extends Kinds, K extends KindOf<U>>(union: U, kind: K, field: FieldOf<U, K>): Limits {
  const option = union.options.find((o) => {
    const name = o.shape[union.def.discriminator]
    return name instanceof z.ZodLiteral && name.value === kind
  })
  return limits(option!.shape[field] as z.ZodType)
}

/** How long a text of a document may be, for the field it is typed in: `textLimits(Cloth.shape.name)`. */
export function textLimits(schema: z.ZodType): { readonly maxlength: number } {
  const text = bare(schema)
  const maxlength = text instanceof z.ZodString ? text.maxLength : null
  if (maxlength === null) throw new Error('Only a text with an end has a longest one.')
  return { maxlength }
}

const bare = (schema: z.core.$ZodType): z.core.$ZodType =>
  schema instanceof z.ZodOptional || schema instanceof z.ZodNullable || schema instanceof z.ZodDefault
    ? bare(schema.unwrap())
    : schema

/** The most that a job file takes, and how it counts cushions, so that a typed line can refuse more in words. */
export const JOB_LIMITS = {
  longestMm: LONGEST_MM,
  largestAllowanceMm: LARGEST_ALLOWANCE_MM,
  mostCushions: MOST_CUSHIONS,
  mostCushionsOfAll: MOST_CUSHIONS_OF_ALL,
  cushionsIn,
  mostLeanDegrees: MOST_LEAN_DEG,
  mostSweepDegrees: MOST_SWEEP_DEG,
  mostOverhangMm: MOST_OVERHANG_MM,
  leastGapMm: LEAST_GAP_MM,
  mostGapMm: MOST_GAP_MM,
  mostTies: limitsOfKind(TiePlace, 'edge', 'count').max,
  mostHandles: limits(Handles.shape.count).max,
} as const
