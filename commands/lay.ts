import { LayProblem, MOST_PIECES, readWith } from '../contract/index.ts'
import { acceptLay, problemFaults, solveLay, type Found } from '../core/lay/index.ts'
import { numberOption, readArguments, UsageError } from './arguments.ts'
import { readJson, writeJson } from './files.ts'
import { failureWords } from './words.ts'

const EXIT = { ok: 0, badProblem: 2, noLay: 3 } as const

/** `lay PROBLEM.json --out LAY.json [--seconds S] [--seed N]`; answers the exit code. */
export function lay(argv: readonly string[]): number {
  const args = readArguments(argv, ['out', 'seconds', 'seed', 'steps'])
  const out = args.options.get('out')
  if (out === undefined) throw new UsageError('--out LAY.json is missing')
  const seconds = numberOption(args, 'seconds', 10, 0.01, 3600)
  const seed = Math.trunc(numberOption(args, 'seed', 1, 0, 2 ** 31))
  const steps = numberOption(args, 'steps', Infinity, 1, 1e12)

  const read = readWith(LayProblem, readJson(args.file))
  const faults = read.ok ? problemFaults(read.value, MOST_PIECES) : read.faults
  if (!read.ok || faults.length > 0) {
    for (const f of faults) say(`${f.path}: ${f.message}`)
    return EXIT.badProblem
  }

  const started = performance.now()
  const elapsed = () => (performance.now() - started) / 1000
  const isStopped = () => elapsed() > seconds * 0.97
  const solved = solveLay(read.value, { seed, budget: { steps, isStopped }, onBetter: (found) => say(progressLine(found, elapsed())) })
  if (!solved.ok) {
    say(failureWords(solved.error))
    return EXIT.noLay
  }
  const result = { ...solved.value.lay, seconds: Number(elapsed().toFixed(2)) }
  const doubts = acceptLay(read.value, result)
  if (doubts.length > 0) throw new Error(`the planner's lay does not pass its own check: ${JSON.stringify(doubts.slice(0, 3))}`)
  writeJson(out, result)
  say(`${progressLine(solved.value, elapsed())}, ${solved.value.steps} steps`)
  return EXIT.ok
}

const progressLine = (found: Found, seconds: number): string =>
  `${seconds.toFixed(2)} s: ${found.lay.length.toFixed(1)} mm, bound ${found.lay.bound.toFixed(1)} mm (${found.bound.name})`

function say(line: string): void {
  process.stderr.write(`${line}\n`)
}
