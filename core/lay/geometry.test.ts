import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { convexParts, isConvex, ringArea, type Ring } from './convex-parts.ts'
import { fillHollows } from './fill-hollows.ts'
import { chainAt, clearanceRing, minkowskiSum, noFitRegion, regionOf } from './no-fit.ts'
import { distanceToRing, insideDeeper, isInside, outlinesCloserThan } from './check/outlines.ts'
import { posedRing, turned } from './shape.ts'

const SQUARE: Ring = [0, 0, 10, 0, 10, 10, 0, 10]
const L_SHAPE: Ring = [0, 0, 30, 0, 30, 10, 10, 10, 10, 30, 0, 30]

/** A star-shaped ring round (0, 0): simple, often hollow. */
const star = fc.array(fc.integer({ min: 20, max: 100 }), { minLength: 5, maxLength: 14 }).map((radii): Ring =>
  radii.flatMap((r, i) => {
    const angle = (i / radii.length) * 2 * Math.PI
    return [r * Math.cos(angle), r * Math.sin(angle)]
  }),
)
const convex = fc
  .tuple(
    fc.integer({ min: 3, max: 9 }),
    fc.integer({ min: 10, max: 80 }),
    fc.integer({ min: 10, max: 80 }),
    fc.double({ min: 0, max: 1, noNaN: true }),
  )
  .map(([n, a, b, turn]): Ring =>
    Array.from({ length: n }, (_, i) => {
      const angle = ((i + turn) / n) * 2 * Math.PI
      return [a * Math.cos(angle), b * Math.sin(angle)]
    }).flat(),
  )
const moved = (ring: Ring, dx: number, dy: number): Ring => ring.map((v, i) => v + (i % 2 === 0 ? dx : dy))

describe('convexParts', () => {
  it('leaves a convex ring whole', () => expect(convexParts(SQUARE)).toEqual([SQUARE]))
  it('cuts an L in two', () => expect(convexParts(L_SHAPE)).toHaveLength(2))

  it('covers any ring exactly once with convex parts', () => {
    fc.assert(
      fc.property(star, (ring) => {
        const parts = convexParts(ring)
        expect(parts.every(isConvex)).toBe(true)
        expect(parts.reduce((sum, p) => sum + ringArea(p), 0)).toBeCloseTo(ringArea(ring), 4)
      }),
    )
  })

  it('covers what lies round a hole', () => {
    const parts = convexParts([-100, -100, 100, -100, 100, 100, -100, 100], [SQUARE])
    expect(parts.reduce((sum, p) => sum + ringArea(p), 0)).toBeCloseTo(200 * 200 - 100, 6)
  })
})

describe('minkowskiSum', () => {
  it('of two boxes is the box of both', () => {
    const region = regionOf(minkowskiSum(SQUARE, [0, 0, 4, 0, 4, 3, 0, 3]))
    expect([region.minX, region.maxX, region.minY, region.maxY, region.isBox]).toEqual([0, 14, 0, 13, true])
  })

  it('is convex, as wide and high as both together, whatever the order', () => {
    fc.assert(
      fc.property(convex, convex, (a, b) => {
        const sum = minkowskiSum(a, b)
        expect(isConvex(sum)).toBe(true)
        const [ra, rb, rs, turnedRound] = [regionOf(a), regionOf(b), regionOf(sum), regionOf(minkowskiSum(b, a))]
        expect(rs.maxX - rs.minX).toBeCloseTo(ra.maxX - ra.minX + rb.maxX - rb.minX, 6)
        expect(rs.maxY - rs.minY).toBeCloseTo(ra.maxY - ra.minY + rb.maxY - rb.minY, 6)
        expect(turnedRound.maxY).toBeCloseTo(rs.maxY, 6)
      }),
    )
  })

  it('the clearance ring holds a round of its gap and is hardly larger', () => {
    for (let i = 0; i < 64; i++) {
      const angle = (i / 64) * 2 * Math.PI
      const ring = clearanceRing(10)
      expect(isInside(ring, 9.999 * Math.cos(angle), 9.999 * Math.sin(angle))).toBe(true)
      expect(isInside(ring, 10.25 * Math.cos(angle), 10.25 * Math.sin(angle))).toBe(false)
    }
  })
})

describe('the no-fit region', () => {
  it('blocks exactly the places where two convex pieces overlap', () => {
    fc.assert(
      fc.property(
        convex,
        convex,
        fc.integer({ min: -160, max: 160 }),
        fc.integer({ min: -160, max: 160 }),
        (fixed, moving, dx, dy) => {
          const region = noFitRegion(fixed, moving)
          const isBlocked =
            dx > region.minX && dx < region.maxX && dy > chainAt(region.lower, dx) && dy < chainAt(region.upper, dx)
          const there = moved(moving, dx, dy)
          const centre = [dx, dy] as const
          const overlap =
            insideDeeper(fixed, there, 0.01) ||
            insideDeeper(there, fixed, 0.01) ||
            (isInside(fixed, ...centre) && distanceToRing(fixed, ...centre) > 0.01)
          // Within a hundredth of touching either answer is right.
          const touching = [0.02, -0.02].some(
            (e) =>
              insideDeeper(fixed, moved(there, e, e), 0.01) !== overlap ||
              insideDeeper(fixed, moved(there, e, -e), 0.01) !== overlap,
          )
          if (overlap) expect(isBlocked).toBe(true)
          else if (isBlocked) expect(touching || outlinesCloserThan(fixed, there, 0.05)).toBe(true)
        },
      ),
      { numRuns: 300 },
    )
  })

  it('its chains run from left to right, lower below upper', () => {
    fc.assert(
      fc.property(convex, convex, (a, b) => {
        const { lower, upper, minX, maxX } = noFitRegion(a, b)
        for (const chain of [lower, upper])
          for (let i = 2; i < chain.length; i += 2) expect(chain[i]!).toBeGreaterThanOrEqual(chain[i - 2]! - 1e-9)
        for (const share of [0.1, 0.5, 0.9]) {
          const x = minX + share * (maxX - minX)
          expect(chainAt(lower, x)).toBeLessThanOrEqual(chainAt(upper, x) + 1e-9)
        }
      }),
    )
  })
})

describe('fillHollows', () => {
  /** A plate whose top edge hangs in by an arc of radius 250 round (100, 330), flattened finely. */
  const hollowArc: Ring = [
    0,
    0,
    200,
    0,
    ...Array.from({ length: 41 }, (_, i) => 190 - 4.5 * i).flatMap((x) => [
      x,
      330 - Math.sqrt(250 ** 2 - (x - 100) ** 2),
    ]),
  ]

  it('keeps convex rings and sharp hollows', () => {
    expect(fillHollows(SQUARE, 2)).toEqual(SQUARE)
    expect(fillHollows(L_SHAPE, 2)).toHaveLength(L_SHAPE.length)
  })

  it('thins a hollow arc, only ever outwards and by no more than asked', () => {
    const filled = fillHollows(hollowArc, 2)
    expect(filled.length).toBeLessThan(hollowArc.length / 2)
    expect(ringArea(filled)).toBeGreaterThanOrEqual(ringArea(hollowArc))
    for (let i = 0; i < hollowArc.length; i += 2) {
      const [x, y] = [hollowArc[i]!, hollowArc[i + 1]!]
      expect(isInside(filled, x, y) || distanceToRing(filled, x, y) < 1e-9).toBe(true)
      expect(distanceToRing(filled, x, y)).toBeLessThanOrEqual(2)
    }
  })
})

describe('penetration', () => {
  it.each<[string, Ring, boolean]>([
    ['apart', moved(SQUARE, 20, 0), false],
    ['touching', moved(SQUARE, 10, 0), false],
    ['0.04 deep', moved(SQUARE, 9.96, 3), false],
    ['0.06 deep', moved(SQUARE, 9.94, 3), true],
    ['a corner 0.06 in, seen straight', moved(SQUARE, 9.94, 9.94), true],
    ['far in', moved(SQUARE, 4, 4), true],
    ['across, no corner inside', [4, -5, 6, -5, 6, 15, 4, 15], true],
  ])('%s', (_name, other, deep) =>
    expect(insideDeeper(SQUARE, other, 0.05) || insideDeeper(other, SQUARE, 0.05)).toBe(deep),
  )

  it('measures the distance to an outline', () => {
    expect(distanceToRing(SQUARE, 5, 4)).toBe(4)
    expect(distanceToRing(SQUARE, 13, 14)).toBe(5)
    expect(outlinesCloserThan(SQUARE, moved(SQUARE, 12, 0), 2.01)).toBe(true)
    expect(outlinesCloserThan(SQUARE, moved(SQUARE, 12, 0), 1.99)).toBe(false)
  })
})

describe('turning', () => {
  it.each<[number, boolean, [number, number]]>([
    [0, false, [3, 1]],
    [90, false, [-1, 3]],
    [180, false, [-3, -1]],
    [-90, false, [1, -3]],
    [450, false, [-1, 3]],
    [0, true, [-3, 1]],
    [90, true, [-1, -3]],
  ])('(3, 1) by %d°, mirrored %s', (turn, flip, expected) =>
    expect(turned(3, 1, turn, flip).map((v) => v + 0)).toEqual(expected),
  )

  it('equal outlines give equal rings, wherever they started', () => {
    const [a, b] = [
      posedRing(
        [
          [0, 0],
          [10, 0],
          [10, 5],
          [0, 5],
        ],
        0,
        false,
      ),
      posedRing(
        [
          [110, 55],
          [100, 55],
          [100, 50],
          [110, 50],
        ],
        180,
        false,
      ),
    ]
    expect(a.ring).toEqual(b.ring)
  })
})
