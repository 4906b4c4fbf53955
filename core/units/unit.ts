/**
 * Every length in core is millimetres, every angle radians, every area mm², mass kg, money plain.
 * A name carries its unit where it could be doubted: `thicknessMm`, `densityKgM3`.
 * Axes: on a panel x runs across the front and y from front to back; on cloth x runs across
 * the roll from the left selvedge and y along it. Areas are positive counter-clockwise.
 */
export const MM_PER_INCH = 25.4

/** How a job shows its lengths; `inch-8` is inches in eighths. */
export type LengthUnit = 'mm' | 'cm' | 'inch-8' | 'inch-16'

export const isInch = (unit: LengthUnit): boolean => unit === 'inch-8' || unit === 'inch-16'

/** The least step in which a job writes what is cut: a whole millimetre, an eighth or a sixteenth of an inch. */
export const cutStepMm = (unit: LengthUnit): number => (isInch(unit) ? MM_PER_INCH / inchParts(unit) : 1)

/** A length as it can be marked and cut: to the nearest whole millimetre, or part of an inch. */
export const toCut = (mm: number, unit: LengthUnit): number => Math.round(mm / cutStepMm(unit)) * cutStepMm(unit)

/** Into how many parts an inch is divided. */
export const inchParts = (unit: LengthUnit): 8 | 16 => (unit === 'inch-8' ? 8 : 16)

/** Millimetres in one of a unit, for scales of charts. */
export const mmPerUnit = (unit: LengthUnit): number => (isInch(unit) ? MM_PER_INCH : unit === 'cm' ? 10 : 1)

/** What a unit is called where one is chosen. */
export const UNIT_WORDS: Readonly<Record<LengthUnit, string>> = {
  mm: 'millimetres',
  cm: 'centimetres',
  'inch-8': 'inches, eighths',
  'inch-16': 'inches, sixteenths',
}
