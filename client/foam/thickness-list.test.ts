import { describe, expect, it } from 'vitest'
import { readThicknesses, writeThicknesses } from './thickness-list.ts'

describe('the thicknesses of a grade', () => {
  it('are read in the units of the shop, fractions and all', () => {
    expect(readThicknesses('25, 50; 75 100', 'mm', [])).toEqual([25, 50, 75, 100])
    expect(readThicknesses('2.5, 5', 'cm', [])).toEqual([25, 50])
    expect(readThicknesses('1/2, 1 1/2, 4', 'inch-8', [])).toEqual([12.7, 1.5 * 25.4, 101.6])
    expect(readThicknesses('1 in, 30mm', 'inch-8', [])).toEqual([25.4, 30])
  })

  it('stay as they are stored where their entry is not touched', () => {
    const stored = [25, 50, 100]
    const shown = writeThicknesses(stored, 'inch-8')
    expect(shown).toBe('1, 2, 3 7/8')
    expect(readThicknesses(shown, 'inch-8', stored)).toEqual(stored)
    expect(readThicknesses(`${shown}, 3`, 'inch-8', stored)).toEqual([...stored, 3 * 25.4])
  })

  it('are not a number where nothing is understood', () =>
    expect(readThicknesses('25, thick', 'mm', [])).toEqual([25, Number.NaN]))
})
