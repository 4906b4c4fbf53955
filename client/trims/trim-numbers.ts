import type { Trim } from '../../contract/index.ts'
import { trimmed, type LengthUnit } from '../../core/units/index.ts'
import { countedIn } from './counted-in.ts'

type TrimNumber = 'price' | 'pack' | 'inHand' | 'reorderAt'
export type TrimTexts = Readonly<Record<TrimNumber, string>>

/** The numbers of a thing as they stand in their fields, in the units of the shop. */
export const writeNumbers = (trim: Trim, lengths: LengthUnit): Record<TrimNumber, string> => ({
  price: shown(trim, 'price', lengths),
  pack: shown(trim, 'pack', lengths),
  inHand: shown(trim, 'inHand', lengths),
  reorderAt: shown(trim, 'reorderAt', lengths),
})

/** The fields read again, as stored; not a number where nothing is understood. What was not touched stays as it `was`. */
export function readNumbers(
  texts: TrimTexts,
  unit: Trim['unit'],
  lengths: LengthUnit,
  was: Trim,
): Pick<Trim, TrimNumber> {
  const read = (key: TrimNumber) =>
    unit === was.unit && texts[key] === shown(was, key, lengths)
      ? was[key]
      : numberOf(texts[key]) * factor(key, unit, lengths)
  return { price: read('price'), pack: read('pack'), inHand: read('inHand'), reorderAt: read('reorderAt') }
}

const PLACES = 4
const shown = (trim: Trim, key: TrimNumber, lengths: LengthUnit): string =>
  trimmed(trim[key] / factor(key, trim.unit, lengths), PLACES)

/** A yard is less than a metre: so many more of them, each for less. */
function factor(key: TrimNumber, unit: Trim['unit'], lengths: LengthUnit): number {
  const { worth } = countedIn(unit, lengths)
  return key === 'price' ? 1 / worth : worth
}

const numberOf = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')))
