import { describe, expect, it } from 'vitest'
import { Job } from '../../contract/index.ts'
import { demoJobs } from '../demo/index.ts'
import { planJob, planKey } from './index.ts'

/** What can be compared of a plan: patches and figures carry functions of their own. */
const told = (job: Job) =>
  JSON.stringify(planJob(job), (_key, value: unknown) => (typeof value === 'function' ? 'function' : value))

describe('what a plan follows from', () => {
  const [job, other] = [demoJobs()[0]!, demoJobs()[5]!]
  it.each(Object.keys(Job.shape) as (keyof Job)[])(
    '%s: where it leaves the key alone it leaves the plan alone',
    (part) => {
      const changed = { ...job, [part]: other[part] } as Job
      if (planKey(changed) === planKey(job)) expect(told(changed)).toBe(told(job))
      else expect(told(changed)).not.toBe(told(job))
    },
  )
})
