import { describe, expect, it } from 'vitest'
import { compareLays, isProven, measured } from './better.ts'

const lay = (length: number, sheets: number) => ({
  length,
  placements: Array.from({ length: sheets }, (_, i) => ({
    id: 'a',
    copy: i + 1,
    x: 0,
    y: 0,
    turn: 0,
    flip: false,
    sheet: i + 1,
  })),
})
const order = (a: ReturnType<typeof lay>, b: ReturnType<typeof lay>) => Math.sign(compareLays(measured(a), measured(b)))

describe('which lay takes less cloth', () => {
  it.each([
    ['one sheet to its end before a little of a second', lay(2000, 1), lay(10, 2), -1],
    ['of as many sheets the shorter last one', lay(900, 2), lay(900.5, 2), -1],
    ['less than a hundredth of a hair is none', lay(900, 1), lay(900.0005, 1), 0],
    ['a lay is no better than itself', lay(900, 3), lay(900, 3), 0],
  ])('%s', (_name, a, b, sign) => expect([order(a, b) + 0, order(b, a) + 0]).toEqual([sign, -sign + 0]))

  it('is proven where its bound is its length', () => {
    expect([isProven({ length: 900, bound: 900 }), isProven({ length: 900, bound: 899.9 })]).toEqual([true, false])
  })
})
