import type { Job, LayProblem, Rates, Trim } from '../../contract/index.ts'
import type { Shortfall } from '../cloth/index.ts'
import { instanceOf, layWhatFits, lowerBound, solveLay, type Found } from '../lay/index.ts'
import { buyingList } from '../lists/index.ts'
import { totalMinutes, workOrder } from '../making/index.ts'
import { areaOf, at } from '../outline/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { rescued, type Rescue, type RescueCloths } from './rescued.ts'
import { inHandOf, shortfallOf } from './shortfall.ts'

/** What a way of cutting was found to give. */
export interface Attempt {
  readonly rescue: readonly Rescue[]
  /** The lay of the cloth, where all fits. */
  readonly found: Found | null
  /** What the pieces are called that find no place, and the area they want. */
  readonly missing: readonly string[]
  readonly missingMm2: number
  readonly problem: LayProblem
  /** What it costs more than the job as it is, had the cloth been enough; null where it does not fit. */
  readonly costs: { readonly money: number | null; readonly minutes: number } | null
  /** How much is missing of a length in hand; told of the job as it is. */
  readonly shortfall: Shortfall | null
}

/** What a rescue is priced by. */
export interface RescuePrices {
  readonly rates: Rates
  readonly shelf: readonly Trim[]
}

/** Tries a way of cutting a job from a cloth, for real: null where it changes nothing. */
export function tryRescue(
  job: Job,
  cloths: RescueCloths,
  rescue: readonly Rescue[],
  prices: RescuePrices,
  isStopped: () => boolean,
): Attempt | null {
  const changed = rescued(job, cloths, rescue)
  const plan = changed && planJob(changed)
  if (!changed || plan?.kind !== 'worked') return null
  const lay = plan.cloth.lays.find((l) => l.cloth.id === cloths.cloth.id)
  if (!lay) return null
  const { problem, pieces } = lay
  const base = { rescue, problem }
  const solved = solveLay(problem, { seed: 1, budget: { steps: Infinity, isStopped } })
  if (solved.ok)
    return {
      ...base,
      found: solved.value,
      missing: [],
      missingMm2: 0,
      costs: costsOver(job, cloths, { job: changed, plan, laidMm: solved.value.lay.length }, prices),
      shortfall: null,
    }
  const left = notLaid(
    problem,
    pieces.map((p) => p.of?.panel.name ?? p.name),
  )
  const inHand = rescue[0] === 'as-it-is' ? inHandOf(changed, lay) : null
  return {
    ...base,
    found: null,
    missing: left.map((p) => p.name),
    missingMm2: left.reduce((sum, p) => sum + p.areaMm2, 0),
    costs: null,
    shortfall: inHand && shortfallOf(inHand),
  }
}

const MISSING_STEPS = 60

function notLaid(problem: LayProblem, names: readonly string[]) {
  const laid = layWhatFits(problem, { seed: 1, budget: { steps: MISSING_STEPS, isStopped: () => false } }, 'least area')
  return problem.pieces.flatMap((piece, i) =>
    Array.from({ length: piece.qty - laid.placements.filter((q) => q.id === piece.id).length }, () => ({
      name: names[i]!,
      areaMm2: Math.abs(areaOf(piece.outline.map(([x, y]) => at(x, y)))),
    })),
  )
}

interface Priced {
  readonly job: Job
  readonly plan: WorkedPlan
  readonly laidMm: number | null
}

/** Materials and minutes beside those of the job as it is, both with the shortest first lays of what is bought. */
function costsOver(job: Job, cloths: RescueCloths, way: Priced, prices: RescuePrices): Attempt['costs'] {
  const plain = rescued(job, cloths, ['as-it-is'])
  const plan = plain && planJob(plain)
  if (!plain || plan?.kind !== 'worked') return null
  const before: Priced = { job: plain, plan, laidMm: null }
  const [now, then] = [materialsOf(way, cloths, prices), materialsOf(before, cloths, prices)]
  return {
    money: now === null || then === null ? null : now - then,
    minutes: minutesOf(way, prices) - minutesOf(before, prices),
  }
}

const minutesOf = ({ job, plan }: Priced, { rates }: RescuePrices): number =>
  totalMinutes(workOrder(job, plan), rates).value

/** Null where a cloth that is bought cannot be laid; what is in hand costs nothing, whether it is enough or not. */
function materialsOf({ job, plan, laidMm }: Priced, { cloth }: RescueCloths, { shelf }: RescuePrices): number | null {
  const lengths = plan.cloth.lays.map(({ problem, cloth: own }) => {
    const boundMm = lowerBound(instanceOf(problem)).length
    if (own.id === cloth.id && laidMm !== null) return { laidMm, boundMm }
    const solved = solveLay(problem, FIRST_ANSWER)
    return { laidMm: solved.ok ? solved.value.lay.length : own.supply.kind === 'to-buy' ? null : 0, boundMm }
  })
  return lengths.some((l) => l.laidMm === null) ? null : buyingList(job, plan, lengths, shelf).total.value
}

const FIRST_ANSWER = { seed: 1, budget: { steps: Infinity, isStopped: () => true } } as const
