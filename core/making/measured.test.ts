import { describe, expect, it } from 'vitest'
import { demoJobs, keepersBench } from '../demo/index.ts'
import { planJob } from '../plan/index.ts'
import { isOtherThanPlanned, plannedWith, workOrder, type Measured } from './index.ts'

const asked = (job = keepersBench()) => {
  const plan = planJob(job)
  if (plan.kind !== 'worked') throw new Error(job.ticket)
  return workOrder(job, plan).flatMap((s) => (s.measures ? [s.measures] : []))
}
const of = (what: Measured['what'], job = keepersBench()) => asked(job).find((m) => m.what === what)!

describe('numbers that stops ask for', () => {
  it('the cloth between its selvedges, 1370 less 2 x 10, and the cord', () => {
    expect(asked()).toEqual([
      { what: 'cloth-width', clothId: 'lamp-room-ticking', plannedMm: 1350 },
      { what: 'cord', plannedMm: 5 },
    ])
  })

  it('a cord of 5.6 where 5 was planned: strips are cut wider by the girth of the cord, pi x 0.6 or so', () => {
    const cord = of('cord')
    expect([isOtherThanPlanned(cord, 5.1), isOtherThanPlanned(cord, 5.6)]).toEqual([false, true])
    const [before, after] = [keepersBench(), plannedWith(keepersBench(), cord, 5.6)].map((job) => {
      const plan = planJob(job)
      return plan.kind === 'worked' ? plan.designs[0]!.cover.piping!.stripWidth!.value : NaN
    })
    expect(after! - before!).toBeGreaterThan(1.2)
    expect(after! - before!).toBeLessThan(2.5)
    // Nothing else of the ticket changes.
    const job = plannedWith(keepersBench(), cord, 5)
    expect(job).toEqual(keepersBench())
  })

  it('a cloth that is 1344 wide between its selvedges is 1364 over all, on every part that is cut from it', () => {
    const set = demoJobs().find((j) => j.ticket === 'SL-03')!
    const width = of('cloth-width', set)
    const now = plannedWith(set, width, width.plannedMm - 6)
    expect(now.cloth.cloth.widthMm).toBe(set.cloth.cloth.widthMm - 6)
    const plan = planJob(now)
    expect(plan.kind === 'worked' && plan.cloth.lays[0]!.cloth.widthMm).toBe(set.cloth.cloth.widthMm - 6)
    expect(of('cloth-width', now).plannedMm).toBe(width.plannedMm - 6)
  })
})
