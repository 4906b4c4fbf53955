import type { Firmness, Sizing } from '../filling/index.ts'

export interface OpeningNeed {
  /** As it comes; soft foam is folded in half. */
  readonly neededMm: number
  /** Vacuum packed in film. */
  readonly packedMm: number
  /** A second opinion: half the girth of the filling, squeezed as it goes in. */
  readonly girthMm: number
}

/**
 * How long an opening must be for the block to pass, as rules of thumb of the trade: soft, folded in
 * half: 0.55 of the smaller side and the thickness; firmer: the smaller side and 0.3 of the
 * thickness; vacuum packed in film: 0.4 of either.
 */
export function openingNeed(sizing: Sizing, firmness: Firmness): OpeningNeed {
  const { width, depth, thickness } = sizing.wrapped
  const smaller = Math.min(width.value, depth.value)
  const neededMm = firmness === 'soft' ? 0.55 * smaller + thickness.value : smaller + 0.3 * thickness.value
  const ends = [width.value, depth.value].toSorted((a, b) => a - b)
  return { neededMm, packedMm: 0.4 * neededMm, girthMm: (ends[0]! + thickness.value) * SQUEEZE[firmness] }
}

/** How far a filling gives when it is folded or squeezed through, as a share of its girth; until the shop has learnt its own. */
const SQUEEZE: Readonly<Record<Firmness, number>> = { soft: 0.6, medium: 0.85, firm: 1, 'extra firm': 1 }
