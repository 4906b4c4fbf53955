import { saveJob } from '../api/jobs.ts'
import type { Draft } from './draft.ts'

/**
 * A draft with what it really goes on from. What was sent and not answered is sent once more as it was: the server says
 * whether it had it already, and does nothing twice.
 */
export async function settled(id: string, draft: Draft): Promise<Draft> {
  const { sent } = draft
  if (!sent) return draft
  const answer = await saveJob(id, sent.job, sent.base, 'recovered edit')
  const isThere = answer.kind === 'saved' || answer.hadArrived
  return { job: draft.job, base: isThere ? sent.job : draft.base, sent: null }
}
