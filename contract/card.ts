import { z } from 'zod'
import { FollowUpKind } from './making.ts'
import { Stage } from './terms.ts'
import { TrimUse } from './trims.ts'
import { Resource, WorkKind } from './workshop.ts'

/**
 * Raised when a card holds something new, or what it holds is worked out otherwise: cards of before are written anew.
 */
export const CARD_VERSION = 6

const Part = z.enum(['foam', 'cloth', 'sewing', 'closing', 'fitting'])
const Sizes = z.strictObject({
  widthMm: z.number().nullable(),
  depthMm: z.number().nullable(),
  thicknessMm: z.number().nullable(),
})
const WorkUnits = z.strictObject({ kind: WorkKind, units: z.number() })

/**
 * What lists, calendar, stock and learning need of a job, worked out once when it is saved. Amounts of work, not
 * minutes: rates may change.
 */
export const JobCard = z.strictObject({
  version: z.int(),
  /**
   * Whether it is worked out; if not, lists hold what stands in the job itself, or nothing where that cannot be read.
   */
  worked: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('whole') }),
    z.strictObject({ kind: z.literal('under-way') }),
    z.strictObject({ kind: z.literal('too-long') }),
    z.strictObject({ kind: z.literal('unreadable'), why: z.string() }),
  ]),
  furniture: z.string(),
  stage: Stage,
  archivedOn: z.string().nullable(),
  dueOn: z.string().nullable(),
  orderedOn: z.string().nullable(),
  notBefore: z.string().nullable(),
  /** Of the first part; what all parts are called stands in `parts`. */
  makeUp: z.string(),
  parts: z.array(z.string()),
  cloth: z.strictObject({ id: z.string(), name: z.string(), colour: z.string() }),
  foam: z.string(),
  cushions: z.int(),
  /** Stops and warnings that are open. */
  doubts: z.int(),
  /** The seat from above, x and y in mm in turn. */
  outline: z.array(z.number()),
  steps: z.strictObject({ done: z.int(), of: z.int() }),
  /** Work that is not ticked yet. */
  left: z.array(
    z.strictObject({ part: Part, resource: Resource, kind: WorkKind, units: z.number(), cures: z.boolean() }),
  ),
  buys: z.strictObject({ foam: z.boolean(), cloth: z.boolean() }),
  /** Taken from the shelf already. */
  stockTaken: z.boolean(),
  needs: z.strictObject({
    trims: z.array(z.strictObject({ use: TrimUse, amount: z.number() })),
    cloths: z.array(z.strictObject({ id: z.string(), mm: z.number() })),
  }),
  lesson: z.string(),
  followUps: z.array(z.strictObject({ kind: FollowUpKind, day: z.string() })),
  fits: z.array(
    z.strictObject({
      cushion: z.string(),
      firmness: z.string().nullable(),
      planned: Sizes,
      measured: Sizes,
      verdict: z.enum(['unknown', 'loose', 'right', 'tight']),
      fitShare: z.number().nullable(),
      /** A sitter with a rule beside him: what was left above the board, and how the foam's force compares. */
      sat: z
        .strictObject({
          gradeId: z.string(),
          grade: z.string(),
          massKg: z.number(),
          plannedMm: z.number(),
          leftMm: z.number(),
          factor: z.number(),
        })
        .nullable(),
    }),
  ),
  times: z.array(z.strictObject({ work: z.array(WorkUnits), workedMin: z.number(), by: z.string() })),
  /** What was left on an edge to be trimmed at the try-on, and what came off. */
  trimmed: z.array(
    z.strictObject({
      makeUp: z.string(),
      clothId: z.string(),
      cloth: z.string(),
      leftMm: z.number(),
      trimmedMm: z.number(),
    }),
  ),
  used: z.array(z.strictObject({ clothId: z.string(), cloth: z.string(), laidMm: z.number(), usedMm: z.number() })),
})
export type JobCard = z.infer<typeof JobCard>
