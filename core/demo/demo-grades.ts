import type { FoamFamily, FoamStock, Grade } from '../../contract/index.ts'
import { FAMILIES } from '../filling/index.ts'

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

export const DEMO_GRADES: readonly Grade[] = ROWS.map(
  ([name, family, densityKgM3, at40N, supportFactor, pricePerM3]) => ({
    id: name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-'),
    name,
    family,
    said: '',
    densityKgM3,
    at25N: null,
    at40N,
    at65N: null,
    supportFactor,
    exposures: [...FAMILIES[family].exposures],
    combustionModified: false,
    ageing: null,
    sheets: [
      { lengthMm: 2000, widthMm: 1200 },
      { lengthMm: 2030, widthMm: 1520 },
    ],
    thicknessesMm: [25, 50, 75, 100],
    pricePerM3,
  }),
)

/** Pieces that lie in the demo shop: what earlier jobs left, and a mattress taken in part exchange. */
export const DEMO_FOAM_STOCK: readonly FoamStock[] = [
  {
    id: 'stock-1',
    name: 'Remnant from the berths',
    kind: 'remnant',
    gradeId: 'skua-30-150',
    lengthMm: 1180,
    widthMm: 760,
    thicknessMm: 100,
    count: 1,
    cutOuts: [{ xMm: 880, yMm: 0, lengthMm: 300, widthMm: 260 }],
  },
  {
    id: 'stock-2',
    name: 'Sheet, opened',
    kind: 'sheet',
    gradeId: 'gannet-30-140',
    lengthMm: 2000,
    widthMm: 700,
    thicknessMm: 75,
    count: 1,
    cutOuts: [],
  },
  {
    id: 'stock-3',
    name: 'Spare bunk mattress',
    kind: 'mattress',
    gradeId: 'gannet-36-180',
    lengthMm: 1960,
    widthMm: 800,
    thicknessMm: 100,
    count: 1,
    cutOuts: [],
  },
  {
    id: 'stock-4',
    name: 'Guest topper',
    kind: 'topper',
    gradeId: 'fulmar-35-120',
    lengthMm: 1950,
    widthMm: 880,
    thicknessMm: 50,
    count: 2,
    cutOuts: [],
  },
  {
    id: 'stock-5',
    name: 'Boathouse mattress',
    kind: 'mattress',
    gradeId: 'fulmar-40-160',
    lengthMm: 1950,
    widthMm: 1480,
    thicknessMm: 140,
    count: 1,
    cutOuts: [],
  },
]
