import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  formatLength,
  formatLengthWithUnit,
  formatAmount,
  mmPerUnit,
  parseLength,
  toCut,
  trimmed,
  unitName,
  type LengthUnit,
} from './index.ts'

const mmOf = (text: string, unit: LengthUnit = 'mm') => {
  const read = parseLength(text, unit)
  return read.ok ? Number(read.value.mm.toFixed(4)) : read.error.code
}

describe('parseLength', () => {
  it.each<[string, LengthUnit, number | string]>([
    ['600', 'mm', 600],
    ['60 cm', 'mm', 600],
    ['60,5cm', 'mm', 605],
    ['1.2 m', 'mm', 1200],
    ['23 5/8', 'inch-8', 600.075],
    ['23-5/8"', 'mm', 600.075],
    ['23-5/8', 'inch-8', 600.075],
    ['5/8', 'inch-8', 15.875],
    [`4' 2 1/2"`, 'mm', 1282.7],
    [`4' 2 1/2`, 'inch-8', 1282.7],
    ['4ft', 'mm', 1219.2],
    [`6'2"`, 'mm', 1879.6],
    [`6'2`, 'inch-8', 1879.6],
    [`5'6 1/2"`, 'mm', 1689.1],
    ['6ft2in', 'mm', 1879.6],
    ['42+3/4', 'inch-8', 1085.85],
    ['42+3/4 in', 'mm', 1085.85],
    ['600 - 2', 'mm', 598],
    ['-2', 'mm', -2],
    ['−2', 'mm', -2],
    ['.5', 'cm', 5],
    // Three figures after a comma are thousands, if one to three stand before it and the first is no nought.
    ['1,250', 'mm', 1250],
    ['12,250', 'mm', 12_250],
    ['123,456', 'mm', 123_456],
    ['0,125', 'mm', 0.125],
    ['12,5', 'mm', 12.5],
    ['1234,567', 'mm', 1234.567],
    ['23½', 'inch-8', 596.9],
    ['23 ⅝”', 'mm', 600.075],
    ['¾', 'inch-8', 19.05],
    ['600 mm - 2 cm', 'mm', 580],
    ['2 + 600 mm', 'mm', 602],
    ['3/4/5', 'mm', 'not-a-length'],
    ['', 'mm', 'empty'],
    ['   ', 'mm', 'empty'],
    ['wide', 'mm', 'not-a-length'],
    ['NaN', 'mm', 'not-a-length'],
    ['Infinity', 'mm', 'not-a-length'],
    ['1e9', 'mm', 'not-a-length'],
    ['1/0', 'mm', 'division-by-zero'],
    ['3 1/0 in', 'mm', 'division-by-zero'],
    ['12 34', 'mm', 'not-a-length'],
    ['600 yards', 'mm', 'not-a-length'],
    ['1.2.3', 'mm', 'not-a-length'],
    ['600 +', 'mm', 'not-a-length'],
    ['<b>600</b>', 'mm', 'not-a-length'],
  ])('%s (shop in %s)', (text, unit, expected) => expect(mmOf(text, unit)).toBe(expected))

  it('echoes how it understood the entry', () => {
    const said = (text: string, unit: LengthUnit) => {
      const read = parseLength(text, unit)
      return read.ok && read.value.understood
    }
    expect(said('23 5/8', 'inch-8')).toBe('23 5/8 in = 600.1 mm')
    expect(said('600 mm', 'inch-8')).toBe('600 mm = 23 5/8 in')
    expect(said('60 cm', 'inch-8')).toBe('60 cm = 23 5/8 in')
    expect(said('600 + 2', 'mm')).toBe('600 mm + 2 mm = 602 mm')
    expect(said('600', 'inch-8')).toBe('600 in = 15240 mm')
    expect(said('60 cm', 'mm')).toBe('60 cm = 600 mm')
    expect(said('600', 'mm')).toBe('600 mm')
    expect(said('600 - 2', 'mm')).toBe('600 mm − 2 mm = 598 mm')
    expect(said(`4' 2 1/2"`, 'mm')).toBe('4 ft + 2 1/2 in = 1282.7 mm')
  })

  it('reads back what formatLength writes, within the rounding of the unit', () => {
    const grain: Record<LengthUnit, number> = { mm: 0.05, cm: 0.05, 'inch-8': 25.4 / 16, 'inch-16': 25.4 / 32 }
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.constantFrom<LengthUnit>('mm', 'cm', 'inch-8', 'inch-16'),
        (mm, unit) => {
          const read = parseLength(formatLength(mm, unit), unit)
          expect(read.ok && Math.abs(read.value.mm - mm)).toBeLessThanOrEqual(grain[unit] + 1e-6)
        },
      ),
    )
  })
})

describe('formatLength', () => {
  it.each<[number, LengthUnit, string]>([
    [746.6667, 'mm', '746.7'],
    [75, 'mm', '75'],
    [746.6667, 'cm', '74.67'],
    [600.075, 'inch-8', '23 5/8'],
    [15.875, 'inch-8', '5/8'],
    [25.4, 'inch-16', '1'],
    [-2, 'mm', '-2'],
    [-0.01, 'mm', '0'],
    [-0.1, 'inch-8', '0'],
    [-28.575, 'inch-8', '-1 1/8'],
  ])('%d as %s', (mm, unit, text) => expect(formatLength(mm, unit)).toBe(text))
})

describe('a unit', () => {
  it.each([
    ['mm', 1, 'mm', '600 mm'],
    ['cm', 10, 'cm', '60 cm'],
    ['inch-8', 25.4, 'in', '23 5/8 in'],
    ['inch-16', 25.4, 'in', '23 5/8 in'],
  ] as const)('%s is so many millimetres, and stands behind a length', (unit, mm, name, words) => {
    expect(mmPerUnit(unit)).toBe(mm)
    expect(unitName(unit)).toBe(name)
    expect(formatLengthWithUnit(600.075, unit).replace('.1', '').replace('60.01', '60')).toBe(words)
  })

  it('halves are rounded away from nought, whatever binary fractions make of them', () => {
    expect([trimmed(1.005, 2), trimmed(-1.005, 2), trimmed(2.5, 0), trimmed(-2.5, 0)]).toEqual([
      '1.01',
      '-1.01',
      '3',
      '-3',
    ])
    expect(trimmed(-0.0000001, 2)).toBe('0')
  })
})

describe('what is thinner than a step of the ruler', () => {
  it.each([
    [0.6, 'mm', '0.6 mm'],
    [0.6, 'cm', '0.6 mm'],
    [0.6, 'inch-8', '0.024 in'],
    [2, 'inch-16', '0.079 in'],
  ] as const)('%s mm in %s is %s', (mm, unit, says) => expect(formatAmount(mm, 'thin', unit)).toBe(says))
})

describe('a length as it can be cut', () => {
  it.each([
    [746.66, 'mm', 747],
    [746.49, 'cm', 746],
    [25.4 * 18.3, 'inch-16', 25.4 * 18.3125],
    [25.4 * 18.3, 'inch-8', 25.4 * 18.25],
  ] as const)('%s mm in %s is %s', (mm, unit, cut) => expect(toCut(mm, unit)).toBeCloseTo(cut, 9))
})
