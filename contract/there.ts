import { z } from 'zod'
import { FoamTest } from './filling.ts'
import { PositiveMm, Words } from './lengths.ts'

const Size = PositiveMm.nullable()

/** Sizes over all; null where nobody measured: then it is as large as the seat. */
const BodySizes = z.strictObject({
  widthMm: Size,
  depthMm: Size,
  thicknessMm: PositiveMm.max(1000, 'is more than a metre: check the unit'),
})
export type BodySizes = z.infer<typeof BodySizes>

/** One piece of filling that is there already, or several alike. */
export const OldBody = z.strictObject({
  id: Words(40).min(1, 'cannot be empty'),
  name: Words(80),
  count: z.int('must be a whole number').min(1).max(120).describe('for each cushion'),
  found: BodySizes.describe('bare, as found'),
  recovered: BodySizes.nullable().describe('after steaming or a rest; null: not measured again yet'),
  newMm: PositiveMm.max(1000).nullable().describe('thickness when new, or at an edge nobody sat on'),
  said: Words(120).describe("the supplier's or the customer's own words for it"),
  crumbles: z.boolean(),
  smells: z.boolean(),
  cutOuts: Words(300),
  topFace: Words(120).describe('which face is the top one, and how it was told'),
  test: FoamTest.nullable(),
  use: z.enum(['keep', 'replace', 'template']),
})
export type OldBody = z.infer<typeof OldBody>

export const ThingThere = z.enum(['cover', 'board', 'zip', 'wadding', 'backing'])
export type ThingThere = z.infer<typeof ThingThere>

export const KeepOrNot = z.enum(['keep', 'mend', 'add', 'replace', 'template'])
export type KeepOrNot = z.infer<typeof KeepOrNot>

export const OldTuck = z.strictObject({
  kind: z.enum(['tuck', 'clip', 'dart']),
  where: Words(80).min(1, 'wants a place: which edge, how far from which end'),
  intakeMm: z.number().min(0, 'cannot be negative').max(200, 'is more than 200 mm: check the unit'),
})

/** What of a part is there already, and what becomes of it. */
export const There = z.strictObject({
  bodies: z.array(OldBody).max(20, 'more than 20 old bodies: group those that are alike'),
  things: z.partialRecord(ThingThere, z.strictObject({ use: KeepOrNot, note: Words(300) })),
  tucks: z
    .array(OldTuck)
    .max(60)
    .default([])
    .describe('tucks, clips and darts of the old cover, carried over to the new one'),
  fireLabelOffOn: z.iso.date().nullable().describe('the day a fire label was taken off; null: none was'),
})
export type There = z.infer<typeof There>

/** How large the inside of a cover is that stays, and how that was found. */
export const Inside = z.strictObject({
  from: z.enum(['laid-flat', 'old-body']).describe('from the cover laid flat, or from the old body, recovered'),
  widthMm: PositiveMm,
  depthMm: PositiveMm,
  thicknessMm: PositiveMm.max(1000),
})
export type Inside = z.infer<typeof Inside>

/** What is ordered: both, a new cover for the filling that is there, or a new filling for the cover that is there. */
export const PartWork = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cover-and-filling') }),
  z.strictObject({ kind: z.literal('cover-only') }),
  z.strictObject({
    kind: z.literal('filling-only'),
    inside: Inside.nullable().describe('null: as the seat was measured'),
    unpicking: Words(300).describe('which seam is opened, and what to note before'),
  }),
])
export type PartWork = z.infer<typeof PartWork>
