import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { readJob, type Job, type StoredJob } from '../../contract/index.ts'
import { mergeDocuments, type Edit } from '../../core/job/index.ts'
import { planJob, planKey } from '../../core/plan/index.ts'
import type { Plan } from '../../core/planned/index.ts'
import { ApiError } from '../api/http.ts'
import { openJob, saveJob } from '../api/jobs.ts'
import { dropText, type Kept } from '../storage/browser-store.ts'
import { dropDraft, keepDraft, type Draft } from './draft.ts'
import { readForOpening } from './left-drafts.ts'
import { sameJob as same, together } from './merged-draft.ts'
import { outboxRests, sendLeftDrafts } from './outbox.ts'

export type SaveState =
  | { readonly kind: 'saved'; readonly at: string }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly why: string }

/** What happens beside a change, on the shelves say, and is taken back with it. */
export interface Alongside {
  readonly undo: () => Promise<unknown>
  readonly redo: () => Promise<unknown>
}

interface Step {
  readonly job: Job
  readonly says: string
  readonly key: string | null
  readonly alongside?: Alongside
}

/** A save under way, or one whose answer was lost. */
interface Sending {
  readonly id: string
  readonly job: Job
  readonly base: number
  readonly says: string
}

const SAVE_AFTER_MS = 700
const TRY_AGAIN_MS = 4000
/** So long another job waits for the save of this one. */
const PATIENCE_MS = 1500

/** The open job: its document, undo and redo, and saving as you go. */
export const useJob = defineStore('job', () => {
  const id = ref('')
  const revision = ref(0)
  const job = shallowRef<Job | null>(null)
  const past = shallowRef<readonly Step[]>([])
  const future = shallowRef<readonly Step[]>([])
  const saveState = shallowRef<SaveState>({ kind: 'waiting' })
  const conflict = shallowRef<StoredJob | null>(null)
  const refused = ref('')
  /** What came in from another window and was put together with this one. */
  const told = ref('')
  /** The revision this window started its edits from. */
  let saved: Job | null = null
  /** The job asked for last: a slower answer for another one is dropped. */
  let wanted = ''
  /** The newest revision of each job that was told of, which may be before this window can take it in. */
  const heardOf = new Map<string, number>()
  let planned: { readonly key: string; readonly plan: Plan } | null = null
  /** Planned anew only where something changed that a plan follows from: a note or a tick leaves it as it is. */
  const plan = computed(() => {
    if (!job.value) return null
    const key = planKey(job.value)
    if (planned?.key !== key) planned = { key, plan: planJob(job.value) }
    return planned.plan
  })
  let timer: ReturnType<typeof setTimeout> | undefined
  let lastSays = ''
  /** Sent and not answered: it is sent again as it was before anything newer, since the server may have it. */
  let unanswered: Sending | null = null
  let running: Promise<void> = Promise.resolve()
  /** Whether what is not saved yet outlives this page. */
  const kept = ref<Kept>('in-browser')

  async function open(jobId: string): Promise<void> {
    const rest = flush().then(() => Promise.all([running, outboxRests()]))
    await Promise.race([rest, new Promise((resolve) => setTimeout(resolve, PATIENCE_MS))])
    told.value = ''
    wanted = jobId
    const { left, stored } = await readForOpening(jobId).catch((error: unknown) => {
      // The job that was open stays so.
      if (wanted === jobId) wanted = id.value
      throw error
    })
    if (wanted !== jobId) return
    clearTimeout(timer)
    unanswered = null
    id.value = jobId
    past.value = future.value = []
    take(stored)
    for (const [key, draft] of left)
      if (!conflict.value) {
        dropText(key)
        recover(stored, draft)
      }
    await catchUp()
    void sendLeftDrafts(jobId)
  }

  /**
   * What an earlier page, or another window, could not save goes on top of what is saved; where both changed the same
   * thing the maker chooses.
   */
  function recover(stored: StoredJob, draft: Draft): void {
    const before = job.value!
    const merged = together(draft.base, draft.job, before)
    if (merged && same(merged.job, before)) return
    past.value = [...past.value, { job: before, says: 'as saved', key: null }]
    job.value = merged?.job ?? draft.job
    if (!merged) conflict.value = { ...stored, job: before }
    schedule('recovered edit')
  }

  function take(stored: StoredJob): void {
    revision.value = stored.revision
    saved = stored.job
    job.value = stored.job
    saveState.value = { kind: 'saved', at: stored.savedAt }
    conflict.value = null
  }

  /** Applies an edit; edits with the same key in a row (typing in one field) undo together. */
  function edit(change: Edit, key: string | null = null, alongside?: Alongside): boolean {
    if (!job.value) return false
    const changed = change.apply(job.value)
    const read = readJob(changed)
    if (!read.ok) {
      refused.value = `${read.faults[0]!.path.replace('$.', '')}: ${read.faults[0]!.message}`
      return false
    }
    refused.value = ''
    if (same(changed, job.value)) return true
    const goesOn = key !== null && past.value.at(-1)?.key === key
    if (!goesOn)
      past.value = [
        ...past.value.slice(-199),
        { job: job.value, says: change.says, key, ...(alongside ? { alongside } : {}) },
      ]
    future.value = []
    job.value = read.value
    schedule(change.says)
    return true
  }

  function undo(): void {
    const step = past.value.at(-1)
    if (step) beside(step, step.alongside?.undo, () => past.value.at(-1) === step, takeBack)
  }
  function takeBack(step: Step): void {
    future.value = [...future.value, { ...step, job: job.value! }]
    past.value = past.value.slice(0, -1)
    job.value = step.job
    schedule(`undo: ${step.says}`)
  }

  function redo(): void {
    const step = future.value.at(-1)
    if (step) beside(step, step.alongside?.redo, () => future.value.at(-1) === step, doAgain)
  }
  function doAgain(step: Step): void {
    past.value = [...past.value, { ...step, job: job.value!, key: null }]
    future.value = future.value.slice(0, -1)
    job.value = step.job
    schedule(step.says)
  }

  /**
   * Takes a step once what belongs beside it is done; when that cannot be done the step is not taken, and why is told.
   */
  function beside(
    step: Step,
    work: (() => Promise<unknown>) | undefined,
    isNext: () => boolean,
    go: (step: Step) => void,
  ): void {
    if (!work) return go(step)
    work().then(
      () => isNext() && go(step),
      (cause: Error) => (refused.value = cause.message),
    )
  }

  function schedule(says: string): void {
    lastSays = says
    kept.value = keepDraft(id.value, {
      job: job.value!,
      base: saved!,
      sent: unanswered && { job: unanswered.job, base: unanswered.base },
    })
    if (conflict.value) return
    saveState.value = { kind: 'waiting' }
    clearTimeout(timer)
    timer = setTimeout(() => void save(), SAVE_AFTER_MS)
  }

  function save(): Promise<void> {
    if (!job.value || conflict.value || saveState.value.kind === 'saving') return running
    const sending = unanswered ?? { id: id.value, job: job.value, base: revision.value, says: lastSays }
    saveState.value = { kind: 'saving' }
    running = send(sending)
    return running
  }

  /** What comes back for a job that is not open any more changes nothing here: its draft is looked after by itself. */
  async function send(sending: Sending): Promise<void> {
    const isOpen = () => id.value === sending.id
    try {
      const answer = await saveJob(sending.id, sending.job, sending.base, sending.says)
      if (!isOpen()) return
      unanswered = null
      if (answer.kind === 'conflict') {
        if (answer.hadArrived) saved = sending.job
        return meet(answer.theirs)
      }
      revision.value = answer.stored.revision
      saved = answer.stored.job
      saveState.value = { kind: 'saved', at: answer.stored.savedAt }
      if (job.value === sending.job) dropDraft(sending.id)
      else schedule(lastSays)
      await catchUp()
    } catch (cause) {
      if (!isOpen()) return
      const isLost = cause instanceof ApiError && cause.problem === null
      unanswered = isLost ? sending : null
      kept.value = keepDraft(sending.id, {
        job: job.value!,
        base: saved!,
        sent: unanswered && { job: unanswered.job, base: unanswered.base },
      })
      saveState.value = { kind: 'failed', why: cause instanceof ApiError ? cause.message : String(cause) }
      timer = setTimeout(() => void save(), TRY_AGAIN_MS)
    }
  }

  /**
   * Their revision came in while this window had its own: both are put together. Where both changed
   * the same thing the maker chooses; of two ticks of one step the first stays.
   */
  function meet(theirs: StoredJob): void {
    const merged = together(saved ?? theirs.job, job.value!, theirs.job)
    if (!merged) {
      conflict.value = theirs
      saveState.value = { kind: 'failed', why: 'This job was saved from another window.' }
      return
    }
    told.value = merged.isSecondTick
      ? 'Another window ticked the same step first: its tick stays.'
      : 'Changes from another window were taken in beside yours.'
    rebase(theirs.job)
    take(theirs)
    job.value = merged.job
    if (same(merged.job, theirs.job)) dropDraft(id.value)
    else schedule('together with a change from another window')
  }

  /** Undo takes back what was done here, not what came in. */
  function rebase(theirs: Job): void {
    const base = saved ?? theirs
    const over = (step: Step): Step => ({ ...step, job: mergeDocuments(base, step.job, theirs).value })
    past.value = past.value.map(over)
    future.value = future.value.map(over)
  }

  /**
   * Another window saved a job: if it is the open one its changes come in at once, or as soon as a save under way has
   * ended.
   */
  async function hear(jobId: string, newRevision: number): Promise<void> {
    heardOf.set(jobId, Math.max(newRevision, heardOf.get(jobId) ?? 0))
    await catchUp()
  }

  /** Something may have been missed: the newest revision is asked for. */
  const lookAgain = (): Promise<void> => hear(wanted, Infinity)

  async function catchUp(): Promise<void> {
    const opened = id.value
    const heard = heardOf.get(opened) ?? 0
    if (opened === '' || heard <= revision.value || !isFree()) return
    const stored = await openJob(opened).catch(() => null)
    // Not to be had just now: the next event, or the next save, tries again.
    if (!stored) return
    // A save began meanwhile: its end looks again, since this may be that very save.
    if (id.value !== opened || !isFree()) return
    if (heardOf.get(opened) === heard) heardOf.set(opened, stored.revision)
    if (stored.revision > revision.value) meet(stored)
    await catchUp()
  }

  /** Neither saving, nor in doubt whether a save arrived, nor waiting for the maker to choose. */
  const isFree = (): boolean => conflict.value === null && saveState.value.kind !== 'saving' && unanswered === null

  /** Saves what is waiting, now. */
  async function flush(): Promise<void> {
    if (!job.value || saveState.value.kind !== 'waiting') return
    clearTimeout(timer)
    await save()
  }

  /** My version goes on top of theirs; theirs stays in the history. */
  async function keepMine(): Promise<void> {
    const theirs = conflict.value
    if (!theirs) return
    revision.value = theirs.revision
    conflict.value = null
    saveState.value = { kind: 'waiting' }
    lastSays = 'kept over a change from another window'
    await save()
  }

  /** Their version is opened; mine can be had back with undo. */
  function takeTheirs(): void {
    const theirs = conflict.value
    if (!theirs || !job.value) return
    past.value = [...past.value, { job: job.value, says: 'my version', key: null }]
    take(theirs)
    dropDraft(id.value)
  }

  return {
    id,
    revision,
    job,
    plan,
    past,
    future,
    saveState,
    conflict,
    refused,
    kept,
    told,
    hear,
    lookAgain,
    open,
    edit,
    undo,
    redo,
    flush,
    keepMine,
    takeTheirs,
  }
})
