import type { Firmness, Sizing } from '../filling/index.ts'

export interface OpeningNeed {
  /** As it comes; soft foam is folded in half. */
  readonly neededMm: number
  /** Vacuum packed in film. */
  readonly packedMm: number
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
  return { neededMm, packedMm: 0.4 * neededMm }
}
