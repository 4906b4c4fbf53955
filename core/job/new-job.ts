import { usualMatch } from '../pattern/index.ts'
import { usualMakeUp } from '../cover/index.ts'
import { NOTHING_THERE, USUAL_CUTTING, usualFoam } from '../filling/index.ts'
import { FRONTS, USUAL_CLEARANCE_MM } from '../seat/index.ts'
import type {
  AllowanceBook,
  Cloth,
  Dimension,
  Fitting,
  Footprint,
  Grade,
  Job,
  PartJob,
  Making,
  Seat,
  Terms,
} from '../../contract/index.ts'
import { jobOf } from './part-job.ts'

export interface NewJobInput {
  readonly ticket: string
  readonly title: string
  readonly units: Job['units']
  readonly currency: string
  readonly book: AllowanceBook
  readonly grade: Grade
  readonly cloth: Cloth
  readonly seat: Seat
}

/** A ticket of one part with the shop's usual choices; everything can be changed afterwards. */
export const newJob = (input: NewJobInput): Job => jobOf(newPartJob(input))

/** The same, as its part sees it. */
export function newPartJob(input: NewJobInput): PartJob {
  return {
    ticket: input.ticket,
    title: input.title,
    customer: '',
    note: '',
    folded: [],
    units: input.units,
    currency: input.currency,
    letter: 'A',
    name: '',
    pose: { kind: 'lies' },
    follows: null,
    work: { kind: 'cover-and-filling' },
    there: NOTHING_THERE,
    seat: input.seat,
    filling: usualFoam(input.grade),
    makeUp: usualMakeUp('boxed'),
    cloth: {
      cloth: input.cloth,
      direction: 'up-the-roll',
      match: usualMatch(input.cloth),
      alongRule: 'front-edges-alike',
      pairs: 'goes-on-under',
      others: {},
      sideBoxing: 'upright',
      hiddenStrips: 'along',
      strips: { kind: 'even', moreJoins: 0 },
    },
    allowances: { book: input.book, overrides: {}, edges: {}, learned: null },
    cutting: USUAL_CUTTING,
    lays: {},
    meant: [],
    making: NO_MAKING,
    fitting: NO_FITTING,
    terms: USUAL_TERMS,
  }
}

/** A rectangle by one reading each, everything open round it, the near side in front. */
export function newSeat(
  kind: 'bench' | 'singles',
  widthMm: number,
  depthMm: number,
  thicknessMm: number,
  count: number,
): Seat {
  return shapedSeat(
    { kind: 'rectangle', width: reading(widthMm), depth: reading(depthMm), rising: null, falling: null },
    thicknessMm,
    usualDivision(kind, count),
  )
}

/** One seat cut straight into so many that touch, or so many by themselves. */
export const usualDivision = (kind: 'bench' | 'singles', count: number): Seat['division'] =>
  kind === 'bench' ? { kind: 'run', count, gapMm: 0, cuts: 'straight' } : { kind: 'singles', count, mirrored: 0 }

/** A seat of any footprint with nothing set on its edges. */
export const shapedSeat = (footprint: Footprint, thicknessMm: number, division: Seat['division']): Seat => ({
  footprint,
  thickness: reading(thicknessMm),
  edges: {},
  corners: {},
  front: FRONTS[footprint.kind],
  turnDeg: 0,
  mirrored: false,
  clearanceMm: USUAL_CLEARANCE_MM.indoors,
  division,
  old: { measured: null, label: null },
})

export const reading = (mm: number): Dimension => ({ readings: [{ mm }] })

export const NO_MAKING: Making = { steps: {}, papers: {}, stockTakenOn: null }
export const NO_FITTING: Fitting = { fits: {}, clothUsedMm: {}, lesson: '', photos: [], followUps: [] }
export const USUAL_TERMS: Terms = {
  stage: 'asked',
  archivedOn: null,
  orderedOn: null,
  dueOn: null,
  notBefore: null,
  furniture: '',
  charges: {},
  extras: [],
  given: null,
  picture: null,
}

/** The same cushions once more: nothing made, fitted or agreed yet, the lays kept. */
export const copyOf = (job: Job, ticket: string): Job => ({
  ...job,
  ticket,
  meant: [],
  making: NO_MAKING,
  fitting: NO_FITTING,
  terms: { ...USUAL_TERMS, furniture: job.terms.furniture },
})
