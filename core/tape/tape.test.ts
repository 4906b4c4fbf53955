import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seeded } from '../random/index.ts'
import { simulatedReading, type TapeNoise } from './index.ts'

const readings = (noise: TapeNoise, count: number, mm = 600) => {
  const random = seeded(7)
  return Array.from({ length: count }, () => simulatedReading(mm, noise, random))
}

describe('the simulated tape', () => {
  it('scatters as it is told: mean and standard deviation of 4000 readings', () => {
    const list = readings({ sdMm: 0.8, grossShare: 0 }, 4000)
    const mean = list.reduce((a, b) => a + b) / list.length
    const sd = Math.sqrt(list.reduce((sum, r) => sum + (r - mean) ** 2, 0) / list.length)
    expect(Math.abs(mean - 600)).toBeLessThan(0.05)
    expect(Math.abs(sd - 0.8)).toBeLessThan(0.05)
  })

  it('misreads grossly about as often as it is told', () => {
    const wrong = readings({ sdMm: 0.8, grossShare: 0.1 }, 4000).filter((r) => Math.abs(r - 600) > 6).length
    expect(wrong).toBeGreaterThan(320)
    expect(wrong).toBeLessThan(480)
  })

  it('without noise it sends the length, to a tenth of a millimetre', () =>
    expect(readings({ sdMm: 0, grossShare: 0 }, 3, 746.66)).toEqual([746.7, 746.7, 746.7]))

  it('never sends nought or less', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.integer(),
        (mm, seed) => simulatedReading(mm, { sdMm: 5, grossShare: 0.5 }, seeded(seed)) > 0,
      ),
    )
  })
})
