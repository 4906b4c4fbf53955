import { openJob, saveJob } from '../api/jobs.ts'
import { dropText } from '../storage/browser-store.ts'
import { lookRound } from '../storage/page-alive.ts'
import { draftsOf, jobsWithDrafts, keepDraftAt, readDraft } from './draft.ts'
import { settled } from './settled.ts'
import { sameJob, together } from './together.ts'

let sending: Promise<void> = Promise.resolve()

/**
 * Sends what pages that are gone could not save, whichever job is open, one after the other. What clashes with a later
 * save waits until its job is opened, where the maker chooses; what cannot be sent just now waits for the next time.
 */
export function sendLeftDrafts(openId: string): Promise<void> {
  sending = sending.then(async () => {
    await lookRound()
    for (const id of jobsWithDrafts()) if (id !== openId) await send(id).catch(() => undefined)
  })
  return sending
}

/** Ends when nothing is being sent. */
export const outboxRests = (): Promise<void> => sending

async function send(id: string): Promise<void> {
  for (const key of draftsOf(id)) {
    const left = readDraft(key)
    if (!left) continue
    const draft = await settled(id, left)
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
