import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import type { LayProblem } from '../contract/index.ts'
import { bestOf, isProven, solveLay, type Found, type LayFailure } from '../core/lay/index.ts'
import { ok, type Result } from '../core/result/index.ts'

export interface LaneTask {
  readonly problem: LayProblem
  readonly seed: number
  readonly lane: number
  readonly seconds: number
  /** One number shared by all lanes; other than 0 once a lane has a proven lay. */
  readonly isOver: Int32Array
}

interface Search {
  readonly seed: number
  readonly seconds: number
  readonly steps: number
}

/**
 * Searches on every core, a lane on each, and answers the best lay of all. With a budget of steps
 * one lane alone, so that the answer is the same on any machine.
 */
export async function searchLay(
  problem: LayProblem,
  { seed, seconds, steps }: Search,
  onBetter: (found: Found, elapsed: number) => void,
): Promise<Result<{ found: Found; elapsed: number }, LayFailure>> {
  const started = performance.now()
  const elapsed = () => (performance.now() - started) / 1000
  const isOver = new Int32Array(new SharedArrayBuffer(4))
  const lanes = Number.isFinite(steps) ? 1 : availableParallelism()
  const others = Array.from({ length: lanes - 1 }, (_, i) =>
    otherLane({ problem, seed, lane: i + 1, seconds: seconds * SHARE_OF_TIME, isOver }),
  )
  const isStopped = () => Atomics.load(isOver, 0) !== 0 || elapsed() > seconds * SHARE_OF_TIME
  const own = solveLay(problem, { seed, budget: { steps, isStopped }, onBetter: (found) => onBetter(found, elapsed()) })
  if (!own.ok || isProven(own.value.lay)) Atomics.store(isOver, 0, 1)
  const found = (await Promise.all(others.map((o) => o.found))).filter((f) => f !== null)
  if (own.ok) found.push(own.value)
  else if (found.length === 0) return own
  return ok({ found: bestOf(found), elapsed: elapsed() })
}

/** What is left of the time goes into checking and writing. */
const SHARE_OF_TIME = 0.97

/** A lane in a thread; null when it found nothing, or could not be asked. */
function otherLane(task: LaneTask): { readonly found: Promise<Found | null> } {
  const worker = new Worker(new URL('./lay-lane.ts', import.meta.url), { workerData: task, execArgv: process.execArgv })
  const found = new Promise<Found | null>((resolve) => {
    worker.once('message', resolve)
    worker.once('error', () => resolve(null))
    worker.once('exit', () => resolve(null))
  })
  return { found: found.finally(() => void worker.terminate()) }
}
