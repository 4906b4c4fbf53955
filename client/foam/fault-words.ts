import { phrase } from '../../core/language/index.ts'
import type { Fault } from '../../contract/index.ts'

const FIELDS: Readonly<Record<string, string>> = {
  name: 'The name',
  id: 'The name',
  family: 'The family',
  said: 'What is said of it',
  densityKgM3: 'The density',
  at25N: 'The force at 25 %',
  at40N: 'The force at 40 %',
  at65N: 'The force at 65 %',
  supportFactor: 'The support factor',
  exposures: 'The list of places',
  thicknessesMm: 'The list of thicknesses',
  sheets: 'A sheet size',
  pricePerM3: 'The price',
  ageing: 'The ageing',
  gradeId: 'The grade',
  lengthMm: 'The length',
  widthMm: 'The width',
  thicknessMm: 'The thickness',
  count: 'The count',
  cutOuts: 'A cut-out',
}

/** A fault of a grade or a piece of stock by the name its field has on screen. */
export function faultWords({ path, message }: Fault): string {
  const [, field = ''] = /^\$\.?(\w+)/.exec(path) ?? []
  return phrase`${FIELDS[field] ?? field} ${message}.`
}
