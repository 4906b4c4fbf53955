import { setTimeout as sleep } from 'node:timers/promises'
import { causeOf } from './cause.ts'

/** How long a write waits for another program that holds the file. */
const LOCK_PATIENCE_MS = 8000
const LONGEST_PAUSE_MS = 200

/**
 * Runs writes one after the other. SQLite takes one writer at a time, and the driver waits for a lock by holding up
 * everything else: so the waiting is done here, and `afterFailure` may drop what a failed write left behind.
 */
export function writeQueue(afterFailure: () => void | Promise<void>): <T>(work: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve()
  return (work) => {
    const turn = last.then(() => patiently(work, afterFailure))
    last = turn.catch(() => undefined)
    return turn
  }
}

/** Tries again while the file is held elsewhere; a work that failed has changed nothing, so it can be done anew. */
async function patiently<T>(work: () => Promise<T>, afterFailure: () => void | Promise<void>): Promise<T> {
  const until = performance.now() + LOCK_PATIENCE_MS
  for (let pauseMs = 10; ; pauseMs = Math.min(pauseMs * 2, LONGEST_PAUSE_MS))
    try {
      return await work()
    } catch (error) {
      const cause = causeOf(error)
      if (cause) await afterFailure()
      if (cause?.kind !== 'locked' || performance.now() > until) throw error
      await sleep(pauseMs)
    }
}
