import type { Job } from '../../contract/index.ts'
import type { Quote } from '../money/index.ts'
import type { Table } from './csv.ts'

/** The lines of a quote for bookkeeping: what it is made up of, then mark-up, tax, rounding and what is to pay. */
export function quoteTable(
  { ticket, customer, currency }: Pick<Job, 'ticket' | 'customer' | 'currency'>,
  quote: Quote,
): Table {
  const { lines, markUp, net, tax, total, deposit } = quote
  const row = (kind: string, what: string, amount: number) => [ticket, customer, kind, what, cents(amount), currency]
  const rounding = total.value - net.value - tax.value
  return {
    fields: ['ticket', 'customer', 'kind', 'what', 'amount', 'currency'],
    rows: [
      ...lines.map((l) => row(l.part, l.what, l.cost.value)),
      row('mark-up', markUp.label, markUp.value),
      row('tax', tax.label, tax.value),
      ...(Math.abs(rounding) >= 0.005 ? [row('rounding', 'Rounded up', rounding)] : []),
      row('total', total.label, total.value),
      row('deposit', deposit.label, deposit.value),
    ],
  }
}

const cents = (amount: number): number => Math.round(amount * 100) / 100
