import type { Expression, Figure, Quantity } from './model.ts'

export type Operand = number | Figure | Expression

export const given = (value: number, quantity: Quantity, label: string): Expression => ({
  kind: 'given',
  value,
  quantity,
  label,
})
export const plus = (...terms: readonly Operand[]): Expression => ({
  kind: 'sum',
  terms: terms.map((t) => ({ sign: 1, of: asExpression(t) })),
})
export const minus = (first: Operand, ...rest: readonly Operand[]): Expression => ({
  kind: 'sum',
  terms: [{ sign: 1, of: asExpression(first) }, ...rest.map((t) => ({ sign: -1 as const, of: asExpression(t) }))],
})
export const times = (...factors: readonly Operand[]): Expression => ({
  kind: 'product',
  factors: factors.map(asExpression),
})
export const over = (top: Operand, bottom: Operand): Expression => ({
  kind: 'quotient',
  top: asExpression(top),
  bottom: asExpression(bottom),
})
export const least = (...of: readonly Operand[]): Expression => ({
  kind: 'pick',
  by: 'least',
  of: of.map(asExpression),
})
export const most = (...of: readonly Operand[]): Expression => ({ kind: 'pick', by: 'most', of: of.map(asExpression) })
export const median = (of: readonly Operand[]): Expression => ({ kind: 'pick', by: 'median', of: of.map(asExpression) })
export const roundUp = (of: Operand, step: number, quantity: Quantity): Expression => ({
  kind: 'round',
  way: 'up',
  of: asExpression(of),
  step,
  quantity,
})
export const roundDown = (of: Operand, step: number, quantity: Quantity): Expression => ({
  kind: 'round',
  way: 'down',
  of: asExpression(of),
  step,
  quantity,
})

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

/** A number or figure as part of a sum. */
export const asExpression = (o: Operand): Expression =>
  typeof o === 'number' ? given(o, 'plain', '') : 'kind' in o ? o : { kind: 'figure', figure: o }

/**
 * The hidden constant between two units of one kind, as 1e9 mm³ in a m³: it is part of the value, and each unit writes
 * it its own way.
 */
export const unitsIn = (value: number, label: string): Expression => given(value, 'conversion', label)

/** The least, the most or the middle of values. */
export function pick(by: 'least' | 'most' | 'median', values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b)
  if (by === 'least') return sorted[0]!
  if (by === 'most') return sorted.at(-1)!
  const middle = sorted.length >> 1
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}

/** The hair's breadth keeps 40.000000001 from becoming 41. */
export function roundToStep(value: number, step: number, way: 'up' | 'down'): number {
  const hair = 1e-6
  return (way === 'up' ? Math.ceil(value / step - hair) : Math.floor(value / step + hair)) * step
}
