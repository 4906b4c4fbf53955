import { jobOf } from '../job/index.ts'
import { planOne } from '../testing/jobs.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readJob, type PartJob } from '../../contract/index.ts'
import { planDocument } from '../plan/index.ts'
import { keepersBenchPart } from '../demo/index.ts'
import { anyCuttingOf, anyFilling, anyWork } from '../testing/fillings.ts'
import { anySeat } from '../testing/seats.ts'
import { warningWords } from '../warnings/index.ts'
import { hardnessOf, nestGroup } from './index.ts'

const filled = fc
  .tuple(anySeat, anyFilling, anyWork)
  .chain(([seat, filling, work]) =>
    anyCuttingOf(filling).map((cutting): PartJob => ({ ...keepersBenchPart(), seat, filling, cutting, work })),
  )

describe('any filling on any seat', () => {
  it('is planned or stopped in words, never an exception, and no figure is missing', () => {
    fc.assert(
      fc.property(filled, (job) => {
        const read = readJob(JSON.parse(JSON.stringify(jobOf(job))))
        expect(read.ok ? '' : JSON.stringify(read.faults)).toBe('')
        const plan = planOne(job)
        if (plan.kind === 'unworkable') {
          expect(plan.warnings.some((w) => w.level === 'stop')).toBe(true)
          return
        }
        for (const w of plan.warnings) expect(warningWords(w, 'inch-8').says).not.toMatch(/NaN|undefined|Infinity/)
        expect(JSON.stringify(planDocument(jobOf(job), plan, []))).not.toMatch(/NaN|Infinity|"value":null/)
        for (const { filling: planned } of plan.designs) {
          if (planned.mass) expect(planned.mass.value).toBeGreaterThan(0)
          if (planned.kind !== 'foam') continue
          expect(planned.verdict === null).toBe(
            planned.layers.some(
              (l) => hardnessOf(l.grade) === null || (l.grade.densityKgM3 === null && !l.grade.ageing),
            ),
          )
          if (!planned.verdict) continue
          const { fresh, aged } = planned.verdict.support
          expect(aged.worst.strain).toBeGreaterThanOrEqual(fresh.worst.strain - 1e-6)
          expect(fresh.worst.strain).toBeLessThan(0.9)
        }
      }),
      { numRuns: 120 },
    )
  })

  it('can be nested, or its parts without a place are named; nothing is laid twice', () => {
    fc.assert(
      fc.property(filled, (job) => {
        const plan = planOne(job)
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
