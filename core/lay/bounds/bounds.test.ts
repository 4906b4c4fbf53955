import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LayProblem } from '../../../contract/index.ts'
import { cushionMix, cutJigsaw, cutPrint, sawnRectangles, stripedRows } from '../../../bench/problems.ts'
import { instanceOf, solveLay } from '../index.ts'
import { pricesOf, type Column } from './covering.ts'
import { crossSections } from './index.ts'
import { patternRowsLength } from './pattern-rows.ts'
import { patternsOn } from './patterns.ts'
import { profileOf } from './profile.ts'

type Piece = Partial<LayProblem['pieces'][number]> & { readonly id: string; readonly outline: [number, number][] }
const box = (id: string, width: number, height: number, more: Partial<Piece> = {}): Piece => ({
  id,
  outline: [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ],
  ...more,
})
const problemOf = (width: number, pieces: readonly Piece[], cloth: object = {}): LayProblem =>
  LayProblem.parse({ format: 'loft-seam/lay-problem', version: 1, cloth: { width, ...cloth }, pieces })

function abreast(problem: LayProblem): number {
  let best = 0
  for (const _ of crossSections(instanceOf(problem), (length) => (best = length)));
  return best
}
const found = (problem: LayProblem, steps: number): number => {
  const solved = solveLay(problem, { seed: 1, budget: { steps, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  return solved.value.lay.length
}

describe('how wide a piece is across its height', () => {
  it('a box is one slab, a T two', () => {
    expect(profileOf([0, 0, 600, 0, 600, 500, 0, 500], 5)).toEqual([{ height: 500, width: expect.closeTo(600, 6) }])
    const tee = [200, 0, 400, 0, 400, 300, 600, 300, 600, 450, 0, 450, 0, 300, 200, 300]
    expect(profileOf(tee, 5)).toEqual([
      { height: expect.closeTo(150, 6), width: expect.closeTo(600, 3) },
      { height: expect.closeTo(300, 6), width: expect.closeTo(200, 3) },
    ])
  })

  it('a slanted edge is told in steps, each no wider than the piece is on it', () => {
    const slabs = profileOf([0, 0, 600, 0, 500, 500, 100, 500], 20)
    // 600 wide at the foot, 400 at the top: at least w on the (600 - w) / 200 x 500 below it.
    let height = 0
    for (const slab of slabs) {
      height += slab.height
      expect(slab.width).toBeLessThanOrEqual(600 - (height / 500) * 200 + 1e-3)
    }
    expect(height).toBeCloseTo(500, 6)
    expect(slabs.reduce((sum, s) => sum + s.height * s.width, 0)).toBeGreaterThan(0.98 * 500 * 500)
  })

  it('both arms of a fork count together', () => {
    const fork = [0, 0, 500, 0, 500, 400, 300, 400, 300, 100, 200, 100, 200, 400, 0, 400]
    expect(profileOf(fork, 5).map((s) => [s.height, Math.round(s.width)])).toEqual([
      [100, 500],
      [300, 400],
    ])
  })

  it('few slabs tell less of a circle than many, and never more than it is', () => {
    const ring = Array.from({ length: 60 }, (_, i) => [
      250 + 250 * Math.cos((i * Math.PI) / 30),
      250 + 250 * Math.sin((i * Math.PI) / 30),
    ]).flat()
    const areaIn = (most: number) => profileOf(ring, most).reduce((sum, s) => sum + s.height * s.width, 0)
    expect(areaIn(3)).toBeLessThan(areaIn(10))
    expect(areaIn(10)).toBeLessThan(Math.PI * 250 * 250)
    expect(areaIn(10)).toBeGreaterThan(0.9 * Math.PI * 250 * 250)
  })
})

describe('patterns across the cloth', () => {
  it('the dearest one is that of trying all of them', () => {
    const row = fc.record({ kind: fc.nat(2), width: fc.integer({ min: 3, max: 30 }) })
    fc.assert(
      fc.property(
        fc.array(row, { minLength: 1, maxLength: 5 }),
        fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 3, maxLength: 3 }),
        fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 5, maxLength: 5 }),
        (rows, counts, prices) => {
          const { worth, taken } = patternsOn(rows, counts, 50, 1)!.dearest(Float64Array.from(prices))
          const all = (i: number, room: number, spare: readonly number[]): number =>
            i === rows.length
              ? 0
              : Math.max(
                  all(i + 1, room, spare),
                  rows[i]!.width <= room && spare[rows[i]!.kind]! > 0
                    ? prices[i]! +
                        all(
                          i,
                          room - rows[i]!.width,
                          spare.map((n, k) => (k === rows[i]!.kind ? n - 1 : n)),
                        )
                    : 0,
                )
          expect(worth).toBe(all(0, 50, counts))
          expect(taken.reduce((sum, [r, n]) => sum + n * prices[r]!, 0)).toBe(worth)
        },
      ),
    )
  })
})

describe('a covering', () => {
  it('by hand: 4 of 6 and 6 of 4 on tens are covered by 4 of each beside the other, and one of two fours', () => {
    const columns: readonly Column[] = [
      { cost: 1, brings: [[0, 1], [1, 1]] }, // prettier-ignore
      { cost: 1, brings: [[1, 2]] },
    ]
    const alone: readonly Column[] = [
      { cost: 1, brings: [[0, 1]] },
      { cost: 1, brings: [[1, 1]] },
    ]
    const worth = (c: Column, p: Float64Array) => c.brings.reduce((sum, [r, n]) => sum + n * p[r]!, 0)
    const all = [...pricesOf(alone, [4, 6], (p) => columns.find((c) => worth(c, p) > c.cost + 1e-9) ?? null)]
    const [a, b] = all.at(-1)!
    // 4 of the first pattern and 1 of the second: 5, at prices of a half each.
    expect([a, b, 4 * a! + 6 * b!]).toEqual([expect.closeTo(0.5, 9), expect.closeTo(0.5, 9), expect.closeTo(5, 9)])
  })
})

it('a covering of two rows costs what the best two of all columns cost', () => {
  const amount = fc.integer({ min: 0, max: 6 })
  fc.assert(
    fc.property(
      fc.array(fc.tuple(amount, amount), { maxLength: 6 }),
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1, max: 9 }),
      (more, a, b) => {
        const all = [[1, 0], [0, 1], ...more] as const // prettier-ignore
        const columns = all.map(([x, y]): Column => ({ cost: 1, brings: [[0, x], [1, y]] })) // prettier-ignore
        const worth = (c: Column, p: Float64Array) => c.brings.reduce((sum, [r, n]) => sum + n * p[r]!, 0)
        const dearest = (p: Float64Array) => columns.find((c) => worth(c, p) > c.cost + 1e-9) ?? null
        const [p, q] = [...pricesOf(columns.slice(0, 2), [a, b], dearest)].at(-1)!
        // Two columns are enough, by themselves or with one of them too much of a row.
        const alone = all.flatMap(([x, y]) => (x > 0 && y > 0 ? [Math.max(a / x, b / y)] : []))
        const pairs = all.flatMap(([x1, y1]) =>
          all.flatMap(([x2, y2]) => {
            const det = x1 * y2 - x2 * y1
            const [s, t] = [(a * y2 - b * x2) / det, (b * x1 - a * y1) / det]
            return det !== 0 && s >= -1e-9 && t >= -1e-9 ? [s + t] : []
          }),
        )
        expect(a * p! + b * q!).toBeCloseTo(Math.min(...alone, ...pairs), 6)
      },
    ),
  )
})

describe('what lies abreast', () => {
  it('by hand: plates of 600 on 1120 lie one after the other, with strips of 520 beside them', () => {
    expect(abreast(problemOf(1120, [box('plate', 600, 500, { qty: 3 })]))).toBeCloseTo(1500, 3)
    expect(
      abreast(problemOf(1120, [box('plate', 600, 500, { qty: 3 }), box('strip', 520, 100, { qty: 15 })])),
    ).toBeCloseTo(1500, 3)
    // The strips that find no place beside them lie two abreast: 5 x 100 / 2.
    expect(
      abreast(problemOf(1120, [box('plate', 600, 500, { qty: 3 }), box('strip', 520, 100, { qty: 20 })])),
    ).toBeCloseTo(1750, 3)
  })

  it('by hand: what may be turned is turned where that is shorter', () => {
    const turns = [0, 90]
    expect(abreast(problemOf(1000, [box('plate', 600, 450, { qty: 4, turns })]))).toBeCloseTo(1200, 3)
    expect(abreast(problemOf(1000, [box('plate', 600, 450, { qty: 4 })]))).toBeCloseTo(1800, 3)
  })

  it('is never more than the shortest lay of boxes, which trying every way proves', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 120, max: 700 }), fc.integer({ min: 80, max: 500 })), {
          minLength: 3,
          maxLength: 6,
        }),
        fc.boolean(),
        (sizes, mayTurn) => {
          const problem = problemOf(
            1000,
            sizes.map(([w, h], i) => box(`${i}`, w, h, mayTurn ? { turns: [0, 90] } : {})),
          )
          expect(abreast(problem)).toBeLessThanOrEqual(found(problem, 4000) + 1e-6)
        },
      ),
      { numRuns: 25 },
    )
  }, 120_000)

  it('goes without where there is too much to be looked at in time', () => {
    const narrow = Array.from({ length: 40 }, (_, i) => box(`${i}`, 3 + i / 10, 100, { qty: 100 }))
    expect(abreast(problemOf(1400, narrow))).toBe(0)
    expect(patternsOn([{ kind: 0, width: 1 }], [5000], 1e7, 0.5)).toBeNull()
  })

  it('never exceeds a known optimum, nor a lay that is found', () => {
    for (const seed of [1, 2, 3, 4]) {
      for (const { problem, optimum } of [
        sawnRectangles(14, [0], seed),
        sawnRectangles(9, [0, 90, 180, 270], seed),
        cutJigsaw(10, seed),
        stripedRows(3, seed),
        cutPrint(12, 'print', seed),
      ])
        expect(abreast(problem)).toBeLessThanOrEqual(optimum! + 1e-6)
      const { problem } = cushionMix(14, seed)
      expect(abreast(problem)).toBeLessThanOrEqual(found(problem, 60) + 1e-6)
    }
  }, 120_000)
})

describe('rows of the pattern', () => {
  const matched = (id: string, width: number, height: number, qty: number, along = 0) =>
    box(id, width, height, { qty, match: { group: 'g', anchor: [0, 0], across: null, along } })
  const rows = (width: number, along: number, pieces: readonly Piece[]) =>
    patternRowsLength(instanceOf(problemOf(width, pieces, { repeat: { across: null, along } })))

  it('by hand: plates 500 high on a repeat of 320 start at every second repeat', () => {
    // Four one after the other: the last starts 3 x 640 after the first. Half a millimetre of play at each end.
    expect(rows(1370, 320, [matched('plate', 800, 500, 4)])).toBeCloseTo(3 * 640 + 500 - 1, 3)
    // Two go abreast on 1600.
    expect(rows(1600, 320, [matched('plate', 800, 500, 4)])).toBeCloseTo(640 + 500 - 1, 3)
  })

  it('by hand: matched both ways, two plates of 500 go abreast on 1100, not on 1050, where stripes are 280 apart', () => {
    const both = (width: number) =>
      patternRowsLength(
        instanceOf(
          problemOf(
            width,
            [box('p', 500, 200, { qty: 4, match: { group: 'g', anchor: [0, 0], across: 0, along: 0 } })],
            { repeat: { across: 280, along: 300 } },
          ),
        ),
      )
    // The second begins 560 after the first and reaches to 1060.
    expect(both(1100)).toBeCloseTo(300 + 200 - 1, 3)
    expect(both(1050)).toBeCloseTo(3 * 300 + 200 - 1, 3)
  })

  it('goes without where pieces are of more kinds, or go over more repeats, than a cover has', () => {
    const kinds = Array.from({ length: 41 }, (_, i) => matched(`${i}`, 600, 200 + i, 1))
    expect(rows(700, 400, kinds.slice(1))).toBeGreaterThan(15_000)
    expect(rows(700, 400, kinds)).toBe(0)
    expect(rows(700, 1, [matched('a', 600, 200, 1)])).toBe(0)
  })

  it('by hand: two that start at other places of the repeat take no more than they need', () => {
    // 200 high at 0, 100 high at 250: both in one repeat of 400.
    expect(rows(700, 400, [matched('a', 600, 200, 1), matched('b', 600, 100, 1, 250)])).toBeCloseTo(350 - 1, 3)
  })

  it('never exceeds a known optimum, nor a lay that is found', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const { problem, optimum } = cutPrint(12, 'print', seed)
      expect(patternRowsLength(instanceOf(problem))).toBeLessThanOrEqual(optimum! + 1e-6)
    }
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 200, max: 700 }),
            fc.integer({ min: 100, max: 500 }),
            fc.integer({ min: 0, max: 299 }),
          ),
          { minLength: 2, maxLength: 6 },
        ),
        (plates) => {
          const pieces = plates.map(([w, h, along], i) => matched(`${i}`, w, h, 1, along))
          const problem = problemOf(1200, pieces, { repeat: { across: null, along: 300 } })
          expect(patternRowsLength(instanceOf(problem))).toBeLessThanOrEqual(found(problem, 40) + 1e-6)
        },
      ),
      { numRuns: 40 },
    )
  }, 120_000)
})
