import type { Job, PlannedPart } from '../../contract/index.ts'
import { partJobs } from '../job/index.ts'

/** What the plan of a part follows from; a note, a tick or a price of the bill changes nothing of it. */
const PLANNED = [
  'units',
  'letter',
  'name',
  'pose',
  'follows',
  'seat',
  'filling',
  'makeUp',
  'cloth',
  'allowances',
] as const satisfies readonly (keyof PlannedPart)[]

/** Parts of one key have one plan. */
export const partKey = (part: PlannedPart): string =>
  JSON.stringify([...PLANNED.map((key) => part[key]), part.cutting.film])

/** Jobs of one key have one plan. */
export const planKey = (job: Job): string => JSON.stringify([partJobs(job).map(partKey), job.cutting])
