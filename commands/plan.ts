import { readJob, type Lay, type LayProblem } from '../contract/index.ts'
import { solveLay, type LayFailure } from '../core/lay/index.ts'
import { ok, type Result } from '../core/result/index.ts'
import { planJob } from '../core/plan/index.ts'
import { planDocument } from '../core/plan/index.ts'
import { warningWords, type Warning } from '../core/warnings/index.ts'
import { inHandOf, shortfallOf } from '../core/what-if/index.ts'
import { numberOption, readArguments } from './arguments.ts'
import { readJson, writeJson } from './files.ts'
import { withFoamNested } from './nest-foam.ts'
import { failureWords } from './words.ts'

/**
 * `plan JOB.json [--out PLAN.json] [--seconds S]`: the main job without a browser. Exit 2 on a bad job file, 3 when no
 * lay exists.
 */
export function plan(argv: readonly string[]): number {
  const args = readArguments(argv, ['out', 'seconds'])
  const seconds = numberOption(args, 'seconds', 2, 0.01, 3600)
  const read = readJob(readJson(args.file))
  if (!read.ok) {
    for (const f of read.faults) process.stderr.write(`${f.path}: ${f.message}\n`)
    return 2
  }
  const job = read.value
  const planned = withFoamNested(job, planJob(job), seconds / 4)
  const lays = planned.kind === 'worked' ? planned.cloth.lays : []
  const solved = lays.map(({ problem }) => timedLay(problem, seconds / lays.length))
  const stops = lays.flatMap((own, i): Warning[] => {
    const inHand = solved[i]!.ok ? null : inHandOf(job, own)
    return inHand
      ? [
          {
            station: 'lay',
            level: 'stop',
            code: 'cloth-too-short',
            cloth: own.cloth.name,
            shortfall: shortfallOf(inHand),
          },
        ]
      : []
  })
  writeJson(
    args.options.get('out') ?? '-',
    planDocument(
      job,
      planned,
      solved.map((s) => (s.ok ? s.value : null)),
      stops,
    ),
  )
  for (const stop of stops) process.stderr.write(`${warningWords(stop, job.units).says}\n`)
  const failed = solved.flatMap((s) => (s.ok ? [] : [s.error]))
  for (const failure of failed) process.stderr.write(`no lay: ${failureWords(failure)}\n`)
  return failed.length > 0 ? 3 : 0
}

/** The best lay found in so many seconds. */
function timedLay(problem: LayProblem, seconds: number): Result<Lay, LayFailure> {
  const started = performance.now()
  const elapsed = () => (performance.now() - started) / 1000
  const solved = solveLay(problem, { seed: 1, budget: { steps: Infinity, isStopped: () => elapsed() > seconds } })
  return solved.ok ? ok({ ...solved.value.lay, seconds: Number(elapsed().toFixed(2)) }) : solved
}
