import type { StoredJob } from '../../contract/index.ts'
import { lookRound } from '../storage/page-alive.ts'
import { openOrBegin } from './begun.ts'
import { draftsOf, readDraft, type Draft } from './draft.ts'
import { settled } from './settled.ts'

/** What is saved of a job, and what was left of it, read after that. */
export async function readForOpening(
  id: string,
): Promise<{ readonly left: Awaited<ReturnType<typeof leftOf>>; readonly stored: StoredJob }> {
  const left = await leftOf(id)
  return { left, stored: await openOrBegin(id) }
}

/** What pages that are gone left of a job, by where they kept it, each with what it really goes on from. */
async function leftOf(id: string): Promise<readonly (readonly [string, Draft])[]> {
  await lookRound()
  const left: [string, Draft][] = []
  for (const key of draftsOf(id)) {
    const draft = readDraft(key)
    if (draft) left.push([key, await settled(id, draft)])
  }
  return left
}
