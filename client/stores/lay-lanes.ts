import type { Shortfall } from '../../core/cloth/index.ts'
import type { Found, LayFailure } from '../../core/lay/index.ts'
import { acceptLay } from '../../core/lay/index.ts'
import { searchElsewhere } from '../api/lays.ts'
import LayWorker from '../workers/lay.worker.ts?worker'
import type { LayMessage, LayRequest } from '../workers/lay.worker.ts'
import { startTask, type Task } from '../workers/task.ts'

interface Listener {
  readonly onBetter: (found: Found, seconds: number) => void
  /** Once, when all lanes have ended, one has a proof, or the first found that there is no lay. */
  readonly onEnd: (failure: LayFailure | null, shortfall: Shortfall | null) => void
}

/** In so many lanes of this page, and perhaps on the other machines that search for the shop. */
export interface Where {
  readonly lanes: number
  readonly onOthers: boolean
}

/** More lanes than this crowd out the page itself. */
const MOST_LANES = 4

/** As many lanes as there are cores to run them. */
export const laneCount = (): number => Math.max(1, Math.min(MOST_LANES, navigator.hardwareConcurrency || 1))

/**
 * Searches in so many workers at once, each with a lane of its own, and where `onOthers` is said on other machines too.
 * What is found is told as it comes, by any lane.
 */
export function searchInLanes(
  request: Omit<LayRequest, 'lane'>,
  { lanes, onOthers }: Where,
  { onBetter, onEnd }: Listener,
): Task {
  let open = lanes + (onOthers ? 1 : 0)
  const stop = () => [...tasks, others].forEach((task) => task.stop())
  const end = (failure: LayFailure | null, shortfall: Shortfall | null = null) => {
    stop()
    onEnd(failure, shortfall)
  }
  const tasks = Array.from({ length: lanes }, (_, lane) =>
    startTask<LayRequest, LayMessage>({
      worker: LayWorker,
      ask: { ...request, lane },
      isReusable: true,
      isLast: (message) => message.kind !== 'better',
      onMessage: (message) => {
        if (message.kind !== 'failed') onBetter(message.found, message.seconds)
        if (message.kind === 'failed' && lane === 0) end(message.failure, message.shortfall)
        else if (message.kind === 'done' && message.isProven) end(null)
      },
      // A lane that has ended, however, leaves the search to the others.
      onEnd: () => --open === 0 && end(null),
    }),
  )
  const others = onOthers
    ? searchOnOthers(request, onBetter, (isProven) => (isProven || --open === 0) && end(null))
    : { stop: () => undefined }
  return { stop }
}

/** The same search on other machines; what they send is held against the check before it is told. */
function searchOnOthers(
  request: Omit<LayRequest, 'lane'>,
  onBetter: Listener['onBetter'],
  onEnd: (isProven: boolean) => void,
): Task {
  const gone = new AbortController()
  let isProven = false
  void searchElsewhere(request, gone.signal, (message) => {
    if (message.kind === 'ended') isProven = message.isProven
    else if (acceptLay(request.problem, { ...message.found.lay, seconds: message.seconds }).length === 0)
      onBetter(message.found, message.seconds)
  })
    // Others that cannot be asked leave the search to this page.
    .catch(() => undefined)
    .then(() => !gone.signal.aborted && onEnd(isProven))
  return { stop: () => gone.abort() }
}
