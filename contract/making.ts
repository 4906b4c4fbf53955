import { z } from 'zod'
import { FewOf, PositiveMm, Words } from './lengths.ts'

export const Day = z.iso.date('must be a day such as 2026-03-04')
export const Moment = z.iso.datetime({ offset: true })

/** What happened to one step of the work order. */
export const StepRecord = z.strictObject({
  doneAt: Moment.nullable(),
  doneBy: Words(40),
  overruled: Words(300).nullable().describe('why a gate was passed without a yes; null where it was answered with one'),
  workedS: z
    .number()
    .min(0, 'cannot be negative')
    .max(3_600_000, 'is more than 1000 hours')
    .describe('seconds worked, without the stretch that runs'),
  runningSince: Moment.nullable(),
  note: Words(1000),
  measuredMm: z.number().min(0).max(20_000).nullable().default(null).describe('what a stop asked to be measured'),
  ofMm: z.number().min(0).max(20_000).nullable().default(null).describe('what the plan had of it then'),
})
export type StepRecord = z.infer<typeof StepRecord>

/** Foam batch, cloth batch and fire certificate of one cushion. */
export const Papers = z.strictObject({ foamBatch: Words(80), clothBatch: Words(80), certificate: Words(120) })
export type Papers = z.infer<typeof Papers>

/** The bench's record: steps by their id, papers by the number of the cushion. */
export const Making = z.strictObject({
  steps: FewOf(4000, Words(80), StepRecord),
  papers: FewOf(200, Words(10), Papers),
  stockTakenOn: Day.nullable().describe('the day its cloth, foam and trims were taken from the shelf'),
})
export type Making = z.infer<typeof Making>

const Size = PositiveMm.nullable().describe('null: not measured')

/** What was left above the board beside a sitter, by a rule pushed in. */
export const LeftAbove = z.strictObject({
  massKg: z.number().min(10, 'is below 10 kg').max(250, 'is above 250 kg: check the unit (kg)'),
  leftMm: z.number().min(0, 'cannot be negative').max(1000),
})

/** One cushion on its seat. */
export const CushionFit = z.strictObject({
  day: Day,
  widthMm: Size,
  depthMm: Size,
  thicknessMm: Size,
  verdict: z.enum(['unknown', 'loose', 'right', 'tight']),
  leftAbove: LeftAbove.nullable().default(null),
  wrinkles: Words(300).describe('where it wrinkles'),
  stripesOffMm: z
    .number()
    .min(0, 'cannot be negative')
    .max(500, 'is more than half a metre: check the unit')
    .nullable(),
})
export type CushionFit = z.infer<typeof CushionFit>

export const FollowUpKind = z.enum(['turn', 'air', 'wash', 'foam'])
export type FollowUpKind = z.infer<typeof FollowUpKind>

/** Photos of one job. */
export const MOST_PHOTOS = 24

export const UsedMm = PositiveMm.max(200_000)

export const Fitting = z.strictObject({
  fits: FewOf(200, Words(10), CushionFit).describe('by the number of the cushion, counted from the left'),
  clothUsedMm: FewOf(40, Words(60), UsedMm).describe('length really used, by the id of the cloth'),
  lesson: Words(1000).describe('comes back on the next job with the same cloth, make-up or seat'),
  photos: z
    .array(z.strictObject({ id: Words(60), caption: Words(200), day: Day }))
    .max(MOST_PHOTOS, `are more than ${MOST_PHOTOS}: take one out first`),
  followUps: z.array(z.strictObject({ kind: FollowUpKind, day: Day, doneOn: Day.nullable() })).max(50),
})
export type Fitting = z.infer<typeof Fitting>
