import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ruledOf } from './ruled.ts'

describe('a ruled edge', () => {
  it('by hand: 1.5 pixels to the mm on 216 of them has a mark each 5 mm, 29 of them, each fifth longer', () => {
    const { marks, says } = ruledOf(216, 1.5, 'mm')
    expect(says).toBe('5 mm apart')
    expect(marks).toHaveLength(29)
    expect(marks.map((m) => m.at).slice(0, 3)).toEqual([0, 7.5, 15])
    expect(marks.filter((m) => m.long > 5).map((m) => m.at)).toEqual([0, 37.5, 75, 112.5, 150, 187.5])
  })
  it('by hand: in inches the quarter is the finest of 1.5 pixels to the mm, 9.525 px; the whole inch is longer', () => {
    const { marks, says } = ruledOf(216, 1.5, 'inch-8')
    expect(says).toBe('1/4 in apart')
    expect(marks[1]!.at).toBeCloseTo(9.525, 9)
    expect(marks[4]).toEqual({ at: expect.closeTo(38.1, 9), long: 10 })
  })
  it('never so fine that marks run together, nor beyond its edge', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.07, max: 60, noNaN: true }),
        fc.constantFrom('mm', 'cm', 'inch-8', 'inch-16'),
        (pxPerMm, units) => {
          const { marks } = ruledOf(216, pxPerMm, units)
          const gaps = marks.slice(1).map((m, i) => m.at - marks[i]!.at)
          expect(gaps.every((gap) => gap >= 6 - 1e-6)).toBe(true)
          expect(Math.max(...marks.map((m) => m.at))).toBeLessThanOrEqual(216 + 1e-6)
        },
      ),
    )
  })
})
