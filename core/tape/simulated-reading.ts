import { normal } from '../random/index.ts'

export interface TapeNoise {
  /** Standard deviation of an ordinary reading. */
  readonly sdMm: number
  /** How often a reading is grossly wrong, 0 to 1. */
  readonly grossShare: number
}

export const USUAL_NOISE: TapeNoise = { sdMm: 0.8, grossShare: 0.04 }

/** Slips of the hand: the next ten, the next inch, the hook not at the edge. */
const GROSS_MM = [10, -10, 25.4, -25.4, 100, -100]

/**
 * What a tape would send for a true length: to a tenth of a millimetre, with noise, and now and then
 * a gross misreading. `random` gives numbers from 0 up to 1.
 */
export function simulatedReading(trueMm: number, { sdMm, grossShare }: TapeNoise, random: () => number): number {
  const isGross = random() < grossShare
  const slip = isGross ? GROSS_MM[Math.floor(random() * GROSS_MM.length)]! : 0
  const read = trueMm + slip + sdMm * normal(random)
  return Math.max(0.1, Math.round(read * 10) / 10)
}
