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

/** Names in Redis. Workers whose planner is another never see this queue's lays. */
export const names = (mark: string) => ({
  queue: `lays-${mark}`,
  better: `loft-seam:better:${mark}`,
  stop: `loft-seam:stop:${mark}`,
})

/** The queue's own keys begin so. */
export const PREFIX = 'loft-seam'
