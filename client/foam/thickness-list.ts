import { formatLength, isInch, parseLength, type LengthUnit } from '../../core/units/index.ts'

/** The thicknesses a grade is sold in, as they stand in their field: `25, 50, 75`, `1, 1 1/2, 2`. */
export const writeThicknesses = (thicknessesMm: readonly number[], unit: LengthUnit): string =>
  thicknessesMm.map((mm) => formatLength(mm, unit)).join(', ')

/** The field read again, in mm; not a number where an entry is not understood. What was not touched stays as it `was`. */
export function readThicknesses(text: string, unit: LengthUnit, was: readonly number[]): number[] {
  return text
    .split(isInch(unit) ? /[,;]/ : /[,;\s]+/)
    .map((entry) => entry.trim())
    .filter((entry) => entry !== '')
    .map((entry) => was.find((mm) => formatLength(mm, unit) === entry) ?? mmOf(entry, unit))
}

function mmOf(entry: string, unit: LengthUnit): number {
  const read = parseLength(entry, unit)
  return read.ok ? read.value.mm : Number.NaN
}
