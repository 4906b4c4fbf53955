import type { Job, PlannedPart } from '../../contract/index.ts'
import { partJobs } from '../job/index.ts'

/**
 * What the plan of a part follows from; a note, a tick or a price of the bill changes nothing of it. A record, so that
 * none is forgotten.
 */
const PLANNED: Readonly<Record<Exclude<keyof PlannedPart, 'cutting'>, true>> = {
  units: true,
  letter: true,
  name: true,
  pose: true,
  follows: true,
  work: true,
  there: true,
  seat: true,
  filling: true,
  makeUp: true,
  cloth: true,
  allowances: true,
}

const PLANNED_KEYS = Object.keys(PLANNED) as (keyof typeof PLANNED)[]

/** Parts of one key have one plan. */
export const partKey = (part: PlannedPart): string =>
  JSON.stringify([...PLANNED_KEYS.map((key) => part[key]), part.cutting.film])

/** Jobs of one key have one plan. */
export const planKey = (job: Job): string =>
  JSON.stringify([partJobs(job).map(partKey), job.cutting, job.folded, job.meant])
