import type { Job } from '../../contract/index.ts'

/** The parts of a job that its plan follows from; a note, a tick or a price of the bill changes nothing of it. */
const PLANNED = ['units', 'seat', 'filling', 'makeUp', 'cloth', 'allowances'] as const satisfies readonly (keyof Job)[]

/** Jobs of one key have one plan. */
export const planKey = (job: Job): string => JSON.stringify(PLANNED.map((part) => job[part]))
