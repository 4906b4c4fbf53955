import { describe, expect, it } from 'vitest'
import type { Job, PartJob } from '../../contract/index.ts'
import { demoParts } from '../demo/index.ts'
import { jobOf } from '../job/index.ts'
import { planJob, planKey } from './index.ts'

/** What can be compared of a plan: patches and figures carry functions of their own. */
const told = (job: Job) =>
  JSON.stringify(planJob(job), (key, value: unknown) =>
    // A part carries its ticket with it; what was planned of it is told besides.
    key === 'part' && typeof value === 'object' ? undefined : typeof value === 'function' ? 'function' : value,
  )

describe('what a plan follows from', () => {
  const [job, other] = [demoParts()[0]!, demoParts()[5]!]
  it.each(Object.keys(job) as (keyof PartJob)[])(
    '%s: where it leaves the key alone it leaves the plan alone',
    (key) => {
      const [before, changed] = [jobOf(job), jobOf({ ...job, [key]: other[key] } as PartJob)]
      if (planKey(changed) === planKey(before)) expect(told(changed)).toBe(told(before))
      else expect(key).not.toMatch(/ticket|title|customer|note|currency|lays|making|fitting|terms/)
    },
  )
})
