import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fillsOf } from './fills.ts'

/** Every sum of some of these boxes, one size of each, by trying them all. */
function sums(boxes: readonly (readonly number[])[]): Set<number> {
  return boxes.reduce(
    (all, sizes) => new Set([...all, ...[...all].flatMap((sum) => sizes.map((s) => sum + s))]),
    new Set([0]),
  )
}

describe('what boxes side by side can fill', () => {
  it('by hand: two of 300 and one of 250 or 400, within 700', () => {
    const fills = fillsOf(
      [
        { count: 2, sizes: [{ wide: 300 }] },
        { count: 1, sizes: [{ wide: 250 }, { wide: 400 }] },
      ],
      700,
    )
    const all = fills([2, 1])
    expect([700, 699, 599, 549, 299, 249].map(all)).toEqual([700, 600, 550, 400, 250, 0])
    expect([700, 549].map(fills([1, 0]))).toEqual([300, 300])
    expect(fills([0, 0])(700)).toBe(0)
  })

  it('is the largest sum that fits, for any boxes and any of them left', () => {
    const kind = fc.record({
      count: fc.integer({ min: 1, max: 2 }),
      sizes: fc.array(fc.record({ wide: fc.integer({ min: 1, max: 90 }) }), { minLength: 1, maxLength: 2 }),
    })
    fc.assert(
      fc.property(
        fc.array(kind, { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 200 }),
        fc.infiniteStream(fc.nat({ max: 2 })),
        (kinds, most, counts) => {
          const left = kinds.map((k) => Math.min(k.count, counts.next().value!))
          const possible = [
            ...sums(kinds.flatMap((k, i) => Array.from({ length: left[i]! }, () => k.sizes.map((s) => s.wide)))),
          ]
          const mostOf = fillsOf(kinds, most)(left)
          for (let free = 0; free <= most; free++)
            expect(mostOf(free)).toBe(Math.max(...possible.filter((s) => s <= free)))
        },
      ),
    )
  })

  it('counts every width as filled where sizes are too fine for a table', () => {
    expect(fillsOf([{ count: 1, sizes: [{ wide: 333_333 }] }], 1_370_000)([1])(1000)).toBe(1000)
  })
})
