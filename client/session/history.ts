import type { Job } from '../../contract/index.ts'
import { mergeJobs } from '../../core/job/index.ts'
import type { Alongside, Session, Step } from './session.ts'

const MOST_STEPS = 200

type History = Pick<Session, 'past' | 'future'>

/** The job as it stood goes on the list of what can be taken back; a change that goes on with the last one does not. */
export function withStep(session: Session, says: string, key: string | null, alongside?: Alongside): History {
  const goesOn = key !== null && session.past.at(-1)?.key === key
  const step: Step = { job: session.job, says, key, ...(alongside ? { alongside } : {}) }
  return { past: goesOn ? session.past : [...session.past.slice(1 - MOST_STEPS), step], future: [] }
}

/** The last step taken back, with the job as it stood before it. */
export const takenBack = (session: Session, step: Step): History & Pick<Session, 'job'> => ({
  past: session.past.slice(0, -1),
  future: [...session.future, { ...step, job: session.job }],
  job: step.job,
})

export const doneAgain = (session: Session, step: Step): History & Pick<Session, 'job'> => ({
  past: [...session.past, { ...step, job: session.job, key: null }],
  future: session.future.slice(0, -1),
  job: step.job,
})

/** What came in from elsewhere goes under every step: undo takes back what was done here, not what came in. */
export function rebased({ past, future, saved }: Session, theirs: Job): History {
  const over = (step: Step): Step => ({ ...step, job: mergeJobs(saved, step.job, theirs).job })
  return { past: past.map(over), future: future.map(over) }
}
