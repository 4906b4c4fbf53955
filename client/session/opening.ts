import { dropText } from '../storage/browser-store.ts'
import { readForOpening } from './left-drafts.ts'
import { outboxLetsGoOf, outboxRests, sendLeftDrafts } from './outbox.ts'
import type { Running } from './running.ts'

/** So long another job waits for the save of this one. */
const PATIENCE_MS = 1500

export interface Opening {
  /** Opens a job in place of the one that is open; rejects with why it cannot be read, and that one stays open. */
  readonly open: (jobId: string) => Promise<void>
  /** Whether this page looks after a job: it is open, or about to be. */
  readonly isOpen: (jobId: string) => boolean
  /** Something may have been missed: the newest revision is asked for. */
  readonly lookAgain: () => Promise<void>
}

export function openingFor({ session, take, show, flush, underWay }: Running): Opening {
  /** The job asked for last: a slower answer for another one is dropped. */
  let wanted = ''
  const isOpen = (jobId: string): boolean => jobId === wanted || jobId === session.value?.id

  async function open(jobId: string): Promise<void> {
    const rest = flush().then(() => Promise.all([underWay(), outboxRests()]))
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

  return { open, isOpen, lookAgain: () => take(wanted, { kind: 'heard', revision: Infinity }) }
}
