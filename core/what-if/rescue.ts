import type { Job, LayProblem } from '../../contract/index.ts'
import type { ClothLay, Shortfall } from '../cloth/index.ts'
import { layWhatFits, solveLay, type Found } from '../lay/index.ts'
import { areaOf, at } from '../outline/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { problemKey } from './joint-lay.ts'
import { costsOver, type Costs, type Prices } from './priced.ts'
import { splitToLay, withSplitLay, type SplitLay } from './split-to-lay.ts'
import { rescued, type Rescue, type RescueCloths } from './rescued.ts'
import { inHandOf, shortfallOf } from './shortfall.ts'

/** What a way of cutting was found to give. */
export interface Attempt {
  readonly rescue: readonly Rescue[]
  /** The lay of the cloth, where all fits. */
  readonly found: Pick<Found, 'lay'> | null
  /** How the piping is cut for that lay, where it is chosen with it. */
  readonly split: SplitLay | null
  /** What the pieces are called that find no place, and the area they want. */
  readonly missing: readonly string[]
  readonly missingMm2: number
  readonly problem: LayProblem
  /** What it costs more than the job as it is, had the cloth been enough; null where it does not fit. */
  readonly costs: Costs | null
  /** How much is missing of a length in hand; told of the job as it is. */
  readonly shortfall: Shortfall | null
}

/**
 * Tries a way of cutting a job from a cloth, for real: null where it changes nothing. `spent`: how much of its time is
 * over, from 0 to 1.
 */
export function tryRescue(
  job: Job,
  cloths: RescueCloths,
  rescue: readonly Rescue[],
  prices: Prices,
  spent: () => number,
): Attempt | null {
  const changed = rescued(job, cloths, rescue)
  const own = changed && workedOn(changed, cloths)
  if (!own) return null
  const fits = (way: Way, lay: Found['lay'], split: SplitLay | null): Attempt => {
    const costs = costsOfAll(job, cloths, way, lay.length, prices)
    return { ...NOTHING_MISSING, rescue, problem: way.lay.problem, found: { lay }, split, costs }
  }
  if (rescue.includes('strips-to-the-lay')) {
    const clothId = cloths.cloth.id
    const split = splitToLay({ job: own.job, clothId, prices, laid: new Map(), spent })
    const way = split && workedOn(withSplitLay(own.job, clothId, split), cloths)
    return split && way ? fits(way, split.lay, split) : fitsNot(rescue, own)
  }
  const budget = { steps: Infinity, isStopped: () => spent() >= 1 }
  const solved = solveLay(own.lay.problem, { seed: 1, budget })
  return solved.ok ? fits(own, solved.value.lay, null) : fitsNot(rescue, own)
}

/** A ticket as it is planned, and what is cut from the cloth in question. */
interface Way {
  readonly job: Job
  readonly plan: WorkedPlan
  readonly lay: ClothLay
}

function workedOn(job: Job, { cloth }: RescueCloths): Way | null {
  const plan = planJob(job)
  if (plan.kind !== 'worked') return null
  const lay = plan.cloth.lays.find((l) => l.cloth.id === cloth.id)
  return lay ? { job, plan, lay } : null
}

const NOTHING_MISSING = { missing: [], missingMm2: 0, shortfall: null } as const

/** Null where nothing of it is missing: then the way changes nothing. */
function fitsNot(rescue: readonly Rescue[], { job, lay }: Way): Attempt | null {
  const left = notLaid(
    lay.problem,
    lay.pieces.map((p) => p.of?.panel.name ?? p.name),
  )
  if (left.length === 0) return null
  const inHand = rescue[0] === 'as-it-is' ? inHandOf(job, lay) : null
  return {
    rescue,
    problem: lay.problem,
    found: null,
    split: null,
    missing: left.map((p) => p.name),
    missingMm2: left.reduce((sum, p) => sum + p.areaMm2, 0),
    costs: null,
    shortfall: inHand && shortfallOf(inHand),
  }
}

/** The ticket cut as an attempt has it, with the strips and the lay that were found for each other. */
export function withRescue(job: Job, cloths: RescueCloths, { rescue, split }: Pick<Attempt, 'rescue' | 'split'>): Job {
  const changed = rescued(job, cloths, rescue) ?? job
  return split ? withSplitLay(changed, cloths.cloth.id, split) : changed
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

/** Beside the job as it is, both with the shortest first lays of what is bought. */
function costsOfAll(
  job: Job,
  cloths: RescueCloths,
  { lay, ...way }: Way,
  laidMm: number,
  prices: Prices,
): Costs | null {
  const plain = rescued(job, cloths, ['as-it-is'])
  const plan = plain && planJob(plain)
  if (plan?.kind !== 'worked') return null
  const laid = new Map([[problemKey(lay.problem), laidMm]])
  return costsOver({ ...way, laid }, { job: plain!, plan, laid: new Map() }, prices)
}
