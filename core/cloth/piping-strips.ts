import { phrase } from '../language/index.ts'
import type { Cloth, ClothChoice, PipingSplit } from '../../contract/index.ts'
import {
  clothFor,
  givesOrShrinks,
  looksAlikeEveryWay,
  splitRun,
  splitToLay,
  usableWidth,
  type PipingGroup,
  type PipingPlan,
  type StripRules,
  type StripSplit,
} from '../cover/index.ts'
import { at, type Polygon } from '../outline/index.ts'
import { cutLarger } from '../pattern/index.ts'
import type { Design } from '../seat/index.ts'
import { entered, figure, given, over, type Figure } from '../working/index.ts'

/** Piping runs of one length for the cushions of a design, all split alike. */
export interface PipingStrips {
  readonly id: string
  /** Which piping they are for: the same however it is split. */
  readonly of: string
  readonly group: PipingGroup
  readonly split: StripSplit
  /** The runs that are split so, counted from 0 through the piping. */
  readonly runs: { readonly first: number; readonly count: number }
  /** As they are cut, strips of one length together: longer and wider where washing takes some. */
  readonly cut: readonly CutStrips[]
  readonly width: Figure
  readonly rules: StripRules
  readonly shape: StripShape
  /** In which it may lie on the cloth. */
  readonly turns: readonly number[]
}

/**
 * How a strip lies in its own plane: how far it reaches and climbs for each mm of its length, and how high it is cut
 * upright.
 */
export interface StripShape {
  readonly reach: number
  readonly climb: number
  readonly rise: number
}

export interface CutStrips {
  readonly id: string
  readonly qty: number
  /** As it is cut. */
  readonly length: Figure
  /** As it is sewn, once washing has taken its share. */
  readonly sewn: Figure
  /** Which strips of a run these are, counted from 1. */
  readonly places: readonly number[]
}

/** Strips along the roll are cut no longer than can be handled on a table. */
const LONGEST_STRIP_MM = 3000

type StripCut = Exclude<PipingPlan['choice'], { kind: 'ready-made' }>['cut']

const stripCut = ({ choice }: PipingPlan): StripCut => (choice.kind === 'ready-made' ? 'across' : choice.cut)

/**
 * Plain two-way cloth lets straight strips lie either way, and bias strips follow either diagonal; not where washing
 * takes more of one way.
 */
function pipingTurns(cloth: Cloth, piping: PipingPlan): number[] {
  const cut = stripCut(piping)
  if (!givesOrShrinks(cloth) && (looksAlikeEveryWay(cloth) || cut === 'bias')) return [0, 90]
  return cut === 'along' ? [90] : [0]
}

/** The strips of one design's piping, even or as the lay has room for them; none for ready-made piping. */
export function pipingStrips(
  choice: ClothChoice,
  piping: PipingPlan,
  design: Design,
  isOnlyDesign: boolean,
): readonly PipingStrips[] {
  const { stripWidth } = piping
  if (!stripWidth || usableWidth(clothFor(choice, 'piping')) <= 0) return []
  const base = isOnlyDesign ? 'piping' : `piping-${design.id}`
  const cloth = clothFor(choice, 'piping')
  const alike = { shape: stripShape(piping, cloth), turns: pipingTurns(cloth, piping) }
  return piping.groups.flatMap((group, k) => {
    const of = k === 0 ? base : `${base}-${k + 1}`
    const rules = stripRules(cloth, piping, group, alike.turns)
    const splits = splitsOf(choice.strips, group, rules, { of, runs: group.count * design.count })
    return splits.map((own): PipingStrips => ({ ...own, of, group, rules, ...alike, ...asCut(cloth, piping, own) }))
  })
}

type Split = Pick<PipingStrips, 'id' | 'split' | 'runs'>

/** As the ticket says for the lay, where that still makes up all runs; else evenly. */
function splitsOf(
  strips: PipingSplit,
  group: PipingGroup,
  rules: StripRules,
  { of, runs: count }: { readonly of: string; readonly runs: number },
): readonly Split[] {
  const told = strips.kind === 'to-the-lay' ? strips.runs.filter((r) => r.of === of) : []
  const laid = told.map(({ lengthsMm }) => splitToLay(group, rules, lengthsMm))
  const firsts = told.map((_, i) => told.slice(0, i).reduce((sum, r) => sum + r.count, 0))
  const isWhole = told.length > 0 && told.reduce((sum, r) => sum + r.count, 0) === count
  if (isWhole && laid.every((split) => split !== null))
    return laid.map((split, i) => ({
      id: `${of}-laid-${i + 1}`,
      split,
      runs: { first: firsts[i]!, count: told[i]!.count },
    }))
  const more = strips.kind === 'even' ? strips.moreJoins : 0
  return [{ id: of, split: splitRun(group, rules, more), runs: { first: 0, count } }]
}

/**
 * On the bias a strip spans its length over √2 of the width, with ends cut on the grain: joining two loses 2√2·s.
 */
function stripRules(cloth: Cloth, piping: PipingPlan, group: PipingGroup, turns: readonly number[]): StripRules {
  const cut = stripCut(piping)
  const grown = grownBy(cloth, cut)
  const usableMm = usableWidth(cloth) / grown.x
  if (cut === 'bias') {
    const longestMm = usableMm * Math.SQRT2
    return { longestMm, longestLaidMm: longestMm, lossMm: 2 * Math.SQRT2 * group.panel.edges[0]!.allowance.value }
  }
  const alongMm = LONGEST_STRIP_MM / grown.x
  const longestMm = cut === 'across' ? usableMm : alongMm
  return {
    longestMm,
    longestLaidMm: turns.length > 1 ? Math.max(longestMm, alongMm) : longestMm,
    lossMm: piping.stripWidth!.value,
  }
}

function asCut(cloth: Cloth, piping: PipingPlan, { id, split, runs }: Split): Pick<PipingStrips, 'cut' | 'width'> {
  const cut = stripCut(piping)
  const grown = grownBy(cloth, cut)
  const onBias = cut === 'bias' ? biasFactor(grown) : null
  return {
    cut: byLength(split).map(({ sewn, places }, i) => ({
      id: i === 0 ? id : `${id}-${i + 1}`,
      qty: places.length * runs.count,
      length: washedOut(sewn, grown.x, onBias),
      sewn,
      places,
    })),
    width: washedOut(piping.stripWidth!, grown.y, onBias),
  }
}

/** The strips of a run, those of one length together. */
const byLength = ({ lengths }: StripSplit): readonly Pick<CutStrips, 'sewn' | 'places'>[] =>
  lengths
    .filter((sewn, i) => lengths.findIndex((l) => isAsLong(l, sewn)) === i)
    .map((sewn) => ({ sewn, places: lengths.flatMap((l, i) => (isAsLong(l, sewn) ? [i + 1] : [])) }))

const isAsLong = (a: Figure, b: Figure): boolean => Math.abs(a.value - b.value) < SAME_LENGTH_MM

/** What no shears tell apart. */
const SAME_LENGTH_MM = 0.05

/** A strip in its own plane: x along it, on the bias at 45° to the roll. */
export function stripOutline({ reach, climb, rise }: StripShape, lengthMm: number): Polygon {
  const [x, y] = [lengthMm * reach, lengthMm * climb]
  return [at(0, 0), at(x, y), at(x, y + rise), at(0, rise)]
}

function stripShape(piping: PipingPlan, cloth: Cloth): StripShape {
  const cut = stripCut(piping)
  const { x, y } = grownBy(cloth, cut)
  const width = piping.stripWidth!.value
  return cut === 'bias'
    ? { reach: x / Math.SQRT2, climb: y / Math.SQRT2, rise: y * width * Math.SQRT2 }
    : { reach: x, climb: 0, rise: y * width }
}

interface Grown {
  readonly x: number
  readonly y: number
}

/**
 * How much larger a strip is cut along itself and across for what washing takes; on the bias along the roll's own ways.
 */
function grownBy(cloth: Cloth, cut: StripCut): Grown {
  const [across, along] = [cutLarger(cloth, 'across'), cutLarger(cloth, 'along')]
  return cut === 'along' ? { x: along, y: across } : { x: across, y: along }
}

/** A line at 45° grows by the root mean square of both ways. */
const biasFactor = ({ x, y }: Grown): number => Math.sqrt((x * x + y * y) / 2)

function washedOut(of: Figure, factor: number, onBias: number | null): Figure {
  if (onBias !== null)
    return onBias === 1
      ? of
      : entered({
          ...of,
          id: `${of.id}.washed`,
          value: of.value * onBias,
          rule: phrase`${of.rule}; and what washing takes at 45°`,
        })
  return factor === 1
    ? of
    : figure({
        ...of,
        id: `${of.id}.washed`,
        sum: over(of, given(1 / factor, 'share', 'left after washing')),
        rule: phrase`${of.rule}; and what washing takes`,
      })
}
