import { phrase } from '../../core/language/index.ts'
import type { Fault } from '../../contract/index.ts'

const FIELDS: Readonly<Record<string, string>> = {
  name: 'The name',
  widthMm: 'The width',
  selvedgeMm: 'The selvedges',
  pattern: 'The pattern',
  supply: 'The remnant',
  flaws: 'A flaw',
  pricePerMetre: 'The price',
  buyingStepMm: 'The buying step',
  stretch: 'The stretch',
  shrink: 'The shrinkage',
}

/** A fault of a cloth by the name its field has on screen. */
export function clothFaultWords({ path, message }: Fault): string {
  const [, field = ''] = /^\$\.?(\w+)/.exec(path) ?? []
  return phrase`${FIELDS[field] ?? field} ${message}.`
}
