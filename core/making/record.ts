import type { PartJob, StepRecord } from '../../contract/index.ts'
import type { Edit } from '../job/index.ts'
import type { Step } from './step.ts'

const UNTOUCHED: StepRecord = {
  doneAt: null,
  doneBy: '',
  overruled: null,
  workedS: 0,
  runningSince: null,
  note: '',
  measuredMm: null,
  ofMm: null,
}

/** What happened to a step so far. */
export const recordOf = ({ making }: Pick<PartJob, 'making'>, id: string): StepRecord => making.steps[id] ?? UNTOUCHED

/** Seconds worked until `now` (ms). A clock that was set back counts nothing for the stretch that runs. */
export const workedSeconds = ({ workedS, runningSince }: StepRecord, now: number): number =>
  workedS + (runningSince === null ? 0 : Math.max(0, (now - Date.parse(runningSince)) / 1000))

/** True where the timer runs from a moment that has not come yet by this clock. */
export const clockWasSetBack = ({ runningSince }: StepRecord, now: number): boolean =>
  runningSince !== null && Date.parse(runningSince) > now + CLOCK_SLACK_MS

/** Clocks of two devices in one shop differ by so much without anything being wrong. */
const CLOCK_SLACK_MS = 60_000

export const started = (record: StepRecord, now: number): StepRecord =>
  record.runningSince === null ? { ...record, runningSince: new Date(now).toISOString() } : record

export const paused = (record: StepRecord, now: number): StepRecord =>
  record.runningSince === null
    ? record
    : { ...record, workedS: Math.round(workedSeconds(record, now)), runningSince: null }

/** Done, the timer stopped. A step that is done already stays as it was ticked first. */
export const ticked = (record: StepRecord, by: string, now: number, overruled: string | null = null): StepRecord =>
  record.doneAt !== null
    ? record
    : { ...paused(record, now), doneAt: new Date(now).toISOString(), doneBy: by, overruled }

export const unticked = (record: StepRecord): StepRecord => ({ ...record, doneAt: null, doneBy: '', overruled: null })

/** What a stop measured, beside what the plan had when it was measured first. */
export const asMeasured = (
  record: StepRecord,
  { measures }: Pick<Step, 'measures'>,
  measuredMm: number,
): StepRecord => ({
  ...record,
  measuredMm,
  ofMm: record.measuredMm === null ? (measures?.plannedMm ?? null) : record.ofMm,
})

/** Changes the record of a step, as an edit of the job. */
export const setRecord = (
  { id, title }: Pick<Step, 'id' | 'title'>,
  says: string,
  change: (record: StepRecord) => StepRecord,
): Edit => ({
  says: `${title}: ${says}`.slice(0, 200),
  apply: (job) => ({
    ...job,
    making: { ...job.making, steps: { ...job.making.steps, [id]: change(recordOf(job, id)) } },
  }),
})

/** The first gate without an answer; what comes after it waits. Null where nothing is held. */
export function openGate(steps: readonly Step[], job: Pick<PartJob, 'making'>): number | null {
  const first = steps.findIndex((s) => s.gate !== null && recordOf(job, s.id).doneAt === null)
  return first < 0 ? null : first
}

export interface Progress {
  readonly done: number
  readonly of: number
  /** The first step that is not done. */
  readonly next: Step | null
}

/** How many steps of how many are done, and which comes next. */
export function progressOf(steps: readonly Step[], job: Pick<PartJob, 'making'>): Progress {
  const open = steps.filter((s) => recordOf(job, s.id).doneAt === null)
  return { done: steps.length - open.length, of: steps.length, next: open[0] ?? null }
}
