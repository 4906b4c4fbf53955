import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { phrase } from '../../core/language/index.ts'
import { placeOf, readJob, type Job, type PartJob, type StoredJob } from '../../contract/index.ts'
import { applyEdit, partJob, type Edit, type JobEdit } from '../../core/job/index.ts'
import { isLost } from '../api/http.ts'
import { openJob } from '../api/jobs.ts'
import { saveOrBegin } from '../session/begun.ts'
import { dropDraft, keepDraft } from '../session/draft.ts'
import { readForOpening } from '../session/left-drafts.ts'
import { keepOpenJob } from '../session/open-job.ts'
import { outboxLetsGoOf, outboxRests, sendLeftDrafts } from '../session/outbox.ts'
import type { Alongside, Effect, Sending, Session, Step } from '../session/session.ts'
import { sameJob } from '../session/same-job.ts'
import { opened, transition, type SessionEvent } from '../session/transition.ts'
import { dropText, type Kept } from '../storage/browser-store.ts'
import { usePlanInView } from './plan-in-view.ts'

/** So long another job waits for the save of this one. */
const PATIENCE_MS = 1500

/** The open job: its session (see `client/session/transition.ts`), and what the session wants done. */
export const useJob = defineStore('job', () => {
  const session = shallowRef<Session | null>(null)
  /** The job asked for last: a slower answer for another one is dropped. */
  let wanted = ''
  /** The newest revision of each job that was told of. */
  const heardOf = new Map<string, number>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let running: Promise<void> = Promise.resolve()
  /** Whether what is not saved yet outlives this page. */
  const kept = ref<Kept>('in-browser')
  const refused = ref('')
  const { plan, inView, part, warningsAt, look, lookOn } = usePlanInView(session)

  /** What comes back for a job that is not open any more changes nothing: its draft is looked after by itself. */
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
        return (running = send(effect.sending))
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

  async function send(sending: Sending): Promise<void> {
    const { id } = sending
    const answer = await saveOrBegin(id, sending.job, sending.base, sending.says).catch((cause: Error) => cause)
    if (answer instanceof Error)
      return take(id, { kind: 'not-saved', sending, why: answer.message, isLost: isLost(answer) })
    return answer.kind === 'saved'
      ? take(id, { kind: 'saved', sending, stored: answer.stored })
      : take(id, { kind: 'clashed', sending, theirs: answer.theirs, hadArrived: answer.hadArrived })
  }

  async function open(jobId: string): Promise<void> {
    const rest = flush().then(() => Promise.all([running, outboxRests()]))
    await Promise.race([rest, new Promise((resolve) => setTimeout(resolve, PATIENCE_MS))])
    wanted = jobId
    await outboxLetsGoOf(jobId)
    const { left, stored } = await readForOpening(jobId).catch((error: unknown) => {
      // The job that was open stays so.
      if (wanted === jobId) wanted = session.value?.id ?? ''
      throw error
    })
    if (wanted !== jobId) return
    show(stored)
    // What nobody knows to have arrived goes by itself; others of this browser wait for the next opening.
    const unsure = left.filter(([, draft]) => draft.sent).slice(0, 1)
    for (const [key, draft] of unsure.length > 0 ? unsure : left) {
      if (session.value!.conflict) break
      dropText(key)
      void take(jobId, { kind: 'found-draft', draft })
    }
    await take(jobId, stored.revision === 0 ? { kind: 'save-due' } : { kind: 'heard', revision: stored.revision })
    void sendLeftDrafts(isOpen)
  }

  /** Whether this page looks after a job: it is open, or about to be. */
  const isOpen = (jobId: string): boolean => jobId === wanted || jobId === session.value?.id

  /** Takes the place of whatever was open. */
  function show(stored: StoredJob): void {
    clearTimeout(timer)
    session.value = opened(stored, heardOf.get(stored.id) ?? 0)
  }

  /**
   * Applies an edit, of the part in view or of the whole ticket; edits with the same key in a row (typing in one field)
   * undo together.
   */
  function edit(change: Edit | JobEdit, key: string | null = null, alongside?: Alongside): boolean {
    const before = session.value?.job
    if (!before) return false
    const changed = 'applyToJob' in change ? change.applyToJob(before) : applyEdit(before, inView.value, change)
    const read = readJob(changed)
    refused.value = read.ok ? '' : phrase`${placeOf(read.faults[0]!)}: ${read.faults[0]!.message}`
    if (!read.ok) return false
    if (!sameJob(read.value, before))
      void here({
        kind: 'edited',
        job: read.value,
        says: change.says,
        key: key && `${inView.value} ${key}`,
        ...(alongside ? { alongside } : {}),
      })
    return true
  }

  /** Keeps with the job what was worked out for it. Nothing to take back, and nothing that anybody did. */
  function keepWorkedOut(says: string, change: (job: Job) => Job): void {
    const before = session.value?.job
    const read = before && readJob(change(before))
    if (before && read?.ok && !sameJob(read.value, before)) void here({ kind: 'worked-out', job: read.value, says })
  }

  function undo(): void {
    const step = session.value?.past.at(-1)
    if (step) beside(step.alongside?.undo, { kind: 'undone', step })
  }
  function redo(): void {
    const step = session.value?.future.at(-1)
    if (step) beside(step.alongside?.redo, { kind: 'redone', step })
  }
  /**
   * A step is taken once what belongs beside it is done; when that cannot be done the step is not taken, and why is
   * told.
   */
  function beside(work: (() => Promise<unknown>) | undefined, event: SessionEvent & { readonly step: Step }): void {
    const id = session.value!.id
    if (!work) return void take(id, event)
    work().then(
      () => take(id, event),
      (cause: Error) => (refused.value = cause.message),
    )
  }

  /** Another window saved a job: if it is the open one its changes come in as soon as nothing is under way. */
  function hear(jobId: string, revision: number): Promise<void> {
    heardOf.set(jobId, Math.max(revision, heardOf.get(jobId) ?? 0))
    return take(jobId, { kind: 'heard', revision })
  }
  /** Something may have been missed: the newest revision is asked for. */
  const lookAgain = (): Promise<void> => take(wanted, { kind: 'heard', revision: Infinity })

  /** Saves what is waiting, now. */
  async function flush(): Promise<void> {
    if (session.value?.saveState.kind === 'saving') await running
    if (session.value?.saveState.kind !== 'waiting') return
    clearTimeout(timer)
    await here({ kind: 'save-due' })
  }

  const of = <T>(read: (s: Session) => T, none: T) => computed(() => (session.value ? read(session.value) : none))
  keepOpenJob({ isOpen, hear, lookAgain })
  return {
    id: of((s) => s.id, ''),
    revision: of((s) => s.revision, 0),
    /** The ticket as the part in view sees it, and the ticket whole. */
    job: of<PartJob | null>((s) => partJob(s.job, inView.value), null),
    whole: of<Session['job'] | null>((s) => s.job, null),
    inView,
    look,
    lookOn,
    /** What is planned of the part in view. */
    part,
    warningsAt,
    past: of<Session['past']>((s) => s.past, []),
    future: of<Session['future']>((s) => s.future, []),
    saveState: of<Session['saveState']>((s) => s.saveState, { kind: 'waiting' }),
    conflict: of<Session['conflict']>((s) => s.conflict, null),
    told: of((s) => s.told, ''),
    session,
    plan,
    refused,
    kept,
    isOpen,
    hear,
    lookAgain,
    open,
    show,
    edit,
    keepWorkedOut,
    undo,
    redo,
    flush,
    /** My version goes on top of theirs; theirs stays in the history. */
    keepMine: () => here({ kind: 'kept-mine' }),
    /** Their version is opened; mine can be had back with undo. */
    takeTheirs: () => here({ kind: 'took-theirs' }),
    /** What was told has been read. */
    dismiss: () => here({ kind: 'dismissed' }),
  }
})
