import type { BOUND_NAMES } from '../../../contract/index.ts'
import { patternRowsLength } from './pattern-rows.ts'
import type { Instance } from '../instance.ts'
import type { Posture } from '../shape.ts'
import { ACCEPTED_OVERLAP_MM, ROUNDING_MM } from '../tolerances.ts'
import { linesTaken, type WidePieces } from './wide-pieces.ts'

export type BoundName = (typeof BOUND_NAMES)[number]

export interface Bound {
  readonly name: BoundName
  /** No lay is shorter than this. */
  readonly length: number
}

/** The best of the lower bounds of the used length (of all sheets together) that are had at once. */
export function lowerBound(instance: Instance): Bound {
  const bounds: readonly Bound[] = [
    areaBound(instance),
    tallestBound(instance),
    widePiecesBound(instance),
    sidesBound(instance),
    { name: 'rows of the pattern', length: patternRowsLength(instance) },
  ]
  const best = bounds.reduce((a, b) => (b.length > a.length ? b : a))
  const onLastSheet = best.length - (instance.sheets > 1 ? instance.maxY * (leastSheets(instance) - 1) : 0)
  return { name: best.name, length: Math.max(0, onLastSheet - ROUNDING_MM) }
}

/** Sheets that the area alone needs. */
export const leastSheets = (instance: Instance): number =>
  Number.isFinite(instance.maxY)
    ? Math.max(1, Math.ceil(instance.totalArea / (usable(instance) * instance.maxY) - 1e-9))
    : 1

const usable = (instance: Instance): number => Math.max(1e-9, instance.reachMm)

const areaBound = (instance: Instance): Bound => ({ name: 'area', length: instance.totalArea / usable(instance) })

function tallestBound(instance: Instance): Bound {
  const width = usable(instance)
  const tallest = instance.items.map((item) =>
    Math.min(...item.postures.filter((p) => p.shape.width <= width + 0.05).map((p) => p.shape.height)),
  )
  return { name: 'tallest piece', length: Math.max(0, ...tallest.filter(Number.isFinite)) }
}

/**
 * Pieces on one side of the cloth lie one after the other, each along the edge that it has there. An edge is no longer
 * than its piece is high, and may be shorter: only boxes count with all of it. What may lie on either side counts half.
 */
function sidesBound({ items, hasSides }: Instance): Bound {
  const name = 'pieces at one side'
  if (!hasSides) return { name, length: 0 }
  const wanting = items.filter(
    (i) => i.postures.length > 0 && i.postures.every((p) => p.standsAt !== null && p.shape.isBox),
  )
  const high = (postures: readonly Posture[]) => Math.min(...postures.map((p) => p.shape.height))
  const only = (isAt: (p: Posture) => boolean) =>
    wanting.reduce((sum, { postures }) => sum + (postures.every(isAt) ? high(postures) : 0), 0)
  const isLeft = (p: Posture) => Math.abs(p.standsAt!) < ROUNDING_MM
  const all = wanting.reduce((sum, { postures }) => sum + high(postures), 0)
  return {
    name,
    length: Math.max(
      only(isLeft),
      only((p) => !isLeft(p)),
      all / 2,
    ),
  }
}

/** Boxes by what may lie beside them; other shapes are left to what lies abreast. */
function widePiecesBound(instance: Instance): Bound {
  const width = usable(instance)
  const boxes = instance.items
    .map((i) => i.postures.filter((p) => p.shape.width <= width + ACCEPTED_OVERLAP_MM))
    .filter((ps) => ps.length > 0 && ps.every((p) => p.shape.isBox))
    .map((ps): WidePieces => ({
      count: 1,
      ways: ps.map(({ shape }) => [{ width: shape.width - ACCEPTED_OVERLAP_MM, on: shape.height }]),
    }))
  return { name: 'wide pieces', length: linesTaken(boxes, width + 2 * ACCEPTED_OVERLAP_MM) }
}
