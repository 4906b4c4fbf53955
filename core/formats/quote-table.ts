import type { Job } from '../../contract/index.ts'
import { printedRounding, type Quote } from '../money/index.ts'
import type { Table } from './csv.ts'

/** The lines of a quote for bookkeeping: what it is made up of, then mark-up, tax, rounding and what is to pay. */
export function quoteTable(
  { ticket, customer, currency }: Pick<Job, 'ticket' | 'customer' | 'currency'>,
  quote: Quote,
): Table {
  const { lines, markUp, tax, total, deposit } = quote
  const row = (kind: string, what: string, amount: number) => [ticket, customer, kind, what, cents(amount), currency]
  const amounts = [...lines.map((l) => l.cost), markUp, tax].map((f) => f.value)
  const rounding = printedRounding(total.value, amounts, 2)
  return {
    fields: ['ticket', 'customer', 'kind', 'what', 'amount', 'currency'],
    rows: [
      ...lines.map((l) => row(l.part, l.what, l.cost.value)),
      row('mark-up', markUp.label, markUp.value),
      row('tax', tax.label, tax.value),
      ...(rounding !== 0 ? [row('rounding', 'Rounding', rounding)] : []),
      row('total', total.label, total.value),
      row('deposit', deposit.label, deposit.value),
    ],
  }
}

const cents = (amount: number): number => Math.round(amount * 100) / 100
