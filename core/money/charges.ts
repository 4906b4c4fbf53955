import type { Charges, Job } from '../../contract/index.ts'

export const CHARGE_NAMES = [
  'hourRate',
  'markUpShare',
  'wasteShare',
  'taxShare',
  'depositShare',
  'roundTo',
] as const satisfies readonly (keyof Charges)[]

export const CHARGE_LABELS: Readonly<Record<keyof Charges, string>> = {
  hourRate: 'An hour of work',
  markUpShare: 'Mark-up on materials',
  wasteShare: 'Waste of trims and thread',
  taxShare: 'Tax',
  depositShare: 'Deposit',
  roundTo: 'Total up to the next',
}

/** The shop's charges, and what this job sets otherwise. */
export const chargesOf = (shop: Charges, { terms }: Pick<Job, 'terms'>): Charges =>
  ({ ...shop, ...(terms.charges as Partial<Charges>) }) as Charges
