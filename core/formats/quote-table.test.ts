import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { DEMO_TRIMS, keepersBench } from '../demo/index.ts'
import { buyingList } from '../lists/index.ts'
import { workOrder } from '../making/index.ts'
import { quoteFor } from '../money/index.ts'
import { planJob } from '../plan/index.ts'
import { quoteTable, writeCsv } from './index.ts'

const job = { ...keepersBench(), customer: '=1+1' }
const plan = planJob(job)
if (plan.kind !== 'worked') throw new Error('not worked')
const lengths = plan.cloth.lays.map(() => ({ laidMm: 3249, boundMm: 0, share: 1 }))
const quote = quoteFor(
  job,
  buyingList(job, plan, lengths, DEMO_TRIMS),
  workOrder(job, plan),
  USUAL_WORKSHOP.rates,
  USUAL_WORKSHOP.charges,
)

describe('the lines of a quote for the books', () => {
  it('add up to what is to pay, to the cent', () => {
    const { rows } = quoteTable(job, quote)
    // In whole cents, so that nothing is lost in the adding.
    const of = (kind: string) =>
      rows.filter((r) => r[2] === kind).reduce((sum, r) => sum + Number(Number(r[4]).toFixed(2).replace('.', '')), 0)
    const total = of('total')
    const parts = ['foam', 'cloth', 'trims', 'work', 'extra', 'mark-up', 'tax', 'rounding'].reduce(
      (s, k) => s + of(k),
      0,
    )
    expect(parts).toBe(total)
    expect(total).toBeCloseTo(quote.total.value * 100, 6)
  })

  it('are read by a shop that writes commas: parted by semicolons, no title taken for a formula', () => {
    const text = writeCsv(quoteTable(job, quote), { delimiter: ';', decimal: ',' })
    const { data } = Papa.parse<Record<string, string>>(text, { header: true, delimiter: ';' })
    const total = data.find((r) => r['kind'] === 'total')!
    expect(Number(total['amount']!.replace(',', '.'))).toBe(quote.total.value)
    expect(text).not.toMatch(/(^|;)=1\+1/m)
    expect(data.every((r) => r['currency'] === job.currency)).toBe(true)
  })
})
