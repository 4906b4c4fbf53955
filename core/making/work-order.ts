import type { Job } from '../../contract/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { clothSteps } from './steps/cloth-steps.ts'
import { closingSteps } from './steps/closing-steps.ts'
import { foamSteps } from './steps/foam-steps.ts'
import { orderOf } from './steps/order-of.ts'
import { sewingSteps } from './steps/sewing-steps.ts'
import type { Step } from './step.ts'

/** Every step of a job in an order that can be worked, from its own make-up, seams, closure and cloth. */
export function workOrder(job: Job, plan: WorkedPlan): readonly Step[] {
  const of = orderOf(job, plan)
  return [...foamSteps(of), ...clothSteps(of), ...sewingSteps(of), ...closingSteps(of)]
}
