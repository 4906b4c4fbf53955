import { searchLay } from '../commands/search-lay.ts'
import { acceptLay } from '../core/lay/index.ts'
import { libraryLength } from './libraries.ts'
import { curvedMix } from './curved-mix.ts'
import { cushionMix, cutJigsaw, cutPrint, sawnRectangles, stripedRows, type BenchProblem } from './problems.ts'
import { printTable } from './table.ts'

const QUARTERS = [0, 90, 180, 270]
const PROBLEMS: readonly BenchProblem[] = [
  ...[10, 25, 50, 100, 200].map((n) => sawnRectangles(n, [0], n)),
  ...[12, 30, 60, 120].map((n) => sawnRectangles(n, QUARTERS, n)),
  ...[12, 20, 30].map((n) => cutJigsaw(n, n)),
  ...[8, 20, 60, 120].map((n) => cushionMix(n, n)),
  ...[12, 30, 60].map((n) => curvedMix(n, n)),
  ...[4, 10].map((rows) => stripedRows(rows, rows)),
  ...[15, 30].map((n) => cutPrint(n, 'stripe', n)),
  ...[15, 30].map((n) => cutPrint(n, 'print', n)),
]

/**
 * Length of the best lay over the optimum (or the proven bound, marked ≥) after each of the given times, beside the
 * best that packing libraries find.
 */
export async function benchLays(times: readonly number[]): Promise<void> {
  const longest = Math.max(...times)
  const rows: string[][] = []
  for (const { name, problem, optimum } of PROBLEMS) {
    let first = 0
    const lengths = times.map(() => 0)
    const note = (length: number, elapsed: number) => {
      first ||= elapsed
      times.forEach((t, i) => (lengths[i] = elapsed <= t || lengths[i] === 0 ? length : lengths[i]!))
    }
    const solved = await searchLay(problem, { seed: 1, seconds: longest, steps: Infinity }, (found, elapsed) =>
      note(found.lay.length, elapsed),
    )
    if (!solved.ok) throw new Error(`${name}: ${solved.error.code}`)
    const { found } = solved.value
    // The other lanes tell their best at the end.
    lengths[times.indexOf(longest)] = found.lay.length
    const faults = acceptLay(problem, { ...found.lay, seconds: 0 })
    const reference = optimum ?? found.lay.bound
    const ratio = (length: number) => `${optimum === null ? '≥ ' : ''}${(length / reference).toFixed(4)}`
    const library = libraryLength(problem)
    rows.push([
      name,
      `${(first * 1000).toFixed(0)} ms`,
      ...lengths.map(ratio),
      library === null ? '' : ratio(library),
      found.bound.name,
      faults.length === 0 ? 'sound' : `${faults.length} FAULTS`,
    ])
  }
  process.stdout.write('Lays: length / optimum, or / proven bound where marked ≥\n')
  printTable(['problem', 'first lay', ...times.map((t) => `${t} s`), 'libraries', 'bound', 'check'], rows)
}
