import { jobOf } from '../job/index.ts'
import { planOne } from '../testing/jobs.ts'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { Job, type PartJob, LayProblem } from '../../contract/index.ts'
import { acceptLay, problemFaults, solveLay } from '../lay/index.ts'
import { keepersBenchPart } from '../demo/index.ts'
import { anyClothChoice } from '../testing/cloths.ts'
import { anyMakeUp } from '../testing/make-ups.ts'
import { anySeat } from '../testing/seats.ts'
import { warningWords } from '../warnings/index.ts'

const SLOW_MS = 120_000

it(
  'any pattern on any make-up and seat is planned, never an exception, and its lays are sound problems',
  () => {
    let [worked, matched, bothWays] = [0, 0, 0]
    fc.assert(
      fc.property(anySeat, anyMakeUp, anyClothChoice, (seat, makeUp, cloth) => {
        const job: PartJob = { ...keepersBenchPart(), seat, makeUp, cloth }
        expect(Job.safeParse(jobOf(job)).error?.issues ?? []).toEqual([])
        const plan = planOne(job)
        for (const w of plan.warnings)
          expect(`${warningWords(w, 'mm').says} ${warningWords(w, 'mm').cure}`).not.toMatch(/NaN|undefined|Infinity/)
        if (plan.kind !== 'worked') return
        // An outline that cannot be sewn stops the plan by its checks, before anything is laid.
        if (plan.designs.some((d) => d.checks.some((c) => c.faults.length > 0))) return
        worked++
        for (const { problem } of plan.cloth.lays) {
          // An edge that comes to no selvedge is told as a stop.
          const sides = problemFaults(LayProblem.parse(problem), 5000)
          expect(sides.filter((f) => !f.path.endsWith('.sides'))).toEqual([])
          if (sides.length > 0) expect(plan.warnings.some((w) => w.code === 'never-on-selvedge')).toBe(true)
          for (const p of problem.pieces) {
            if (!p.match) continue
            matched++
            if (p.match.across !== null && p.match.along !== null) bothWays++
            expect(p.turns.length).toBeGreaterThan(0)
            expect(cloth.match.kind).toBe('matched')
          }
        }
      }),
      { numRuns: 300 },
    )
    expect(worked).toBeGreaterThan(50)
    expect(matched).toBeGreaterThan(120)
    expect(bothWays).toBeGreaterThan(50)
  },
  SLOW_MS,
)

it(
  'what is matched can be laid, in phase by the exact check',
  () => {
    let laid = 0
    fc.assert(
      fc.property(anyClothChoice, (cloth) => {
        const plan = planOne({ ...keepersBenchPart(), cloth })
        if (plan.kind !== 'worked') return
        const { problem } = plan.cloth.lays[0]!
        const solved = solveLay(problem, { seed: 1, budget: { steps: 1, isStopped: () => false } })
        if (!solved.ok)
          return void expect(['wider-than-cloth', 'longer-than-cloth', 'no-room', 'no-place']).toContain(
            solved.error.code,
          )
        laid++
        expect(acceptLay(problem, { ...solved.value.lay, seconds: 0 })).toEqual([])
      }),
      { numRuns: 60 },
    )
    expect(laid).toBeGreaterThan(30)
  },
  SLOW_MS,
)
