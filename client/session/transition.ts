import { phrase } from '../../core/language/index.ts'
import type { Job, StoredJob } from '../../contract/index.ts'
import type { Draft, Sent } from './draft.ts'
import { doneAgain, rebased, takenBack, withStep } from './history.ts'
import { isFree, type Alongside, type Effect, type Sending, type Session, type Step, type Stepped } from './session.ts'
import { sameJob } from './same-job.ts'
import { together } from './together.ts'

/** Everything that can happen to an open job. */
export type SessionEvent =
  /** What an earlier page could not save; it goes on top of what is saved. */
  | { readonly kind: 'found-draft'; readonly draft: Draft }
  | {
      readonly kind: 'edited'
      readonly job: Job
      readonly says: string
      readonly key: string | null
      readonly alongside?: Alongside
    }
  /** What the program itself worked out and keeps with the job: no step to take back. */
  | { readonly kind: 'worked-out'; readonly job: Job; readonly says: string }
  | { readonly kind: 'undone' | 'redone'; readonly step: Step }
  /** The pause after typing is over, or somebody leaves. */
  | { readonly kind: 'save-due' }
  | { readonly kind: 'saved'; readonly sending: Sending; readonly stored: StoredJob }
  | { readonly kind: 'clashed'; readonly sending: Sending; readonly theirs: StoredJob; readonly hadArrived: boolean }
  /** `isLost`: it may have arrived all the same. */
  | { readonly kind: 'not-saved'; readonly sending: Sending; readonly why: string; readonly isLost: boolean }
  /** Another window saved this job. */
  | { readonly kind: 'heard'; readonly revision: number }
  /** What was read since it was heard of; `heard` is what was known then. */
  | { readonly kind: 'read'; readonly stored: StoredJob; readonly heard: number }
  | { readonly kind: 'kept-mine' }
  | { readonly kind: 'took-theirs' }
  /** What was told has been read. */
  | { readonly kind: 'dismissed' }

const SAVE_AFTER_MS = 700
const TRY_AGAIN_MS = 4000
const RECOVERED = 'recovered edit'

export const opened = (stored: StoredJob, heardOf: number): Session => ({
  id: stored.id,
  job: stored.job,
  saved: stored.job,
  revision: stored.revision,
  past: [],
  future: [],
  savedAt: stored.savedAt,
  saveState: { kind: 'saved' },
  unanswered: null,
  says: '',
  conflict: null,
  told: '',
  heardOf,
})

/** What becomes of an open job by an event, and what is to be done about it. Pure: the store runs the effects. */
export function transition(session: Session, event: SessionEvent): Stepped {
  switch (event.kind) {
    case 'found-draft':
      return event.draft.sent ? asLeft(session, event.draft, event.draft.sent) : withDraft(session, event.draft)
    case 'edited':
      return scheduled(
        { ...session, ...withStep(session, event.says, event.key, event.alongside), job: event.job },
        event.says,
      )
    case 'worked-out':
      return session.conflict ? quiet(session) : scheduled({ ...session, job: event.job }, session.says || event.says)
    case 'undone':
      if (session.past.at(-1) !== event.step) return quiet(session)
      return scheduled({ ...session, ...takenBack(session, event.step) }, phrase`undo: ${event.step.says}`)
    case 'redone':
      if (session.future.at(-1) !== event.step) return quiet(session)
      return scheduled({ ...session, ...doneAgain(session, event.step) }, event.step.says)
    case 'save-due':
      return sent(session)
    case 'saved':
      return acknowledged(session, event.sending, event.stored)
    case 'clashed': {
      const known = { ...session, unanswered: null, saved: event.hadArrived ? event.sending.job : session.saved }
      return met(known, event.theirs)
    }
    case 'not-saved':
      return {
        session: {
          ...session,
          unanswered: event.isLost ? event.sending : null,
          saveState: { kind: 'failed', why: event.why },
        },
        effects: [{ kind: 'keep-draft' }, { kind: 'save-after', ms: TRY_AGAIN_MS }],
      }
    case 'heard':
      return andCatchUp(quiet({ ...session, heardOf: Math.max(session.heardOf, event.revision) }))
    case 'read':
      return tookIn(session, event.stored, event.heard)
    case 'kept-mine':
      return session.conflict
        ? sent({
            ...session,
            revision: session.conflict.revision,
            conflict: null,
            saveState: { kind: 'waiting' },
            says: 'kept over a change from another window',
          })
        : quiet(session)
    case 'took-theirs': {
      if (!session.conflict) return quiet(session)
      const past = [...session.past, { job: session.job, says: 'my version', key: null }]
      return { session: onTop({ ...session, past }, session.conflict), effects: [{ kind: 'drop-draft' }] }
    }
    case 'dismissed':
      return quiet({ ...session, told: '' })
    default:
      return event satisfies never
  }
}

const quiet = (session: Session): Stepped => ({ session, effects: [] })

/**
 * A changed job is kept in the browser at once and sent a little later, unless the maker has to choose first. While a
 * save is under way its answer sees that there is more to send.
 */
function scheduled(session: Session, says: string): Stepped {
  const effects: readonly Effect[] = [{ kind: 'keep-draft' }]
  if (session.conflict || session.saveState.kind === 'saving') return { session: { ...session, says }, effects }
  return {
    session: { ...session, says, saveState: { kind: 'waiting' } },
    effects: [...effects, { kind: 'save-after', ms: SAVE_AFTER_MS }],
  }
}

/** Theirs as it is saved, with nothing of this window's own. */
const onTop = (session: Session, { revision, job, savedAt }: StoredJob): Session => ({
  ...session,
  revision,
  job,
  saved: job,
  savedAt,
  saveState: { kind: 'saved' },
  conflict: null,
})

/**
 * As the page left it that is gone: what it sent, and nobody could say whether it arrived, goes again before anything of
 * a later revision is taken in.
 */
const asLeft = (session: Session, { job, base }: Draft, sent: Sent): Stepped =>
  scheduled(
    {
      ...session,
      job,
      saved: base,
      revision: sent.base,
      unanswered: { id: session.id, ...sent, says: RECOVERED },
      heardOf: Math.max(session.heardOf, session.revision),
    },
    RECOVERED,
  )

/** Where both changed the same thing the maker chooses. */
function withDraft(session: Session, draft: Draft): Stepped {
  if (session.conflict) return quiet(session)
  const merged = together(draft.base, draft.job, session.job)
  if (merged && sameJob(merged.job, session.job)) return quiet(session)
  const { id, revision, savedAt, job } = session
  return scheduled(
    {
      ...session,
      past: [...session.past, { job: session.job, says: 'as saved', key: null }],
      job: merged?.job ?? draft.job,
      conflict: merged ? null : { id, revision, savedAt, job },
    },
    RECOVERED,
  )
}

function sent(session: Session): Stepped {
  if (session.conflict || session.saveState.kind === 'saving') return quiet(session)
  const { id, job, revision, says } = session
  const sending = session.unanswered ?? { id, job, base: revision, says }
  return { session: { ...session, saveState: { kind: 'saving' } }, effects: [{ kind: 'send', sending }] }
}

function acknowledged(before: Session, sending: Sending, { revision, job, savedAt }: StoredJob): Stepped {
  const session: Session = { ...before, unanswered: null, revision, saved: job, savedAt, saveState: { kind: 'saved' } }
  return andCatchUp(
    session.job === sending.job ? { session, effects: [{ kind: 'drop-draft' }] } : scheduled(session, session.says),
  )
}

/**
 * Their revision came in while this window had its own: both are put together. Where both changed the same thing the
 * maker chooses; of two ticks of one step the first stays.
 */
function met(session: Session, theirs: StoredJob): Stepped {
  const merged = together(session.saved, session.job, theirs.job)
  if (!merged)
    return quiet({
      ...session,
      conflict: theirs,
      saveState: { kind: 'failed', why: 'This job was saved from another window.' },
    })
  const told = merged.isSecondTick
    ? 'Another window ticked the same step first: its tick stays.'
    : 'Changes from another window were taken in beside yours.'
  const both = { ...onTop({ ...session, ...rebased(session, theirs.job) }, theirs), told, job: merged.job }
  return andCatchUp(
    sameJob(merged.job, theirs.job)
      ? { session: both, effects: [{ kind: 'drop-draft' }] }
      : scheduled(both, 'together with a change from another window'),
  )
}

/** What was heard of is read as soon as nothing is under way. */
const andCatchUp = ({ session, effects }: Stepped): Stepped => ({
  session,
  effects: session.heardOf > session.revision && isFree(session) ? [...effects, { kind: 'read' }] : effects,
})

/** A save that began meanwhile may be that very one: its end looks again. */
function tookIn(session: Session, stored: StoredJob, heard: number): Stepped {
  if (!isFree(session)) return quiet(session)
  const known = { ...session, heardOf: session.heardOf === heard ? stored.revision : session.heardOf }
  return stored.revision > known.revision ? met(known, stored) : andCatchUp(quiet(known))
}
