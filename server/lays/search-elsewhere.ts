import type { Response } from 'express'
import type { SearchMessage } from '../../contract/index.ts'
import { isProven } from '../../core/lay/index.ts'
import { untilGone } from '../http/until-gone.ts'
import type { LayQueue } from '../searchers/lay-queue.ts'
import { deadlineOf } from './deadline.ts'

/** Lanes of one search on other machines at most: more find hardly more. */
const MOST_LANES = 12
/** Lanes of the page itself have the numbers before. */
const FIRST_LANE = 8

/**
 * Searches in every free lane of other machines, each with a seed of its own, and tells each better lay as it comes, a
 * line of JSON each; the last line is the end. When the page goes away all lanes stop.
 */
export async function searchElsewhere(queue: LayQueue, text: string, res: Response): Promise<void> {
  const { signal } = untilGone(res)
  const over = new AbortController()
  const lanes = Math.min(MOST_LANES, await queue.lanes())
  res.status(200).type('application/x-ndjson').set('cache-control', 'no-store')
  res.flushHeaders()
  const tell = (message: SearchMessage) => void (res.writable && res.write(`${JSON.stringify(message)}\n`))
  let proven = false
  const search = async (lane: number) => {
    const answer = await queue.plan(text, lane, {
      deadlineMs: deadlineOf(text),
      signal: AbortSignal.any([signal, over.signal]),
      onBetter: ({ found, seconds }, by) => tell({ kind: 'better', found, seconds, by }),
    })
    if (answer?.kind !== 'lay') return
    tell({ kind: 'better', found: answer.found, seconds: answer.seconds, by: answer.by })
    proven ||= isProven(answer.found.lay)
    if (proven) over.abort()
  }
  // A lane that fails, or comes too late, leaves the search to the others.
  await Promise.allSettled(Array.from({ length: lanes }, (_, i) => search(FIRST_LANE + i)))
  tell({ kind: 'ended', isProven: proven })
  res.end()
}
