import { describe, expect, it } from 'vitest'
import { formatAmount, parseAmount, type AmountKind } from './index.ts'

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
    ['2.2', 'plain', 2.2],
  ])('%s of %s is %d', (text, kind, value) => {
    const read = parseAmount(text, kind)
    expect(read.ok && read.value.value).toBeCloseTo(value, 3)
  })

  it.each<[string, AmountKind, string]>([
    ['', 'density', 'not-a-number'],
    ['thick', 'density', 'not-a-number'],
    ['1.2.3', 'mass', 'not-a-number'],
    ['3 stone', 'mass', 'unknown-unit'],
    ['30 N', 'density', 'unknown-unit'],
  ])('"%s" of %s is refused: %s', (text, kind, why) =>
    expect(parseAmount(text, kind)).toEqual({ ok: false, error: why }),
  )

  it('says what it understood in the stored unit', () => {
    const read = parseAmount('1.8 lb/ft3', 'density')
    expect(read.ok && read.value.understood).toBe('28.83 kg/m³')
    expect(formatAmount(0.325, 'share')).toBe('32.5 %')
  })
})
