import { err, ok, type Result } from '../result/index.ts'
import { formatLength, trimmed, unitName } from './format-length.ts'
import { plainText } from './plain-text.ts'
import { isInch, MM_PER_INCH, type LengthUnit } from './unit.ts'

export type LengthFailure =
  | { readonly code: 'empty' }
  | { readonly code: 'not-a-length'; readonly text: string; readonly at: string }
  | { readonly code: 'division-by-zero'; readonly text: string }

export interface ReadLength {
  readonly mm: number
  /** How the entry was understood, in words: `23 5/8 in = 600.1 mm`. */
  readonly understood: string
}

/**
 * Reads a length as makers say it: `23 5/8`, `23-5/8"`, `60 cm`, `600`, `4' 2 1/2"`, and sums and differences such as
 * `42+3/4`; `1,250` is one thousand two hundred and fifty, `12,5` twelve and a half. A number without a unit takes the
 * unit of the term's neighbour to its right, else the shop's. A minus sets a fraction apart only right before it
 * (`23-5/8`).
 */
export function parseLength(text: string, shopUnit: LengthUnit): Result<ReadLength, LengthFailure> {
  const source = plainText(text).trim()
  if (source === '') return err({ code: 'empty' })
  const terms = readTerms(source)
  if (!terms.ok) return terms
  let mm = 0
  let unit: Unit = unitName(shopUnit)
  const said: string[] = []
  for (const term of terms.value.toReversed()) {
    unit = term.unit ?? (unit === 'ft' ? 'in' : unit)
    mm += term.sign * term.amount * MM_PER[unit]
    said.unshift(`${term.sign < 0 ? '− ' : said.length === terms.value.length - 1 ? '' : '+ '}${term.said} ${unit}`)
  }
  return ok({ mm, understood: inWords(said.join(' '), mm, shopUnit, unit) })
}

type Unit = 'mm' | 'cm' | 'm' | 'in' | 'ft'
const MM_PER: Record<Unit, number> = { mm: 1, cm: 10, m: 1000, in: MM_PER_INCH, ft: 12 * MM_PER_INCH }
const UNIT_OF: Record<string, Unit> = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  ft: 'ft',
  feet: 'ft',
  foot: 'ft',
  "'": 'ft',
}

interface Term {
  readonly sign: 1 | -1
  readonly amount: number
  readonly unit: Unit | null
  readonly said: string
}

/** The units of a length as they are said, longest first, for a regular expression. */
export const LENGTH_UNITS = Object.keys(UNIT_OF)
  .toSorted((a, b) => b.length - a.length)
  .join('|')

/** One amount: `23 5/8`, `23-5/8`, `5/8`, `23.5` or `.5`, then perhaps its unit, and after feet at once the inches. */
const TERM = new RegExp(
  String.raw`^(?:(?<whole>\d+)(?:\s+|\s*-\s*)(?<top>\d+)\s*/\s*(?<bottom>\d+)|(?<loneTop>\d+)\s*/\s*(?<loneBottom>\d+)|(?<decimal>\d+(?:[.,]\d+)?|[.,]\d+))\s*(?<unit>${LENGTH_UNITS})?(?![a-z.,])`,
  'i',
)

function readTerms(source: string): Result<readonly Term[], LengthFailure> {
  const terms: Term[] = []
  let rest = source
  while (rest !== '') {
    const join = /^\s*(?<sign>[+-])?\s*/.exec(rest)!
    const sign = join.groups!['sign'] === '-' ? -1 : 1
    // Two amounts side by side are one length only as feet and inches: 4' 2 1/2".
    const isSideBySide = terms.length > 0 && join.groups!['sign'] === undefined
    rest = rest.slice(join[0].length)
    const match = TERM.exec(rest)
    if (!match || (isSideBySide && terms.at(-1)!.unit !== 'ft'))
      return err({ code: 'not-a-length', text: source, at: rest })
    const amount = amountOf(match.groups!)
    if (amount === null) return err({ code: 'division-by-zero', text: source })
    const unit = match.groups!['unit']
    terms.push({
      sign,
      amount: amount.value,
      said: amount.said,
      unit: unit ? UNIT_OF[unit.toLowerCase()]! : isSideBySide ? 'in' : null,
    })
    rest = rest.slice(match[0].length).trimEnd()
  }
  return ok(terms)
}

/** Three figures after a comma part thousands: nobody says a length to the thousandth. */
const THOUSANDS = /^[1-9]\d{0,2},\d{3}$/

function amountOf(part: Record<string, string | undefined>): { value: number; said: string } | null {
  const top = part['top'] ?? part['loneTop']
  const bottom = part['bottom'] ?? part['loneBottom']
  if (top !== undefined && bottom !== undefined) {
    if (Number(bottom) === 0) return null
    const whole = part['whole']
    return {
      value: Number(whole ?? 0) + Number(top) / Number(bottom),
      said: `${whole ? `${whole} ` : ''}${top}/${bottom}`,
    }
  }
  const figures = part['decimal']!
  const value = Number(THOUSANDS.test(figures) ? figures.replace(',', '') : figures.replace(',', '.'))
  return { value, said: trimmed(value, 6) }
}

/** Tells the other unit beside the one that was said, so that a slip of unit shows at once. */
function inWords(said: string, mm: number, shopUnit: LengthUnit, unit: Unit): string {
  const saidInches = unit === 'in' || unit === 'ft'
  if (saidInches) return `${said} = ${trimmed(mm, 1)} mm`
  if (isInch(shopUnit)) return `${said} = ${formatLength(mm, shopUnit)} in`
  return unit === 'mm' && !said.includes('+') && !said.includes('−') ? said : `${said} = ${trimmed(mm, 1)} mm`
}
