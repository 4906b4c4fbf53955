import { Bench } from 'tinybench'
import { Job } from '../contract/index.ts'
import { solveLay } from '../core/lay/index.ts'
import { areaOf, at, boxOf, flatten, grown, isSimple, keepLeftOf, keepsShape, offsetEdges, perimeterOf, vertex, wholeOf, type Outline } from '../core/outline/index.ts'
import { planJob } from '../core/plan.ts'
import { demoJobs } from '../core/shop/index.ts'
import { benchJob } from '../core/testing/jobs.ts'
import { cushionMix } from './problems.ts'
import { printTable } from './table.ts'

/** Recalculation of a whole job without its lay, and the first lay of 60 pieces. */
export async function benchPlans(): Promise<void> {
  const ten: Job = benchJob({ width: 7400, count: 10, gapMm: 0 })
  const sixty = cushionMix(60, 8).problem
  const outline = roughOutline(500)
  const bench = new Bench({ time: 1500, warmupTime: 300 })
  bench
    .add('planJob, 10 cushions', () => void planJob(ten))
    .add('checking a job document', () => void Job.parse(ten))
    .add('first lay, 60 pieces', () => void solveLay(sixty, { seed: 1, budget: { steps: 1, isStopped: () => true } }))
    .add('offset of 500 edges', () => void offsetEdges(outline, outline.map(() => 12)))
    .add('is an outline of 500 edges simple', () => void isSimple(outline))
    .add('area, perimeter, box, flat of 500 edges', () => void [areaOf(outline), perimeterOf(outline), boxOf(outline), flatten(outline, 0.05)])
    .add('growing and checking 500 edges', () => void keepsShape(outline, grown(outline, 12, 10)))
    .add('cutting 500 edges in two', () => void keepLeftOf(wholeOf(outline), at(0, 0), at(0, 1)))
    .add('planJob, round bench in 5', () => void planJob(demoJobs()[0]!))
    .add('planJob, leaning berth halves', () => void planJob(demoJobs()[5]!))
  await bench.run()
  process.stdout.write('Speed on one thread\n')
  printTable(['what', 'mean', 'p99'], bench.tasks.map((t) => [t.name, ...('latency' in t.result! ? [`${t.result.latency.mean.toFixed(2)} ms`, `${t.result.latency.p99.toFixed(2)} ms`] : ['failed', ''])]))
}

/** A traced outline: a wavy oval, every fifth edge an arc. */
const roughOutline = (edges: number): Outline =>
  Array.from({ length: edges }, (_, i) => {
    const angle = (i / edges) * 2 * Math.PI
    const r = 1 + 0.04 * Math.sin(angle * 9)
    return vertex(at(1000 * r * Math.cos(angle), 700 * r * Math.sin(angle)), i % 5 === 0 ? 0.02 : 0)
  })
