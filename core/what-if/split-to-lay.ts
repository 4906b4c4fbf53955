import type { Cloth, Job, Lay, LayPiece, LayProblem, PipingSplit, Placement } from '../../contract/index.ts'
import type { ClothLay, PipingStrips } from '../cloth/index.ts'
import { inEveryPart } from '../job/index.ts'
import { solveLay, usedLength } from '../lay/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { isInch, MM_PER_INCH } from '../units/index.ts'
import { clothCost } from './lay-choices.ts'
import { keptLay, problemKey } from './joint-lay.ts'
import { costsOver, savedMoney, type Costs, type Prices } from './priced.ts'
import { besidePanels, pipedFrom, placementsOf, splitsOf, type Bare, type Beside } from './strips-beside-panels.ts'

/** Piping cut from strips as the lay has room for them. */
export interface SplitLay {
  /** By the letters of the parts that are piped from the cloth. */
  readonly splits: Readonly<Record<string, PipingSplit>>
  readonly key: string
  readonly lay: Lay
  /** Strips over all, and as the ticket has them. */
  readonly strips: { readonly now: number; readonly before: number }
  readonly costs: Costs
}

export interface SplitAsked {
  readonly job: Job
  readonly clothId: string
  readonly prices: Prices
  /** Lengths of the lays as they are, mm, by the keys of their pieces. */
  readonly laid: ReadonlyMap<string, number>
  /** How much of its time is over, from 0 to 1. */
  readonly spent: () => number
}

/** The panels by themselves have so much of the time; after so much no more joins are tried. */
const PANELS_SHARE = 0.35
const WAYS_SHARE = 0.7

/** So many joins in a run beyond the fewest are tried. */
const MOST_MORE = 3

/**
 * Chooses the strips of all piping that is cut from a cloth together with its lay: the panels are laid without them, runs
 * are shared out among the rows that these leave free, of all ways the one is taken that saves most in cloth and minutes
 * together, and the search goes on from there. Null where nothing of the cloth is piping, where it is folded, and where
 * panels and strips do not all go on it.
 */
export function splitToLay(asked: SplitAsked): SplitLay | null {
  const { job, clothId, spent } = asked
  const before = planJob(job)
  const own = before.kind === 'worked' ? before.cloth.lays.find((l) => l.cloth.id === clothId) : undefined
  if (before.kind !== 'worked' || !own || own.isFolded) return null
  const piping = pipedFrom(before, clothId).flatMap((p) => p.strips)
  const panels = withoutStrips(own, piping)
  const bare = panels.pieces.length === 0 ? NOTHING : laidIn(panels, () => spent() > PANELS_SHARE)
  if (!bare || piping.length === 0) return null
  const beside = besidePanels(panels, bare, piping, isInch(job.units) ? MM_PER_INCH / 2 : 10)
  const ways: Beside[] = []
  for (let moreJoins = 0; moreJoins <= MOST_MORE && spent() < WAYS_SHARE; moreJoins++) ways.push(...beside(moreJoins))
  const best = dearestSaved(worthPricing(ways, own.cloth).flatMap((strips) => wayOf(asked, before, bare, strips) ?? []))
  if (!best) return null
  const { splits, key, strips, problem } = best
  const lay = laidIn(problem, () => spent() >= 1, best.lay)
  return lay && { splits, key, strips, lay, costs: costsOf(asked, before, best, lay.length) }
}

/** Ways that no other beats both in strips and in cloth to be bought; of equals the shortest. */
function worthPricing(ways: readonly Beside[], cloth: Cloth): readonly Beside[] {
  const measured = ways.map((way) => ({
    way,
    lengthMm: way.lengthMm,
    boughtMm: clothCost(cloth, way.lengthMm).boughtMm,
    strips: [...way.strips.values()].flat(2).length,
  }))
  const isBeaten = (own: (typeof measured)[number]) =>
    measured.some(
      (other) =>
        other.boughtMm <= own.boughtMm &&
        other.strips <= own.strips &&
        (other.boughtMm < own.boughtMm || other.strips < own.strips || other.lengthMm < own.lengthMm),
    )
  return measured.filter((own) => !isBeaten(own)).map(({ way }) => way)
}

/** A way of cutting the piping, and the lay that it was found in. */
interface Way extends Omit<SplitLay, 'lay'> {
  readonly job: Job
  readonly plan: WorkedPlan
  readonly problem: LayProblem
  readonly lay: Bare
  readonly worth: number
}

function wayOf(asked: SplitAsked, before: WorkedPlan, bare: Bare, beside: Beside): Way | null {
  const { job, clothId, prices } = asked
  const piped = pipedFrom(before, clothId)
  const splits = splitsOf(piped, beside)
  const changed = withSplits(job, splits)
  const plan = planJob(changed)
  const now = plan.kind === 'worked' ? plan.cloth.lays.find((l) => l.cloth.id === clothId) : undefined
  if (plan.kind !== 'worked' || !now) return null
  const { problem } = now
  const piping = pipedFrom(plan, clothId).flatMap((p) => p.strips)
  const lay = layWith(problem, bare, placementsOf(piping, beside))
  const way = { job: changed, plan, key: problemKey(problem) }
  const costs = costsOf(asked, before, way, lay.length)
  const worth = savedMoney(costs, prices.hourRate)
  const counted = { now: countOf(piping), before: countOf(piped.flatMap((p) => p.strips)) }
  return worth === null ? null : { ...way, splits, problem, lay, strips: counted, costs, worth: inCents(worth) }
}

const costsOf = (
  { job, laid, prices }: SplitAsked,
  before: WorkedPlan,
  way: Pick<Way, 'job' | 'plan' | 'key'>,
  laidMm: number,
): Costs => costsOver({ ...way, laid: new Map([...laid, [way.key, laidMm]]) }, { job, plan: before, laid }, prices)

/** Cloth is bought by the step: of ways that save as much, the one on the shortest cloth leaves most. */
const dearestSaved = (ways: readonly Way[]): Way | null =>
  ways.toSorted((a, b) => b.worth - a.worth || a.lay.length - b.lay.length || a.strips.now - b.strips.now)[0] ?? null

const inCents = (money: number): number => Math.round(money * 100) / 100

/** The ticket with its piping split so. */
export const withSplits = (job: Job, splits: SplitLay['splits']): Job =>
  inEveryPart(job, (part) => {
    const own = splits[part.letter]
    return own ? { ...part, cloth: { ...part.cloth, strips: own } } : part
  })

/** The ticket with its piping split so, and the lay that it was found with. */
export const withSplitLay = (job: Job, clothId: string, { splits, key, lay }: SplitLay): Job => ({
  ...withSplits(job, splits),
  lays: { ...job.lays, [clothId]: keptLay(key, lay) },
})

/** Whether all piping that is cut from a cloth is split to the lay: a part that is changed leaves its own even. */
export const isSplitToLay = (plan: WorkedPlan, clothId: string): boolean =>
  pipedFrom(plan, clothId).every(({ strips }) => strips.every((s) => s.id !== s.of))

const NOTHING: Bare = { placements: [], length: 0, offsets: {} }

const countOf = (piping: readonly PipingStrips[]): number =>
  piping.reduce((sum, p) => sum + p.cut.reduce((n, c) => n + c.qty, 0), 0)

function withoutStrips({ problem }: ClothLay, piping: readonly PipingStrips[]): LayProblem {
  const strips = new Set(piping.flatMap((p) => p.cut.map((c) => c.id)))
  return { ...problem, pieces: problem.pieces.filter((p: LayPiece) => !strips.has(p.id)) }
}

function laidIn(problem: LayProblem, isStopped: () => boolean, from?: Bare): Lay | null {
  const solved = solveLay(problem, { seed: 1, budget: { steps: Infinity, isStopped }, ...(from ? { from } : {}) })
  return solved.ok ? { ...solved.value.lay, seconds: 0 } : null
}

function layWith(problem: LayProblem, bare: Bare, strips: readonly Placement[]): Bare {
  const placements = [...bare.placements, ...strips]
  return { placements, offsets: bare.offsets, length: usedLength(problem, placements) }
}
