import type { FoamFamily, Grade } from '../../contract/index.ts'

/** The made-up catalogue of the demo shop: name, family, kg/m³, N at 40 %, support factor, price of a m³. */
const ROWS: readonly (readonly [string, FoamFamily, number, number, number, number])[] = [
  ['Gannet 24/110', 'conventional', 24, 110, 2.0, 210],
  ['Gannet 30/140', 'conventional', 30, 140, 2.0, 260],
  ['Gannet 36/180', 'conventional', 36, 180, 2.1, 315],
  ['Fulmar 35/120', 'high-resilience', 35, 120, 2.6, 390],
  ['Fulmar 40/160', 'high-resilience', 40, 160, 2.7, 445],
  ['Fulmar 50/220', 'high-resilience', 50, 220, 2.8, 560],
  ['Eider 50/60', 'memory', 50, 60, 2.0, 620],
  ['Petrel 65/130', 'latex', 65, 130, 3.0, 890],
  ['Skua 30/150', 'quick-dry', 30, 150, 2.0, 780],
  ['Auk 33/400', 'closed-cell', 33, 400, 2.4, 540],
  ['Rook 80/350', 'rebond', 80, 350, 2.5, 330],
]

export const DEMO_GRADES: readonly Grade[] = ROWS.map(([name, family, densityKgM3, hardnessN, supportFactor, pricePerM3]) => ({
  id: name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-'),
  name,
  family,
  densityKgM3,
  hardnessN,
  supportFactor,
  sheets: [
    { lengthMm: 2000, widthMm: 1200 },
    { lengthMm: 2030, widthMm: 1520 },
  ],
  thicknessesMm: [25, 50, 75, 100],
  pricePerM3,
}))
