import { LayProblem, MOST_PIECES, readWith } from '../contract/index.ts'
import { acceptLay, problemFaults, type Found } from '../core/lay/index.ts'
import { numberOption, readArguments, UsageError } from './arguments.ts'
import { readJson, writeJson } from './files.ts'
import { searchLay } from './search-lay.ts'
import { failureWords } from './words.ts'

const EXIT = { ok: 0, badProblem: 2, noLay: 3 } as const

/** `lay PROBLEM.json --out LAY.json [--seconds S] [--seed N] [--steps N]`; answers the exit code. */
export async function lay(argv: readonly string[]): Promise<number> {
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

  // Written as it gets better: a search that is killed leaves the best it had.
  let written = -Infinity
  const solved = await searchLay(read.value, { seed, seconds, steps }, (found, elapsed) => {
    say(progressLine(found, elapsed))
    if (out === '-' || elapsed - written < WRITE_EVERY_S) return
    written = elapsed
    writeJson(out, { ...found.lay, seconds: Number(elapsed.toFixed(2)) })
  })
  if (!solved.ok) {
    say(failureWords(solved.error))
    return EXIT.noLay
  }
  const { found, elapsed } = solved.value
  const result = { ...found.lay, seconds: Number(elapsed.toFixed(2)) }
  const doubts = acceptLay(read.value, result)
  if (doubts.length > 0)
    throw new Error(`the planner's lay does not pass its own check: ${JSON.stringify(doubts.slice(0, 3))}`)
  writeJson(out, result)
  say(`${progressLine(found, elapsed)}, ${found.steps} steps`)
  return EXIT.ok
}

const WRITE_EVERY_S = 0.3

const progressLine = (found: Found, seconds: number): string =>
  `${seconds.toFixed(2)} s: ${found.lay.length.toFixed(1)} mm, bound ${found.lay.bound.toFixed(1)} mm (${found.bound.name})`

function say(line: string): void {
  process.stderr.write(`${line}\n`)
}
