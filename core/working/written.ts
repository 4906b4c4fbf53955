import { phrase } from '../language/index.ts'
import type { LengthUnit } from '../units/index.ts'
import { amountOf, lastDigit } from './amount.ts'
import { pick, roundToStep } from './expression.ts'
import type { Expression, Figure, Quantity } from './model.ts'

/** A sum as it is written, and what a calculator makes of it as it stands. */
interface Written {
  readonly text: string
  readonly number: number
  /** The value behind 1 of that number. */
  readonly worth: number
  readonly binds: 'number' | 'product' | 'sum' | 'words'
}

interface Style {
  readonly unit: LengthUnit
  readonly finer: number
}

const MOST_FINER = 7

/**
 * The sum behind a figure as a maker would write it down: `(2236 + 2 × 2) ÷ 3`. Typed into a calculator it comes out as
 * the figure is shown, within half of its last digit: where rounded numbers would not, they are written finer, and what
 * lies between the units of the numbers and that of the figure is written as a factor.
 */
export function sayExpression(e: Expression, result: Pick<Figure, 'value' | 'quantity'>, unit: LengthUnit): string {
  const wanted = amountOf(result.value, result.quantity, unit)
  for (let finer = 0; ; finer++) {
    const said = inWorth(written(e, { unit, finer }), wanted.worth, finer)
    const isTrue = Math.abs(said.number - wanted.number) <= lastDigit(result.quantity, unit) * HALF
    if (isTrue || finer === MOST_FINER || !Number.isFinite(said.number)) return said.text
  }
}

/** Half, and what floating point adds. */
const HALF = 0.5 + 1e-6

function written(e: Expression, style: Style): Written {
  switch (e.kind) {
    case 'given':
      return amount(e.value, e.quantity, style)
    case 'figure':
      return amount(e.figure.value, e.figure.quantity, style)
    case 'sum':
      return sumOf(e.terms, style)
    case 'product':
      return productOf(e.factors, style)
    case 'quotient':
      return quotientOf(e.top, e.bottom, style)
    case 'pick':
      return pickOf(e.by, e.of, style)
    case 'round': {
      const [of, step] = [written(e.of, style), amountOf(e.step, e.quantity, style.unit, style.finer)]
      const own = inWorth(of, step.worth, style.finer)
      const to = e.step === 1 && e.quantity === 'count' ? 'whole' : step.text
      return {
        text: phrase`${own.text}, ${e.way} to the next ${to}`,
        number: roundToStep(own.number, step.number, e.way),
        worth: step.worth,
        binds: 'words',
      }
    }
    default:
      return e satisfies never
  }
}

function amount(value: number, quantity: Quantity, { unit, finer }: Style): Written {
  const { text, number, worth } = amountOf(value, quantity, unit, finer)
  // A calculator knows no hours: in a sum they are minutes.
  if (quantity === 'time') return { text: phrase`${number} min`, number, worth, binds: 'number' }
  return { text: text.startsWith('-') ? `(−${text.slice(1)})` : text, number, worth, binds: 'number' }
}

function sumOf(terms: Extract<Expression, { kind: 'sum' }>['terms'], style: Style): Written {
  if (terms.length === 0) return { text: '0', number: 0, worth: 1, binds: 'number' }
  const parts = terms.map((t) => written(t.of, style))
  const { worth } = parts[0]!
  const own = parts.map((p) => inWorth(p, worth, style.finer))
  const text = own
    .map(
      (p, i) =>
        (i === 0 ? (terms[i]!.sign < 0 ? '− ' : '') : terms[i]!.sign < 0 ? ' − ' : ' + ') +
        bracketed(p, terms[i]!.sign < 0),
    )
    .join('')
  return {
    text,
    number: own.reduce((sum, p, i) => sum + terms[i]!.sign * p.number, 0),
    worth,
    binds: terms.length === 1 && terms[0]!.sign > 0 ? own[0]!.binds : 'sum',
  }
}

function productOf(factors: readonly Expression[], style: Style): Written {
  const parts = factors.filter((f) => !isConversion(f)).map((f) => written(f, style))
  const hidden = factors.filter(isConversion).reduce((value, f) => value * f.value, 1)
  return {
    text: parts.map((p) => bracketed(p, true)).join(' × '),
    number: parts.reduce((n, p) => n * p.number, 1),
    worth: parts.reduce((w, p) => w * p.worth, hidden),
    binds: parts.length === 1 ? parts[0]!.binds : 'product',
  }
}

/** A constant between units is not written here: it comes in where the sum is brought to the unit of its figure. */
function quotientOf(top: Expression, bottom: Expression, style: Style): Written {
  const [a, b] = [written(top, style), written(bottom, style)]
  if (isConversion(bottom)) return { ...a, worth: a.worth / bottom.value }
  return {
    text: `${bracketed(a, true)} ÷ ${bracketed(b, true, true)}`,
    number: a.number / b.number,
    worth: a.worth / b.worth,
    binds: 'product',
  }
}

function pickOf(by: 'least' | 'most' | 'median', of: readonly Expression[], style: Style): Written {
  const parts = of.map((x) => written(x, style))
  const { worth } = parts[0]!
  const own = parts.map((p) => inWorth(p, worth, style.finer))
  return {
    text: phrase`${PICK_WORDS[by]} ${own.map((p) => bracketed(p, false)).join(by === 'median' ? ', ' : ' and ')}`,
    number: pick(
      by,
      own.map((p) => p.number),
    ),
    worth,
    binds: 'words',
  }
}

const PICK_WORDS = { least: 'the smaller of', most: 'the larger of', median: 'the middle of' } as const

const isConversion = (e: Expression): e is Extract<Expression, { kind: 'given' }> =>
  e.kind === 'given' && e.quantity === 'conversion'

function bracketed({ text, binds }: Written, sums: boolean, products = false): string {
  return binds === 'words' || (sums && binds === 'sum') || (products && binds === 'product') ? `(${text})` : text
}

/** The same sum counted in another worth, by a factor where there is one between them. */
function inWorth(said: Written, worth: number, finer: number): Written {
  const factor = factorOf(said.worth / worth, finer)
  if (!factor) return said
  return {
    text: phrase`${bracketed(said, true)} ${factor.text}`,
    number: said.number * factor.number,
    worth,
    binds: 'product',
  }
}

/** A factor as it is written: by a whole number where it is one, by π ÷ 180 for degrees, else in figures. */
function factorOf(factor: number, finer: number): { readonly text: string; readonly number: number } | null {
  if (Math.abs(factor - 1) < 1e-9) return null
  const isWhole = (v: number) => v >= 1 && Math.abs(v - Math.round(v)) < 1e-9 * v
  if (isWhole(factor)) return { text: `× ${Math.round(factor)}`, number: Math.round(factor) }
  if (isWhole(1 / factor)) return { text: `÷ ${Math.round(1 / factor)}`, number: 1 / Math.round(1 / factor) }
  const degrees = Math.PI / 180 / factor
  if (isWhole(degrees * 180))
    return { text: `× π ÷ ${Math.round(degrees * 180)}`, number: Math.PI / Math.round(degrees * 180) }
  const figures = Number((factor > 1 ? factor : 1 / factor).toPrecision(SIGNIFICANT + finer))
  return factor > 1 ? { text: `× ${figures}`, number: figures } : { text: `÷ ${figures}`, number: 1 / figures }
}

const SIGNIFICANT = 6
