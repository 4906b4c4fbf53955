import { openJob, saveJob } from '../api/jobs.ts'
import { sendLeftPhotos } from '../offline/left-photos.ts'
import { dropText } from '../storage/browser-store.ts'
import { lookRound } from '../storage/page-alive.ts'
import { begunIds, sendBegun } from './begun.ts'
import { draftsOf, jobsWithDrafts, keepDraftAt, readDraft } from './draft.ts'
import { settled } from './settled.ts'
import { sameJob } from './same-job.ts'
import { together } from './together.ts'

let sending: Promise<void> = Promise.resolve()
/** The job that is being sent just now. */
let inHand: { readonly id: string; readonly ends: Promise<void> } | null = null

/**
 * Sends what pages that are gone could not save, one after the other: tickets that were begun without a network, edits,
 * photos. A job that is open looks after itself. What clashes with a later save waits until its job is opened, where the
 * maker chooses; what cannot be sent just now waits for the next time.
 */
export function sendLeftDrafts(isOpen: (id: string) => boolean): Promise<void> {
  const each = async (ids: readonly string[], work: (id: string) => Promise<unknown>) => {
    for (const id of ids) {
      if (isOpen(id)) continue
      const ends = work(id).then(
        () => undefined,
        () => undefined,
      )
      inHand = { id, ends }
      await ends
      inHand = null
    }
  }
  sending = sending.then(async () => {
    await lookRound()
    await each(begunIds(), sendBegun)
    await each(jobsWithDrafts(), send)
    await sendLeftPhotos().catch(() => undefined)
  })
  return sending
}

/** Ends when nothing is being sent. */
export const outboxRests = (): Promise<void> => sending

/** Ends when nothing of this job is being sent: opened meanwhile, its edits would be sent twice. */
export const outboxLetsGoOf = (id: string): Promise<void> => (inHand?.id === id ? inHand.ends : Promise.resolve())

async function send(id: string): Promise<void> {
  for (const key of draftsOf(id)) {
    const left = readDraft(key)
    if (!left) continue
    const draft = await settled(id, left)
    if (draft.sent) continue
    const stored = await openJob(id)
    const merged = together(draft.base, draft.job, stored.job)
    if (!merged) continue
    if (sameJob(merged.job, stored.job)) {
      dropText(key)
      continue
    }
    const sent = { job: merged.job, base: stored.revision }
    keepDraftAt(key, { job: merged.job, base: stored.job, sent })
    const answer = await saveJob(id, sent.job, sent.base, 'recovered edit')
    if (answer.kind === 'saved') dropText(key)
    else keepDraftAt(key, { job: merged.job, base: answer.hadArrived ? merged.job : stored.job, sent: null })
  }
}
