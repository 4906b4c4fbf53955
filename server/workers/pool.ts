import type { MessagePort } from 'node:worker_threads'
import { Piscina } from 'piscina'
import { takeTurns } from './turns.ts'
import { runsSources, scriptAt, type ScriptName } from './scripts.ts'

export interface RunOptions {
  /** A worker that runs longer than this is ended. */
  readonly deadlineMs: number
  /** Ends the work when whoever asked for it has gone. */
  readonly signal?: AbortSignal
  readonly transferList?: readonly MessagePort[]
}

export interface WorkerPool<Task, Answer> {
  /** @throws OverDeadline when the worker was ended for taking too long; AbortError when the signal ended it. */
  readonly run: (task: Task, options: RunOptions) => Promise<Answer>
  readonly waiting: () => number
  readonly close: () => Promise<void>
}

/** A worker was ended because it took longer than it may. */
export class OverDeadline extends Error {}

/**
 * Threads of one script; each work has a deadline from its own start, after which its thread is ended whatever it does.
 */
export function workerPool<Task, Answer>(script: ScriptName, most: number): WorkerPool<Task, Answer> {
  const pool = new Piscina<Task, Answer>({
    filename: scriptAt(script).href,
    minThreads: 0,
    maxThreads: most,
    idleTimeout: 10_000,
    concurrentTasksPerWorker: 1,
    execArgv: [...runsSources()],
  })
  const turns = takeTurns(most)
  return {
    run: async (task, { deadlineMs, signal, transferList }) => {
      const end = await turns.next(signal)
      const deadline = AbortSignal.timeout(deadlineMs)
      try {
        return await pool.run(task, {
          signal: signal ? AbortSignal.any([deadline, signal]) : deadline,
          ...(transferList ? { transferList: [...transferList] as never } : {}),
        })
      } catch (error) {
        throw deadline.aborted ? new OverDeadline(`the work took longer than ${deadlineMs} ms`) : error
      } finally {
        end()
      }
    },
    waiting: turns.waiting,
    close: () => pool.destroy(),
  }
}
