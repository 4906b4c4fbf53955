import { z } from 'zod'
import { Filling } from './filling.ts'
import { AllowanceMm, FewOf, Words } from './lengths.ts'
import { MakeUp } from './make-up.ts'
import { Seat } from './seat.ts'
import { AllowanceBook, Cloth } from './shop.ts'
import { PartWork, There } from './there.ts'

/** Where the stripes fall. Bands are counted from 0; lengths run from the left end of the seat. */
export const PlacementRule = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('band-on-centre'), band: z.int().min(0) }),
  z.strictObject({ kind: z.literal('band-on-each-centre'), band: z.int().min(0) }),
  z.strictObject({ kind: z.literal('band-at-left-end'), band: z.int().min(0) }),
  z.strictObject({ kind: z.literal('band-at-mark'), band: z.int().min(0), markMm: z.number().min(0).max(20_000) }),
])
export type PlacementRule = z.infer<typeof PlacementRule>

/** What a panel is for, where that may want a cloth of its own. `face` is the cloth of the job. */
export const ClothRole = z.enum([
  'face',
  'second-face',
  'boxing',
  'piping',
  'base',
  'lining',
  'liner',
  'wadding',
  'protector',
])
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

/** A run of piping in more strips is patchwork. */
const MOST_STRIPS = 12

/** How runs of piping are cut from strips. */
export const PipingSplit = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('even'),
    moreJoins: z
      .int()
      .min(0)
      .max(4, 'are more than four more joins: that is patchwork')
      .describe('in each run, beyond those the cloth asks for: shorter strips go where long ones do not'),
  }),
  z.strictObject({
    kind: z.literal('to-the-lay'),
    runs: z
      .array(
        z.strictObject({
          of: z.string().min(1).max(200).describe('the strips of which piping, as the lay names them'),
          count: z.int().min(1).max(500).describe('so many runs, one after the other'),
          lengthsMm: z
            .array(z.number().positive().max(50_000))
            .min(1)
            .max(MOST_STRIPS)
            .describe('of each strip as it is joined, in order; the last makes up what the run wants'),
        }),
      )
      .max(500)
      .describe('as the lay has room for strips; where they no longer make up the runs, these are cut evenly'),
  }),
])
export type PipingSplit = z.infer<typeof PipingSplit>

/** How the cloth of a part lies, and where its pattern falls. */
export const PartCloth = z.strictObject({
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
  own: z
    .partialRecord(ClothRole, Cloth)
    .describe('cloths of this part alone, by what they are for; the rest is cut from the cloths of the ticket'),
  sideBoxing: z.enum(['upright', 'along']).describe('how the stripe runs on the side boxing'),
  hiddenStrips: z
    .enum(['across', 'along'])
    .describe('which way of a patterned roll gussets lie: all of them one way, never some this way and some that'),
  strips: PipingSplit,
})
export type PartCloth = z.infer<typeof PartCloth>

const LearnedShare = z.number().min(-0.1).max(0.1, 'is more than a tenth')

export const PartLetter = z.string().regex(/^[A-P]$/, 'must be a letter from A to P')

/** More is another order. */
export const MOST_PARTS = 16
export const MOST_BACK_LEAN_DEG = 60

/** How a part stands in use. */
export const Pose = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('lies') }),
  z.strictObject({
    kind: z.literal('stands-at-back'),
    leanDeg: z
      .number()
      .min(0, 'leans forwards')
      .max(MOST_BACK_LEAN_DEG, `leans back by more than ${MOST_BACK_LEAN_DEG}°: let it lie`)
      .describe('from upright'),
  }),
  z.strictObject({ kind: z.literal('stands-at-end'), end: z.enum(['left', 'right', 'both']) }),
  z.strictObject({ kind: z.literal('lies-on'), part: PartLetter }),
])
export type Pose = z.infer<typeof Pose>

/** Where the pattern of a part is taken from another: on the same centres, going on from it, or by the same rule. */
export const Follows = z.strictObject({ part: PartLetter, how: z.enum(['same-centre', 'goes-on', 'alike']) })
export type Follows = z.infer<typeof Follows>

/** Cushions of one kind: a seat with its filling and its make-up. */
export const Part = z.strictObject({
  letter: PartLetter.describe('stays with the part, however parts are ordered'),
  name: Words(60).describe('empty: it goes by its letter'),
  pose: Pose,
  follows: Follows.nullable(),
  work: PartWork,
  there: There,
  seat: Seat,
  filling: Filling,
  makeUp: MakeUp,
  cloth: PartCloth,
  allowances: z.strictObject({
    overrides: AllowanceBook.partial().describe('what this part sets otherwise'),
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
})
export type Part = z.infer<typeof Part>
