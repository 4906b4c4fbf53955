import { z } from 'zod'
import { Words } from './lengths.ts'
import { MOST_RESERVE_MM } from './make-up.ts'
import { Day } from './making.ts'
import { Charges } from './terms.ts'

/** Kinds of work with a rate of their own. */
export const WorkKind = z.enum([
  'prepare',
  'mark',
  'cut-cloth',
  'label',
  'cut-foam',
  'glue',
  'wrap',
  'piping',
  'join',
  'zip',
  'hem',
  'plate',
  'corner',
  'finish',
  'top-stitch',
  'roll',
  'board',
  'drill',
  'turn',
  'fill',
  'close',
  'button',
  'tie',
  'staple',
  'check',
  'fit',
  'unpick',
  'steam',
])
export type WorkKind = z.infer<typeof WorkKind>

/** Where work is done. */
export const Resource = z.enum(['table', 'machine', 'bench'])
export type Resource = z.infer<typeof Resource>

const Hours = z.number().min(0, 'cannot be negative').max(24, 'is more than a day has')
/** Hours from Monday to Sunday. */
const Week = z.array(Hours).length(7, 'wants seven days')

/** Hours, holidays, deliveries and curing: what the calendar is laid over. */
export const Calendar = z.strictObject({
  startsAt: z.number().min(0).max(23).describe('the hour at which work begins'),
  hours: z.strictObject({ table: Week, machine: Week, bench: Week }),
  holidays: z.array(Day).max(1000),
  leadDays: z
    .strictObject({ foam: z.int().min(0).max(365), cloth: z.int().min(0).max(365) })
    .describe('days from ordering to delivery'),
  cureHours: z.number().min(0).max(240).describe('glue cures before the cover is closed'),
})
export type Calendar = z.infer<typeof Calendar>

const MinutesEach = z.number().min(0, 'cannot be negative').max(600, 'is more than ten hours')
export const Rates = z
  .record(WorkKind, MinutesEach)
  .describe('minutes for a metre, a piece, a square metre or a cushion, by kind of work')
export type Rates = z.infer<typeof Rates>

/** What the machine is set to for cloths of a mass and a thickness. */
export const MachineCard = z.strictObject({
  name: Words(60).min(1, 'wants a name'),
  upToGM2: z.number().min(1).max(5000).describe('for cloths up to this mass'),
  upToMm: z.number().min(0.1).max(20).describe('and up to this thickness'),
  outdoors: z.boolean().describe('for cloths used outdoors or aboard'),
  thread: Words(80),
  needle: Words(40),
  stitchMm: z.number().min(0.5).max(12),
  topStitchMm: z.number().min(0.5).max(12),
  foot: Words(80),
})
export type MachineCard = z.infer<typeof MachineCard>

/** Something learnt from fits or times, as it was accepted. */
export const Learned = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('size'),
    makeUp: Words(40),
    clothId: Words(60),
    widthShare: z.number().min(-0.1).max(0.1),
    depthShare: z.number().min(-0.1).max(0.1),
    says: Words(300),
    on: Day,
  }),
  z.strictObject({
    kind: z.literal('rate'),
    work: WorkKind,
    factor: z.number().min(0.1).max(10),
    says: Words(300),
    on: Day,
  }),
  z.strictObject({
    kind: z.literal('waste'),
    clothId: Words(60),
    factor: z.number().min(0.5).max(3),
    says: Words(300),
    on: Day,
  }),
  z.strictObject({
    kind: z.literal('firmness'),
    gradeId: Words(60),
    factor: z.number().min(0.3).max(3).describe('the forces of the catalogue were multiplied by it'),
    says: Words(300),
    on: Day,
  }),
  z.strictObject({
    kind: z.literal('reserve'),
    makeUp: Words(40),
    clothId: Words(60),
    mm: z.number().min(0).max(MOST_RESERVE_MM).describe('what covers of this kind keep of what is left to trim'),
    says: Words(300),
    on: Day,
  }),
  z.strictObject({
    kind: z.literal('fit-window'),
    firmness: Words(20),
    shiftShare: z.number().min(-0.1).max(0.1),
    says: Words(300),
    on: Day,
  }),
])
export type Learned = z.infer<typeof Learned>

/** Who works at the bench: a beginner takes so many times as long as the rates say. */
export const BenchHand = z.strictObject({
  name: Words(40).min(1, 'wants a name'),
  factor: z.number().min(0.5, 'is less than half the time').max(5, 'is more than five times as long'),
})
export type BenchHand = z.infer<typeof BenchHand>

export const Workshop = z.strictObject({
  calendar: Calendar,
  rates: Rates,
  charges: Charges,
  machineCards: z.array(MachineCard).max(60),
  learned: z.array(Learned).max(500),
  people: z.array(BenchHand).max(60).default([]).describe('whoever is not named works by the rates'),
})
export type Workshop = z.infer<typeof Workshop>
