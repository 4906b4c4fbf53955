import type { LengthUnit } from '../units/index.ts'
import { sayAmountWithUnit } from './amount.ts'
import { evaluate, given } from './expression.ts'
import type { Expression, Figure, SetBy } from './model.ts'
import { sayExpression } from './written.ts'

export type FigureDraft = Omit<Figure, 'value' | 'setBy'> & { readonly setBy?: SetBy }

/** Works the sum out and keeps it with the result. */
export const figure = (draft: FigureDraft): Figure => ({ setBy: 'rule', ...draft, value: evaluate(draft.sum) })

/** A figure that was entered or looked up rather than worked out. */
export const entered = (draft: Omit<FigureDraft, 'sum'> & { readonly value: number }): Figure =>
  figure({ ...draft, sum: given(draft.value, draft.quantity, draft.label) })

/** The figure's value with its unit: `746.7 mm`, `1.5 kg`, `3`. */
export const sayFigure = (f: Figure, unit: LengthUnit): string => sayAmountWithUnit(f.value, f.quantity, unit)

/** The whole working on one line: `(2236 + 2 × 2) ÷ 3 = 746.7 mm net`. */
export function sayWorking(f: Figure, unit: LengthUnit): string {
  const result = sayFigure(f, unit) + (f.line ? ` ${f.line}` : '')
  // A figure that only takes over another one shows how that one was worked out.
  if (f.sum.kind === 'figure' && f.sum.figure.sum.kind !== 'given')
    return `${sayExpression(f.sum.figure.sum, f, unit)} = ${result}`
  if (f.sum.kind === 'figure') return result
  return f.sum.kind === 'given' ? result : `${sayExpression(f.sum, f, unit)} = ${result}`
}

export interface WorkingLine {
  readonly label: string
  readonly amount: string
  /** The figure behind the line, where it opens further. */
  readonly figure: Figure | null
}

/** What went into a figure, line by line, each figure once and in the order of the sum. */
export function workingLines(f: Figure, unit: LengthUnit): readonly WorkingLine[] {
  const lines = new Map<string, WorkingLine>()
  const visit = (e: Expression): void => {
    switch (e.kind) {
      case 'given':
        if (e.label !== '' && e.label !== f.label && e.quantity !== 'conversion')
          lines.set(e.label, { label: e.label, amount: sayAmountWithUnit(e.value, e.quantity, unit), figure: null })
        return
      case 'figure':
        lines.set(e.figure.id, { label: e.figure.label, amount: sayFigure(e.figure, unit), figure: e.figure })
        return
      case 'sum':
        return e.terms.forEach((t) => visit(t.of))
      case 'product':
        return e.factors.forEach(visit)
      case 'quotient':
        visit(e.top)
        return visit(e.bottom)
      case 'pick':
        return e.of.forEach(visit)
      case 'round':
        return visit(e.of)
      default:
        return e satisfies never
    }
  }
  visit(f.sum)
  return [...lines.values()]
}
