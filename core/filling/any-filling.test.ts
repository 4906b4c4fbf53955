import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readJob } from '../../contract/index.ts'
import { planDocument } from '../plan/index.ts'
import { planJob } from '../plan/index.ts'
import { keepersBench } from '../demo/index.ts'
import { anyFilling } from '../testing/fillings.ts'
import { anySeat } from '../testing/seats.ts'
import { warningWords } from '../warnings/index.ts'
import { nestGroup } from './index.ts'

const jobOf = (seat: ReturnType<typeof keepersBench>['seat'], filling: ReturnType<typeof keepersBench>['filling']) => ({
  ...keepersBench(),
  seat,
  filling,
})

describe('any filling on any seat', () => {
  it('is planned or stopped in words, never an exception, and no figure is missing', () => {
    fc.assert(
      fc.property(anySeat, anyFilling, (seat, filling) => {
        const job = jobOf(seat, filling)
        const read = readJob(JSON.parse(JSON.stringify(job)))
        expect(read.ok ? '' : JSON.stringify(read.faults)).toBe('')
        const plan = planJob(job)
        if (plan.kind === 'unworkable') {
          expect(plan.warnings.some((w) => w.level === 'stop')).toBe(true)
          return
        }
        for (const w of plan.warnings) expect(warningWords(w, 'inch-8').says).not.toMatch(/NaN|undefined|Infinity/)
        expect(JSON.stringify(planDocument(job, plan, []))).not.toMatch(/NaN|Infinity|"value":null/)
        for (const { filling: planned } of plan.designs) {
          expect(planned.mass.value).toBeGreaterThan(0)
          if (planned.kind !== 'foam') continue
          const { fresh, aged } = planned.verdict.support
          expect(aged.worstStrain).toBeGreaterThanOrEqual(fresh.worstStrain - 1e-6)
          expect(fresh.worstStrain).toBeLessThan(0.9)
        }
      }),
      { numRuns: 120 },
    )
  })

  it('can be nested, or its parts without a place are named; nothing is laid twice', () => {
    fc.assert(
      fc.property(anySeat, anyFilling, (seat, filling) => {
        const plan = planJob(jobOf(seat, filling))
        if (plan.kind !== 'worked' || !plan.cutting) return
        for (const { group } of plan.cutting.groups) {
          const { lays, left } = nestGroup(group, plan.cutting.cutting, 1, () => true)
          const laid = lays.flatMap((l) => l.lay.placements.map((p) => p.id))
          for (const part of group.parts) {
            const times = laid.filter((id) => id === part.id).length
            if (left.includes(part.id)) expect(times).toBeLessThan(part.count)
            else expect(times).toBe(part.count)
          }
        }
      }),
      { numRuns: 40 },
    )
  })
})
