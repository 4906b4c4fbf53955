import { z } from 'zod'
import { Filling } from './filling.ts'
import { Lay } from './lay.ts'
import { AllowanceMm, FewOf, Words } from './lengths.ts'
import { Fitting, Making } from './making.ts'
import { MakeUp } from './make-up.ts'
import { Seat } from './seat.ts'
import { AllowanceBook, Cloth } from './shop.ts'
import { Terms } from './terms.ts'

export const JOB_FORMAT = 'loft-seam/job'
export const JOB_VERSION = 6

/** Where the stripes fall. Bands are counted from 0; lengths run from the left end of the seat. */
export const PlacementRule = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('band-on-centre'), band: z.int().min(0) }),
  z.strictObject({ kind: z.literal('band-on-each-centre'), band: z.int().min(0) }),
  z.strictObject({ kind: z.literal('band-at-left-end'), band: z.int().min(0) }),
  z.strictObject({ kind: z.literal('band-at-mark'), band: z.int().min(0), markMm: z.number().min(0).max(20_000) }),
])
export type PlacementRule = z.infer<typeof PlacementRule>

/** What a panel is for, where that may want a cloth of its own. `face` is the cloth of the job. */
export const ClothRole = z.enum(['face', 'second-face', 'boxing', 'piping', 'base', 'lining', 'liner'])
export type ClothRole = z.infer<typeof ClothRole>

const DepthRule = z.union([
  z.enum(['front-edges-alike', 'centred']),
  z.strictObject({ kind: z.literal('band-on-middle'), band: z.int().min(0) }),
  z.strictObject({
    kind: z.literal('band-from-front'),
    band: z.int().min(0),
    fromMm: z
      .number()
      .min(-10_000)
      .max(10_000)
      .describe('from the front edge of the cushion to the middle of the band'),
  }),
])

export const ClothChoice = z.strictObject({
  cloth: Cloth.describe('a copy of the cloth as it was when chosen'),
  direction: z.enum(['up-the-roll', 'railroaded']),
  match: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('none') }),
    z.strictObject({ kind: z.literal('matched'), rule: PlacementRule }),
  ]),
  alongRule: DepthRule.describe(
    'where the pattern falls from front to back: the same at every front edge, its first band or another on the middle of the depth, or a band so far from the front edge',
  ),
  pairs: z
    .enum(['goes-on-under', 'same'])
    .describe(
      'the bottom plate goes on where the top plate ended, seen from the front; or is cut as the top plate, for a cushion that is turned over',
    ),
  others: z
    .partialRecord(ClothRole.exclude(['face']), Cloth)
    .describe('other cloths by what they are for; the rest is cut from the cloth of the job'),
  sideBoxing: z.enum(['upright', 'along']).describe('how the stripe runs on the side boxing'),
  stripJoins: z
    .int()
    .min(0)
    .max(4, 'are more than four more joins: that is patchwork')
    .describe('joins in each run of piping beyond those the cloth asks for: shorter strips go where long ones do not'),
})
export type ClothChoice = z.infer<typeof ClothChoice>

const LearnedShare = z.number().min(-0.1).max(0.1, 'is more than a tenth')

export const Job = z.strictObject({
  format: z.literal(JOB_FORMAT),
  version: z.literal(JOB_VERSION),
  ticket: Words(40).min(1, 'cannot be empty'),
  title: Words(120).min(1, 'cannot be empty'),
  customer: Words(120),
  note: Words(4000),
  units: z.enum(['mm', 'cm', 'inch-8', 'inch-16']),
  currency: z.string().regex(/^[A-Z]{3}$/),
  seat: Seat,
  filling: Filling,
  makeUp: MakeUp,
  cloth: ClothChoice,
  allowances: z.strictObject({
    book: AllowanceBook.describe("the shop's allowance book as it was when the job was started"),
    overrides: AllowanceBook.partial().describe('what this job sets otherwise'),
    edges: FewOf(2000, Words(120), AllowanceMm).describe(
      'allowances of single edges, by panel and edge: `top-plate/front`',
    ),
    learned: z
      .strictObject({
        widthShare: LearnedShare,
        depthShare: LearnedShare,
        fitShiftShare: LearnedShare,
        says: Words(300),
      })
      .nullable()
      .describe(
        'what the shop learnt of covers of this kind: they finished larger by these shares and are cut so much smaller; the windows of the fit move by the last',
      ),
  }),
  lays: FewOf(
    40,
    Words(60),
    z.strictObject({
      problemKey: Words(64),
      lay: Lay,
      byHand: z.boolean().describe('changed by hand: it stands, however short others are'),
      locked: z.array(Words(220)).max(5000).describe('pieces that the planner may not move, as `id#copy`'),
    }),
  ).describe('lays that were kept, by the id of their cloth, with the key of the pieces they were made for'),
  making: Making,
  fitting: Fitting,
  terms: Terms,
})
export type Job = z.infer<typeof Job>
