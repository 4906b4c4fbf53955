import { isProven, solveAround, type Found, type LayFailure } from '../../core/lay/index.ts'
import type { Shortfall } from '../../core/cloth/index.ts'
import { shortfallOf, type InHand } from '../../core/what-if/index.ts'
import type { Lay, LayProblem } from '../../contract/index.ts'
import { searchTime, type SearchTime } from './search-time.ts'

export interface LayRequest extends SearchTime {
  readonly problem: LayProblem
  readonly seed: number
  readonly lane: number
  /** What is missing of a cloth in hand is worked out where there is no lay; null where it is bought. */
  readonly inHand: InHand | null
  /** A lay to go on from. */
  readonly from?: Lay
  /** Pieces that stay where this lay has them. */
  readonly locked: { readonly lay: Pick<Lay, 'placements' | 'offsets'>; readonly keys: readonly string[] }
}

export type LayMessage =
  | { readonly kind: 'better'; readonly found: Found; readonly seconds: number }
  | { readonly kind: 'done'; readonly found: Found; readonly isProven: boolean; readonly seconds: number }
  | { readonly kind: 'failed'; readonly failure: LayFailure; readonly shortfall: Shortfall | null }

self.onmessage = (event: MessageEvent<LayRequest>) => {
  const { problem, seed, lane, locked, inHand, from } = event.data
  const started = performance.now()
  const elapsed = () => (performance.now() - started) / 1000
  const time = searchTime(event.data, elapsed)
  const tell = (message: LayMessage) => self.postMessage(message)
  const solved = solveAround(problem, locked.lay, new Set(locked.keys), {
    seed,
    lane,
    ...(from ? { from } : {}),
    budget: { steps: Infinity, isStopped: time.isOver },
    onBetter: (found) => {
      time.found()
      tell({ kind: 'better', found, seconds: elapsed() })
    },
  })
  tell(
    solved.ok
      ? { kind: 'done', found: solved.value, isProven: isProven(solved.value.lay), seconds: elapsed() }
      : { kind: 'failed', failure: solved.error, shortfall: inHand && lane === 0 ? shortfallOf(inHand) : null },
  )
}
