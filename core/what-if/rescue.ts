import type { Job, LayProblem } from '../../contract/index.ts'
import type { Shortfall } from '../cloth/index.ts'
import { layWhatFits, solveLay, type Found } from '../lay/index.ts'
import { areaOf, at } from '../outline/index.ts'
import { planJob } from '../plan/index.ts'
import { problemKey } from './joint-lay.ts'
import { costsOver, type Costs, type Priced, type Prices } from './priced.ts'
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
  readonly costs: Costs | null
  /** How much is missing of a length in hand; told of the job as it is. */
  readonly shortfall: Shortfall | null
}

/** Tries a way of cutting a job from a cloth, for real: null where it changes nothing. */
export function tryRescue(
  job: Job,
  cloths: RescueCloths,
  rescue: readonly Rescue[],
  prices: Prices,
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
      costs: costsOfAll(job, cloths, { job: changed, plan, laid: laidOn(problem, solved.value.lay.length) }, prices),
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

/** Beside the job as it is, both with the shortest first lays of what is bought. */
function costsOfAll(job: Job, cloths: RescueCloths, way: Priced, prices: Prices): Costs | null {
  const plain = rescued(job, cloths, ['as-it-is'])
  const plan = plain && planJob(plain)
  return plain && plan?.kind === 'worked' ? costsOver(way, { job: plain, plan, laid: new Map() }, prices) : null
}

const laidOn = (problem: LayProblem, lengthMm: number) => new Map([[problemKey(problem), lengthMm]])
