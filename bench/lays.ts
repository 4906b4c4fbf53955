import { acceptLay, solveLay } from '../core/lay/index.ts'
import { cushionMix, cutJigsaw, sawnRectangles, stripedRows, type BenchProblem } from './problems.ts'
import { printTable } from './table.ts'

const QUARTERS = [0, 90, 180, 270]
const PROBLEMS: readonly BenchProblem[] = [
  sawnRectangles(12, [0], 1),
  sawnRectangles(40, [0], 2),
  sawnRectangles(120, [0], 3),
  sawnRectangles(25, QUARTERS, 4),
  cutJigsaw(14, 5),
  cutJigsaw(28, 6),
  cushionMix(20, 7),
  cushionMix(60, 8),
  stripedRows(4, 9),
  stripedRows(10, 10),
]

/** Length of the best lay over the optimum (or the proven bound, marked ≥) after each of the given times. */
export function benchLays(times: readonly number[]): void {
  const rows = PROBLEMS.map(({ name, problem, optimum }) => {
    const started = performance.now()
    const elapsed = () => (performance.now() - started) / 1000
    let first = 0
    const lengths = times.map(() => 0)
    const note = (length: number) => {
      first ||= elapsed()
      times.forEach((t, i) => (lengths[i] = elapsed() <= t || lengths[i] === 0 ? length : lengths[i]!))
    }
    const longest = Math.max(...times)
    const solved = solveLay(problem, { seed: 1, budget: { steps: Infinity, isStopped: () => elapsed() > longest }, onBetter: (f) => note(f.lay.length) })
    if (!solved.ok) return [name, 'no lay', ...times.map(() => ''), '', '']
    const faults = acceptLay(problem, { ...solved.value.lay, seconds: 0 })
    const reference = optimum ?? solved.value.lay.bound
    return [name, `${(first * 1000).toFixed(0)} ms`, ...lengths.map((l) => `${optimum === null ? '≥ ' : ''}${(l / reference).toFixed(4)}`), String(solved.value.steps), faults.length === 0 ? 'sound' : `${faults.length} FAULTS`]
  })
  process.stdout.write('Lays: length / optimum, or / proven bound where marked ≥\n')
  printTable(['problem', 'first lay', ...times.map((t) => `${t} s`), 'steps', 'check'], rows)
}
