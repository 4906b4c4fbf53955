import type { AllowanceBook, Job } from '../../contract/index.ts'
import { entered, type Figure } from '../working/index.ts'

export type AllowanceName = keyof AllowanceBook
export type Allowances = Readonly<Record<AllowanceName, Figure>>

export const ALLOWANCE_LABELS: Readonly<Record<AllowanceName, string>> = {
  seamMm: 'Seam allowance',
  gussetTurnMm: 'Turn beside the zip',
  zipRoundCornerMm: 'Zip round each corner, at most',
  pipingOverlapMm: 'Piping joint overlap',
  notchMm: 'Notch depth',
}

/** Each allowance as it applies to a job, and who set it: the shop's book or the job itself. */
export function applied(allowances: Job['allowances']): Allowances {
  const one = (name: AllowanceName): Figure => {
    const override = allowances.overrides[name]
    return entered({
      id: `allowance.${name}`,
      label: ALLOWANCE_LABELS[name],
      quantity: 'length',
      value: override ?? allowances.book[name],
      rule: override === undefined ? "from the shop's allowance book" : `set on this job; the shop's book says ${allowances.book[name]} mm`,
      setBy: override === undefined ? 'shop' : 'job',
      change: `make-up.${name}`,
    })
  }
  return {
    seamMm: one('seamMm'),
    gussetTurnMm: one('gussetTurnMm'),
    zipRoundCornerMm: one('zipRoundCornerMm'),
    pipingOverlapMm: one('pipingOverlapMm'),
    notchMm: one('notchMm'),
  }
}
