import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { box } from '../../../bench/problems.ts'
import { LayProblem } from '../../../contract/index.ts'
import { instanceOf } from '../index.ts'
import { overlapsOf, piecesIn } from './overlaps.ts'
import { Packing } from './packing.ts'
import { PairTable } from './pair-table.ts'
import { Weights } from './weights.ts'

const WIDTH = 1000
const LENGTH = 1500

interface Box {
  readonly w: number
  readonly h: number
  readonly x: number
  readonly y: number
}
const aBox = fc
  .record({ w: fc.integer({ min: 20, max: 400 }), h: fc.integer({ min: 20, max: 400 }) })
  .chain(({ w, h }) =>
    fc.record({
      w: fc.constant(w),
      h: fc.constant(h),
      x: fc.integer({ min: 0, max: WIDTH - w }),
      y: fc.integer({ min: 0, max: LENGTH - h }),
    }),
  )

function packed(boxes: readonly Box[], gap: number): Packing {
  const instance = instanceOf(
    LayProblem.parse({
      format: 'loft-seam/lay-problem',
      version: 1,
      gap,
      cloth: { width: WIDTH },
      pieces: boxes.map(({ w, h }, i) => ({ id: `p${i}`, qty: 1, outline: box(w, h), turns: [0] })),
    }),
  )
  const spots = boxes.map(({ x, y }, item) => ({ item, posture: instance.items[item]!.postures[0]!, x, y, sheet: 0 }))
  const start = { spots, left: [], sheets: 1, length: LENGTH, offsets: [] }
  return new Packing(instance, new PairTable(instance, 'eased'), start, () => 0.5)
}

/** The shortest way out of each other: the lesser of the two overlaps of their sides, and the gap. */
function depthOf(a: Box, b: Box, gap: number): number {
  const across = Math.min(a.x + a.w, b.x + b.w) - Math.max(a.x, b.x)
  const along = Math.min(a.y + a.h, b.y + b.h) - Math.max(a.y, b.y)
  // A box within another comes out past its nearer side.
  const out = Math.min(a.x + a.w - b.x, b.x + b.w - a.x, a.y + a.h - b.y, b.y + b.h - a.y)
  return Math.min(across, along) + gap > 0 ? Math.max(0, out + gap) : 0
}

describe('what stands round a piece', () => {
  it('counts every piece it would stand in, and no other, wherever it is put and whatever moved before', () =>
    fc.assert(
      fc.property(
        fc.array(aBox, { minLength: 2, maxLength: 14 }),
        fc.array(aBox, { minLength: 1, maxLength: 6 }),
        fc.constantFrom(0, 7),
        (boxes, places, gap) => {
          const packing = packed(boxes, gap)
          const now = [...boxes]
          places.forEach(({ x, y }, k) => {
            const i = k % boxes.length
            const put = { ...now[i]!, x: Math.min(x, WIDTH - now[i]!.w), y: Math.min(y, LENGTH - now[i]!.h) }
            packing.surroundings.gather(i, packing.weights.values)
            const { shape } = packing.postures[i]!
            const deep = now.reduce((sum, other, j) => sum + (j === i ? 0 : depthOf(put, other, gap)), 0)
            expect(packing.surroundings.cost(shape, put.x, put.y, Infinity)).toBeCloseTo(deep, 6)
            packing.put(i, packing.postures[i]!, put.x, put.y)
            now[i] = put
          })
          const pairs = now.flatMap((a, i) =>
            now.slice(i + 1).flatMap((b, k) => {
              const depthMm = depthOf(a, b, gap)
              return depthMm > 0.02 ? [{ i, j: i + 1 + k, depthMm }] : []
            }),
          )
          const found = [...overlapsOf(packing)].sort((a, b) => a.i - b.i || a.j - b.j)
          expect(found).toEqual(pairs.map((pair) => ({ ...pair, depthMm: expect.closeTo(pair.depthMm, 6) })))
          expect(piecesIn(found, now.length)).toEqual(
            now.flatMap((_, i) => (pairs.some((p) => p.i === i || p.j === i) ? [i] : [])),
          )
        },
      ),
      { numRuns: 300 },
    ))

  it('a look is given up where it comes to the limit, and counted', () => {
    const same = { w: 100, h: 100, x: 0, y: 0 }
    const packing = packed([same, same, same], 0)
    packing.surroundings.gather(0, packing.weights.values)
    const { shape } = packing.postures[0]!
    expect(packing.surroundings.cost(shape, 0, 0, Infinity)).toBe(200)
    expect(packing.surroundings.cost(shape, 0, 0, 50)).toBe(100)
    expect(packing.surroundings.looked).toBe(2)
    packing.weights.follow([{ i: 0, j: 2, depthMm: 1 }])
    packing.surroundings.gather(0, packing.weights.values)
    expect(packing.surroundings.cost(shape, 0, 0, Infinity)).toBeCloseTo(100 + 180, 6)
  })

  it('a flaw counts as a piece does, with a weight of its own', () => {
    const instance = instanceOf(
      LayProblem.parse({
        format: 'loft-seam/lay-problem',
        version: 1,
        cloth: { width: WIDTH, flaws: [[0, 0, 300, 300]] },
        pieces: [{ id: 't', qty: 1, outline: box(600, 500), turns: [0] }],
      }),
    )
    const posture = instance.items[0]!.postures[0]!
    const start = {
      spots: [{ item: 0, posture, x: 0, y: 100, sheet: 0 }],
      left: [],
      sheets: 1,
      length: 900,
      offsets: [],
    }
    const packing = new Packing(instance, new PairTable(instance, 'eased'), start, () => 0.5)
    expect(overlapsOf(packing)).toEqual([{ i: 0, j: 1, depthMm: expect.closeTo(200, 3) }])
    expect(piecesIn(overlapsOf(packing), 1)).toEqual([0])
    packing.weights.follow(overlapsOf(packing))
    packing.surroundings.gather(0, packing.weights.values)
    expect(packing.surroundings.cost(posture.shape, 0, 100, Infinity)).toBeCloseTo(200 * 1.8, 3)
  })
})

describe('weights', () => {
  it('grow by depth, both ways about, fade to 1 and begin again', () => {
    const weights = new Weights(3)
    const at = (i: number, j: number) => weights.values[i * 4 + j]!
    weights.follow([
      { i: 0, j: 1, depthMm: 10 },
      { i: 1, j: 2, depthMm: 5 },
    ])
    expect([at(0, 1), at(1, 0)]).toEqual([1.8, 1.8])
    expect(at(1, 2)).toBeCloseTo(1.15 + 0.65 / 2, 12)
    expect(at(0, 2)).toBe(1)
    weights.follow([{ i: 1, j: 2, depthMm: 4 }])
    expect(at(1, 0)).toBeCloseTo(1.8 * 0.95, 12)
    expect(at(2, 1)).toBeCloseTo((1.15 + 0.65 / 2) * 1.8, 12)
    for (let k = 0; k < 40; k++) weights.follow([])
    expect([...weights.values].every((w) => w === 1)).toBe(true)
    weights.follow([{ i: 2, j: 3, depthMm: 1 }])
    expect(at(2, 3)).toBe(1.8)
    expect(weights.values.filter((w) => w > 1)).toHaveLength(1)
    weights.reset()
    weights.follow([])
    expect([...weights.values].every((w) => w === 1)).toBe(true)
  })
})
