import type { AllowanceBook, PlannedPart } from '../../contract/index.ts'
import { entered, type Figure } from '../working/index.ts'

export type AllowanceName = keyof AllowanceBook
export type Allowances = Readonly<Record<AllowanceName, Figure>>

export const ALLOWANCE_LABELS: Readonly<Record<AllowanceName, string>> = {
  seamMm: 'Seam allowance',
  gussetTurnMm: 'Turn beside the zip',
  zipRoundCornerMm: 'Zip round each corner, at most',
  pipingOverlapMm: 'Piping joint overlap',
  pipingRunOffMm: 'Piping run off at each open end',
  tapeMarginMm: 'Lap wider than its tape by',
  notchMm: 'Notch depth',
}

export const ALLOWANCE_NAMES = Object.keys(ALLOWANCE_LABELS) as readonly AllowanceName[]

/** Each allowance as it applies to a job, and who set it: the shop's book or the job itself. */
export function applied({ book, overrides }: Pick<PlannedPart['allowances'], 'book' | 'overrides'>): Allowances {
  const one = (name: AllowanceName): Figure => {
    const override = overrides[name]
    return entered({
      id: `allowance.${name}`,
      label: ALLOWANCE_LABELS[name],
      quantity: 'length',
      value: override ?? book[name],
      rule: override === undefined ? "from the shop's allowance book" : "set on this job, in place of the shop's book",
      setBy: override === undefined ? 'shop' : 'job',
      change: `make-up.${name}`,
    })
  }
  return Object.fromEntries(ALLOWANCE_NAMES.map((name) => [name, one(name)])) as Record<AllowanceName, Figure>
}
