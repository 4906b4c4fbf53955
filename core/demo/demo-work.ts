import type { Job } from '../../contract/index.ts'
import { applyEdit } from '../job/index.ts'
import { paused, setRecord, started, stepMinutes, ticked, workOrder } from '../making/index.ts'
import { planJob } from '../plan/index.ts'
import { demoTerms } from './demo-terms.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'

/** A demo ticket as it stands today: its days, and what is done of the one that is being made. */
export function demoStanding(job: Job, today: string): Job {
  const own: Job = { ...job, terms: demoTerms(job.ticket, today) }
  return own.terms.stage === 'making' ? begun(own, today) : own
}

/** Worked up to the cut cloth, each step timed and ticked the day before. */
function begun(job: Job, today: string): Job {
  const plan = planJob(job)
  if (plan.kind !== 'worked') return job
  const steps = workOrder(job, plan)
  const done = steps.slice(0, steps.findIndex((s) => s.id === 'cloth.cut') + 1)
  let at = Date.parse(`${today}T08:00:00Z`) - 24 * 3_600_000
  return done.reduce((soFar, step, i) => {
    const from = at
    at += Math.round(stepMinutes(step, USUAL_WORKSHOP.rates).value * PACE[i % PACE.length]! * 60_000)
    const tick = setRecord(step, '', (r) => ticked(paused(started(r, from), at), i % 2 === 0 ? 'Ada' : 'Ben', at))
    return applyEdit(soFar, soFar.parts[0]!.letter, tick)
  }, job)
}

/** Some steps take longer than planned, some less. */
const PACE = [1.1, 0.9, 1.25, 1] as const
