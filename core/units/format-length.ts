import { inchParts, isInch, MM_PER_INCH, type LengthUnit } from './unit.ts'

/**
 * A length in the shop's unit, without the unit's name: `746.7`, `74.67`, `29 3/8`.
 * Inches are rounded to the nearest eighth or sixteenth and reduced.
 */
export function formatLength(mm: number, unit: LengthUnit): string {
  switch (unit) {
    case 'mm':
      return trimmed(mm, 1)
    case 'cm':
      return trimmed(mm / 10, 2)
    case 'inch-8':
    case 'inch-16':
      return inchFraction(mm / MM_PER_INCH, inchParts(unit))
    default:
      return unit satisfies never
  }
}

/** The same with the unit: `746.7 mm`, `29 3/8 in`. */
export const formatLengthWithUnit = (mm: number, unit: LengthUnit): string =>
  `${formatLength(mm, unit)} ${unitName(unit)}`

export const unitName = (unit: LengthUnit): 'mm' | 'cm' | 'in' => (isInch(unit) ? 'in' : unit === 'cm' ? 'cm' : 'mm')

/** Rounds halves up, whatever binary fractions make of them, without a trailing `.0`; never writes minus nought. */
export const trimmed = (value: number, decimals: number): string =>
  String(Number((value + Math.sign(value) * HALF_UP * 10 ** -decimals).toFixed(decimals)) + 0)

const HALF_UP = 1e-7

function inchFraction(inches: number, parts: 8 | 16): string {
  const total = Math.round(Math.abs(inches) * parts)
  const sign = inches < 0 && total > 0 ? '-' : ''
  const whole = Math.floor(total / parts)
  let top = total % parts
  if (top === 0) return `${sign}${whole}`
  let bottom: number = parts
  while (top % 2 === 0) {
    top /= 2
    bottom /= 2
  }
  return whole === 0 ? `${sign}${top}/${bottom}` : `${sign}${whole} ${top}/${bottom}`
}
