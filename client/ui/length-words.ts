import { phrase } from '../../core/language/index.ts'
import { LONGEST_MM } from '../../contract/index.ts'
import type { Result } from '../../core/result/index.ts'
import { formatLengthWithUnit, type LengthFailure, type LengthUnit, type ReadLength } from '../../core/units/index.ts'

/** What is wrong with an entered length, with a cure; empty when nothing is. */
export function lengthWords(
  name: string,
  text: string,
  read: Result<ReadLength, LengthFailure>,
  limits: { unit: LengthUnit; min?: number | undefined; max?: number | undefined },
): string {
  if (!read.ok) {
    switch (read.error.code) {
      case 'empty':
        return phrase`${name} is empty: type a length.`
      case 'division-by-zero':
        return phrase`${name}: "${text}" divides by nought. Check the fraction.`
      case 'not-a-length':
        return phrase`${name}: "${text}" is not a length. Type it as 600, 60 cm, 23 5/8 or 42+3/4.`
      default:
        return read.error satisfies never
    }
  }
  const { mm } = read.value
  const min = limits.min ?? Number.MIN_VALUE
  const max = limits.max ?? LONGEST_MM
  const say = (length: number) => formatLengthWithUnit(length, limits.unit)
  if (mm < min)
    return limits.min === undefined
      ? phrase`${name} must be more than nought.`
      : phrase`${name} must be at least ${say(min)}.`
  return mm > max ? phrase`${name} is ${say(mm)}; at most ${say(max)} is taken. Check the unit.` : ''
}
