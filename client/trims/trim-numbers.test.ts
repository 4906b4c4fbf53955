import { describe, expect, it } from 'vitest'
import type { Trim } from '../../contract/index.ts'
import { DEMO_TRIMS } from '../../core/demo/index.ts'
import { amountWords, priceOfOne } from './counted-in.ts'
import { readNumbers, writeNumbers } from './trim-numbers.ts'

const zip: Trim = { ...DEMO_TRIMS.find((t) => t.unit === 'm')!, price: 1.1, pack: 25, inHand: 9.144, reorderAt: 3 }

describe('what lies on the shelf, beside inches', () => {
  it('is counted and priced by the yard and the pound', () => {
    expect(amountWords(9.144, 'm', 'inch-8')).toBe('10 yd')
    expect(amountWords(9.144, 'm', 'mm')).toBe('9.14 m')
    expect(amountWords(0.45359237, 'kg', 'inch-16')).toBe('1 lb')
    expect(amountWords(4, 'piece', 'inch-8')).toBe('4')
    // 1.10 a metre is 1.00584 a yard.
    expect(priceOfOne(1.1, 'm', 'inch-8')).toBe('1.01')
    expect(priceOfOne(1.1, 'm', 'cm')).toBe('1.10')
  })

  it('is entered so, and kept in metres', () => {
    const texts = { ...writeNumbers(zip, 'inch-8'), price: '2', inHand: '20' }
    const read = readNumbers(texts, 'm', 'inch-8', zip)
    expect(read.price).toBeCloseTo(2.18723, 5)
    expect(read.inHand).toBeCloseTo(18.288, 9)
  })

  it('what was not touched stays to the last digit, for everything on the shelf', () => {
    for (const lengths of ['mm', 'inch-8'] as const)
      for (const trim of [zip, ...DEMO_TRIMS])
        expect({ ...trim, ...readNumbers(writeNumbers(trim, lengths), trim.unit, lengths, trim) }).toEqual(trim)
  })

  it('a thing counted by the piece from now on has the numbers as they stand', () => {
    const texts = writeNumbers(zip, 'inch-8')
    expect(texts.inHand).toBe('10')
    expect(readNumbers(texts, 'piece', 'inch-8', zip).inHand).toBe(10)
  })

  it('nothing is understood of no number', () =>
    expect(Number.isNaN(readNumbers({ ...writeNumbers(zip, 'mm'), pack: '' }, 'm', 'mm', zip).pack)).toBe(true))
})
