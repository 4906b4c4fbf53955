import { z } from 'zod'
import { Cutting } from './filling.ts'
import { Lay, Margin } from './lay.ts'
import { FewOf, Words } from './lengths.ts'
import { Fitting, Making } from './making.ts'
import { ClothRole, MOST_PARTS, Part, type PartCloth } from './part.ts'
import { partFaults } from './part-faults.ts'
import { AllowanceBook, Cloth } from './shop.ts'
import { Terms } from './terms.ts'

export const JOB_FORMAT = 'loft-seam/job'
export const JOB_VERSION = 13

/** The cloths of a ticket: of all its parts, where a part has none of its own. */
export const TicketCloth = z.strictObject({
  cloth: Cloth.describe('a copy of the cloth as it was when chosen'),
  others: z
    .partialRecord(ClothRole.exclude(['face']), Cloth)
    .describe('other cloths by what they are for; the rest is cut from the cloth of the ticket'),
})
export type TicketCloth = z.infer<typeof TicketCloth>

/** The cloths of a part, wherever they were chosen, and how they lie. */
export type ClothChoice = Omit<PartCloth, 'own'> & TicketCloth

/** More tickets than this are not cut from one cloth at once. */
export const MOST_JOINT_TICKETS = 8

/** A cloth cut for several tickets at once, as each of them keeps it. */
export const JointCut = z.strictObject({
  id: z.uuid().describe('the same in every ticket cut with it: the cloth leaves the shelf once'),
  lengthMm: Margin.describe('what all of them take'),
  boundMm: Margin,
  shareMm: Margin.describe('what this ticket pays for; the shares of all add up to the length'),
  place: z.int().min(0).max(MOST_JOINT_TICKETS).describe('where this ticket stands among the others, from 0'),
  others: z
    .array(
      z.strictObject({
        jobId: Words(60),
        ticket: Words(40),
        problemKey: Words(64).describe('of its pieces as they were laid: others have to be laid anew'),
        placements: Lay.shape.placements,
        offsets: Lay.shape.offsets,
      }),
    )
    .min(1)
    .max(MOST_JOINT_TICKETS - 1),
})
export type JointCut = z.infer<typeof JointCut>

/** What one customer ordered. */
export const Job = z
  .strictObject({
    format: z.literal(JOB_FORMAT),
    version: z.literal(JOB_VERSION),
    ticket: Words(40).min(1, 'cannot be empty'),
    title: Words(120).min(1, 'cannot be empty'),
    customer: Words(120),
    note: Words(4000),
    units: z.enum(['mm', 'cm', 'inch-8', 'inch-16']),
    currency: z.string().regex(/^[A-Z]{3}$/),
    parts: z
      .array(Part)
      .min(1, 'a ticket has at least one part')
      .max(MOST_PARTS, `more than ${MOST_PARTS} parts: begin another ticket`),
    cloth: TicketCloth,
    book: AllowanceBook.describe("the shop's allowance book as it was when the job was started"),
    folded: z
      .array(Words(60))
      .max(40)
      .describe('cloths, by id, that are cut folded lengthwise: two layers at once, and halves on the fold'),
    cutting: Cutting.describe('how the foam of all parts is cut'),
    lays: FewOf(
      40,
      Words(60),
      z.strictObject({
        problemKey: Words(64),
        lay: Lay,
        byHand: z.boolean().describe('changed by hand: it stands, however short others are'),
        locked: z.array(Words(220)).max(5000).describe('pieces that the planner may not move, as `id#copy`'),
        joint: JointCut.nullable().default(null).describe('cut with other tickets; the lay then holds its own pieces'),
      }),
    ).describe('lays that were kept, by the id of their cloth, with the key of the pieces they were made for'),
    meant: z
      .array(Words(64))
      .max(500)
      .describe('doubts that were overruled, by their key: each holds until its figures change'),
    making: Making,
    fitting: Fitting,
    terms: Terms,
  })
  .superRefine((job, context) => {
    for (const { path, message } of partFaults(job.parts)) context.addIssue({ code: 'custom', path, message })
  })
export type Job = z.infer<typeof Job>

/** A ticket as one of its parts sees it: its own seat, filling and make-up, with the cloths it is cut from. */
export type PartJob = Omit<Job, 'format' | 'version' | 'parts' | 'cloth' | 'book'> &
  Omit<Part, 'cloth' | 'allowances'> & { cloth: ClothChoice; allowances: Part['allowances'] & { book: AllowanceBook } }

/** What the plan of a part follows from: nothing of what is made, fitted or agreed. */
export type PlannedPart = Pick<
  PartJob,
  | 'units'
  | 'letter'
  | 'name'
  | 'pose'
  | 'follows'
  | 'work'
  | 'there'
  | 'seat'
  | 'filling'
  | 'makeUp'
  | 'cloth'
  | 'allowances'
> & { readonly cutting: Pick<Cutting, 'film'> }
