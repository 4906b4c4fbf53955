import { describe, expect, it } from 'vitest'
import type { Job, Part } from '../../contract/index.ts'
import { demoJobs, DEMO_TRIMS } from '../demo/index.ts'
import { workOrder } from '../making/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { buyingList } from './index.ts'

/** The board under it is of the seat. */
const FOR_A_FILLING = /^(?!Board).*(?:glue$|foam|sheets|fibre|scrap|insert)/i

function listed(job: Job) {
  const plan = planJob(job) as WorkedPlan
  const laid = plan.cloth.lays.map(() => ({ laidMm: 4000, boundMm: 0 }))
  return {
    bought: buyingList(job, plan, laid, DEMO_TRIMS).lines.map((line) => line.what),
    steps: workOrder(job, plan).map((step) => step.title),
  }
}
const ordered = (job: Job, work: Part['work']): Job => ({ ...job, parts: job.parts.map((part) => ({ ...part, work })) })

describe('where the filling stays', () => {
  it.each(demoJobs().map((job) => [job.ticket, job] as const))(
    '%s: nothing is bought, cut or glued for it',
    (_, job) => {
      const whole = listed(job)
      // The check can fail: for all of it, or its foam, something is bought.
      expect(whole.bought.some((what) => FOR_A_FILLING.test(what))).toBe(true)
      const { bought, steps } = listed(ordered(job, { kind: 'cover-only' }))
      expect(bought.filter((what) => FOR_A_FILLING.test(what))).toEqual([])
      expect(steps.filter((title) => /cut the foam|glue layers|weigh out/i.test(title))).toEqual([])
    },
  )
})
