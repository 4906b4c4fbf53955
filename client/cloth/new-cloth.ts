import type { Band, Cloth, Pattern, Supply } from '../../contract/index.ts'
import { USUAL_CLOTH } from '../../core/cloth/index.ts'
import { EIGHTH_OF_A_YARD_MM, isInch, MM_PER_INCH, type LengthUnit } from '../../core/units/index.ts'

/** A cloth with nothing said of it yet but what is usual. */
export const newCloth = (unit: LengthUnit): Cloth => ({
  ...USUAL_CLOTH,
  id: `cloth-${Date.now().toString(36)}`,
  name: '',
  ...(isInch(unit) ? YARD_GOODS : { widthMm: 1400 }),
  ground: '#d8cdb4',
  pricePerMetre: 0,
})

/** Cloth as it is usually sold there, 54 in wide. */
const YARD_GOODS = {
  widthMm: 54 * MM_PER_INCH,
  selvedgeMm: [MM_PER_INCH / 2, MM_PER_INCH / 2],
  buyingStepMm: EIGHTH_OF_A_YARD_MM,
} satisfies Partial<Cloth>

const STARTING_BANDS: Band[] = [
  { name: 'ground', colour: '#efe6d2', widthMm: 40 },
  { name: 'stripe', colour: '#5b6670', widthMm: 20 },
]

/** Each kind of pattern as it starts. */
export function startPattern(kind: Pattern['kind']): Pattern {
  switch (kind) {
    case 'plain':
      return { kind }
    case 'stripes':
      return { kind, runs: 'along', bands: STARTING_BANDS, startMm: 0 }
    case 'check':
      return { kind, across: STARTING_BANDS, along: STARTING_BANDS, startMm: 0, startAlongMm: 0 }
    case 'motif':
      return { kind, acrossMm: 280, alongMm: 320, colour: '#5b6670', startMm: 140, startAlongMm: 160, halfDrop: false }
    default:
      return kind satisfies never
  }
}

/** How a cloth comes, as its dialog begins with it; `widthMm` is the width of the cloth. */
export function startSupply(kind: Supply['kind'], widthMm: number): Supply {
  switch (kind) {
    case 'to-buy':
      return { kind }
    case 'length':
      return { kind, lengthMm: 3000 }
    case 'remnant':
      return {
        kind,
        outline: [
          [0, 0],
          [widthMm, 0],
          [widthMm, 900],
          [0, 900],
        ],
      }
    default:
      return kind satisfies never
  }
}
