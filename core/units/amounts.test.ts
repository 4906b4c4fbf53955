import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  amountFactor,
  amountUnit,
  formatAmount,
  otherUnits,
  parseAmount,
  shownAmount,
  type AmountKind,
} from './index.ts'

const KINDS: readonly AmountKind[] = [
  'density',
  'force',
  'mass',
  'surface-mass',
  'thin',
  'share',
  'area',
  'metre-price',
  'volume-price',
  'plain',
]

describe('amounts as they are spoken', () => {
  it.each<[string, AmountKind, number]>([
    ['30', 'density', 30],
    ['1.8 lb/ft3', 'density', 28.833],
    ['1,8 lb', 'density', 28.833],
    ['140', 'force', 140],
    ['36 lbf', 'force', 160.136],
    ['10 kg', 'force', 98.1],
    ['1.2 kg', 'mass', 1.2],
    ['850 g', 'mass', 0.85],
    ['2 lb', 'mass', 0.907],
    ['20 %', 'share', 0.2],
    ['20', 'share', 0.2],
    ['1300 cm2', 'area', 0.13],
    ['24 a yard', 'metre-price', 26.247],
    ['24', 'metre-price', 24],
    ['0.90 a board foot', 'volume-price', 381.398],
    ['2.2', 'plain', 2.2],
    ['30 kg', 'density', 30],
    ['1.8 pcf', 'density', 28.833],
    ['1.8 pounds', 'density', 28.833],
    ['36 pounds', 'force', 160.136],
    ['36 lb', 'force', 160.136],
    ['140 n', 'force', 140],
    ['12 oz', 'mass', 0.34],
    // An ounce is 28.3495 g, a square yard 0.836127 m².
    ['9 oz', 'surface-mass', 305.152],
    ['9 oz/sq yd', 'surface-mass', 305.152],
    ['300 gsm', 'surface-mass', 300],
    ['300', 'surface-mass', 300],
    ['0.6', 'thin', 0.6],
    ['0.024 in', 'thin', 0.61],
    ['3 ft2', 'area', 0.279],
    ['24 per metre', 'metre-price', 24],
    ['24 /yd', 'metre-price', 26.247],
    ['24 m', 'metre-price', 24],
    ['400 per m³', 'volume-price', 400],
    ['0.9 bf', 'volume-price', 381.398],
    ['0.9 board feet', 'volume-price', 381.398],
    ['+3', 'plain', 3],
    ['-3', 'plain', -3],
    ['2,5', 'plain', 2.5],
  ])('%s of %s is %d', (text, kind, value) => {
    const read = parseAmount(text, kind, 'mm')
    expect(read.ok && read.value.value).toBeCloseTo(value, 3)
  })

  it.each<[string, AmountKind, number]>([
    ['1.8', 'density', 28.833],
    ['30 kg/m3', 'density', 30],
    ['36', 'force', 160.136],
    ['150', 'mass', 68.039],
    ['9', 'surface-mass', 305.152],
    ['300 g/m2', 'surface-mass', 300],
    ['0.024', 'thin', 0.61],
    ['0.6 mm', 'thin', 0.6],
    ['75 kg', 'mass', 75],
    ['24', 'metre-price', 26.247],
    ['24 /m', 'metre-price', 24],
    ['0.9', 'volume-price', 381.398],
    ['20', 'share', 0.2],
  ])('beside inches %s of %s is %d', (text, kind, value) => {
    const read = parseAmount(text, kind, 'inch-8')
    expect(read.ok && read.value.value).toBeCloseTo(value, 3)
  })

  it.each<[string, AmountKind, string]>([
    ['', 'density', 'not-a-number'],
    ['thick', 'density', 'not-a-number'],
    ['1.2.3', 'mass', 'not-a-number'],
    ['3 stone', 'mass', 'unknown-unit'],
    ['30 N', 'density', 'unknown-unit'],
    ['30 kg/m3x', 'density', 'unknown-unit'],
    ['30 xkg', 'density', 'unknown-unit'],
    ['1.8 lb/ft4', 'density', 'unknown-unit'],
    ['1.8 pcfs', 'density', 'unknown-unit'],
    ['3 Nm', 'force', 'unknown-unit'],
    ['3 lbfs', 'force', 'unknown-unit'],
    ['3 kgfm', 'force', 'unknown-unit'],
    ['3 kgm', 'mass', 'unknown-unit'],
    ['3 mg', 'mass', 'unknown-unit'],
    ['3 ozs', 'mass', 'unknown-unit'],
    ['20 %%', 'share', 'unknown-unit'],
    ['3 m', 'area', 'unknown-unit'],
    ['3 m4', 'area', 'unknown-unit'],
    ['3 ft', 'area', 'unknown-unit'],
    ['24 a mile', 'metre-price', 'unknown-unit'],
    ['24 a m2', 'metre-price', 'unknown-unit'],
    ['24 a m', 'volume-price', 'unknown-unit'],
    ['24 x', 'plain', 'unknown-unit'],
  ])('"%s" of %s is refused: %s', (text, kind, why) =>
    expect(parseAmount(text, kind, 'mm')).toEqual({ ok: false, error: why }),
  )

  it('says what it understood in the unit that stands beside the lengths', () => {
    const read = (lengths: 'mm' | 'inch-16') => {
      const amount = parseAmount('1.8 lb/ft3', 'density', lengths)
      return amount.ok && amount.value.understood
    }
    expect(read('mm')).toBe('28.83 kg/m³')
    expect(read('inch-16')).toBe('1.8 lb/ft³')
    expect(formatAmount(0.325, 'share', 'mm')).toBe('32.5 %')
  })

  it('what stands in a field is read again as the same, whatever the lengths, with its unit or without', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.constantFrom('mm' as const, 'cm' as const, 'inch-8' as const),
        fc.integer({ min: 1, max: 2_000_000 }),
        (kind, lengths, thousandths) => {
          const written = shownAmount(thousandths / 1000, kind, lengths)
          for (const text of [written, `${written} ${amountUnit(kind, lengths)}`]) {
            const read = parseAmount(text, kind, lengths)
            expect(read.ok && shownAmount(read.value.value, kind, lengths)).toBe(written)
          }
        },
      ),
    )
  })

  it('the units of the other trade are offered beside', () => {
    expect(otherUnits('density', 'mm')).toEqual(['lb/ft³'])
    expect(otherUnits('density', 'inch-8')).toEqual(['kg/m³'])
    expect(otherUnits('mass', 'inch-16')).toEqual(['kg', 'g', 'oz'])
    expect(otherUnits('plain', 'mm')).toEqual([])
    expect([amountFactor('force', 'mm'), amountFactor('force', 'inch-8')]).toEqual([1, 4.448222])
    expect(formatAmount(2.5, 'plain', 'inch-8')).toBe('2.5')
  })

  it('every unit that is offered is understood', () => {
    for (const kind of KINDS)
      for (const unit of [amountUnit(kind, 'mm'), ...otherUnits(kind, 'mm')])
        expect(parseAmount(`3 ${unit}`, kind, 'inch-8').ok, `${kind} in ${unit}`).toBe(true)
  })
})
