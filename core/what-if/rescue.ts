import type { Job, LayProblem } from '../../contract/index.ts'
import type { Shortfall } from '../cloth/index.ts'
import { layWhatFits, solveLay, type Found } from '../lay/index.ts'
import { areaOf, at } from '../outline/index.ts'
import { planJob } from '../plan/index.ts'
import { problemKey } from './joint-lay.ts'
import { costsOver, type Costs, type Priced, type Prices } from './priced.ts'
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
  if (!changed) return null
  const asked = { job, cloths, rescue, prices }
  const clothId = cloths.cloth.id
  if (rescue.includes('strips-to-the-lay')) {
    const split = splitToLay({ job: changed, clothId, prices, laid: new Map(), spent })
    return split ? fits(asked, withSplitLay(changed, clothId, split), split.lay, split) : fitsNot(asked, changed)
  }
  const own = laysOf(changed, clothId)
  const solved =
    own && solveLay(own.lay.problem, { seed: 1, budget: { steps: Infinity, isStopped: () => spent() >= 1 } })
  return solved?.ok ? fits(asked, changed, solved.value.lay, null) : fitsNot(asked, changed)
}

interface Asked {
  readonly job: Job
  readonly cloths: RescueCloths
  readonly rescue: readonly Rescue[]
  readonly prices: Prices
}

function laysOf(job: Job, clothId: string) {
  const plan = planJob(job)
  const lay = plan.kind === 'worked' ? plan.cloth.lays.find((l) => l.cloth.id === clothId) : undefined
  return plan.kind === 'worked' && lay ? { plan, lay } : null
}

function fits(asked: Asked, changed: Job, lay: Found['lay'], split: SplitLay | null): Attempt | null {
  const { job, cloths, rescue, prices } = asked
  const own = laysOf(changed, cloths.cloth.id)
  if (!own) return null
  const { problem } = own.lay
  const way = { job: changed, plan: own.plan, laid: new Map([[problemKey(problem), lay.length]]) }
  const costs = costsOfAll(job, cloths, way, prices)
  return { rescue, problem, found: { lay }, split, missing: [], missingMm2: 0, costs, shortfall: null }
}

/** Null where nothing of it is missing: then the way changes nothing. */
function fitsNot({ cloths, rescue }: Asked, changed: Job): Attempt | null {
  const own = laysOf(changed, cloths.cloth.id)
  if (!own) return null
  const { problem, pieces } = own.lay
  const left = notLaid(
    problem,
    pieces.map((p) => p.of?.panel.name ?? p.name),
  )
  if (left.length === 0) return null
  const inHand = rescue[0] === 'as-it-is' ? inHandOf(changed, own.lay) : null
  return {
    rescue,
    problem,
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
function costsOfAll(job: Job, cloths: RescueCloths, way: Priced, prices: Prices): Costs | null {
  const plain = rescued(job, cloths, ['as-it-is'])
  const plan = plain && planJob(plain)
  return plain && plan?.kind === 'worked' ? costsOver(way, { job: plain, plan, laid: new Map() }, prices) : null
}
