import { PARTS, type Part } from '../../../core/making/index.ts'
import type { StepRow } from './use-work-order.ts'

export const GROUP_NAMES: Readonly<Record<Part, string>> = {
  foam: 'Foam and board',
  cloth: 'Cloth',
  sewing: 'Sewing',
  closing: 'Filling and closing',
  fitting: 'On the seat',
}

/** Steps by the part of the work that they belong to, in its order. */
export const groupsOf = (
  rows: readonly StepRow[],
): readonly { readonly part: Part; readonly rows: readonly StepRow[] }[] =>
  PARTS.map((part) => ({ part, rows: rows.filter((r) => r.step.part === part) })).filter((g) => g.rows.length > 0)
