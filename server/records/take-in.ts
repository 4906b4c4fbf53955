import { randomUUID } from 'node:crypto'
import { MessageChannel } from 'node:worker_threads'
import { LONGEST_MS, type RecordsParts } from './parts.ts'
import type { RecordsAnswer } from './records-worker.ts'
import { giveTurns } from './turns-over-port.ts'
import { takeOutUnfinished } from './unfinished.ts'

/** Of the whole: how much further an archive has come when that is told again. */
const TOLD_SHARE = 0.02

/** Takes in an archive beside all other writing, telling how far it has come; what is left of one that failed goes. */
export async function takenIn(
  file: string,
  { database, hub, records }: Pick<RecordsParts, 'database' | 'hub' | 'records'>,
): Promise<RecordsAnswer> {
  const { port1: mine, port2: turns } = new MessageChannel()
  let last = 0
  const giving = giveTurns(mine, database.write, (share) => {
    if (share - last < TOLD_SHARE && share < 1) return
    last = share
    hub.tell({ kind: 'import', doneShare: share })
  })
  const task = { do: 'take', databaseFile: database.file, file, coming: randomUUID(), turns } as const
  try {
    return await records.run(task, { deadlineMs: LONGEST_MS, transferList: [turns] })
  } finally {
    giving.end()
    await takeOutUnfinished(database)
  }
}
