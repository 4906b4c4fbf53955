import type { FoamStock, Grade } from '../../contract/index.ts'
import { FAMILIES } from '../../core/filling/index.ts'
import { isInch, MM_PER_INCH, type LengthUnit } from '../../core/units/index.ts'

/** A sheet as it is usually sold. */
export const newSheet = (unit: LengthUnit): Grade['sheets'][number] =>
  isInch(unit) ? { lengthMm: 80 * MM_PER_INCH, widthMm: 48 * MM_PER_INCH } : { lengthMm: 2000, widthMm: 1200 }

/** A grade with nothing said of it yet but what is usual. */
export const newGrade = (unit: LengthUnit): Grade => ({
  id: '',
  name: '',
  family: 'conventional',
  said: '',
  densityKgM3: 30,
  at25N: null,
  at40N: 140,
  at65N: null,
  supportFactor: null,
  exposures: [...FAMILIES.conventional.exposures],
  combustionModified: false,
  ageing: null,
  sheets: [newSheet(unit)],
  thicknessesMm: isInch(unit) ? [1, 2, 3, 4].map((inches) => inches * MM_PER_INCH) : [25, 50, 75, 100],
  pricePerM3: 0,
})

export const newStock = (grades: readonly Grade[], unit: LengthUnit): FoamStock => ({
  id: `stock-${Date.now().toString(36)}`,
  name: 'Remnant',
  kind: 'remnant',
  gradeId: grades[0]?.id ?? '',
  ...(isInch(unit) ? { lengthMm: 40 * MM_PER_INCH, widthMm: 24 * MM_PER_INCH } : { lengthMm: 1000, widthMm: 600 }),
  thicknessMm: grades[0]?.thicknessesMm[0] ?? 50,
  count: 1,
  cutOuts: [],
})
