import { and, eq } from 'drizzle-orm'
import { readJob, type JobCard } from '../../contract/index.ts'
import { plainCard, unreadableCard } from '../../core/card/index.ts'
import { jobs, type Database } from '../db/index.ts'
import { workerPool } from '../workers/pool.ts'

export type JobRow = Pick<typeof jobs.$inferSelect, 'id' | 'revision' | 'document'>

export interface CardKeeper {
  /**
   * Works the card of a job out when its turn comes; a newer revision takes the place of one that still waits. A job
   * that has a card already is left until it rests, or for so long: whoever types saves again and again.
   */
  readonly wanted: (row: JobRow, isFirst: boolean) => void
  readonly close: () => Promise<void>
}

/** A card that takes longer is left as what the job says of itself. */
const CARD_DEADLINE_MS = 15_000
const RESTS_MS = 1000
const AT_THE_LATEST_MS = 5000

/** Cards are worked out apart from the shop, one after the other, and kept unless a newer save came in between. */
export function cardKeeper(
  { orm, write }: Database,
  kept: (id: string, revision: number, card: JobCard) => void,
): CardKeeper {
  const pool = workerPool<string, string>('card-worker', 1)
  const waiting = new Map<string, JobRow>()
  const resting = new Map<string, { readonly timer: NodeJS.Timeout; readonly sinceMs: number }>()
  let isWorking = false
  let isClosed = false

  async function work(): Promise<void> {
    if (isWorking) return
    isWorking = true
    for (let row = next(); row && !isClosed; row = next()) await keep(row).catch(() => undefined)
    isWorking = false
  }
  function begin(row: JobRow): void {
    waiting.set(row.id, row)
    void work()
  }
  function next(): JobRow | undefined {
    const [row] = waiting.values()
    if (row) waiting.delete(row.id)
    return row
  }
  async function keep(row: JobRow): Promise<void> {
    const card = await cardOf(row)
    if (isClosed) return
    // Shown even where the file does not take it just now: the next start works it out again.
    kept(row.id, row.revision, card)
    const text = JSON.stringify(card)
    await write(async () => {
      await orm
        .update(jobs)
        .set({ card: text })
        .where(and(eq(jobs.id, row.id), eq(jobs.revision, row.revision)))
    })
  }
  async function cardOf({ document }: JobRow): Promise<JobCard> {
    try {
      return JSON.parse(await pool.run(document, { deadlineMs: CARD_DEADLINE_MS })) as JobCard
    } catch {
      return cardUnplanned(document)
    }
  }
  return {
    wanted: (row, isFirst) => {
      const before = resting.get(row.id)
      clearTimeout(before?.timer)
      resting.delete(row.id)
      const sinceMs = before?.sinceMs ?? performance.now()
      if (isFirst || performance.now() - sinceMs > AT_THE_LATEST_MS) return begin(row)
      const timer = setTimeout(() => {
        resting.delete(row.id)
        begin(row)
      }, RESTS_MS)
      resting.set(row.id, { timer: timer.unref(), sinceMs })
    },
    close: () => {
      isClosed = true
      resting.forEach(({ timer }) => clearTimeout(timer))
      return pool.close()
    },
  }
}

function cardUnplanned(document: string): JobCard {
  try {
    const read = readJob(JSON.parse(document))
    return read.ok ? plainCard(read.value, 'too-long') : unreadableCard(read.faults[0]!.message)
  } catch {
    return unreadableCard('it is not JSON')
  }
}
