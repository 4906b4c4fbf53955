import type { Cloth, Job, Lay, LayPiece, LayProblem, PipingSplit, Placement } from '../../contract/index.ts'
import type { ClothLay, PipingStrips } from '../cloth/index.ts'
import { clothFor, splitRun } from '../cover/index.ts'
import { inEveryPart } from '../job/index.ts'
import { coveredBy, solveLay, usedLength } from '../lay/index.ts'
import type { Point } from '../outline/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { stripsBeside, type LaidStrip, type WantedStrips } from '../strips/index.ts'
import { isInch, MM_PER_INCH } from '../units/index.ts'
import { clothCost } from './lay-choices.ts'
import { problemKey } from './joint-lay.ts'
import { costsOver, LEAST_MONEY, savedMoney, type Costs, type Prices } from './priced.ts'

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
  readonly hourRate: number
  /** Lengths of the lays as they are, mm, by the keys of their pieces. */
  readonly laid: ReadonlyMap<string, number>
  /** How much of its time is over, from 0 to 1. */
  readonly spent: () => number
}

/** The panels by themselves have so much of the time. */
const PANELS_SHARE = 0.35

/** So many joins in a run beyond the fewest are tried. */
const MOST_MORE = 3

/**
 * Chooses the strips of all piping that is cut from a cloth together with its lay: the panels are laid without them, runs
 * are shared out among the rows that these leave free, of all ways the one is taken that saves most in cloth and minutes
 * together, and the search goes on from there. Null where nothing of the cloth is piping, and where it is folded or a
 * remnant.
 */
export function splitToLay(asked: SplitAsked): SplitLay | null {
  const { job, clothId, spent } = asked
  const before = planJob(job)
  const own = before.kind === 'worked' ? before.cloth.lays.find((l) => l.cloth.id === clothId) : undefined
  if (before.kind !== 'worked' || !own || own.isFolded || own.problem.cloth.outline) return null
  const piping = pipingOf(before, clothId)
  const panels = withoutStrips(own, piping)
  const bare = panels.pieces.length === 0 ? NOTHING : laidIn(panels, () => spent() > PANELS_SHARE)
  if (!bare || piping.length === 0) return null
  const ways = Array.from({ length: MOST_MORE + 1 }, (_, moreJoins) =>
    besideOf(panels, bare, piping, { moreJoins, stepMm: isInch(job.units) ? MM_PER_INCH / 2 : 10 }),
  ).flat()
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
  const { job, clothId, hourRate } = asked
  const splits = splitsOf(before, beside, clothId)
  const changed = withSplits(job, splits)
  const plan = planJob(changed)
  const now = plan.kind === 'worked' ? plan.cloth.lays.find((l) => l.cloth.id === clothId) : undefined
  if (plan.kind !== 'worked' || !now) return null
  const { problem } = now
  const piping = pipingOf(plan, clothId)
  const lay = layWith(problem, bare, placementsOf(piping, beside))
  const way = { job: changed, plan, key: problemKey(problem) }
  const costs = costsOf(asked, before, way, lay.length)
  const worth = savedMoney(costs, hourRate)
  const counted = { now: countOf(piping), before: countOf(pipingOf(before, clothId)) }
  return worth === null ? null : { ...way, splits, problem, lay, strips: counted, costs, worth }
}

const costsOf = (
  { job, laid, prices }: SplitAsked,
  before: WorkedPlan,
  way: Pick<Way, 'job' | 'plan' | 'key'>,
  laidMm: number,
): Costs => costsOver({ ...way, laid: new Map([...laid, [way.key, laidMm]]) }, { job, plan: before, laid }, prices)

/** Cloth is bought by the step: of ways that save as much, the one on the shortest cloth leaves most. */
const dearestSaved = (ways: readonly Way[]): Way | null =>
  ways.toSorted(
    (a, b) =>
      (Math.abs(a.worth - b.worth) < LEAST_MONEY ? 0 : b.worth - a.worth) ||
      a.lay.length - b.lay.length ||
      a.strips.now - b.strips.now,
  )[0] ?? null

/** The ticket with its piping split so. */
export const withSplits = (job: Job, splits: SplitLay['splits']): Job =>
  inEveryPart(job, (part) => {
    const own = splits[part.letter]
    return own ? { ...part, cloth: { ...part.cloth, strips: own } } : part
  })

type Bare = Pick<Lay, 'placements' | 'length' | 'offsets'>
const NOTHING: Bare = { placements: [], length: 0, offsets: {} }

const countOf = (piping: readonly PipingStrips[]): number =>
  piping.reduce((sum, p) => sum + p.cut.reduce((n, c) => n + c.qty, 0), 0)

const pipingOf = ({ sewn, cloth }: WorkedPlan, clothId: string): readonly PipingStrips[] =>
  sewn.flatMap(({ part }, i) => (clothFor(part.cloth, 'piping').id === clothId ? cloth.strips[i]! : []))

function withoutStrips({ problem }: ClothLay, piping: readonly PipingStrips[]): LayProblem {
  const strips = new Set(piping.flatMap((p) => p.cut.map((c) => c.id)))
  return { ...problem, pieces: problem.pieces.filter((p: LayPiece) => !strips.has(p.id)) }
}

function laidIn(problem: LayProblem, isStopped: () => boolean, from?: Bare): Lay | null {
  const solved = solveLay(problem, { seed: 1, budget: { steps: Infinity, isStopped }, ...(from ? { from } : {}) })
  return solved.ok ? { ...solved.value.lay, seconds: 0 } : null
}

/** Strips beside the panels, by which piping they are for, run by run. */
interface Beside {
  readonly lengthMm: number
  readonly strips: ReadonlyMap<string, readonly (readonly LaidStrip[])[]>
}

function besideOf(
  panels: LayProblem,
  bare: Bare,
  piping: readonly PipingStrips[],
  { moreJoins, stepMm }: { readonly moreJoins: number; readonly stepMm: number },
): readonly Beside[] {
  const kinds = [...new Set(piping.map((p) => p.of))].map((of) => piping.filter((p) => p.of === of))
  const wanted = kinds.map(([first, ...others]): WantedStrips => {
    const { group, rules, shape, turns } = first!
    const run = {
      lengthMm: group.length.value * shape.reach,
      lossMm: rules.lossMm * shape.reach,
      longestMm: rules.longestLaidMm * shape.reach,
      mostStrips: splitRun(group, rules).strips.value + moreJoins,
    }
    return {
      ways: turns.map((turn) => ({ turn: turn === 90 ? 90 : 0, slope: shape.climb / shape.reach, riseMm: shape.rise })),
      runs: Array.from({ length: [first!, ...others].reduce((sum, p) => sum + p.runs.count, 0) }, () => run),
      leastMm: LEAST_STRIP_MM * shape.reach,
      stepMm: stepMm * shape.reach,
    }
  })
  const { cloth } = panels
  const bed = { leftMm: cloth.selvedge[0], rightMm: cloth.width - cloth.selvedge[1] }
  const covered = [...bare.placements.flatMap((p) => coveredBy(panels, p).map(asPoints)), ...cloth.flaws.map(asRing)]
  const found = stripsBeside(covered, bed, wanted, [
    bare.length,
    cloth.length ?? bare.length + enoughFor(wanted, bed.rightMm - bed.leftMm),
  ])
  return found.map(({ lengthMm, strips }) => ({
    lengthMm,
    strips: new Map(kinds.map(([first], i) => [first!.of, strips[i]!])),
  }))
}

/** Shorter strips are not worth their joins. */
const LEAST_STRIP_MM = 200

/** Twice what the strips take, and a strip along the roll, or the corner that a slant leaves: ample behind all panels. */
const enoughFor = (wanted: readonly WantedStrips[], widthMm: number): number =>
  wanted.reduce((sum, { ways, runs }) => {
    const rise = Math.max(...ways.map((w) => w.riseMm))
    const longest = Math.max(...runs.map((r) => r.lengthMm))
    return sum + longest + (2 * rise * runs.reduce((all, r) => all + r.lengthMm, 0)) / widthMm + rise
  }, 0)

const asPoints = (ring: ArrayLike<number>): readonly Point[] =>
  Array.from({ length: ring.length / 2 }, (_, i) => ({ x: ring[2 * i]!, y: ring[2 * i + 1]! }))

const asRing = ([x, y, w, h]: LayProblem['cloth']['flaws'][number]): readonly Point[] =>
  asPoints([x, y, x + w, y, x + w, y + h, x, y + h])

/** What is kept with the ticket: alike runs together. */
function splitsOf({ sewn, cloth }: WorkedPlan, { strips }: Beside, clothId: string): SplitLay['splits'] {
  const letters = [...new Set(sewn.map((d) => d.part.letter))]
  const ownOf = (letter: string) =>
    sewn.flatMap(({ part }, i) =>
      part.letter === letter && clothFor(part.cloth, 'piping').id === clothId ? cloth.strips[i]! : [],
    )
  return Object.fromEntries(
    letters.flatMap((letter) => {
      const kinds = [...new Map(ownOf(letter).map((p) => [p.of, p])).values()]
      const runs = kinds.flatMap((p) =>
        alikeTogether(
          strips.get(p.of)!.map((run) => lengthsOf(p, run)),
          p.of,
        ),
      )
      return kinds.length > 0 ? [[letter, { kind: 'to-the-lay' as const, runs }]] : []
    }),
  )
}

const lengthsOf = ({ shape }: PipingStrips, run: readonly LaidStrip[]): number[] =>
  run.map((s) => hundredth(s.lengthMm / shape.reach))

const hundredth = (mm: number): number => Math.round(mm * 100) / 100

function alikeTogether(runs: readonly number[][], of: string) {
  const keys = [...new Set(runs.map((lengths) => lengths.join()))]
  return keys.map((key) => {
    const alike = runs.filter((lengths) => lengths.join() === key)
    return { of, count: alike.length, lengthsMm: alike[0]! }
  })
}

/** Each strip that the plan cuts takes one of the places that were found for its length. */
function placementsOf(piping: readonly PipingStrips[], { strips }: Beside): readonly Placement[] {
  const free = new Map([...strips].map(([of, runs]) => [of, runs.flat()]))
  return piping.flatMap((own) =>
    own.cut.flatMap(({ id, qty, sewnMm }) =>
      Array.from({ length: qty }, (_, i): Placement => {
        const places = free.get(own.of)!
        const reachMm = sewnMm * own.shape.reach
        const at = places.findIndex((s) => Math.abs(s.lengthMm - reachMm) < SAME_STRIP_MM)
        const [place] = places.splice(at, 1)
        return { id, copy: i + 1, x: place!.at.x, y: place!.at.y, turn: place!.way.turn, flip: false }
      }),
    ),
  )
}

/** Lengths are kept to a hundredth. */
const SAME_STRIP_MM = 0.06

function layWith(problem: LayProblem, bare: Bare, strips: readonly Placement[]): Bare {
  const placements = [...bare.placements, ...strips]
  return { placements, offsets: bare.offsets, length: usedLength(problem, placements) }
}
