import fc from 'fast-check'
import { expect, it } from 'vitest'
import { placeNames, type NamedEdge } from './name-edges.ts'

const spot = (x: number, y: number, anchor: 'start' | 'middle' | 'end' = 'middle') => ({ x, y, anchor })
const name = (words: string, spots: NamedEdge['spots'], roomPx: number | null = null): NamedEdge => ({
  words,
  spots,
  roomPx,
})

it('a name that would hide another takes its next place, and none where all are taken', () => {
  const near = [spot(100, 100), spot(300, 100)]
  expect(placeNames([name('left ear', near), name('shoulder', near), name('hinge', near)])).toEqual([0, 1, null])
})

it('a name wider than its level edge is left out: 13 letters take 94 pixels', () => {
  const there = [spot(100, 100)]
  expect(placeNames([name('left shoulder', there, 93)])).toEqual([null])
  expect(placeNames([name('left shoulder', there, 94)])).toEqual([0])
  expect(placeNames([name('', there, 500)])).toEqual([null])
})

it('no two names that are placed overlap, wherever edges lie', () => {
  const anySpot = fc.record({
    x: fc.integer({ min: 0, max: 400 }),
    y: fc.integer({ min: 0, max: 300 }),
    anchor: fc.constantFrom('start' as const, 'middle' as const, 'end' as const),
  })
  const anyName = fc.record({
    words: fc.string({ minLength: 1, maxLength: 16 }),
    spots: fc.array(anySpot, { minLength: 1, maxLength: 4 }),
    roomPx: fc.constant(null),
  })
  fc.assert(
    fc.property(fc.array(anyName, { maxLength: 12 }), (names) => {
      const written = placeNames(names).flatMap((at, i) => {
        if (at === null) return []
        const { x, y, anchor } = names[i]!.spots[at]!
        const wide = names[i]!.words.length * 7
        return [{ y, left: anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2, wide }]
      })
      written.forEach((a, i) =>
        written
          .slice(i + 1)
          .forEach((b) =>
            expect(Math.abs(a.y - b.y) > 14 || a.left + a.wide <= b.left || b.left + b.wide <= a.left).toBe(true),
          ),
      )
    }),
  )
})
