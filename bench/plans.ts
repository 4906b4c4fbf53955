import { Bench } from 'tinybench'
import { Job, type Grade } from '../contract/index.ts'
import { dayName, dayNumber, planCalendar, type JobToPlan, type Task } from '../core/calendar/index.ts'
import { adviseFoam, loadCaseOf, nestGroup, planCutting, USUAL_CUTTING, type FoamGroup } from '../core/filling/index.ts'
import { freeIn, solveLay } from '../core/lay/index.ts'
import {
  areaOf,
  at,
  boxOf,
  flatten,
  grown,
  isSimple,
  keepLeftOf,
  keepsShape,
  offsetEdges,
  perimeterOf,
  vertex,
  wholeOf,
  type Outline,
} from '../core/outline/index.ts'
import { jobOf } from '../core/job/index.ts'
import { planJob } from '../core/plan/index.ts'
import { DEMO_GRADES, demoJobs } from '../core/demo/index.ts'
import { USUAL_WORKSHOP } from '../core/defaults/index.ts'
import { benchJob, boxSolid, coverOf } from '../core/testing/jobs.ts'
import { cushionMix } from './problems.ts'
import { printTable } from './table.ts'

/** Recalculation of a whole job without its lay, and the first lay of 60 pieces. */
export async function benchPlans(): Promise<void> {
  const long = benchJob({ width: 7400, count: 10, gapMm: 0 })
  const ten: Job = jobOf(long)
  const sixty = cushionMix(60, 8).problem
  const outline = roughOutline(500)
  const grades = manyGrades(500)
  const question = { load: loadCaseOf(long.filling.load), limits: { leastMm: 25, mostMm: 100 }, areaMm2: 4e5 }
  const forty = manyBlocks()
  const hundred = Array.from({ length: 100 }, (_, i) => boxSolid(400 + 3 * i, 400 + i, 80))
  const solved = solveLay(sixty, { seed: 1, budget: { steps: 1, isStopped: () => true } })
  if (!solved.ok) throw new Error(solved.error.code)
  const { lay } = solved.value
  const twoHundredJobs = manyJobs(200)
  const bench = new Bench({ time: 1500, warmupTime: 300 })
  bench
    .add('planJob, 10 cushions', () => void planJob(ten))
    .add('covers of 100 different cushions', () => hundred.forEach((solid) => coverOf(solid)))
    .add('checking a job document', () => void Job.parse(ten))
    .add('first lay, 60 pieces', () => void solveLay(sixty, { seed: 1, budget: { steps: 1, isStopped: () => true } }))
    .add(
      'offset of 500 edges',
      () =>
        void offsetEdges(
          outline,
          outline.map(() => 12),
        ),
    )
    .add('is an outline of 500 edges simple', () => void isSimple(outline))
    .add(
      'area, perimeter, box, flat of 500 edges',
      () => void [areaOf(outline), perimeterOf(outline), boxOf(outline), flatten(outline, 0.05)],
    )
    .add('growing and checking 500 edges', () => void keepsShape(outline, grown(outline, 12, 10)))
    .add('cutting 500 edges in two', () => void keepLeftOf(wholeOf(outline), at(0, 0), at(0, 1)))
    .add('planJob, round bench in 5', () => void planJob(demoJobs()[0]!))
    .add('planJob, leaning berth halves', () => void planJob(demoJobs()[5]!))
    .add('advice, 500 grades in 4 thicknesses', () => void adviseFoam(grades, question))
    .add('largest free piece in a lay of 60 true shapes', () => void freeIn(sixty, lay))
    .add('days of 200 jobs', () => void planCalendar(twoHundredJobs, USUAL_WORKSHOP.calendar, '2026-03-02'))
    .add('first nest of 40 blocks of 8 shapes', () => void nestGroup(forty, USUAL_CUTTING, 1, () => true))
  await bench.run()
  process.stdout.write('Speed on one thread\n')
  printTable(
    ['what', 'mean', 'p99'],
    bench.tasks.map((t) => [
      t.name,
      ...('latency' in t.result!
        ? [`${t.result.latency.mean.toFixed(2)} ms`, `${t.result.latency.p99.toFixed(2)} ms`]
        : ['failed', '']),
    ]),
  )
}

const manyGrades = (count: number): readonly Grade[] =>
  Array.from({ length: count }, (_, i) => ({
    ...DEMO_GRADES[i % DEMO_GRADES.length]!,
    id: `grade-${i}`,
    at40N: DEMO_GRADES[i % DEMO_GRADES.length]!.at40N! * (0.8 + i / 1000),
  }))

/** Jobs of five parts, a day due after each other. */
function manyJobs(count: number): readonly JobToPlan[] {
  const task = (part: Task['part'], resource: Task['resource'], minutes: number): Task => ({
    part,
    resource,
    minutes,
    needs: null,
    cures: part === 'foam',
  })
  const tasks = [
    task('foam', 'bench', 90),
    task('cloth', 'table', 75),
    task('sewing', 'machine', 260),
    task('closing', 'bench', 80),
    task('fitting', 'bench', 20),
  ]
  return Array.from({ length: count }, (_, i) => ({
    id: `J${i}`,
    ticket: `J${i}`,
    tasks,
    dueOn: dayName(dayNumber('2026-03-02') + i),
    orderedOn: null,
    notBefore: null,
    buys: { foam: true, cloth: true },
  }))
}

/** Five blocks each of eight sizes, all of one sheet thickness. */
function manyBlocks(): FoamGroup {
  const blocks = Array.from({ length: 8 }, (_, i) => ({
    design: i,
    letter: String.fromCharCode(65 + i),
    count: 5,
    block: boxSolid(420 + 37 * i, 380 + 23 * i, 75),
    layers: [{ grade: DEMO_GRADES[1]!, thicknessMm: 75 }],
    use: 'bench' as const,
    wadding: null,
  }))
  return planCutting(blocks, USUAL_CUTTING).groups[0]!.group
}

/** A traced outline: a wavy oval, every fifth edge an arc. */
const roughOutline = (edges: number): Outline =>
  Array.from({ length: edges }, (_, i) => {
    const angle = (i / edges) * 2 * Math.PI
    const r = 1 + 0.04 * Math.sin(angle * 9)
    return vertex(at(1000 * r * Math.cos(angle), 700 * r * Math.sin(angle)), i % 5 === 0 ? 0.02 : 0)
  })
