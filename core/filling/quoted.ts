import { phrase } from '../language/index.ts'
import type { Grade } from '../../contract/index.ts'
import { amountFactor, amountUnit, formatAmount, isInch, type LengthUnit } from '../units/index.ts'
import { stackForceN } from './layers.ts'
import { quotedForceN, type QuotedStrain, type SettledLayer } from './model/index.ts'

/**
 * How the trade speaks of a foam's firmness: newtons at 40 % compression, or pounds-force at 25 % where lengths are in
 * inches.
 */
export const quotedStrain = (unit: LengthUnit): QuotedStrain => (isInch(unit) ? 0.25 : 0.4)

/** The figure alone, whole, for a column. Null where nobody knows. */
export function quotedForceOf(grade: Grade, unit: LengthUnit): number | null {
  const forceN = quotedForceN(grade, quotedStrain(unit))
  return forceN === null ? null : Math.round(forceN / amountFactor('force', unit))
}

/** `140 N at 40 %`, `36 lbf at 25 %`; null where nobody knows. */
export const quotedForceWords = (grade: Grade, unit: LengthUnit): string | null =>
  forceWords(quotedForceN(grade, quotedStrain(unit)), unit)

/** The same of the layers of a block together. */
export const stackForceWords = (layers: readonly SettledLayer[], unit: LengthUnit): string | null =>
  forceWords(stackForceN(layers, quotedStrain(unit)), unit)

/** `36 kg/m³, 180 N at 40 %`, as far as it is known. */
export const foamWords = (grade: Grade, unit: LengthUnit): string =>
  [grade.densityKgM3 === null ? null : formatAmount(grade.densityKgM3, 'density', unit), quotedForceWords(grade, unit)]
    .filter((words) => words !== null)
    .join(', ')

const forceWords = (forceN: number | null, unit: LengthUnit): string | null =>
  forceN === null
    ? null
    : phrase`${Math.round(forceN / amountFactor('force', unit))} ${amountUnit('force', unit)} at ${quotedStrain(unit) * 100} %`
