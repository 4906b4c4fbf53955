import { phrase } from '../language/index.ts'
import type { Cloth, ClothChoice } from '../../contract/index.ts'
import {
  clothFor,
  givesOrShrinks,
  looksAlikeEveryWay,
  splitRun,
  usableWidth,
  type PipingGroup,
  type PipingPlan,
  type StripSplit,
} from '../cover/index.ts'
import { at, type Polygon } from '../outline/index.ts'
import { cutLarger } from '../pattern/index.ts'
import type { Design } from '../seat/index.ts'
import { entered, figure, given, over, type Figure } from '../working/index.ts'

/** Piping strips of one length for the cushions of a design. */
export interface PipingStrips {
  readonly id: string
  readonly group: PipingGroup
  readonly split: StripSplit
  readonly qty: number
  /** As they are cut: longer and wider where washing takes some. */
  readonly length: Figure
  readonly width: Figure
}

/** Strips along the roll are cut no longer than can be handled on a table. */
const LONGEST_STRIP_MM = 3000

type StripCut = Exclude<PipingPlan['choice'], { kind: 'ready-made' }>['cut']

const stripCut = ({ choice }: PipingPlan): StripCut => (choice.kind === 'ready-made' ? 'across' : choice.cut)

/**
 * Plain two-way cloth lets straight strips lie either way, and bias strips follow either diagonal; not where washing
 * takes more of one way.
 */
export function pipingTurns(cloth: Cloth, piping: PipingPlan): number[] {
  const cut = stripCut(piping)
  if (!givesOrShrinks(cloth) && (looksAlikeEveryWay(cloth) || cut === 'bias')) return [0, 90]
  return cut === 'along' ? [90] : [0]
}

/** The strips of one design's piping, as long as its cloth allows; none for ready-made piping. */
export function pipingStrips(
  choice: ClothChoice,
  piping: PipingPlan,
  design: Design,
  isOnlyDesign: boolean,
): readonly PipingStrips[] {
  const { stripWidth } = piping
  const cloth = clothFor(choice, 'piping')
  const cut = stripCut(piping)
  const grown = grownBy(cloth, cut)
  const onBias = cut === 'bias' ? biasFactor(grown) : null
  const usableMm = usableWidth(cloth) / grown.x
  if (!stripWidth || usableMm <= 0) return []
  const base = isOnlyDesign ? 'piping' : `piping-${design.id}`
  return piping.groups.map((group, k) => {
    // On the bias a strip spans its length over √2 of the width, with ends cut on the grain: joining two loses 2√2·s.
    const seam = group.panel.edges[0]!.allowance.value
    const split =
      cut === 'bias'
        ? splitRun(group, usableMm * Math.SQRT2, 2 * Math.SQRT2 * seam, choice.stripJoins)
        : splitRun(group, cut === 'across' ? usableMm : LONGEST_STRIP_MM / grown.x, stripWidth.value, choice.stripJoins)
    const qty = Math.max(1, Math.round(split.strips.value)) * group.count * design.count
    return {
      id: k === 0 ? base : `${base}-${k + 1}`,
      group,
      split,
      qty,
      length: washedOut(split.each, grown.x, onBias),
      width: washedOut(stripWidth, grown.y, onBias),
    }
  })
}

/** A strip in its own plane: x along it, on the bias at 45° to the roll. */
export function stripOutline(piping: PipingPlan, split: StripSplit, cloth: Cloth): Polygon {
  const [length, width] = [split.each.value, piping.stripWidth!.value]
  const { x, y } = grownBy(cloth, stripCut(piping))
  if (stripCut(piping) !== 'bias') return [at(0, 0), at(length * x, 0), at(length * x, width * y), at(0, width * y)]
  const [reach, rise] = [length / Math.SQRT2, width * Math.SQRT2]
  return [at(0, 0), at(reach * x, reach * y), at(reach * x, (reach + rise) * y), at(0, rise * y)]
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
