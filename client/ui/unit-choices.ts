import type { LengthUnit } from '../../core/units/index.ts'

export const UNIT_CHOICES: readonly { readonly value: LengthUnit; readonly label: string }[] = [
  { value: 'mm', label: 'millimetres' },
  { value: 'cm', label: 'centimetres' },
  { value: 'inch-8', label: 'inches, eighths' },
  { value: 'inch-16', label: 'inches, sixteenths' },
]
