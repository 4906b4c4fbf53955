/** Classes by the force at 40 % compression, as the trade speaks of them. */
export type Firmness = 'soft' | 'medium' | 'firm' | 'extra firm'

/** Soft to 110 N, medium to 160, firm to 220, extra firm above; a grade on the line is the firmer. */
export function firmnessOf(hardnessN: number): Firmness {
  if (hardnessN < 110) return 'soft'
  if (hardnessN < 160) return 'medium'
  return hardnessN < 220 ? 'firm' : 'extra firm'
}

/** How much larger than the finished cushion a full block is cut: soft foam gives more. */
export const OVERSIZE_SHARE: Record<Firmness, number> = { soft: 0.03, medium: 0.02, firm: 0.01, 'extra firm': 0.01 }
