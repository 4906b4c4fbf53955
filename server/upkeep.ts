import type { Database } from './db/index.ts'
import { packSome } from './jobs/history.ts'
import type { Backups } from './records/backups.ts'

const A_WHILE_MS = 500
const PACKED_AT_ONCE = 40

/** What a shop does for itself while it is open: backups by the clock, and older revisions packed. */
export function startUpkeep(database: Database, backups: Backups): { readonly stop: () => void } {
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
