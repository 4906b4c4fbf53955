import type { Job } from '../../contract/index.ts'
import { dayName, dayNumber } from '../calendar/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { applyEdit, cushionKey, jobOf, newSeat, USUAL_TERMS } from '../job/index.ts'
import { paused, setRecord, started, stepMinutes, ticked, workOrder } from '../making/index.ts'
import { planJob } from '../plan/index.ts'
import { filledWith, ticket } from './demo-part.ts'

/**
 * Jobs of the last months, made, fitted and put away: what a shop that has worked for a while knows of itself. Their
 * sizes came out right but for what a tape reads; sewing took longer than planned, each time.
 */
export function pastJobs(today: string): readonly Job[] {
  return ROOMS.map(({ name, width, depth, days, off, pace }, i) => {
    const pad = filledWith(
      ticket(`SL-9${i}`, `${name}, window pads`, 'Gannet 36/180', 'house-calico', {
        ...newSeat('singles', width, depth, 60, 2),
        clearanceMm: 0,
      }),
      (foam) => ({ ...foam, load: { ...foam.load, use: 'bench' } }),
    )
    const done = dayName(dayNumber(today) - days)
    const job: Job = {
      ...jobOf(pad),
      terms: {
        ...USUAL_TERMS,
        stage: 'billed',
        orderedOn: dayName(dayNumber(done) - 20),
        dueOn: done,
        archivedOn: dayName(dayNumber(done) + 3),
        furniture: name,
      },
    }
    return fitted(worked(job, done, pace), done, off)
  })
}

const ROOMS = [
  { name: 'Guest room 1', width: 880, depth: 390, days: 160, off: 0.001, pace: 1.32 },
  { name: 'Guest room 2', width: 910, depth: 390, days: 131, off: -0.0008, pace: 1.25 },
  { name: 'Guest room 3', width: 860, depth: 402, days: 117, off: 0.0004, pace: 1.29 },
  { name: 'Guest room 4', width: 1010, depth: 385, days: 95, off: -0.0011, pace: 1.34 },
  { name: 'Warden’s room', width: 940, depth: 410, days: 62, off: 0.0007, pace: 1.27 },
  { name: 'Boot room', width: 1120, depth: 350, days: 40, off: -0.0003, pace: 1.3 },
] as const

/** Every step timed and ticked; what is sewn took so many times as long as planned, the rest as long. */
function worked(job: Job, day: string, pace: number): Job {
  const plan = planJob(job)
  if (plan.kind !== 'worked') return job
  let at = Date.parse(`${day}T08:00:00Z`)
  return workOrder(job, plan).reduce((soFar, step) => {
    const from = at
    const minutes = stepMinutes(step, USUAL_WORKSHOP.rates).value * (step.part === 'sewing' ? pace : 1)
    at += Math.max(30_000, Math.round(minutes * 60_000))
    return applyEdit(
      soFar,
      'A',
      setRecord(step, '', (r) => ticked(paused(started(r, from), at), 'Ada', at)),
    )
  }, job)
}

/** Both cushions on their seat, as the tape read them. */
function fitted(job: Job, day: string, off: number): Job {
  const plan = planJob(job)
  if (plan.kind !== 'worked') return job
  const [part] = plan.worked
  const round = (mm: number) => Math.round(mm * (1 + off) * 2) / 2
  const fits = part.cushions.inOrder.map(({ design }, i) => {
    const { width, depth } = part.designs[design]!.cover.solid
    return [
      cushionKey('A', i),
      {
        day,
        widthMm: round(width.value),
        depthMm: round(depth.value),
        thicknessMm: null,
        verdict: 'right' as const,
        leftAbove: null,
        wrinkles: '',
        stripesOffMm: null,
      },
    ] as const
  })
  return { ...job, fitting: { ...job.fitting, fits: Object.fromEntries(fits) } }
}
