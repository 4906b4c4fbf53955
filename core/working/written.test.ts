import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkedSum } from '../testing/calculator.ts'
import type { LengthUnit } from '../units/index.ts'
import {
  figure,
  given,
  least,
  median,
  minus,
  most,
  over,
  plus,
  roundDown,
  roundUp,
  sayAmount,
  sayAmountWithUnit,
  sayWorking,
  times,
  type Expression,
  type Quantity,
} from './index.ts'

/** The last digit in which a length is shown, and the mm behind 1 of it. */
const LENGTHS: readonly (readonly [unit: LengthUnit, digit: number, mm: number])[] = [
  ['mm', 0.1, 1],
  ['cm', 0.01, 10],
  ['inch-8', 1 / 8, 25.4],
  ['inch-16', 1 / 16, 25.4],
]

const mm = fc.integer({ min: 10, max: 30_000 }).map((tenths) => given(tenths / 10, 'length', 'taped'))
const count = fc.integer({ min: 1, max: 12 }).map((n) => given(n, 'count', 'of them'))
const share = fc.integer({ min: 1, max: 300 }).map((n) => given(n / 1000, 'share', 'lost'))
const radians = fc.integer({ min: 1, max: 359 }).map((degrees) => given((degrees * Math.PI) / 180, 'angle', 'swept'))

/** Sums of lengths, as deep as a maker would open them. */
const { length } = fc.letrec<{ length: Expression }>((tie) => ({
  length: fc.oneof(
    { maxDepth: 4, depthIdentifier: 'sum' },
    mm,
    fc.array(tie('length'), { minLength: 1, maxLength: 3 }).map((terms) => plus(...terms)),
    fc.tuple(tie('length'), mm).map(([a, b]) => minus(a, b)),
    fc.tuple(tie('length'), count).map(([a, n]) => times(n, a)),
    fc.tuple(tie('length'), share).map(([a, s]) => times(a, minus(1, s))),
    fc.tuple(tie('length'), count).map(([a, n]) => over(a, n)),
    fc.tuple(mm, radians).map(([radius, angle]) => times(radius, angle)),
    fc.array(tie('length'), { minLength: 2, maxLength: 2 }).map((of) => least(...of)),
    fc.array(tie('length'), { minLength: 2, maxLength: 2 }).map((of) => most(...of)),
    fc.array(mm, { minLength: 1, maxLength: 4 }).map((of) => median(of)),
  ),
}))

const working = (sum: Expression, quantity: Quantity, unit: LengthUnit) => {
  const f = figure({ id: 'f', label: 'f', quantity, sum, rule: '' })
  return { value: f.value, text: sayWorking(f, unit) }
}

/** That what stands on the left comes out as what stands on the right, and that this is the value. */
function expectTrue(text: string, value: number, digit: number, worth: number): void {
  const sides = checkedSum(text)
  const half = digit * 0.5 + 1e-5
  if (sides) expect(Math.abs(sides.left - sides.right), text).toBeLessThanOrEqual(half)
  const shown = sides?.right
  if (shown !== undefined) expect(Math.abs(shown - value / worth), text).toBeLessThanOrEqual(half)
}

describe('any sum, typed into a calculator as it stands, comes out as it is shown', () => {
  it.each(LENGTHS)('lengths in %s', (unit, digit, worth) => {
    fc.assert(
      fc.property(length, (sum) => {
        const { value, text } = working(sum, 'length', unit)
        expectTrue(text, value, digit, worth)
      }),
      { numRuns: 150 },
    )
  })
  it.each([
    ['mm', 1e6],
    ['inch-8', (12 * 25.4) ** 2],
  ] as const)('areas in %s', (unit, worth) => {
    fc.assert(
      fc.property(length, length, count, (a, b, n) => {
        const { value, text } = working(times(a, b, n), 'area', unit)
        expectTrue(text, value, 0.001, worth)
      }),
    )
  })
  it.each([
    ['mm', 1000],
    ['inch-8', 914.4],
  ] as const)('runs off a roll in %s', (unit, worth) => {
    fc.assert(
      fc.property(length, count, (a, n) => {
        const { value, text } = working(times(n, a), 'run', unit)
        expectTrue(text, value, 0.01, worth)
      }),
    )
  })
  it.each(LENGTHS)('lengths rounded to steps in %s', (unit, digit, worth) => {
    // A step is a number of the job's unit: another would be rounded itself.
    const step = unit.startsWith('inch') ? 25.4 : 10
    fc.assert(
      fc.property(length, fc.constantFrom(roundUp, roundDown), (sum, round) => {
        const { value, text } = working(round(sum, step, 'length'), 'length', unit)
        expect(Math.abs(value / step - Math.round(value / step)), text).toBeLessThan(1e-9)
        const { left, right } = checkedSum(text)!
        // What lies at the edge of a step may be written on its other side.
        const apart = Math.abs(left - right)
        expect(Math.min(apart, Math.abs(apart - step / worth)), text).toBeLessThan(digit)
      }),
    )
  })
})

describe('an amount in the units of a job, by hand', () => {
  it.each<[number, Quantity, LengthUnit, string]>([
    [746.67, 'length', 'mm', '746.7 mm'],
    [746.67, 'length', 'cm', '74.67 cm'],
    [746.67, 'length', 'inch-8', '29 3/8 in'],
    [746.67, 'length', 'inch-16', '29 3/8 in'],
    [-3.175, 'length', 'inch-8', '-1/8 in'],
    [2345.6, 'run', 'mm', '2.35 m'],
    [2743.2, 'run', 'inch-8', '3 yd'],
    [1_500_000, 'area', 'cm', '1.5 m²'],
    [929_030.4, 'area', 'inch-8', '10 ft²'],
    [Math.PI / 6, 'angle', 'mm', '30°'],
    [0.075, 'share', 'mm', '7.5 %'],
    [0.5, 'share', 'inch-8', '50 %'],
    [1.5, 'mass', 'mm', '1.5 kg'],
    [0.90718474, 'mass', 'inch-8', '2 lb'],
    [40, 'density', 'mm', '40 kg/m³'],
    [28.833, 'density', 'inch-8', '1.8 lb/ft³'],
    [12.5, 'money', 'mm', '12.50'],
    [0, 'money', 'inch-8', '0.00'],
    [59.4, 'time', 'mm', '59 min'],
    [60, 'time', 'mm', '1 h 00'],
    [125, 'time', 'inch-8', '2 h 05'],
    [7, 'count', 'mm', '7'],
    [1.23456, 'plain', 'mm', '1.2346'],
  ])('%s as %s in %s: %s', (value, quantity, unit, said) => expect(sayAmountWithUnit(value, quantity, unit)).toBe(said))
  it('without the unit of a length, a mass or a density, which the column names', () => {
    expect(sayAmount(746.67, 'length', 'mm')).toBe('746.7')
    expect(sayAmount(1.5, 'mass', 'mm')).toBe('1.5')
    expect(sayAmount(1_500_000, 'area', 'mm')).toBe('1.5 m²')
  })
})

describe('a sum as a maker writes it, by hand', () => {
  const said = (sum: Expression, quantity: Quantity, unit: LengthUnit = 'mm') => working(sum, quantity, unit).text
  const long = given(1000, 'length', 'long')
  it.each<[string, string]>([
    [said(plus(long), 'length'), '1000 = 1000 mm'],
    [said(minus(given(-5, 'length', 'gap'), long), 'length'), '(−5) − 1000 = -1005 mm'],
    [said({ kind: 'sum', terms: [{ sign: -1, of: long }] }, 'length'), '− 1000 = -1000 mm'],
    [said(plus(), 'length'), '0 = 0 mm'],
    [said(times(long, long), 'area'), '1000 × 1000 ÷ 1000000 = 1 m²'],
    [said(times(long, given(Math.PI / 2, 'angle', 'a quarter')), 'length'), '1000 × 90° × π ÷ 180 = 1570.8 mm'],
    [said(times(given(3, 'count', 'n'), given(25, 'time', 'each')), 'time'), '3 × 25 min = 1 h 15'],
    [said(over(times(2, long), times(2, given(3, 'count', 'n'))), 'length'), '2 × 1000 ÷ (2 × 3) = 333.3 mm'],
    [said(over(plus(long, long), given(3, 'count', 'n')), 'length'), '(1000 + 1000) ÷ 3 = 666.7 mm'],
    [said(most(long, plus(long, 1)), 'length'), 'the larger of 1000 and 1000 + 1 = 1001 mm'],
    [said(median([long, long, plus(long, 2)]), 'length'), 'the middle of 1000, 1000, 1000 + 2 = 1000 mm'],
    [said(roundUp(over(long, 3), 1, 'count'), 'count'), '1000 ÷ 3, up to the next whole = 334'],
    [said(roundDown(over(long, 3), 5, 'length'), 'length'), '1000 ÷ 3, down to the next 5 = 330 mm'],
    [said(times(long, minus(1, given(0.04, 'share', 'lost'))), 'length'), '1000 × (1 − 4 %) = 960 mm'],
  ])('%s', (text, wanted) => expect(text).toBe(wanted))
})
