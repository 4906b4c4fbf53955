import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

interface Report {
  readonly files: Readonly<Record<string, { readonly mutants: readonly Mutant[] }>>
}
interface Mutant {
  readonly status: string
  readonly mutatorName: string
  readonly replacement?: string
  readonly location: { readonly start: { readonly line: number } }
}

/** Faults that a test run found, or that made it stop. */
const FOUND = new Set(['Killed', 'Timeout'])
/** Faults that nothing came to, or that no test minded. */
const MISSED = new Set(['Survived', 'NoCoverage'])

/**
 * Plants faults in rooms of core (`money`, `cover/piping`), one at a time, and tells by room how many of them its own
 * tests find, and where those lie that they do not.
 */
export function benchMutants(root: string, rooms: readonly string[]): void {
  const folder = mkdtempSync(path.join(tmpdir(), 'mutants-'))
  try {
    for (const room of rooms) tell(room, planted(root, folder, room))
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

function planted(root: string, folder: string, room: string): Report {
  const report = path.join(folder, 'report.json')
  const config = path.join(folder, 'config.json')
  const own = path.join(folder, 'vitest.config.mjs')
  // The tests of the room itself: those of others that come by it take hours, and mind other things.
  const tests = { include: [`core/${room}/**/*.test.ts`], testTimeout: 120_000 }
  writeFileSync(own, `export default ${JSON.stringify({ test: tests })}`)
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'vitest',
      plugins: ['@stryker-mutator/vitest-runner'],
      mutate: [`core/${room}/**/*.ts`, `!core/${room}/**/*.test.ts`],
      // Words are looked at by people: another text is no fault of a figure.
      mutator: { excludedMutations: ['StringLiteral'] },
      reporters: ['json', 'progress-append-only'],
      jsonReporter: { fileName: report },
      coverageAnalysis: 'perTest',
      concurrency: 2,
      tempDirName: path.join(folder, 'sandbox'),
      vitest: { configFile: own, related: false },
    }),
  )
  const run = spawnSync('npx', ['stryker', 'run', config], { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] })
  if (run.status !== 0) throw new Error(`the faults of core/${room} could not be tried: see above`)
  return JSON.parse(readFileSync(report, 'utf8')) as Report
}

function tell(room: string, { files }: Report): void {
  const all = Object.entries(files).flatMap(([file, { mutants }]) => mutants.map((m) => ({ file, ...m })))
  const found = all.filter((m) => FOUND.has(m.status)).length
  const missed = all.filter((m) => MISSED.has(m.status))
  console.log(`core/${room}: ${found} of ${found + missed.length} faults found, ${share(found, missed.length)} %`)
  for (const m of missed)
    console.log(`  ${m.file}:${m.location.start.line} ${m.mutatorName} ${(m.replacement ?? '').slice(0, 60)}`)
}

const share = (found: number, missed: number): string => ((100 * found) / Math.max(1, found + missed)).toFixed(1)
