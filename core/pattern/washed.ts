import type { Band, Cloth, ClothChoice, Pattern, Supply } from '../../contract/index.ts'
import type { Way } from './stripes.ts'

/**
 * The cloth as it lies on the table: one that is washed first has shrunk, all of it: length and width, selvedges,
 * repeat, flaws and what is in hand. Any other is as it was bought.
 */
export function washed(cloth: Cloth): Cloth {
  const [x, y] = [leftByWash(cloth, 'across'), leftByWash(cloth, 'along')]
  if (x === 1 && y === 1) return cloth
  return {
    ...cloth,
    widthMm: cloth.widthMm * x,
    selvedgeMm: [cloth.selvedgeMm[0] * x, cloth.selvedgeMm[1] * x],
    pattern: washedPattern(cloth.pattern, x, y),
    supply: washedSupply(cloth.supply, x, y),
    flaws: cloth.flaws.map((f) => ({
      ...f,
      xMm: f.xMm * x,
      yMm: f.yMm * y,
      widthMm: f.widthMm * x,
      lengthMm: f.lengthMm * y,
    })),
    shrink: { across: 0, along: 0 },
    washFirst: false,
  }
}

/** Every cloth of a job as it lies on the table. */
export function washedChoice(choice: ClothChoice): ClothChoice {
  const others = Object.fromEntries(Object.entries(choice.others).map(([role, cloth]) => [role, washed(cloth)]))
  return { ...choice, cloth: washed(choice.cloth), others }
}

type Washing = Pick<Cloth, 'washFirst' | 'shrink'>

/** The share of a cloth that is left when it comes to the table: washed before it is cut, or all of it. */
export const leftByWash = ({ washFirst, shrink }: Washing, way: Way): number => (washFirst ? 1 - shrink[way] : 1)

/**
 * How many times larger a piece is cut for what washing takes of the finished cover; nothing more where the cloth was
 * washed first.
 */
export const cutLarger = ({ washFirst, shrink }: Washing, way: Way): number => (washFirst ? 1 : 1 / (1 - shrink[way]))

/** How much cloth goes into the wash for so much of it on the table. */
export const beforeWash = (cloth: Washing, lengthMm: number): number => lengthMm / leftByWash(cloth, 'along')

function washedPattern(pattern: Pattern, x: number, y: number): Pattern {
  switch (pattern.kind) {
    case 'plain':
      return pattern
    case 'stripes': {
      const by = pattern.runs === 'along' ? x : y
      return { ...pattern, bands: scaled(pattern.bands, by), startMm: pattern.startMm * by }
    }
    case 'check':
      return {
        ...pattern,
        across: scaled(pattern.across, x),
        along: scaled(pattern.along, y),
        startMm: pattern.startMm * x,
        startAlongMm: pattern.startAlongMm * y,
      }
    case 'motif':
      return {
        ...pattern,
        acrossMm: pattern.acrossMm * x,
        alongMm: pattern.alongMm * y,
        startMm: pattern.startMm * x,
        startAlongMm: pattern.startAlongMm * y,
      }
    default:
      return pattern satisfies never
  }
}

const scaled = (bands: readonly Band[], by: number): Band[] => bands.map((b) => ({ ...b, widthMm: b.widthMm * by }))

function washedSupply(supply: Supply, x: number, y: number): Supply {
  switch (supply.kind) {
    case 'to-buy':
      return supply
    case 'length':
      return { ...supply, lengthMm: supply.lengthMm * y }
    case 'remnant':
      return { ...supply, outline: supply.outline.map(([px, py]): [number, number] => [px * x, py * y]) }
    default:
      return supply satisfies never
  }
}
