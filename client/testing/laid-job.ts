import type { Job } from '../../contract/index.ts'
import { solveLay } from '../../core/lay/index.ts'
import { planJob } from '../../core/plan/index.ts'
import { keptLay, problemKey } from '../../core/what-if/index.ts'

/** A ticket whose first cloth lies as the planner has it after a few steps, that lay, and the key of its pieces. */
export function laidJob(job: Job) {
  const plan = planJob(job)
  if (plan.kind !== 'worked') throw new Error('not worked')
  const own = plan.cloth.lays[0]!
  const solved = solveLay(own.problem, { seed: 1, budget: { steps: 3, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  const lay = { ...solved.value.lay, seconds: 1 }
  const key = problemKey(own.problem)
  return { job: { ...job, lays: { [own.cloth.id]: keptLay(key, lay) } }, lay, key }
}
