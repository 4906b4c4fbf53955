import type { FoamStock, Grade } from '../../contract/index.ts'
import { FAMILIES } from '../../core/filling/index.ts'

/** A grade with nothing said of it yet but what is usual. */
export const newGrade = (): Grade => ({
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
  sheets: [{ lengthMm: 2000, widthMm: 1200 }],
  thicknessesMm: [25, 50, 75, 100],
  pricePerM3: 0,
})

export const newStock = (grades: readonly Grade[]): FoamStock => ({
  id: `stock-${Date.now().toString(36)}`,
  name: 'Remnant',
  kind: 'remnant',
  gradeId: grades[0]?.id ?? '',
  lengthMm: 1000,
  widthMm: 600,
  thicknessMm: grades[0]?.thicknessesMm[0] ?? 50,
  count: 1,
  cutOuts: [],
})
