import { phrase } from '../../core/language/index.ts'
import type { Trim } from '../../contract/index.ts'
import { isInch, KG_PER_LB, METRES_PER_YARD, trimmed, type LengthUnit } from '../../core/units/index.ts'

/** What a thing of the shelf is counted in, and how many of the stored units one of it is. */
interface Counted {
  readonly name: string
  readonly worth: number
}

const METRIC: Readonly<Record<Trim['unit'], Counted>> = {
  m: { name: 'm', worth: 1 },
  m2: { name: 'm²', worth: 1 },
  kg: { name: 'kg', worth: 1 },
  piece: { name: phrase`piece`, worth: 1 },
}
const BESIDE_INCHES: Readonly<Record<Trim['unit'], Counted>> = {
  m: { name: 'yd', worth: METRES_PER_YARD },
  m2: { name: 'yd²', worth: METRES_PER_YARD ** 2 },
  kg: { name: 'lb', worth: KG_PER_LB },
  piece: METRIC.piece,
}

/** A thing counted by the metre is counted by the yard where lengths are in inches, and so on. */
export const countedIn = (unit: Trim['unit'], lengths: LengthUnit): Counted =>
  (isInch(lengths) ? BESIDE_INCHES : METRIC)[unit]

/** `12.5 m`, `13.67 yd`, `4`. */
export function amountWords(amount: number, unit: Trim['unit'], lengths: LengthUnit): string {
  const { name, worth } = countedIn(unit, lengths)
  return trimmed(amount / worth, 2) + (unit === 'piece' ? '' : ` ${name}`)
}

/** The price of one, thousandths where it is small. */
export function priceOfOne(price: number, unit: Trim['unit'], lengths: LengthUnit): string {
  const own = price * countedIn(unit, lengths).worth
  return own.toFixed(own < 0.1 ? 3 : 2)
}
