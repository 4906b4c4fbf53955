import type { PlannedPart } from '../../contract/index.ts'
import { seamLength } from '../cover/index.ts'
import type { FillingPlan } from '../filling/index.ts'
import { areaOf } from '../outline/index.ts'
import { isSewn, type WorkedPlan } from '../planned/index.ts'
import type { Quote } from './quote.ts'

/** What of the bill falls to a part of a ticket. */
export interface PartShare {
  readonly letter: string
  /** Without tax. */
  readonly net: number
}

/**
 * The net shared out to the parts: each cloth by the area of its pieces, foam by the volume of what is new, everything
 * else by the length of what is sewn. What was added for the whole ticket (delivery, a discount) is shared like the work.
 * The shares come to the net.
 */
export function sharesByPart(plan: WorkedPlan, quote: Quote): readonly PartShare[] {
  const costOf = (part: 'foam' | 'cloth') =>
    quote.lines.filter((l) => l.part === part).reduce((sum, l) => sum + l.cost.value, 0)
  const marked = quote.materials.value > 0 ? 1 + quote.markUp.value / quote.materials.value : 1
  const [foam, cloth] = [costOf('foam') * marked, costOf('cloth') * marked]
  const rest = quote.net.value - foam - cloth
  const letters = plan.worked.map((p) => p.part.letter)
  const [byVolume, byArea, bySeams] = [volumes(plan), areas(plan), seams(plan)].map((amounts) => shared(amounts))
  return letters.map((letter, i) => ({ letter, net: foam * byVolume![i]! + cloth * byArea![i]! + rest * bySeams![i]! }))
}

/** Shares of a whole; even ones where there is nothing of it. */
function shared(amounts: readonly number[]): readonly number[] {
  const all = amounts.reduce((sum, a) => sum + a, 0)
  return amounts.map((a) => (all > 0 ? a / all : 1 / amounts.length))
}

const volumes = ({ worked }: WorkedPlan): readonly number[] =>
  worked.map((p) =>
    p.designs.reduce(
      (sum, { design, filling }) =>
        sum + design.count * areaOf(filling.sizing.block.outline) * boughtThicknessMm(filling, p.part),
      0,
    ),
  )

/** Of a filling that stays, or a layer of it, nothing is bought. */
function boughtThicknessMm(filling: FillingPlan, { work }: Pick<PlannedPart, 'work'>): number {
  if (work.kind === 'cover-only') return 0
  return filling.kind === 'foam'
    ? filling.layers.reduce((mm, layer) => mm + (layer.stays ? 0 : layer.thicknessMm), 0)
    : filling.sizing.block.thickness.value
}

const areas = ({ worked, cloth }: WorkedPlan): readonly number[] =>
  worked.map((p) =>
    cloth.lays
      .flatMap((l) => l.pieces)
      .reduce((sum, piece) => sum + (piece.of?.part === p.prefix ? piece.qty * areaOf(piece.cut) : 0), 0),
  )

const seams = ({ worked }: WorkedPlan): readonly number[] =>
  worked.map((p) =>
    (isSewn(p.part) ? p.designs : []).reduce(
      (sum, { design, cover }) => sum + design.count * cover.seams.reduce((mm, s) => mm + seamLength(s), 0),
      0,
    ),
  )
