import type { Database } from './db/index.ts'
import { packSome } from './jobs/history.ts'
import type { Summaries } from './jobs/summaries.ts'
import type { Backups } from './records/backups.ts'

const A_WHILE_MS = 500
const PACKED_AT_ONCE = 40

/**
 * What a shop does for itself while it is open: the shelf made ready for the first who opens it, backups by the clock,
 * older revisions packed.
 */
export function startUpkeep(database: Database, backups: Backups, summaries: Summaries): { readonly stop: () => void } {
  // Who asks meets the same fault, and is told of it.
  summaries.list('shelf').catch(() => undefined)
  backups.startClock()
  let timer = setTimeout(pack, A_WHILE_MS)
  function pack(): void {
    void packSome(database, PACKED_AT_ONCE)
      .then((isMore) => {
        if (isMore) timer = setTimeout(pack, A_WHILE_MS).unref()
      })
      .catch((error: unknown) => process.emitWarning(`the history was not packed: ${String(error)}`))
  }
  timer.unref()
  return {
    stop: () => {
      clearTimeout(timer)
      backups.stop()
    },
  }
}
