import { isLost } from '../api/http.ts'
import { saveOrBegin } from './begun.ts'
import type { Draft } from './draft.ts'

/**
 * A draft with what it really goes on from. What was sent and not answered is sent once more as it was: the server says
 * whether it had it already, and does nothing twice. While it cannot be reached the draft stays as it is.
 */
export async function settled(id: string, draft: Draft): Promise<Draft> {
  const { sent } = draft
  if (!sent) return draft
  const answer = await saveOrBegin(id, sent.job, sent.base, 'recovered edit').catch((cause: unknown) => {
    if (isLost(cause)) return null
    throw cause
  })
  if (!answer) return draft
  const isThere = answer.kind === 'saved' || answer.hadArrived
  return { job: draft.job, base: isThere ? sent.job : draft.base, sent: null }
}
