import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { printedRounding } from './index.ts'

/** An amount as a reader of the paper takes it up, in cents: from its letters. */
const read = (amount: number): number => {
  const text = new Intl.NumberFormat('en', { style: 'currency', currency: 'EUR' }).format(amount)
  return Number(text.replace(/[^\d-]/g, ''))
}

describe('the rounding on a printed sum', () => {
  it('379.424 and a fifth of it, 75.8848, to pay 455.50: 379.42 and 75.88 and 0.20', () => {
    expect(printedRounding(455.5, [379.424, 75.8848], 2)).toBe(0.2)
    expect(455.5 - 379.424 - 75.8848).toBeLessThan(0.195)
  })

  it('is whole where the currency has no smaller coin', () => {
    expect(printedRounding(4600, [3794.6, 758.9], 0)).toBe(46)
  })

  it('of any amounts, as they are read off the paper, makes the sum add up', () => {
    const amount = fc.integer({ min: 0, max: 1e9 }).map((n) => n / 1001)
    fc.assert(
      fc.property(fc.array(amount, { maxLength: 12 }), amount, (amounts, total) => {
        const printed = [...amounts, printedRounding(total, amounts, 2)]
        expect(printed.reduce((sum, a) => sum + read(a), 0)).toBe(read(total))
      }),
    )
  })
})
