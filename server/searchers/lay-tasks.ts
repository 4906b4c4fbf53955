import { z } from 'zod'
import { FoundLay, SearcherName } from '../../contract/index.ts'
import type { Better, LayAnswer } from '../lays/lay-worker.ts'

/** A lay to be planned, as it lies in the queue. */
export interface QueuedLay {
  readonly text: string
  readonly lane: number
  readonly deadlineMs: number
}

/** How it ended, and who planned it. */
export type QueuedAnswer = LayAnswer & { readonly by: string }

/** A better lay on its way to whoever asked. */
export interface ToldBetter extends Better {
  readonly id: string
  readonly by: string
}

/* Whoever writes to the Redis server may say anything: what comes from there is read as strictly as what a page sends. */

const Seconds = z.number().min(0)
const Told = z.object({ id: z.string(), by: SearcherName, found: FoundLay, seconds: Seconds })
const Answered = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('lay'), found: FoundLay, seconds: Seconds, by: SearcherName }),
  z.object({ kind: z.literal('none'), failure: z.looseObject({ code: z.string() }), by: SearcherName }),
  z.object({
    kind: z.literal('bad-document'),
    faults: z.array(z.object({ path: z.string(), message: z.string() })).min(1),
    by: SearcherName,
  }),
  z.object({ kind: z.literal('not-json'), by: SearcherName }),
])

/** A better lay as it was told; null where it is none. */
export function readBetter(text: string): ToldBetter | null {
  try {
    return Told.safeParse(JSON.parse(text)).data ?? null
  } catch {
    return null
  }
}

/** How a lay ended; null where the answer is none that this release gives. */
export const readAnswer = (answer: unknown): QueuedAnswer | null =>
  (Answered.safeParse(answer).data as QueuedAnswer | undefined) ?? null

/** Names in Redis. Workers whose planner is another never see this queue's lays. */
export const names = (mark: string) => ({
  queue: `lays-${mark}`,
  better: `loft-seam:better:${mark}`,
  stop: `loft-seam:stop:${mark}`,
})

/** The queue's own keys begin so. */
export const PREFIX = 'loft-seam'
