import { solveLay, type Found, type LayFailure } from '../../core/lay/index.ts'
import type { LayProblem } from '../../contract/index.ts'

export interface LayRequest {
  readonly problem: LayProblem
  readonly seed: number
  readonly seconds: number
}

export type LayMessage =
  | { readonly kind: 'better'; readonly found: Found; readonly seconds: number }
  | { readonly kind: 'done'; readonly found: Found; readonly seconds: number }
  | { readonly kind: 'failed'; readonly failure: LayFailure }

self.onmessage = (event: MessageEvent<LayRequest>) => {
  const { problem, seed, seconds } = event.data
  const started = performance.now()
  const elapsed = () => (performance.now() - started) / 1000
  const tell = (message: LayMessage) => self.postMessage(message)
  const solved = solveLay(problem, { seed, budget: { steps: Infinity, isStopped: () => elapsed() > seconds }, onBetter: (found) => tell({ kind: 'better', found, seconds: elapsed() }) })
  tell(solved.ok ? { kind: 'done', found: solved.value, seconds: elapsed() } : { kind: 'failed', failure: solved.error })
}
