import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { StoredJob } from '../../contract/index.ts'
import { isLost } from '../api/http.ts'
import { openJob } from '../api/jobs.ts'
import type { Kept } from '../storage/browser-store.ts'
import { saveOrBegin } from './begun.ts'
import { dropDraft, keepDraft } from './draft.ts'
import type { Effect, Sending, Session } from './session.ts'
import { opened, transition, type SessionEvent } from './transition.ts'

/** A session that runs: events go in, what it wants done is done. */
export interface Running {
  readonly session: ShallowRef<Session | null>
  /** Whether what is not saved yet outlives this page. */
  readonly kept: Ref<Kept>
  /** Tells the session of a job; what comes back for one that is not open any more changes nothing. */
  readonly take: (id: string, event: SessionEvent) => Promise<void>
  /** Tells the session that is open. */
  readonly here: (event: SessionEvent) => Promise<void>
  /** Another window saved a job: if it is the open one its changes come in as soon as nothing is under way. */
  readonly hear: (jobId: string, revision: number) => Promise<void>
  /** A job takes the place of whatever was open. */
  readonly show: (stored: StoredJob) => void
  /** Saves what is waiting, now. */
  readonly flush: () => Promise<void>
  /** Ends with the save that is under way. */
  readonly underWay: () => Promise<void>
}

export function runSession(): Running {
  const session = shallowRef<Session | null>(null)
  const kept = ref<Kept>('in-browser')
  /** The newest revision of each job that was told of. */
  const heardOf = new Map<string, number>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let saving: Promise<void> = Promise.resolve()

  /** The draft of a job that is not open any more is looked after by itself. */
  function take(id: string, event: SessionEvent): Promise<void> {
    if (session.value?.id !== id) return Promise.resolve()
    const next = transition(session.value, event)
    session.value = next.session
    return Promise.all(next.effects.map(run)).then(() => undefined)
  }
  const here = (event: SessionEvent): Promise<void> => take(session.value?.id ?? '', event)

  function run(effect: Effect): Promise<void> | void {
    const { id, job, saved, unanswered, heardOf: heard } = session.value!
    switch (effect.kind) {
      case 'keep-draft': {
        const sent = unanswered && { job: unanswered.job, base: unanswered.base }
        return void (kept.value = keepDraft(id, { job, base: saved, sent }))
      }
      case 'drop-draft':
        return dropDraft(id)
      case 'save-after':
        clearTimeout(timer)
        timer = setTimeout(() => void take(id, { kind: 'save-due' }), effect.ms)
        return
      case 'send':
        return (saving = sent(effect.sending).then((event) => take(id, event)))
      case 'read':
        return openJob(id).then(
          (stored) => take(id, { kind: 'read', stored, heard }),
          // Not to be had just now: the next event, or the next save, tries again.
          () => undefined,
        )
      default:
        return effect satisfies never
    }
  }

  function show(stored: StoredJob): void {
    clearTimeout(timer)
    session.value = opened(stored, heardOf.get(stored.id) ?? 0)
  }

  async function flush(): Promise<void> {
    if (session.value?.saveState.kind === 'saving') await saving
    if (session.value?.saveState.kind !== 'waiting') return
    clearTimeout(timer)
    await here({ kind: 'save-due' })
  }

  function hear(jobId: string, revision: number): Promise<void> {
    heardOf.set(jobId, Math.max(revision, heardOf.get(jobId) ?? 0))
    return take(jobId, { kind: 'heard', revision })
  }

  return { session, kept, take, here, hear, show, flush, underWay: () => saving }
}

/** What became of a save. */
async function sent(sending: Sending): Promise<SessionEvent> {
  const answer = await saveOrBegin(sending.id, sending.job, sending.base, sending.says).catch((cause: Error) => cause)
  if (answer instanceof Error) return { kind: 'not-saved', sending, why: answer.message, isLost: isLost(answer) }
  return answer.kind === 'saved'
    ? { kind: 'saved', sending, stored: answer.stored }
    : { kind: 'clashed', sending, theirs: answer.theirs, hadArrived: answer.hadArrived }
}
