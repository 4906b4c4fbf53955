import type { Closure } from '../../contract/index.ts'
import type { Firmness, FillingPlan } from '../filling/index.ts'

/**
 * How a filling goes in: straight through a whole open end, flat, folded in half, packed in film, or as a filled liner
 * that folds.
 */
export type WayIn = 'whole-end' | 'flat' | 'folded' | 'film' | 'fibre'

export interface OpeningVerdict {
  readonly way: WayIn
  readonly goes: boolean
  readonly neededMm: number
  /** Vacuum packed in film. */
  readonly packedMm: number
  /** A second opinion: half the girth of the filling, squeezed as it goes in. */
  readonly girthMm: number
}

/**
 * Whether a filling passes an opening, as rules of thumb of the trade: through a whole open end it always does; flat it
 * needs the smaller side and 0.3 of the thickness; folded in half 0.55 of the smaller side and the thickness; vacuum
 * packed in film 0.4 of either. Soft foam and fibre fold at any thickness, firmer foam only when it is thin.
 */
export function openingVerdict(
  { choice, lengthMm }: { readonly choice: Closure; readonly lengthMm: number },
  filling: FillingPlan,
  isFilmed: boolean,
): OpeningVerdict {
  const { width, depth, thickness } = filling.sizing.wrapped
  const [smaller, t] = [Math.min(width.value, depth.value), thickness.value]
  // Foam that nobody knows is taken as firm here: an opening too long is no harm.
  const firmness = filling.kind === 'foam' ? (filling.firmness ?? 'firm') : 'soft'
  const folds = t <= FOLDS_UP_TO_MM[firmness]
  const bareMm = folds ? 0.55 * smaller + t : smaller + 0.3 * t
  const packedMm = PACKED * bareMm
  const end =
    'side' in choice ? (choice.side === 'left' || choice.side === 'right' ? depth.value : width.value) : Infinity
  const isWhole = lengthMm >= end * WHOLE_END
  const neededMm = isFilmed ? packedMm : bareMm
  const way: WayIn = isWhole
    ? 'whole-end'
    : filling.kind !== 'foam'
      ? 'fibre'
      : isFilmed
        ? 'film'
        : folds
          ? 'folded'
          : 'flat'
  return { way, goes: isWhole || lengthMm >= neededMm, neededMm, packedMm, girthMm: (smaller + t) * SQUEEZE[firmness] }
}

const PACKED = 0.4
/** An end is as good as open when seams at its corners are all that is left of it. */
const WHOLE_END = 0.95
/** So thick a foam can still be folded in half. Rules of thumb of the trade. */
const FOLDS_UP_TO_MM: Readonly<Record<Firmness, number>> = { soft: Infinity, medium: 80, firm: 50, 'extra firm': 25 }

/**
 * How far a filling gives when it is folded or squeezed through, as a share of its girth; until the shop has learnt its
 * own.
 */
const SQUEEZE: Readonly<Record<Firmness, number>> = { soft: 0.6, medium: 0.85, firm: 1, 'extra firm': 1 }
