import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  areaOf,
  at,
  boxOf,
  dressCorners,
  flatten,
  islandsLeftOf,
  isSimple,
  offsetEdges,
  onEdge,
  outwardOn,
  withAllowances,
  perimeterOf,
  rectangle,
  wholeOf,
  type Dressed,
  type Outline,
  type Point,
  type Polygon,
} from './index.ts'
import { seeded } from '../random/index.ts'

/** Corners at jittered angles round an oval: always simple and counter-clockwise, nearly always convex. */
const convexish = fc.array(fc.integer({ min: 0, max: 80 }), { minLength: 5, maxLength: 12 }).map((jitter): Polygon =>
  jitter.map((j, i) => {
    const angle = ((i + j / 100) / jitter.length) * 2 * Math.PI
    return at(1000 * Math.cos(angle), 800 * Math.sin(angle))
  }),
)

describe('areaOf and perimeterOf', () => {
  it.each<[string, Polygon, number, number]>([
    ['nothing', [], 0, 0],
    ['a line', [at(0, 0), at(5, 0)], 0, 10],
    ['a rectangle', rectangle(4, 3), 12, 14],
    ['a clockwise square', [at(0, 0), at(0, 2), at(2, 2), at(2, 0)], -4, 8],
  ])('%s', (_name, outline, area, perimeter) => {
    expect(areaOf(outline)).toBeCloseTo(area, 9)
    expect(perimeterOf(outline)).toBeCloseTo(perimeter, 9)
  })
})

describe('offsetEdges', () => {
  it('gives a rectangle its own allowance on each edge', () => {
    const box = boxOf(offsetEdges(rectangle(100, 50), [1, 2, 3, 4]))
    expect(box).toEqual({ minX: -4, minY: -1, maxX: 102, maxY: 53 })
  })

  it('keeps a straight corner between edges of equal allowance', () => {
    const outline = [at(0, 0), at(50, 0), at(100, 0), at(100, 50), at(0, 50)]
    expect(areaOf(offsetEdges(outline, [10, 10, 10, 10, 10]))).toBeCloseTo(120 * 70, 6)
  })

  it('offset out and back in returns the outline', () => {
    fc.assert(
      fc.property(convexish, fc.double({ min: 0, max: 30, noNaN: true }), (outline, by) => {
        const there = offsetEdges(
          outline,
          outline.map(() => by),
        )
        const back = offsetEdges(
          there,
          outline.map(() => -by),
        )
        outline.forEach((p, i) => {
          expect(back[i]!.x).toBeCloseTo(p.x, 5)
          expect(back[i]!.y).toBeCloseTo(p.y, 5)
        })
      }),
    )
  })

  it('an allowance never makes a convex panel smaller or crossed', () => {
    fc.assert(
      fc.property(convexish, fc.double({ min: 0.1, max: 40, noNaN: true }), (outline, by) => {
        const cut = offsetEdges(
          outline,
          outline.map(() => by),
        )
        expect(areaOf(cut)).toBeGreaterThan(areaOf(outline))
        expect(isSimple(cut)).toBe(true)
      }),
    )
  })

  it('wants one distance for each edge', () => expect(() => offsetEdges(rectangle(1, 1), [1])).toThrow(RangeError))
})

describe('isSimple', () => {
  it.each<[string, Polygon, boolean]>([
    ['a rectangle', rectangle(10, 10), true],
    ['an L', [at(0, 0), at(10, 0), at(10, 4), at(4, 4), at(4, 10), at(0, 10)], true],
    ['a corner on a straight edge', [at(0, 0), at(5, 0), at(10, 0), at(10, 10), at(0, 10)], true],
    ['two points', [at(0, 0), at(1, 1)], false],
    ['a bow tie', [at(0, 0), at(10, 10), at(10, 0), at(0, 10)], false],
    ['a repeated point', [at(0, 0), at(10, 0), at(10, 0), at(0, 10)], false],
    ['a spike', [at(0, 0), at(10, 0), at(4, 0), at(4, 10)], false],
    ['touching itself at a corner', [at(0, 0), at(10, 0), at(5, 5), at(10, 10), at(0, 10), at(5, 5)], false],
  ])('%s', (_name, outline, simple) => expect(isSimple(outline)).toBe(simple))
})

describe('what a cut leaves, each part by itself', () => {
  /** A U, open at the top: 600 wide, 400 high, arms of 200. */
  const u: Outline = [
    at(0, 0),
    at(600, 0),
    at(600, 400),
    at(400, 400),
    at(400, 100),
    at(200, 100),
    at(200, 400),
    at(0, 400),
  ]
  const areas = (y: number, direction: Point) =>
    islandsLeftOf(wholeOf(u), at(0, y), direction)
      .map((i) => Math.round(areaOf(i.outline)))
      .toSorted((a, b) => a - b)

  it('above 250 both arms of 200 x 150 are left', () => expect(areas(250, at(1, 0))).toEqual([30_000, 30_000]))
  it('below 250 one piece is left: 600 x 100 and two stumps of 200 x 150', () =>
    expect(areas(250, at(-1, 0))).toEqual([120_000]))
  it('wholly on the left it is all kept, wholly on the right nothing', () =>
    expect([areas(-5, at(1, 0)), areas(405, at(1, 0))]).toEqual([[180_000], []]))

  it('both sides of any cut make up the whole, every part simple (200 seeds)', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const random = seeded(seed)
      // A zigzag with arms of random length: cuts part it into many.
      const tops = Array.from({ length: 5 }, () => 150 + random() * 300)
      const zigzag: Outline = [
        at(0, 0),
        at(1000, 0),
        ...tops.flatMap((top, k) => [
          at(1000 - k * 200, top),
          at(1000 - k * 200 - 100, top),
          at(1000 - k * 200 - 100, 100),
          at(1000 - (k + 1) * 200, 100),
        ]),
        at(0, 100),
      ].filter((p, i, all) => i === 0 || Math.hypot(p.x - all[i - 1]!.x, p.y - all[i - 1]!.y) > 1e-9)
      const y = 110 + random() * 300
      const parts = [
        ...islandsLeftOf(wholeOf(zigzag), at(0, y), at(1, 0)),
        ...islandsLeftOf(wholeOf(zigzag), at(0, y), at(-1, 0)),
      ]
      expect(
        parts.reduce((sum, p) => sum + areaOf(p.outline), 0),
        `seed ${seed}`,
      ).toBeCloseTo(areaOf(zigzag), 3)
      for (const p of parts) expect(isSimple(p.outline), `seed ${seed}`).toBe(true)
    }
  })
})

describe('withAllowances', () => {
  /**
   * Distance from a point of the sewing line to the cut, square to the edge: where a ray meets the flattened cut first.
   */
  function along(cut: Outline, from: Point, out: Point): number {
    const polygon = flatten(cut, 0.01)
    const hits = polygon.flatMap((a, i) => {
      const b = polygon[(i + 1) % polygon.length]!
      const turn = out.x * (b.y - a.y) - out.y * (b.x - a.x)
      if (Math.abs(turn) < 1e-12) return []
      const t = ((a.x - from.x) * (b.y - a.y) - (a.y - from.y) * (b.x - a.x)) / turn
      const s = ((a.x - from.x) * out.y - (a.y - from.y) * out.x) / turn
      return t > 0 && s >= -1e-9 && s <= 1 + 1e-9 ? [t] : []
    })
    return Math.min(...hits)
  }

  it('every edge of a rounded plate keeps its own allowance all along, by rays across it', () => {
    const sides = fc.array(fc.integer({ min: 4, max: 40 }), { minLength: 8, maxLength: 8 })
    fc.assert(
      fc.property(sides, fc.integer({ min: 5, max: 150 }), (own, r) => {
        const { outline } = dressCorners(rectangle(700, 420), Array(4).fill({ kind: 'round', radiusMm: r })) as Dressed
        const cut = withAllowances(outline, own)
        expect(isSimple(cut)).toBe(true)
        outline.forEach((_, i) => {
          for (const share of [0.02, 0.3, 0.5, 0.8, 0.98])
            expect(along(cut, onEdge(outline, i, share), outwardOn(outline, i, share))).toBeCloseTo(own[i]!, 1)
        })
      }),
      { numRuns: 100 },
    )
  })

  it('beside a nearly straight corner it steps, where two cut lines would meet far along the edge', () => {
    // Drawn in 12 over 80: a corner of 8.5°. Met, 25 and 12 would cross 86 mm before it.
    const outline: Outline = [at(0, 0), at(400, 0), at(480, 12), at(480, 300), at(0, 300)]
    const cut = withAllowances(outline, [25, 12, 12, 12, 12])
    expect(cut.length).toBe(6)
    for (const share of [0.1, 0.9, 0.99])
      expect(along(cut, onEdge(outline, 0, share), outwardOn(outline, 0, share))).toBeCloseTo(25, 6)
    for (const share of [0.01, 0.1, 0.9])
      expect(along(cut, onEdge(outline, 1, share), outwardOn(outline, 1, share))).toBeCloseTo(12, 6)
  })

  it('squarely met corners stay corners, and inward ones that are flat step on the line that halves them', () => {
    expect(withAllowances(rectangle(100, 50), [1, 2, 3, 4])).toEqual([at(-4, -1), at(102, -1), at(102, 53), at(-4, 53)])
    const dented: Outline = [at(0, 0), at(100, 8), at(200, 0), at(200, 90), at(0, 90)]
    const cut = withAllowances(dented, [20, 6, 6, 6, 6])
    expect(isSimple(cut)).toBe(true)
    expect(along(cut, onEdge(dented, 0, 0.5), outwardOn(dented, 0, 0.5))).toBeCloseTo(20, 6)
    expect(along(cut, onEdge(dented, 1, 0.5), outwardOn(dented, 1, 0.5))).toBeCloseTo(6, 6)
  })

  it('an allowance for each edge, or it is a bug of the caller', () =>
    expect(() => withAllowances(rectangle(1, 1), [1])).toThrow(RangeError))
})
