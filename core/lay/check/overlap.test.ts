import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { laidRing, overlapBeyond } from './laid.ts'
import { distanceToRing, isInside, outlinesCloserThan } from './outlines.ts'

type Point = readonly [number, number]

/** Convex polygons round the origin: corners on an ellipse at rising angles, moved. */
const convex = fc
  .record({
    angles: fc.uniqueArray(fc.integer({ min: 0, max: 359 }), { minLength: 3, maxLength: 9 }),
    rx: fc.integer({ min: 20, max: 200 }),
    ry: fc.integer({ min: 20, max: 200 }),
    x: fc.integer({ min: 0, max: 300 }),
    y: fc.integer({ min: 0, max: 300 }),
  })
  .map(({ angles, rx, ry, x, y }): Point[] =>
    angles
      .toSorted((a, b) => a - b)
      .map((deg) => (deg * Math.PI) / 180)
      .map((rad) => [x + rx * Math.cos(rad), y + ry * Math.sin(rad)]),
  )

const areaOf = (p: readonly Point[]) =>
  p.reduce((sum, [x, y], i) => sum + x * p[(i + 1) % p.length]![1] - p[(i + 1) % p.length]![0] * y, 0) / 2
const lengthOf = (p: readonly Point[]) =>
  p.reduce((sum, [x, y], i) => sum + Math.hypot(x - p[(i + 1) % p.length]![0], y - p[(i + 1) % p.length]![1]), 0)

/** What two convex polygons share: one cut by every edge of the other. */
function shared(a: readonly Point[], b: readonly Point[]): Point[] {
  return b.reduce<Point[]>(
    (left, [ax, ay], i) => {
      const [bx, by] = b[(i + 1) % b.length]!
      const side = ([x, y]: Point) => (bx - ax) * (y - ay) - (by - ay) * (x - ax)
      return left.flatMap((p, k): Point[] => {
        const q = left[(k + 1) % left.length]!
        const [s, t] = [side(p), side(q)]
        const cut: Point = [p[0] + ((q[0] - p[0]) * s) / (s - t), p[1] + ((q[1] - p[1]) * s) / (s - t)]
        return [...(s >= 0 ? [p] : []), ...(s > 0 !== t > 0 && s !== 0 && t !== 0 ? [cut] : [])]
      })
    },
    [...a],
  )
}

/** The widest strip between the two that some direction square to an edge shows; negative where none does. */
function apartBy(a: readonly Point[], b: readonly Point[]): number {
  const along = (p: readonly Point[], q: readonly Point[]) =>
    p.map(([x, y], i) => {
      const [nx, ny] = [p[(i + 1) % p.length]![1] - y, x - p[(i + 1) % p.length]![0]]
      const off = (points: readonly Point[]) => points.map((v) => (v[0] * nx + v[1] * ny) / Math.hypot(nx, ny))
      return Math.min(...off(q)) - Math.max(...off(p))
    })
  return Math.max(...along(a, b), ...along(b, a))
}

const MM = 0.05

describe('two outlines', () => {
  it('overlap where what they share is more than a hair, and not where a strip parts them', () => {
    let [over, apart] = [0, 0]
    fc.assert(
      fc.property(convex, convex, fc.boolean(), (a, b, isReversed) => {
        const ring = (p: readonly Point[]) => (isReversed ? p.toReversed() : p).flat()
        const found = overlapBeyond(laidRing(ring(a), 1), laidRing(ring(b), 1), MM)
        const common = shared(a, b)
        // A convex shape holds a circle of its area over its girth.
        if (common.length > 2 && areaOf(common) / lengthOf(common) > 4 * MM) {
          over++
          expect(found).toBe(true)
        }
        if (apartBy(a, b) > -1e-9) {
          apart++
          expect(found).toBe(false)
        }
      }),
      { numRuns: 1500, seed: 7 },
    )
    expect([over > 150, apart > 150]).toEqual([true, true])
  })

  it('that touch along an edge or in a corner do not overlap', () => {
    fc.assert(
      fc.property(convex, convex, (a, b) => {
        // b is moved until the strip between them has no width: they touch.
        const far: Point[] = b.map(([x, y]) => [x + 2000, y + 300])
        let [near, beyond] = [0, 1]
        const moved = (t: number): Point[] => far.map(([x, y]) => [x - 2000 * t, y - 300 * t])
        if (apartBy(a, moved(1)) > 0) return
        for (let i = 0; i < 60; i++) {
          const t = (near + beyond) / 2
          if (apartBy(a, moved(t)) > 0) near = t
          else beyond = t
        }
        const touching = moved(near)
        expect(overlapBeyond(laidRing(a.flat(), 1), laidRing(touching.flat(), 1), MM)).toBe(false)
        expect(outlinesCloserThan(a.flat(), touching.flat(), 0.01)).toBe(true)
      }),
      { numRuns: 300, seed: 3 },
    )
  })

  it('are as far apart as the nearest of many points on one is from the other', () => {
    fc.assert(
      fc.property(convex, convex, (a, b) => {
        const far: Point[] = b.map(([x, y]) => [x + 1200, y])
        const sampled = Math.min(
          ...a
            .flatMap(([x, y], i) => {
              const [tx, ty] = a[(i + 1) % a.length]!
              return Array.from(
                { length: 200 },
                (_, k) => [x + ((tx - x) * k) / 200, y + ((ty - y) * k) / 200] as const,
              )
            })
            .flatMap(([x, y]) =>
              far.map(([ax, ay], i) => {
                const [bx, by] = far[(i + 1) % far.length]!
                const t = Math.max(
                  0,
                  Math.min(1, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / ((bx - ax) ** 2 + (by - ay) ** 2)),
                )
                return Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay))
              }),
            ),
        )
        expect(outlinesCloserThan(a.flat(), far.flat(), sampled + 1e-6)).toBe(true)
        expect(outlinesCloserThan(a.flat(), far.flat(), sampled - 3)).toBe(false)
      }),
      { numRuns: 60, seed: 5 },
    )
  })

  it('a place is inside where it is left of every edge, and as far from the outline as from its nearest edge', () => {
    fc.assert(
      fc.property(convex, fc.integer({ min: -250, max: 550 }), fc.integer({ min: -250, max: 550 }), (p, x, y) => {
        const sides = p.map(([ax, ay], i) => {
          const [bx, by] = p[(i + 1) % p.length]!
          return ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay)
        })
        const least = Math.min(...sides)
        if (Math.abs(least) < 1e-6) return
        expect(isInside(p.flat(), x, y)).toBe(least > 0)
        if (least > 0) expect(distanceToRing(p.flat(), x, y)).toBeCloseTo(least, 6)
        else expect(distanceToRing(p.flat(), x, y)).toBeGreaterThanOrEqual(-least - 1e-6)
      }),
    )
  })
})
