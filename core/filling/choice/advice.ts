import type { Grade } from '../../../contract/index.ts'
import {
  hardnessOf,
  isJudgeable,
  isHardToSitOn,
  depthUnder,
  goodYears,
  NEAR_BOARD,
  ON_BOARD,
  pressed,
  stackOf,
  whereReaches,
  type Body,
  type LoadCase,
  type SettledLayer,
} from '../model/index.ts'
import { thicknessesWithin } from './stacks.ts'
import { isMatterOfTaste, judgeStack, screenStack, type Failure, type Verdict } from './verdict.ts'

/** One stack of layers, from the board up, held against the job. */
export interface Candidate extends Verdict {
  readonly layers: readonly SettledLayer[]
  readonly totalMm: number
  readonly massKg: number
  /** Foam by volume, whole sheets not counted. */
  readonly cost: number
  readonly costPerYear: number
}

/** A stack of which only the failures are known. */
export type Rejected = Pick<Candidate, 'layers' | 'failures'>

/** A demand that keeps every grade out, and the best that would come in without it. */
export interface Relaxation {
  readonly demand: Failure['code']
  readonly lets: Candidate
}

export interface Advice {
  /**
   * Those that work, in the order of the aim; all round: the soundest first, then those that feel right with fewest
   * layers, then the least cost for a year of their life.
   */
  readonly works: readonly Candidate[]
  /** For every grade that does not, its stack that comes nearest, with the reasons. */
  readonly fails: readonly Rejected[]
  /** Grades sold in no thickness within the limits. */
  readonly notInThickness: readonly Grade[]
  readonly relax: readonly Relaxation[]
  /** Of those that work as a single grade: the one that gives most. */
  readonly softest: Candidate | null
}

/** What the maker is after, of foams that hold. */
export type Aim =
  | { readonly kind: 'all-round' }
  | { readonly kind: 'cheapest'; readonly years: number }
  | { readonly kind: 'softest' }
  /** As the middle sitter found the old one. */
  | { readonly kind: 'as-before'; readonly strain: number }
  | { readonly kind: 'lightest' }

export interface AdviceQuestion {
  readonly aim?: Aim
  readonly load: LoadCase
  readonly limits: { readonly leastMm: number; readonly mostMm: number }
  /** Plan area of one block, for its mass and cost. */
  readonly areaMm2: number
}

/**
 * Which foams can do a job: every grade in every thickness it comes in, and two-layer stacks, firm below and soft
 * above. Grades of which nobody knows how hard they are, or how long they live, are left out.
 */
export function adviseFoam(catalogue: readonly Grade[], question: AdviceQuestion): Advice {
  const { leastMm, mostMm } = question.limits
  const grades = catalogue.filter((grade) => isJudgeable([{ grade, thicknessMm: leastMm }]))
  const byWorth = worthOn(question.load)
  const screen = (layers: readonly SettledLayer[]): Rejected => ({
    layers,
    failures: screenStack(layers, question.load),
  })
  const full = ({ layers }: Rejected) => candidate(layers, question)
  const singles = grades.map((grade) =>
    thicknessesWithin(grade.thicknessesMm, leastMm, mostMm).map((thicknessMm) => screen([{ grade, thicknessMm }])),
  )
  const all = [...singles.flat(), ...pairStacks(grades, question).map(screen)]
  const works = bestOfEach(all.filter((c) => c.failures.length === 0).map(full), byWorth)
  const working = new Set(works.flatMap((c) => (c.layers.length === 1 ? [c.layers[0]!.grade] : [])))
  const fails = singles
    .flatMap((own) => (own.length === 0 || working.has(own[0]!.layers[0]!.grade) ? [] : [own.toSorted(byNearness)[0]!]))
    .toSorted(byNearness)
  const alone = works.filter((c) => c.layers.length === 1)
  return {
    works: byAim(works, question.aim ?? { kind: 'all-round' }, byWorth),
    fails,
    notInThickness: grades.filter((_, i) => singles[i]!.length === 0),
    relax: works.length > 0 ? [] : relaxations(all).map(({ demand, lets }) => ({ demand, lets: full(lets) })),
    softest:
      alone.length === 0
        ? null
        : alone.reduce((a, b) => (hardnessOf(b.layers[0]!.grade)! < hardnessOf(a.layers[0]!.grade)! ? b : a)),
  }
}

/**
 * The thinnest block of a grade that keeps the heaviest off the board, new and at the end of its life, and that leaves
 * him well clear of it; null where none does.
 */
export function thinnestWorkable(
  grade: Grade,
  load: LoadCase,
): { readonly freshMm: number | null; readonly agedMm: number | null; readonly clearMm: number | null } {
  const find = (lifeShare: number, most: number): number | null => {
    const room = (thicknessMm: number) => {
      const stack = stackOf(pressed([{ grade, thicknessMm }], lifeShare))
      return most - depthUnder(load.sitters[2].slamN, load.body, stack) / thicknessMm
    }
    if (room(THICKEST_MM) < 0) return null
    return room(THINNEST_MM) >= 0 ? THINNEST_MM : whereReaches(0, room, THINNEST_MM, THICKEST_MM, 0.05)
  }
  return { freshMm: find(0, ON_BOARD), agedMm: find(1, ON_BOARD), clearMm: find(0, NEAR_BOARD) }
}

export const THINNEST_MM = 10
const THICKEST_MM = 300

function candidate(layers: readonly SettledLayer[], { load, areaMm2 }: AdviceQuestion): Candidate {
  const verdict = judgeStack(layers, load)
  const volume = (l: SettledLayer) => (areaMm2 * l.thicknessMm) / 1e9
  const massKg = layers.reduce((sum, l) => sum + volume(l) * (l.grade.densityKgM3 ?? 0), 0)
  const cost = layers.reduce((sum, l) => sum + volume(l) * l.grade.pricePerM3, 0)
  return {
    ...verdict,
    layers,
    totalMm: verdict.support.totalMm,
    massKg,
    cost,
    costPerYear: cost / verdict.support.years,
  }
}

/**
 * Firm below, soft above, of grades that may be used in the place; a few of the firmest and softest are enough to
 * choose from.
 */
function pairStacks(grades: readonly Grade[], { load, limits }: AdviceQuestion): readonly (readonly SettledLayer[])[] {
  const fit = grades
    .flatMap((grade) =>
      grade.exposures.includes(load.exposure) && grade.sheets.length > 0
        ? [{ grade, hardnessN: hardnessOf(grade)! }]
        : [],
    )
    .toSorted((a, b) => a.hardnessN - b.hardnessN)
  const below = fit.slice(-MOST_IN_PAIRS)
  const above = fit.slice(0, MOST_IN_PAIRS)
  return below.flatMap(({ grade: firm, hardnessN }) =>
    above.flatMap(({ grade: soft, hardnessN: softer }) => {
      if (softer >= hardnessN * CLEARLY_SOFTER) return []
      return firm.thicknessesMm
        .flatMap((t) =>
          soft.thicknessesMm.map(
            (u) =>
              [
                { grade: firm, thicknessMm: t },
                { grade: soft, thicknessMm: u },
              ] as const,
          ),
        )
        .filter(
          ([a, b]) => a.thicknessMm + b.thicknessMm >= limits.leastMm && a.thicknessMm + b.thicknessMm <= limits.mostMm,
        )
    }),
  )
}

const MOST_IN_PAIRS = 6
const CLEARLY_SOFTER = 0.9

/** Of the thicknesses of one choice of grades only the best. */
function bestOfEach(candidates: readonly Candidate[], byWorth: Order): readonly Candidate[] {
  const best = new Map<string, Candidate>()
  for (const c of candidates) {
    const key = c.layers.map((l) => l.grade.id).join('/')
    const known = best.get(key)
    if (!known || byWorth(c, known) < 0) best.set(key, c)
  }
  return [...best.values()]
}

type Order = (a: Candidate, b: Candidate) => number

const worthOn =
  ({ body }: LoadCase): Order =>
  (a, b) =>
    unsound(a) - unsound(b) ||
    bother(a, body) - bother(b, body) ||
    a.costPerYear - b.costPerYear ||
    a.totalMm - b.totalMm

const unsound = (c: Candidate): number => c.doubts.filter((d) => !isMatterOfTaste(d)).length

/** A layer more is glue and work; a sitter less pleased is a reproach; chip and closed cells are hard to sit on bare. */
const bother = (c: Candidate, body: Body): number =>
  c.layers.length +
  c.doubts.filter(isMatterOfTaste).length +
  (body.kind === 'ball' && isHardToSitOn(c.layers.at(-1)!.grade) ? 2 : 0)

/** In the order of an aim; cheapest only of what lasts. */
function byAim(works: readonly Candidate[], aim: Aim, byWorth: Order): readonly Candidate[] {
  switch (aim.kind) {
    case 'all-round':
      return works.toSorted(byWorth)
    case 'cheapest':
      return works.filter((c) => goodYears(c.support) >= aim.years).toSorted((a, b) => a.cost - b.cost || byWorth(a, b))
    case 'softest':
      return works.toSorted((a, b) => middleStrain(b) - middleStrain(a) || byWorth(a, b))
    case 'as-before':
      return works.toSorted(
        (a, b) => Math.abs(middleStrain(a) - aim.strain) - Math.abs(middleStrain(b) - aim.strain) || byWorth(a, b),
      )
    case 'lightest':
      return works.toSorted((a, b) => a.massKg - b.massKg || byWorth(a, b))
    default:
      return aim satisfies never
  }
}

const middleStrain = (c: Candidate): number => c.support.fresh.sinks[1].strain

const byNearness = (a: Rejected, b: Rejected): number => a.failures.length - b.failures.length || missBy(a) - missBy(b)

/** How far a stack misses its demands, in strain. */
function missBy(c: Rejected): number {
  return c.failures.reduce((sum, f) => {
    switch (f.code) {
      case 'exposure':
        return sum + 1
      case 'on-board':
        return sum + f.strain - ON_BOARD
      default:
        return f satisfies never
    }
  }, 0)
}

/** For each demand, the best of what fails by it alone. Where nothing does, every demand of the nearest. */
function relaxations(
  all: readonly Rejected[],
): readonly { readonly demand: Failure['code']; readonly lets: Rejected }[] {
  const single = all.filter((c) => new Set(c.failures.map((f) => f.code)).size === 1)
  const demands = [...new Set(single.map((c) => c.failures[0]!.code))]
  if (demands.length > 0)
    return demands.map((demand) => ({
      demand,
      lets: single.filter((c) => c.failures[0]!.code === demand).toSorted((a, b) => missBy(a) - missBy(b))[0]!,
    }))
  const nearest = all.toSorted(byNearness)[0]
  return nearest ? nearest.failures.map((f) => ({ demand: f.code, lets: nearest })) : []
}
