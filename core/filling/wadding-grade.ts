import type { Grade } from '../../contract/index.ts'

/** Polyester wadding as it lies under a cover, squeezed to about a third: a very soft layer. A rule of thumb. */
export const WADDING_GRADE: Grade = {
  id: 'wadding',
  name: 'wadding',
  family: 'wadding',
  said: '',
  densityKgM3: 25,
  at25N: null,
  at40N: 30,
  at65N: null,
  supportFactor: null,
  exposures: ['indoors', 'sun', 'damp', 'wet'],
  combustionModified: false,
  ageing: { lossShare: 0.3, years: 5 },
  sheets: [],
  thicknessesMm: [10],
  pricePerM3: 0,
}
