import type { Grade } from '../../contract/index.ts'
import { curveOf, edgeFactor } from '../filling/index.ts'
import { normal, pickBelow, type Random } from '../random/index.ts'

export interface PressNoise {
  /** Standard deviation of force and travel, as a share of each. */
  readonly sdShare: number
  /** Share of the force that is missing while the disc comes back up. */
  readonly hysteresis: number
  /** How often a wrong piece of foam lies under the press, 0 to 1. */
  readonly wrongShare: number
}

export const USUAL_PRESS_NOISE: PressNoise = { sdShare: 0.01, hysteresis: 0.25, wrongShare: 0.05 }

export interface PressSample {
  readonly grade: Grade
  readonly thicknessMm: number
  readonly discMm: number
}

export interface PressPoint {
  readonly forceN: number
  readonly travelMm: number
}

/** Strains of one stroke: down to 70 % and half-way back. */
const STROKE = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.55, 0.4]

/** Newtons on a disc that has sunk so far into a sample. */
export const forceOnDisc = ({ grade, thicknessMm, discMm }: PressSample, travelMm: number): number => {
  const strain = travelMm / thicknessMm
  return (curveOf(grade).stressPa(strain) * edgeFactor(strain, thicknessMm, discMm) * Math.PI * (discMm / 2) ** 2) / 1e6
}

/**
 * What a press would send for one stroke into a sample, in the order it happens. `others` are what a wrong piece could
 * be.
 */
export function simulatedStroke(
  sample: PressSample,
  noise: PressNoise,
  others: readonly Grade[],
  random: Random,
): readonly PressPoint[] {
  const isWrong = others.length > 0 && random() < noise.wrongShare
  const under = isWrong ? { ...sample, grade: others[pickBelow(random, others.length)]! } : sample
  const deepest = STROKE.indexOf(Math.max(...STROKE))
  const shaken = (value: number) => Math.max(0.1, value * (1 + noise.sdShare * normal(random)))
  return STROKE.map((strain, i): PressPoint => {
    const travelMm = strain * under.thicknessMm
    const force = forceOnDisc(under, travelMm) * (i > deepest ? 1 - noise.hysteresis : 1)
    return { forceN: Math.round(shaken(force) * 10) / 10, travelMm: Math.round(shaken(travelMm) * 10) / 10 }
  })
}
