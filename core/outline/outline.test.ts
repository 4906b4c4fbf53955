import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaOf, at, boxOf, isSimple, offsetEdges, perimeterOf, rectangle, type Polygon } from './index.ts'

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
        const there = offsetEdges(outline, outline.map(() => by))
        const back = offsetEdges(there, outline.map(() => -by))
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
        const cut = offsetEdges(outline, outline.map(() => by))
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
