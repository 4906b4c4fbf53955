import type { Shortfall } from '../../core/cloth/index.ts'
import type { Found, LayFailure } from '../../core/lay/index.ts'
import { watched } from '../workers/watched.ts'
import LayWorker from '../workers/lay.worker.ts?worker'
import type { LayMessage, LayRequest } from '../workers/lay.worker.ts'

/** One search for a lay: what it finds is told as it comes, by any of its lanes. */
export interface LaySearch {
  readonly stop: () => void
}

interface Listener {
  readonly onBetter: (found: Found, seconds: number) => void
  /** Once, when all lanes have ended, one has a proof, or the search failed. */
  readonly onEnd: (failure: LayFailure | null, shortfall: Shortfall | null) => void
}

/** More lanes than this crowd out the page itself. */
const MOST_LANES = 4

/** As many lanes as there are cores to run them. */
export const laneCount = (): number => Math.max(1, Math.min(MOST_LANES, navigator.hardwareConcurrency || 1))

/** Searches in so many workers at once, each with a lane of its own. */
export function searchInLanes(
  request: Omit<LayRequest, 'lane'>,
  lanes: number,
  { onBetter, onEnd }: Listener,
): LaySearch {
  const workers = Array.from({ length: lanes }, () => watched(new LayWorker()))
  let open = workers.length
  const stop = () => workers.forEach((w) => w.terminate())
  const end = (failure: LayFailure | null, shortfall: Shortfall | null = null) => {
    stop()
    onEnd(failure, shortfall)
  }
  // A job is reactive; what goes to a worker must be plain.
  const plain = JSON.parse(JSON.stringify(request)) as typeof request
  workers.forEach((worker, lane) => {
    worker.onmessage = ({ data }: MessageEvent<LayMessage>) => {
      if (data.kind === 'failed' && lane === 0) return end(data.failure, data.shortfall)
      if (data.kind === 'failed') {
        // A lane that fails has ended; the others go on.
        worker.terminate()
        return void (--open === 0 && end(null))
      }
      onBetter(data.found, data.seconds)
      if (data.kind === 'done' && (--open === 0 || data.isProven)) end(null)
    }
    worker.onerror = () => end(null)
    worker.postMessage({ ...plain, lane } satisfies LayRequest)
  })
  return { stop }
}
