import { z } from 'zod'
import { Words } from './lengths.ts'
import { Day } from './making.ts'

/** How far a job has come. */
export const Stage = z.enum(['asked', 'ordered', 'making', 'fitted', 'billed'])
export type Stage = z.infer<typeof Stage>

const Share = (most: number, says: string) => z.number().min(0, 'cannot be negative').max(most, says)

/** How the shop charges. Shares, not per cents; money in the currency of the shop. */
export const Charges = z.strictObject({
  hourRate: z.number().min(0, 'cannot be negative').max(10_000),
  markUpShare: Share(5, 'is more than five times the cost: check it').describe('on materials'),
  wasteShare: Share(1, 'is more than everything: check it').describe(
    'added to materials that are bought without a lay: trims and thread',
  ),
  taxShare: Share(1, 'is more than 100 %: check it'),
  depositShare: Share(1, 'is more than the whole'),
  roundTo: z
    .number()
    .min(0.01, 'is finer than the smallest coin')
    .max(1000)
    .describe('the total is rounded up to this'),
})
export type Charges = z.infer<typeof Charges>

/** A quote as it was given to the customer: it stands, whatever prices do. */
export const GivenQuote = z.strictObject({
  day: Day,
  total: z.number().min(0).max(1e9),
  deposit: z.number().min(0).max(1e9),
  says: Words(200),
})
export type GivenQuote = z.infer<typeof GivenQuote>

/** What was agreed with the customer, and where the job stands. */
export const Terms = z.strictObject({
  stage: Stage,
  archivedOn: Day.nullable(),
  orderedOn: Day.nullable(),
  dueOn: Day.nullable(),
  notBefore: Day.nullable().describe('the job is not started before this day'),
  furniture: Words(120).describe('what the cushions lie on, to find it again'),
  charges: Charges.partial().describe('what this job charges otherwise'),
  extras: z
    .array(z.strictObject({ what: Words(120).min(1, 'wants a name'), amount: z.number().min(-1e6).max(1e6) }))
    .max(40)
    .describe('lines of its own: delivery, a discount'),
  given: GivenQuote.nullable(),
  picture: Words(60).nullable().default(null).describe('the id of the picture that stands on the quote'),
})
export type Terms = z.infer<typeof Terms>
