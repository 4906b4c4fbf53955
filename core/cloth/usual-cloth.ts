import type { Cloth } from '../../contract/index.ts'

/** What is usual of a cloth of which nothing else is said. */
export const USUAL_CLOTH: Omit<Cloth, 'id' | 'name' | 'widthMm' | 'ground' | 'pricePerMetre'> = {
  selvedgeMm: [10, 10],
  nap: 'two-way',
  pattern: { kind: 'plain' },
  buyingStepMm: 100,
  thicknessMm: 0.6,
  stretch: { across: 0, along: 0 },
  shrink: { across: 0, along: 0 },
  washFirst: false,
  fibre: 'mixed',
  marking: 'notches',
  massGM2: 300,
  use: 'indoors',
  reversible: false,
  supply: { kind: 'to-buy' },
  flaws: [],
}
