import { z } from 'zod'
import { Job } from './job.ts'
import { JobCard } from './card.ts'
import { Words } from './lengths.ts'

/** A job as the server keeps it: every save is a new revision. */
export const StoredJob = z.strictObject({
  id: z.string(),
  revision: z.int().min(1),
  savedAt: z.iso.datetime(),
  job: Job,
})
export type StoredJob = z.infer<typeof StoredJob>

export const JobSummary = z.strictObject({
  id: z.string(),
  ticket: z.string(),
  title: z.string(),
  customer: z.string(),
  revision: z.int(),
  savedAt: z.iso.datetime(),
  card: JobCard,
})
export type JobSummary = z.infer<typeof JobSummary>

export const RevisionSummary = z.strictObject({ revision: z.int(), savedAt: z.iso.datetime(), reason: z.string() })
export type RevisionSummary = z.infer<typeof RevisionSummary>

/** What was changed, in words, for the history: "Seam allowance 15". */
/** What a change was, in the history of a job. */
export const LONGEST_REASON = 200
const Reason = Words(LONGEST_REASON).default('')

export const CreateJob = z.strictObject({ job: z.unknown(), reason: Reason })
export const SaveJob = z.strictObject({
  job: z.unknown(),
  baseRevision: z.int().min(1).describe('the revision this edit started from'),
  reason: Reason,
})

/** A thing of the shop as it shall be, and as it was when the change of it began: null for a new one. */
export const ChangeOf = <T extends z.ZodType>(thing: T) =>
  z.strictObject({ value: thing, base: thing.nullable().default(null) })
export interface Change<T> {
  readonly value: T
  readonly base: T | null
}

/** RFC 9457 problem document. */
export const Problem = z.looseObject({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string().optional(),
  faults: z.array(z.strictObject({ path: z.string(), message: z.string() })).optional(),
})
export type Problem = z.infer<typeof Problem>

/** What is told to everybody who has the shop open. */
export const ShopEvent = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('job'),
    id: z.string(),
    revision: z.int(),
    ticket: z.string(),
    by: z.string().describe('the page that saved, so that it does not listen to itself'),
  }),
  z.strictObject({ kind: z.literal('shop'), by: z.string() }),
  z.strictObject({ kind: z.literal('import'), doneShare: z.number() }),
  z.strictObject({ kind: z.literal('cards') }).describe('cards of jobs were worked out: lists can be read again'),
  z
    .strictObject({ kind: z.literal('restored'), by: z.string() })
    .describe('everything was put back to a backup: pages begin anew'),
])
export type ShopEvent = z.infer<typeof ShopEvent>
