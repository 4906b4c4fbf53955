import { describe, expect, it } from 'vitest'
import type { Job, PartJob } from '../../contract/index.ts'
import { demoParts } from '../demo/index.ts'
import { jobOf, setThere, setWork } from '../job/index.ts'
import { oldBody } from '../testing/bodies.ts'
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

  it('what is ordered, and what is there, are part of it', () => {
    const foam = { ...job, filling: demoParts()[1]!.filling }
    const ordered = setWork('filling-only').apply(foam)
    const noted = setThere('', (t) => ({ ...t, bodies: [oldBody()] })).apply(foam)
    expect(new Set([foam, ordered, noted].map((j) => planKey(jobOf(j)))).size).toBe(3)
  })
})
