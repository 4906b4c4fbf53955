import { UNIT_WORDS, type LengthUnit } from '../../core/units/index.ts'

export const UNIT_CHOICES = (Object.keys(UNIT_WORDS) as LengthUnit[]).map((value) => ({
  value,
  label: UNIT_WORDS[value],
}))
