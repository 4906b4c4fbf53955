import { formatLength, isInch, trimmed, type LengthUnit } from '../units/index.ts'
import type { Expression, Figure, Quantity } from './model.ts'

export type Operand = number | Figure | Expression

export const given = (value: number, quantity: Quantity, label: string): Expression => ({ kind: 'given', value, quantity, label })
export const plus = (...terms: readonly Operand[]): Expression => ({ kind: 'sum', terms: terms.map((t) => ({ sign: 1, of: asExpression(t) })) })
export const minus = (first: Operand, ...rest: readonly Operand[]): Expression => ({
  kind: 'sum',
  terms: [{ sign: 1, of: asExpression(first) }, ...rest.map((t) => ({ sign: -1 as const, of: asExpression(t) }))],
})
export const times = (...factors: readonly Operand[]): Expression => ({ kind: 'product', factors: factors.map(asExpression) })
export const over = (top: Operand, bottom: Operand): Expression => ({ kind: 'quotient', top: asExpression(top), bottom: asExpression(bottom) })
export const least = (...of: readonly Operand[]): Expression => ({ kind: 'pick', by: 'least', of: of.map(asExpression) })
export const most = (...of: readonly Operand[]): Expression => ({ kind: 'pick', by: 'most', of: of.map(asExpression) })
export const median = (of: readonly Operand[]): Expression => ({ kind: 'pick', by: 'median', of: of.map(asExpression) })
export const roundUp = (of: Operand, step: number, quantity: Quantity): Expression => ({ kind: 'round', way: 'up', of: asExpression(of), step, quantity })
export const roundDown = (of: Operand, step: number, quantity: Quantity): Expression => ({ kind: 'round', way: 'down', of: asExpression(of), step, quantity })

/** The value of a sum; a division by nought gives Infinity or NaN as in arithmetic. */
export function evaluate(e: Expression): number {
  switch (e.kind) {
    case 'given':
      return e.value
    case 'figure':
      return e.figure.value
    case 'sum':
      return e.terms.reduce((total, t) => total + t.sign * evaluate(t.of), 0)
    case 'product':
      return e.factors.reduce((total, f) => total * evaluate(f), 1)
    case 'quotient':
      return evaluate(e.top) / evaluate(e.bottom)
    case 'pick':
      return pick(e.by, e.of.map(evaluate))
    case 'round':
      return roundToStep(evaluate(e.of), e.step, e.way)
    default:
      return e satisfies never
  }
}

/** The sum as a maker would write it down, lengths in the job's unit: `(2236 + 2 × 2) ÷ 3`. */
export function sayExpression(e: Expression, unit: LengthUnit): string {
  switch (e.kind) {
    case 'given':
      return signed(sayAmount(e.value, e.quantity, unit))
    case 'figure':
      return signed(sayAmount(e.figure.value, e.figure.quantity, unit))
    case 'sum':
      return e.terms.map((t, i) => (i === 0 ? (t.sign < 0 ? '− ' : '') : t.sign < 0 ? ' − ' : ' + ') + bracketed(t.of, unit, t.sign < 0)).join('')
    case 'product':
      return e.factors.map((f) => bracketed(f, unit, true)).join(' × ')
    case 'quotient':
      return `${bracketed(e.top, unit, true)} ÷ ${bracketed(e.bottom, unit, true, true)}`
    case 'pick':
      return `${PICK_WORDS[e.by]} ${e.of.map((x) => sayExpression(x, unit)).join(e.by === 'median' ? ', ' : ' and ')}`
    case 'round':
      return `${sayExpression(e.of, unit)}, ${e.way} to the next ${e.step === 1 && e.quantity === 'count' ? 'whole' : sayAmount(e.step, e.quantity, unit)}`
    default:
      return e satisfies never
  }
}

/** An amount in words of the job; units are named beside the figure, not in its sum. */
export function sayAmount(value: number, quantity: Quantity, unit: LengthUnit): string {
  switch (quantity) {
    case 'length':
      return formatLength(value, unit)
    case 'run':
      return isInch(unit) ? `${trimmed(value / 914.4, 2)} yd` : `${trimmed(value / 1000, 2)} m`
    case 'area':
      return `${trimmed(value / 1e6, 3)} m²`
    case 'angle':
      return `${trimmed((value * 180) / Math.PI, 2)}°`
    case 'mass':
      return trimmed(value, 2)
    case 'share':
      return `${trimmed(value * 100, 1)} %`
    case 'money':
      return value.toFixed(2)
    case 'time':
      return sayMinutes(value)
    case 'count':
      return trimmed(value, 0)
    case 'plain':
      return trimmed(value, 4)
    default:
      return quantity satisfies never
  }
}

/** `25 min`, `3 h 05`. */
export function sayMinutes(minutes: number): string {
  const whole = Math.round(minutes)
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

const PICK_WORDS = { least: 'the smaller of', most: 'the larger of', median: 'the middle of' } as const

/** A number or figure as part of a sum. */
export const asExpression = (o: Operand): Expression => (typeof o === 'number' ? given(o, 'plain', '') : 'kind' in o ? o : { kind: 'figure', figure: o })

const signed = (text: string): string => (text.startsWith('-') ? `(−${text.slice(1)})` : text)

function bracketed(e: Expression, unit: LengthUnit, sums: boolean, products = false): string {
  const text = sayExpression(e, unit)
  const wanted = e.kind === 'pick' || e.kind === 'round' || (sums && e.kind === 'sum') || (products && (e.kind === 'product' || e.kind === 'quotient'))
  return wanted ? `(${text})` : text
}

function pick(by: 'least' | 'most' | 'median', values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b)
  if (by === 'least') return sorted[0]!
  if (by === 'most') return sorted.at(-1)!
  const middle = sorted.length >> 1
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}

/** The hair's breadth keeps 40.000000001 from becoming 41. */
function roundToStep(value: number, step: number, way: 'up' | 'down'): number {
  const hair = 1e-6
  return (way === 'up' ? Math.ceil(value / step - hair) : Math.floor(value / step + hair)) * step
}
