import type { AllowanceBook, Cloth, Grade, Job, PartJob, Seat } from '../../contract/index.ts'
import type { Edit, JobEdit } from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import type { LengthUnit } from '../units/index.ts'

/**
 * What a typed line can refer to. `job` is null on the shelf, where only new jobs make sense; it is the open ticket as its
 * part in view sees it, `whole` the ticket itself.
 */
export interface TypingContext {
  readonly job: PartJob | null
  readonly whole?: Job | null
  readonly units: LengthUnit
  readonly grades: readonly Grade[]
  readonly cloths: readonly Cloth[]
  /** By the reader's calendar; without it no day is told from today. */
  readonly today?: string
  readonly limits: TypingLimits
}

/** The most that a job file takes. */
export interface TypingLimits {
  readonly longestMm: number
  readonly largestAllowanceMm: number
  readonly mostCushions: number
  /** Of all parts of a ticket together, as the job file counts them. */
  readonly mostCushionsOfAll: number
  readonly cushionsIn: (division: Seat['division']) => number
  readonly mostLeanDegrees: number
  readonly mostSweepDegrees: number
  readonly mostOverhangMm: number
  readonly leastGapMm: number
  readonly mostGapMm: number
  readonly mostTies: number
  readonly mostHandles: number
}

/**
 * A seat; `units`: how its sizes were said, which a new job goes on with; `also`: what was said of it in the same line;
 * `more`: other kinds of cushion that were said in it, as parts of the ticket.
 */
export interface TypedSeat {
  readonly kind: 'seat'
  readonly seat: Seat
  readonly units: LengthUnit
  readonly also: readonly Edit[]
  readonly more: JobEdit | null
  readonly says: string
}

export type Typed =
  | TypedSeat
  | { readonly kind: 'edit'; readonly edit: Edit }
  /** A change of the parts of a ticket, and the part to look at then. */
  | { readonly kind: 'parts'; readonly edit: JobEdit; readonly look: string }

/**
 * What could be meant, to be chosen from: where a line may be a slip of unit or of the keys, or where part of it is not
 * understood and may be kept as a note.
 */
export interface Asked {
  readonly kind: 'ask'
  readonly why: 'slip' | 'left-over'
  readonly says: string
  readonly readings: readonly { readonly says: string; readonly typed: Typed }[]
}

/** A word of the grammar that was said, and how it is typed. */
export interface KnownWord {
  readonly word: string
  readonly example: string
}

export type TypingFailure =
  | { readonly code: 'empty' }
  /** Bedding for infants is not made here. */
  | { readonly code: 'infant' }
  | { readonly code: 'unknown-word'; readonly word: string; readonly near: string | null; readonly known?: KnownWord }
  /** None so soft or firm, by the word that was said. */
  | { readonly code: 'no-such-foam'; readonly word: string }
  /** Sizes of two seats in one line. */
  | { readonly code: 'two-seats' }
  | { readonly code: 'wants-job'; readonly word: string }
  /** The shop has no foam or no cloth yet to begin a ticket with. */
  | { readonly code: 'nothing-in-store' }
  | {
      readonly code: 'sizes'
      readonly word: string
      readonly found: number
      readonly wanted: number
      readonly example: string
    }
  | {
      readonly code: 'length'
      readonly what: string
      readonly text: string
      readonly why: 'not-a-length' | 'division-by-zero' | 'empty' | 'not-positive' | 'too-long' | 'negative'
    }
  | { readonly code: 'angle'; readonly text: string; readonly least: number; readonly most: number }
  | { readonly code: 'count'; readonly text: string }
  /** Two thicknesses in one line. */
  | { readonly code: 'two-thicknesses'; readonly first: string; readonly second: string }
  | { readonly code: 'only-bench'; readonly word: string }
  | { readonly code: 'choice'; readonly word: string; readonly text: string; readonly choices: readonly string[] }
  | {
      readonly code: 'which'
      readonly what: 'grade' | 'cloth' | 'edge' | 'corner' | 'dimension' | 'part'
      readonly text: string
      readonly found: readonly string[]
      /** Lines that name one each, to be asked which. */
      readonly lines?: readonly string[]
    }
  | { readonly code: 'full'; readonly most: number }
  | { readonly code: 'too-many'; readonly count: number; readonly most: number }
  | { readonly code: 'pattern'; readonly word: string; readonly example: string }

export type Answer = Result<Typed, TypingFailure>
export type OpenJob = TypingContext & { readonly job: PartJob }
export type Reader = (rest: string, context: OpenJob) => Answer
export type AllowanceName = keyof AllowanceBook

export const edit = (e: Edit): Answer => ok({ kind: 'edit', edit: e })
export const fail = (error: TypingFailure): { readonly ok: false; readonly error: TypingFailure } => ({
  ok: false,
  error,
})

export function chain<T, U, E>(result: Result<T, E>, next: (value: T) => Result<U, E>): Result<U, E> {
  return result.ok ? next(result.value) : result
}

export const listed = (text: string): readonly string[] => text.split(/\s*[,;]\s*/).filter((t) => t !== '')

/** A length that is understood, and cannot be. */
export const isOutOfBounds = (failure: TypingFailure): boolean =>
  failure.code === 'length' && ['too-long', 'negative', 'not-positive'].includes(failure.why)
