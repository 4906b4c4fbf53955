import type { LayProblem } from '../../contract/index.ts'
import { solveLay } from '../../core/lay/index.ts'

export interface LayTask {
  readonly problem: LayProblem
  readonly seed: number
  readonly seconds: number
  readonly steps: number
}

/** Plans one lay in a worker thread of the server. */
export default function planLay({ problem, seed, seconds, steps }: LayTask) {
  const started = performance.now()
  const elapsed = () => (performance.now() - started) / 1000
  const solved = solveLay(problem, { seed, budget: { steps, isStopped: () => elapsed() > seconds } })
  return solved.ok ? { ok: true as const, lay: { ...solved.value.lay, seconds: Number(elapsed().toFixed(2)) } } : solved
}
