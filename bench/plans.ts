import { Bench } from 'tinybench'
import { Job } from '../contract/index.ts'
import { solveLay } from '../core/lay/index.ts'
import { planJob } from '../core/plan.ts'
import { benchJob } from '../core/testing/jobs.ts'
import { cushionMix } from './problems.ts'
import { printTable } from './table.ts'

/** Recalculation of a whole job without its lay, and the first lay of 60 pieces. */
export async function benchPlans(): Promise<void> {
  const ten: Job = benchJob({ width: 7400, count: 10, gapMm: 0 })
  const sixty = cushionMix(60, 8).problem
  const bench = new Bench({ time: 1500, warmupTime: 300 })
  bench
    .add('planJob, 10 cushions', () => void planJob(ten))
    .add('checking a job document', () => void Job.parse(ten))
    .add('first lay, 60 pieces', () => void solveLay(sixty, { seed: 1, budget: { steps: 1, isStopped: () => true } }))
  await bench.run()
  process.stdout.write('Speed on one thread\n')
  printTable(['what', 'mean', 'p99'], bench.tasks.map((t) => [t.name, ...('latency' in t.result! ? [`${t.result.latency.mean.toFixed(2)} ms`, `${t.result.latency.p99.toFixed(2)} ms`] : ['failed', ''])]))
}
