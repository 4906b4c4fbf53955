import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  areaOf,
  at,
  boxOf,
  bulgeOfRise,
  centroidOf,
  dressCorners,
  edgeLength,
  flatten,
  grown,
  isInside,
  isSimple,
  keepLeftOf,
  keepsShape,
  mirrored,
  moved,
  offsetEdges,
  perimeterOf,
  rectangle,
  riseOfBulge,
  turnedBy,
  vertex,
  wholeOf,
  type Outline,
  type Vertex,
} from './index.ts'

const circle = (r: number): Outline => [vertex(at(-r, 0), 1), vertex(at(r, 0), 1)]
const rounded = (w: number, h: number, r: number): Outline => {
  const dressed = dressCorners(
    rectangle(w, h),
    [0, 1, 2, 3].map(() => ({ kind: 'round' as const, radiusMm: r })),
  )
  if ('roomMm' in dressed) throw new Error('no room')
  return dressed.outline
}

describe('arcs', () => {
  it('a circle of two half circles', () => {
    expect(areaOf(circle(100))).toBeCloseTo(Math.PI * 10_000, 6)
    expect(perimeterOf(circle(100))).toBeCloseTo(2 * Math.PI * 100, 6)
    expect(boxOf(circle(100))).toEqual({ minX: -100, minY: -100, maxX: 100, maxY: 100 })
  })

  it('rise and bulge: 50 over 600 is a circle of 925', () => {
    const bulge = bulgeOfRise(600, 50)
    expect(riseOfBulge(600, bulge)).toBeCloseTo(50, 9)
    expect(edgeLength([vertex(at(0, 0), bulge), at(600, 0)], 0)).toBeCloseTo(2 * 925 * Math.asin(300 / 925), 6)
  })

  it('flattened, it stays within the tolerance and inside', () => {
    for (const tolerance of [1, 0.1, 0.01]) {
      const polygon = flatten(circle(500), tolerance)
      const loss = Math.PI * 250_000 - areaOf(polygon)
      expect(loss).toBeGreaterThan(0)
      expect(loss).toBeLessThan(2 * Math.PI * 500 * tolerance)
    }
  })

  it('the box of an outline holds every point of it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 900 }),
        fc.double({ min: -0.8, max: 1.6, noNaN: true }),
        fc.integer({ min: 0, max: 360 }),
        (w, bulge, turn) => {
          const outline = turnedBy([vertex(at(0, 0), bulge), at(w, 0), at(w, 600), at(0, 600)], (turn * Math.PI) / 180)
          const [exact, seen] = [boxOf(outline), boxOf(flatten(outline, 0.01))]
          for (const key of ['minX', 'minY', 'maxX', 'maxY'] as const)
            expect(Math.abs(exact[key] - seen[key])).toBeLessThan(0.05)
        },
      ),
    )
  })
})

describe('offset with arcs', () => {
  it('a rounded rectangle grows to one with larger corners', () => {
    const out = offsetEdges(rounded(600, 500, 40), new Array<number>(8).fill(12))
    expect(areaOf(out)).toBeCloseTo(624 * 524 - (4 - Math.PI) * 52 * 52, 4)
    expect(perimeterOf(out)).toBeCloseTo(2 * (624 + 524) - (8 - 2 * Math.PI) * 52, 6)
  })

  it('a rounding between edges moved unequally stays tangent to both', () => {
    const outline = rounded(600, 500, 40)
    const moves = outline.map((_, i) => (i === 1 ? 30 : 0))
    const out = offsetEdges(outline, moves)
    expect(isSimple(out)).toBe(true)
    expect(keepsShape(outline, out)).toBe(true)
    // The radius stays 40: it rounds a rectangle of 600 x 530.
    expect(areaOf(out)).toBeCloseTo(600 * 530 - (4 - Math.PI) * 1600, 4)
  })

  it('out and back in returns any outline with bows', () => {
    const bow = fc.double({ min: -0.25, max: 0.4, noNaN: true })
    fc.assert(
      fc.property(
        bow,
        bow,
        fc.integer({ min: -100, max: 150 }),
        fc.integer({ min: 1, max: 30 }),
        (front, back, lean, by) => {
          const outline = [vertex(at(0, 0), front), at(700, 0), vertex(at(650 + lean, 600), back), at(lean, 600)]
          const out = offsetEdges(outline, [by, by, by, by])
          const again = offsetEdges(out, [-by, -by, -by, -by])
          outline.forEach((v, i) => {
            expect(again[i]!.x).toBeCloseTo(v.x, 4)
            expect(again[i]!.y).toBeCloseTo(v.y, 4)
          })
          expect(areaOf(out)).toBeGreaterThan(areaOf(outline))
        },
      ),
    )
  })

  it('an arc moved past its own centre, or edges that swallow another, are told', () => {
    const outline = rounded(600, 500, 40)
    expect(
      keepsShape(
        outline,
        offsetEdges(
          outline,
          outline.map(() => -45),
        ),
      ),
    ).toBe(false)
    expect(keepsShape(rectangle(100, 50), offsetEdges(rectangle(100, 50), [-30, 0, -30, 0]))).toBe(false)
  })

  it('grows a rectangle by what it is told over all, a circle evenly', () => {
    expect(boxOf(grown(rectangle(600, 500), 12, 10))).toEqual({ minX: 0, minY: 0, maxX: 612, maxY: 510 })
    expect(areaOf(grown(circle(300), 20, 20))).toBeCloseTo(Math.PI * 310 * 310, 2)
  })
})

describe('cut, mirrored, turned', () => {
  it('a circle cut through its middle is two halves', () => {
    const half = keepLeftOf(wholeOf(circle(200)), at(0, 0), at(0, 1))
    expect(areaOf(half.outline)).toBeCloseTo((Math.PI * 40_000) / 2, 4)
    expect(half.sources.filter((s) => s === -1)).toHaveLength(1)
  })

  it('the parts on both sides of any cut make up the whole', () => {
    fc.assert(
      fc.property(fc.integer({ min: -150, max: 750 }), fc.integer({ min: 0, max: 179 }), (x, degrees) => {
        const outline = rounded(600, 500, 60)
        const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
        const sides = [at(c, s), at(-c, -s)].map((way) => areaOf(keepLeftOf(wholeOf(outline), at(x, 250), way).outline))
        expect(sides[0]! + sides[1]!).toBeCloseTo(areaOf(outline), 3)
      }),
    )
  })

  it('mirrored twice is the same, once has the same area', () => {
    const outline = [vertex(at(0, 0), 0.2), at(700, 0), vertex(at(650, 600), -0.1), at(-40, 500)]
    const once = mirrored(outline)
    expect(areaOf(once)).toBeCloseTo(areaOf(outline), 6)
    expect(mirrored(once).map((v) => [v.x + 0, v.y, v.bulge])).toEqual(outline.map((v: Vertex) => [v.x, v.y, v.bulge]))
  })

  it('finds the balance point: of a circle its centre, of a half disc 4r/3π above its straight side', () => {
    expect(centroidOf(moved(circle(300), at(40, 70))).x).toBeCloseTo(40, 3)
    expect(centroidOf([vertex(at(300, 0), 1), at(-300, 0)]).y).toBeCloseTo((4 * 300) / (3 * Math.PI), 0)
  })

  it('knows inside from outside, round an arc too', () => {
    expect(isInside(circle(100), at(99, 0))).toBe(true)
    expect(isInside(circle(100), at(80, 80))).toBe(false)
    expect(isInside(moved(circle(100), at(500, 500)), at(560, 560))).toBe(true)
  })
})

describe('corners', () => {
  it('a corner rounded on a bowed edge is tangent to both', () => {
    const bowed: Outline = [vertex(at(0, 0), 0.15), at(600, 0), at(600, 500), at(0, 500)]
    const dressed = dressCorners(bowed, [
      { kind: 'square' },
      { kind: 'round', radiusMm: 50 },
      { kind: 'square' },
      { kind: 'square' },
    ])
    if ('roomMm' in dressed) throw new Error('no room')
    expect(dressed.sources.map((s) => s.kind)).toEqual(['edge', 'corner', 'edge', 'edge', 'edge'])
    const out = offsetEdges(
      dressed.outline,
      dressed.outline.map(() => 10),
    )
    expect(keepsShape(dressed.outline, out)).toBe(true)
    expect(perimeterOf(out)).toBeGreaterThan(perimeterOf(dressed.outline))
  })

  it('more than the edge has room for is refused', () => {
    expect(
      dressCorners(rectangle(100, 100), [
        { kind: 'round', radiusMm: 60 },
        { kind: 'round', radiusMm: 60 },
        { kind: 'square' },
        { kind: 'square' },
      ]),
    ).toMatchObject({ roomMm: 100 })
  })
})
