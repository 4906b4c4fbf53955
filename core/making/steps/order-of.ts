import { phrase } from '../../language/index.ts'
import type { Job } from '../../../contract/index.ts'
import { partName } from '../../job/index.ts'
import type { DesignPlan, WorkedPlan } from '../../planned/index.ts'
import { formatLengthWithUnit } from '../../units/index.ts'

/** What a work order is written from. */
export interface OrderOf {
  readonly job: Job
  readonly plan: WorkedPlan
  /** A length in the unit of the job. */
  readonly say: (mm: number) => string
}

export const orderOf = (job: Job, plan: WorkedPlan): OrderOf => ({
  job,
  plan,
  say: (mm) => formatLengthWithUnit(mm, job.units),
})

/** What a design is called at the machine, where there are several. */
export const cushionName = ({ part, design }: DesignPlan): string =>
  part.name === '' ? phrase`Cushion ${design.id}` : `${partName(part)} ${design.id}`
