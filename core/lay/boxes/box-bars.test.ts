import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { searchBars, type BarKind, type Beside } from './box-bars.ts'

/** Searches until a way with places is found, or to the end; whether one was found, and how it ended. */
function ended(kinds: readonly BarKind[], room: number, levels: number, beside: Beside) {
  let found = 0
  const search = searchBars(
    { kinds, room: () => room, levels: () => (found > 0 ? 0 : levels) },
    beside,
    (begun, places) => {
      if (!places) return
      found++
      for (const [i, a] of begun.entries()) {
        expect(a.at + a.long <= levels && places[i]! + a.wide <= room).toBe(true)
        for (const [j, b] of begun.entries())
          if (j < i)
            expect(
              a.at >= b.at + b.long ||
                b.at >= a.at + a.long ||
                places[i]! >= places[j]! + b.wide ||
                places[j]! >= places[i]! + a.wide,
            ).toBe(true)
      }
    },
  )
  let turn = search.next()
  while (!turn.done) turn = search.next()
  return { end: turn.value, isFound: found > 0 }
}

/** Whether boxes go into a field of small squares: the first free square takes one of them or stays empty. */
function goesIn(kinds: readonly BarKind[], room: number, levels: number): boolean {
  const field = Array.from({ length: levels }, () => new Array<boolean>(room).fill(false))
  const left = kinds.map((k) => k.count)
  const fill = (from: number, spare: number): boolean => {
    if (spare < 0) return false
    if (left.every((n) => n === 0)) return true
    if (from === room * levels) return false
    const [y, x] = [Math.floor(from / room), from % room]
    if (field[y]![x]) return fill(from + 1, spare)
    for (const [k, kind] of kinds.entries()) {
      if (left[k] === 0) continue
      for (const { wide, long } of kind.sizes) {
        if (x + wide > room || y + long > levels || !squares(y, x, long, wide).every(([r, c]) => !field[r]![c]))
          continue
        squares(y, x, long, wide).forEach(([r, c]) => (field[r]![c] = true))
        left[k]!--
        if (fill(from + 1, spare)) return true
        left[k]!++
        squares(y, x, long, wide).forEach(([r, c]) => (field[r]![c] = false))
      }
    }
    return fill(from + 1, spare - 1)
  }
  return fill(0, room * levels - kinds.reduce((sum, k) => sum + k.count * k.sizes[0]!.long * k.sizes[0]!.wide, 0))
}
const squares = (y: number, x: number, long: number, wide: number) =>
  Array.from({ length: long * wide }, (_, i): [number, number] => [y + Math.floor(i / wide), x + (i % wide)])

const size = fc.record({ long: fc.integer({ min: 1, max: 4 }), wide: fc.integer({ min: 1, max: 4 }) })
const side = fc.integer({ min: 4, max: 5 })
const kind = fc
  .tuple(fc.integer({ min: 1, max: 2 }), size, fc.boolean())
  .map(([count, s, mayTurn]): BarKind => ({
    count,
    sizes: mayTurn && s.long !== s.wide ? [s, { long: s.wide, wide: s.long }] : [s],
  }))

describe('boxes begun at levels', () => {
  it('by hand: two of 2 x 3 and one of 2 x 2 fill 4 x 4 but for the waste of one bar', () => {
    const kinds = [
      { count: 2, sizes: [{ wide: 2, long: 3 }] },
      { count: 1, sizes: [{ wide: 2, long: 2 }] },
    ]
    expect(ended(kinds, 4, 4, 'sum').end).toBe('none')
    expect(ended(kinds, 4, 5, 'place')).toEqual({ end: 'none', isFound: true })
  })

  it('find a lay by places exactly where filling small squares finds one, up and across', () => {
    fc.assert(
      fc.property(fc.array(kind, { minLength: 1, maxLength: 4 }), side, side, (kinds, room, levels) => {
        const goes = goesIn(kinds, room, levels)
        expect(ended(kinds, room, levels, 'place')).toEqual({ end: 'none', isFound: goes })
        const turned = kinds.map((k) => ({
          ...k,
          sizes: k.sizes.map(({ long, wide }) => ({ long: wide, wide: long })),
        }))
        expect(ended(turned, levels, room, 'place')).toEqual({ end: 'none', isFound: goes })
      }),
      { numRuns: 500 },
    )
  })

  it('sums alone never forbid what goes in', () => {
    fc.assert(
      fc.property(fc.array(kind, { minLength: 1, maxLength: 4 }), side, side, (kinds, room, levels) => {
        if (goesIn(kinds, room, levels)) expect(ended(kinds, room, levels, 'sum').end).toBe('some')
      }),
      { numRuns: 500 },
    )
  })

  it('goes on below a lay it found while the levels shrink', () => {
    const kinds = [3, 2, 2, 1].map((long) => ({ count: 1, sizes: [{ long, wide: 1 }] }))
    let levels = 100
    const lengths: number[] = []
    const search = searchBars({ kinds, room: () => 2, levels: () => levels }, 'place', (begun) => {
      lengths.push(Math.max(...begun.map((b) => b.at + b.long)))
      levels = lengths.at(-1)! - 1
    })
    while (!search.next().done);
    expect(lengths.at(-1)).toBe(4)
    expect(lengths).toEqual(lengths.toSorted((a, b) => b - a))
  })
})
