import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newSeat, reading } from '../job/index.ts'
import { cushionsFrom } from '../testing/jobs.ts'
import { rowSeats, seatOfRows } from './index.ts'

/** The extent of drawn points. */
const extent = (points: readonly { x: number; y: number }[]) => [
  Math.max(...points.map((p) => p.x)) - Math.min(...points.map((p) => p.x)),
  Math.max(...points.map((p) => p.y)) - Math.min(...points.map((p) => p.y)),
]

describe('a seat of rows', () => {
  it('is drawn at the first row; what a row does not tell is the seat’s', () => {
    const seat = seatOfRows(newSeat('singles', 600, 500, 80, 1), [
      { count: 2, readings: { width: reading(452), depth: reading(431) } },
      { count: 1, readings: { width: reading(449) } },
      { count: 3, readings: { thickness: reading(60) } },
    ])
    expect(seat.division).toMatchObject({ rows: [{ count: 2, readings: {} }, { count: 1 }, { count: 3 }] })
    expect(
      cushionsFrom(seat).designs.map((d) => [d.count, ...extent(d.solid.outline), d.solid.thickness.value]),
    ).toEqual([
      [2, 452, 431, 80],
      [1, 449, 431, 80],
      [3, 452, 431, 60],
    ])
  })

  it('has a cushion of every size that was pasted, in order', () => {
    const size = fc.integer({ min: 300, max: 700 })
    const row = fc.record({ count: fc.integer({ min: 1, max: 3 }), width: size, depth: size })
    fc.assert(
      fc.property(row, fc.array(row, { maxLength: 5 }), (first, others) => {
        const wanted = [first, ...others]
        const told = (r: typeof first) => ({
          count: r.count,
          readings: { width: reading(r.width), depth: reading(r.depth) },
        })
        const seat = seatOfRows(newSeat('singles', 600, 500, 80, 1), [told(first), ...others.map(told)])
        expect(rowSeats(seat)).toHaveLength(wanted.length)
        const { designs, inOrder } = cushionsFrom(seat)
        expect(inOrder.map(({ design }) => extent(designs[design]!.solid.outline))).toEqual(
          wanted.flatMap((r) => Array.from({ length: r.count }, () => [r.width, r.depth])),
        )
      }),
      { numRuns: 60 },
    )
  })
})
