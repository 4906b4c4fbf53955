import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Intervals } from './intervals.ts'

const stretches = fc.array(
  fc
    .tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 1, max: 25 }))
    .map(([low, size]) => [low, low + size] as const),
  { maxLength: 20 },
)

/** The lowest whole height from `from` on that is inside no stretch, by trying each. */
function tried(all: readonly (readonly [number, number])[], from: number): number {
  let y = from
  while (all.some(([low, high]) => low < y && y < high)) y++
  return y
}

describe('climbing over blocked stretches', () => {
  it('comes to the lowest free height, in whatever order they come', () => {
    fc.assert(
      fc.property(stretches, fc.integer({ min: 0, max: 40 }), (all, from) => {
        const line = new Intervals()
        line.clear()
        const y = all.reduce((at, [low, high]) => line.climbed(at, low, high), from)
        expect(y).toBe(tried(all, from))
      }),
      { numRuns: 500 },
    )
  })
})
