import { putAside, takeWorker } from './idle-workers.ts'
import { tellMissingPart } from '../stores/trouble.ts'

/** One piece of work in a worker of its own. Nothing is heard of it after it was stopped. */
export interface Task {
  readonly stop: () => void
}

/** How a task ended by itself: with its last message, by a fault of its own, or not in time. */
export type Ending = 'done' | 'failed' | 'too-long'

export interface TaskSpec<Ask, Message> {
  readonly worker: new () => Worker
  readonly ask: Ask
  /** Whether a message is the last one; without it every message is. */
  readonly isLast?: (message: Message) => boolean
  readonly onMessage: (message: Message) => void
  /** Once, and never after `stop`. */
  readonly onEnd?: (ending: Ending) => void
  readonly deadlineMs?: number
  /** Its worker answers once for each message and holds nothing from one to the next: it is kept for another task. */
  readonly isReusable?: boolean
}

/**
 * Starts a task; it ends by its last message, a fault, its deadline or `stop`, and its worker with it, unless that has
 * done its work and may be used again.
 */
export function startTask<Ask, Message>(spec: TaskSpec<Ask, Message>): Task {
  const worker = spec.isReusable ? takeWorker(spec.worker) : new spec.worker()
  let isOver = false
  // A worker that was put aside is another task's: what is over is not stopped again.
  const close = (release: () => void): void => {
    if (isOver) return
    isOver = true
    clearTimeout(timer)
    release()
  }
  const stop = (): void => close(() => worker.terminate())
  const end = (ending: Ending): void => {
    if (isOver) return
    if (spec.isReusable && ending === 'done') close(() => putAside(spec.worker, worker))
    else stop()
    spec.onEnd?.(ending)
  }
  const timer = spec.deadlineMs === undefined ? undefined : setTimeout(() => end('too-long'), spec.deadlineMs)
  worker.onmessage = ({ data }: MessageEvent<Message>) => {
    if (isOver) return
    spec.onMessage(data)
    if (spec.isLast?.(data) ?? true) end('done')
  }
  worker.onmessageerror = () => end('failed')
  worker.onerror = (event) => {
    // A fault within the worker has words; one of loading its file has none.
    if (typeof event === 'string' || !event.message) tellMissingPart()
    end('failed')
  }
  // What a page holds is reactive; what goes to a worker must be plain.
  worker.postMessage(JSON.parse(JSON.stringify(spec.ask)))
  return { stop }
}
