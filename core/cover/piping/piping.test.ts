import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { USUAL_PIPING } from '../../job/index.ts'
import { boxSolid, coverOf } from '../../testing/jobs.ts'
import { sayWorking } from '../../working/index.ts'
import { leastBend } from './piping.ts'
import type { PipingPlan } from './piping-plan.ts'
import { splitRun } from './split.ts'

function pipingOf(w: number, d: number, choice: Partial<typeof USUAL_PIPING> = {}, seamMm = 12): PipingPlan {
  return coverOf(
    boxSolid(w, d, 80),
    { construction: { kind: 'boxed', boxing: 'wrap' }, piping: { ...USUAL_PIPING, ...choice } },
    { seamMm },
  ).piping!
}

describe('strip width, by hand', () => {
  it.each<[number, number, number]>([
    [5, 12, 40], // 15.71 + 24 = 39.71
    [6, 12, 43], // 18.85 + 24 = 42.85
    [4, 10, 33], // 12.57 + 20 = 32.57
    [6.35, 12.7, 46], // 19.95 + 25.4 = 45.35
  ])('cord %d with %d allowance: %d', (cord, seam, width) =>
    expect(pipingOf(600, 500, { cordMm: cord }, seam).stripWidth!.value).toBe(width),
  )

  it('shows both steps', () => {
    const stripWidth = pipingOf(600, 500).stripWidth!
    expect(sayWorking(stripWidth, 'mm')).toBe('39.7, up to the next 1 = 40 mm cut')
    const bare =
      stripWidth.sum.kind === 'round' && stripWidth.sum.of.kind === 'figure' ? stripWidth.sum.of.figure : null
    expect(sayWorking(bare!, 'mm')).toBe('3.1416 × 5 + 2 × 12 = 39.7 mm cut')
  })
})

describe('one loop', () => {
  it('is the perimeter and the overlap; one or two loops a cushion', () => {
    expect(pipingOf(600, 500).groups[0]!.length.value).toBe(2260)
    expect(pipingOf(600, 500).groups.map((g) => g.count)).toEqual([2])
    expect(pipingOf(600, 500, { rows: 'top' }).groups.map((g) => g.count)).toEqual([1])
  })
  it('cord is 2 % longer', () => expect(pipingOf(600, 500, { rows: 'top' }).cord!.value).toBeCloseTo(2260 * 1.02, 6))
  it('bends round three cords on the bias, ten cut straight', () => {
    expect(leastBend({ ...USUAL_PIPING, cut: 'bias' })).toBe(15)
    expect(leastBend({ ...USUAL_PIPING, cut: 'along' })).toBe(50)
  })
})

describe('splitting a loop into strips', () => {
  it('one strip where it is long enough, joined at the back', () => {
    const split = splitRun(pipingOf(600, 500).groups[0]!, 3000, 40)
    expect(split.strips.value).toBe(1)
    expect(split.each.value).toBe(2260)
    expect(split.joinsMm).toHaveLength(1)
  })

  it('by hand: 2260 from strips of 1000 losing 40 at each join: (2260 - 40) / 960 = 2.3, so 3 of 780', () => {
    const split = splitRun(pipingOf(600, 500).groups[0]!, 1000, 40)
    expect(split.strips.value).toBe(3)
    expect(split.each.value).toBeCloseTo((2260 + 80) / 3, 9)
  })

  it('strips suffice, none is too long, and no join falls on the front while two or fewer are enough', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 250, max: 1200 }),
        fc.integer({ min: 250, max: 900 }),
        fc.integer({ min: 900, max: 3000 }),
        (w, d, longest) => {
          const run = pipingOf(w, d).groups[0]!
          const { strips, each, joinsMm } = splitRun(run, longest, 40)
          expect(each.value).toBeLessThanOrEqual(longest + 1e-6)
          expect(strips.value * each.value - (strips.value - 1) * 40).toBeCloseTo(run.length.value, 6)
          const isOnFront = (p: number) => p > w / 2 + d + 1e-6 && p < w / 2 + d + w - 1e-6
          if (strips.value <= 2) expect(joinsMm.some(isOnFront)).toBe(false)
          // Joins lie evenly round the plate.
          const round = 2 * (w + d)
          const sorted = joinsMm.toSorted((a, b) => a - b)
          sorted.slice(1).forEach((p, i) => expect(p - sorted[i]!).toBeCloseTo(round / joinsMm.length, 6))
        },
      ),
    )
  })
})
