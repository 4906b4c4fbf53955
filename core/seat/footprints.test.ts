import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Footprint, Seat } from '../../contract/index.ts'
import { reading, shapedSeat } from '../job/index.ts'
import { areaOf, distance, edgeLength, perimeterOf, type Point } from '../outline/index.ts'
import { cushionsFrom } from '../testing/jobs.ts'
import { asTaped, cushionsOf, ringSizes, shapeSeat, squareness, tapedSurvey } from './index.ts'

const seatOf = (footprint: Footprint, change: Partial<Seat> = {}): Seat => ({
  ...shapedSeat(footprint, 100, { kind: 'singles', count: 1, mirrored: 0 }),
  ...change,
})
const shaped = (footprint: Footprint, change: Partial<Seat> = {}) => {
  const found = shapeSeat(seatOf(footprint, change))
  if (!found.ok) throw new Error(JSON.stringify(found.error))
  return found.value.bare
}
const fault = (footprint: Footprint, change: Partial<Seat> = {}) => {
  const found = cushionsOf(seatOf(footprint, change))
  return found.ok ? null : found.error
}
const lengthOf = ({ outline, edges }: ReturnType<typeof shaped>, name: string) =>
  edgeLength(
    outline,
    edges.findIndex((e) => e.name === name),
  )
const rectangle = (
  w: number,
  d: number,
  diagonals: [number, number] | null = null,
): Extract<Footprint, { kind: 'rectangle' }> => ({
  kind: 'rectangle',
  width: reading(w),
  depth: reading(d),
  rising: diagonals && reading(diagonals[0]),
  falling: diagonals && reading(diagonals[1]),
})

describe('tapers, cut corners, bows, by hand', () => {
  it('1124 to 860 over 402, left side square: the right side is √(402² + 264²) = 480.9', () => {
    const outline = shaped({
      kind: 'taper',
      near: reading(1124),
      far: reading(860),
      depth: reading(402),
      offset: { kind: 'left', mm: 0 },
      rising: null,
      falling: null,
    })
    expect(lengthOf(outline, 'right')).toBeCloseTo(480.937, 2)
    expect(lengthOf(outline, 'left')).toBe(402)
    expect(areaOf(outline.outline)).toBeCloseTo((1124 + 860) * 201, 6)
  })

  it('a corner cut off by 210 x 330: its edge is 391.2, the area less by 34 650 mm²', () => {
    const outline = shaped(rectangle(1905, 735), {
      corners: { 'far right': { kind: 'cut', arrivingMm: 330, leavingMm: 210 } },
    })
    expect(lengthOf(outline, 'far right corner')).toBeCloseTo(391.152, 2)
    expect(areaOf(outline.outline)).toBeCloseTo(1905 * 735 - 34_650, 6)
    expect(lengthOf(outline, 'right')).toBeCloseTo(735 - 330, 9)
    expect(lengthOf(outline, 'far')).toBeCloseTo(1905 - 210, 9)
  })

  it('four corners rounded by 60: the area less by (4 - π) 60², the edge less by (8 - 2π) 60', () => {
    const corners = Object.fromEntries(
      ['near left', 'near right', 'far right', 'far left'].map((c) => [c, { kind: 'round' as const, radiusMm: 60 }]),
    )
    const { outline } = shaped(rectangle(600, 500), { corners })
    expect(areaOf(outline)).toBeCloseTo(300_000 - (4 - Math.PI) * 3600, 6)
    expect(perimeterOf(outline)).toBeCloseTo(2200 - (8 - 2 * Math.PI) * 60, 6)
  })

  it('a front bowed by 50 over 600: radius (300² + 50²) / 100 = 925, arc 2 · 925 · asin(300 / 925) = 611.05', () => {
    const outline = shaped(rectangle(600, 500), { edges: { near: { meets: 'open', lean: null, riseMm: 50 } } })
    expect(lengthOf(outline, 'near')).toBeCloseTo(2 * 925 * Math.asin(300 / 925), 6)
    const half = Math.asin(300 / 925)
    expect(areaOf(outline.outline)).toBeCloseTo(300_000 + 925 * 925 * (half - Math.sin(half) * Math.cos(half)), 4)
  })

  it('a rise over half the chord is more than a half circle, and is handled', () => {
    const { outline } = shaped(rectangle(600, 500), { edges: { near: { meets: 'open', lean: null, riseMm: 400 } } })
    const radius = (300 * 300 + 400 * 400) / 800
    const sweep = 4 * Math.atan(400 / 300)
    expect(areaOf(outline)).toBeCloseTo(300_000 + (radius * radius * (sweep - Math.sin(sweep))) / 2, 4)
  })
})

describe('a ring, by hand', () => {
  const ring: Footprint = {
    kind: 'ring',
    at: 'inner',
    curve: { by: 'radius', radius: reading(1870) },
    depth: reading(520),
    extent: { by: 'length', length: reading(3640) },
  }

  it('inner radius 1870, depth 520, inner arc 3640: 1.94652 rad, outer arc 4652.2, 2 155 970 mm²', () => {
    const sizes = ringSizes(ring as Extract<Footprint, { kind: 'ring' }>)
    expect(sizes.ok && sizes.value.angleRad).toBeCloseTo(1.94652, 5)
    const outline = shaped(ring)
    expect(lengthOf(outline, 'far')).toBeCloseTo(4652.2, 1)
    expect(lengthOf(outline, 'near')).toBeCloseTo(3640, 6)
    expect(Math.abs(areaOf(outline.outline) - 2_155_970)).toBeLessThan(10)
  })

  it.each([
    [0, 728],
    [6, 723.2],
    [-2, 729.6],
  ])('in 5 towards the centre with gaps of %d: each inner arc %d, all alike', (gapMm, arc) => {
    const { designs } = cushionsFrom({ ...seatOf(ring), division: { kind: 'run', count: 5, gapMm, cuts: 'radial' } })
    expect(designs).toHaveLength(1)
    const { solid, count } = designs[0]!
    expect(count).toBe(5)
    expect(
      edgeLength(
        solid.outline,
        solid.edges.findIndex((e) => e.side === 'front'),
      ),
    ).toBeCloseTo(arc, 6)
  })

  it.each([170, 200, 300, 345])('of %d° it is cut into any number of equal cushions', (degrees) => {
    const seat = seatOf({
      kind: 'ring',
      at: 'inner',
      curve: { by: 'radius', radius: reading(500) },
      depth: reading(400),
      extent: { by: 'angle', degrees },
    })
    for (const count of [2, 3, 6]) {
      const { designs, inOrder } = cushionsFrom({ ...seat, division: { kind: 'run', count, gapMm: 0, cuts: 'radial' } })
      expect(designs.map((d) => d.count)).toEqual([count])
      expect(areaOf(designs[0]!.solid.outline) * count).toBeCloseTo(
        (((degrees * Math.PI) / 180) * (900 * 900 - 500 * 500)) / 2,
        1,
      )
      expect(new Set(inOrder.map((c) => c.place!.angleRad.toFixed(6))).size).toBe(count)
    }
  })

  it('keeps the rounded corners at the ends of the bench', () => {
    const seat = {
      ...seatOf(ring),
      corners: { 'far left': { kind: 'round' as const, radiusMm: 80 } },
      division: { kind: 'run' as const, count: 3, gapMm: 0, cuts: 'radial' as const },
    }
    const { designs, inOrder } = cushionsFrom(seat)
    expect(inOrder.map((c) => designs[c.design]!.solid.outline.length)).toEqual([5, 4, 4])
  })

  it.each(['near left', 'near right', 'far left', 'far right'])(
    'a rounding %s changes the end cushion alone, whichever side is the front',
    (corner) => {
      for (const front of ['near', 'far']) {
        const seat = {
          ...seatOf(ring),
          front,
          corners: { [corner]: { kind: 'round' as const, radiusMm: 12 } },
          division: { kind: 'run' as const, count: 4, gapMm: 2, cuts: 'radial' as const },
        }
        const { designs } = cushionsFrom(seat)
        expect(designs.map((d) => d.count).toSorted()).toEqual([1, 3])
        const [one, three] = designs.toSorted((a, b) => a.count - b.count)
        expect(areaOf(one!.solid.outline)).toBeLessThan(areaOf(three!.solid.outline))
        expect(areaOf(one!.solid.outline)).toBeGreaterThan(areaOf(three!.solid.outline) - 12 * 12)
      }
    },
  )

  it('with walls at its ends all cushions stay alike', () => {
    const wall = { meets: 'wall' as const, lean: null, riseMm: 0 }
    const { designs } = cushionsFrom({
      ...seatOf(ring),
      edges: { left: wall, right: wall, far: wall },
      division: { kind: 'run', count: 5, gapMm: 0, cuts: 'radial' },
    })
    expect(designs.map((d) => d.count)).toEqual([5])
    expect(edgeLength(designs[0]!.solid.outline, 0)).toBeCloseTo((3640 - 6) / 5, 6)
  })

  it('cut straight instead, its parts are mirrored pairs that make up the whole', () => {
    const { designs, inOrder, seat } = cushionsFrom({
      ...seatOf(ring),
      division: { kind: 'run', count: 5, gapMm: 0, cuts: 'straight' },
    })
    expect(designs).toHaveLength(5)
    const areas = inOrder.map((c) => areaOf(designs[c.design]!.solid.outline))
    expect(areas[0]).toBeCloseTo(areas[4]!, 3)
    expect(areas[1]).toBeCloseTo(areas[3]!, 3)
    expect(areas.reduce((a, b) => a + b)).toBeCloseTo(areaOf(seat.bare.outline), 2)
  })

  it('the same ring from its chord and rise, on the inner or on the outer arc', () => {
    const half = 3640 / 1870 / 2
    for (const at of ['inner', 'outer'] as const) {
      const radius = at === 'inner' ? 1870 : 2390
      const chord: Footprint = {
        kind: 'ring',
        at,
        curve: {
          by: 'chord',
          chord: reading(2 * radius * Math.sin(half)),
          rise: reading(radius * (1 - Math.cos(half))),
        },
        depth: reading(520),
        extent: { by: 'chord' },
      }
      expect(lengthOf(shaped(chord), 'near')).toBeCloseTo(3640, 4)
    }
  })

  it.each<[string, Footprint, string]>([
    [
      'deeper than its outer radius',
      {
        kind: 'ring',
        at: 'outer',
        curve: { by: 'radius', radius: reading(500) },
        depth: reading(520),
        extent: { by: 'angle', degrees: 90 },
      },
      'ring-too-deep',
    ],
    [
      'more than once round',
      {
        kind: 'ring',
        at: 'inner',
        curve: { by: 'radius', radius: reading(500) },
        depth: reading(520),
        extent: { by: 'length', length: reading(4000) },
      },
      'more-than-round',
    ],
  ])('%s is refused', (_name, footprint, code) => expect(fault(footprint)?.code).toBe(code))
})

describe('a berth half', () => {
  const berth = (stations: [number, number][], hull: 'straight' | 'smooth'): Footprint => ({
    kind: 'berth',
    length: reading(1860),
    head: reading(640),
    foot: reading(215),
    stations: stations.map(([at, width]) => ({ at: reading(at), width: reading(width) })),
    hull,
  })

  it('is a trapezium without stations: (640 + 215) / 2 x 1860', () =>
    expect(areaOf(shaped(berth([], 'straight')).outline)).toBeCloseTo(855 * 930, 6))

  it('with stations joined straight, its area is that of the trapezia between them', () => {
    expect(
      areaOf(
        shaped(
          berth(
            [
              [600, 600],
              [1200, 460],
            ],
            'straight',
          ),
        ).outline,
      ),
    ).toBeCloseTo(620 * 600 + 530 * 600 + 337.5 * 660, 6)
  })

  it('a smooth hull goes through every station without a corner', () => {
    const { outline, edges } = shaped(
      berth(
        [
          [600, 600],
          [1200, 460],
        ],
        'smooth',
      ),
      { front: 'centre' },
    )
    const hull = edges.flatMap((e, i) => (e.name.startsWith('hull') ? [i] : []))
    // Turned with the centre line at the foot: the hull is as far from it as its stations say.
    for (const [x, width] of [
      [600, 600],
      [1200, 460],
    ] as const) {
      const nearest = Math.min(...outline.map((p) => Math.hypot(p.x - (1860 - x), p.y - width)))
      expect(nearest).toBeLessThan(1e-6)
    }
    expect(hull.length).toBe(6)
    expect(areaOf(outline)).toBeGreaterThan(620 * 600 + 530 * 600 + 337.5 * 660)
  })

  it('stations beyond the foot, or two at one place, are refused', () => {
    expect(fault(berth([[1900, 300]], 'straight'))?.code).toBe('stations-order')
    expect(
      fault(
        berth(
          [
            [600, 300],
            [600, 310],
          ],
          'straight',
        ),
      )?.code,
    ).toBe('stations-order')
  })
})

describe('a taped shape', () => {
  type Taped = Extract<Footprint, { kind: 'taped' }>
  const taped = (corners: number, tapes: Record<string, number>, hollow: string[] = []): Taped => ({
    kind: 'taped',
    corners,
    hollow,
    tapes: Object.entries(tapes).map(([name, mm]) => ({
      from: name[0]!,
      to: name.slice(1).replace('-', '').replace(/\d/, ''),
      length: reading(mm),
    })),
  })
  const solved = (shape: Taped) => {
    const found = tapedSurvey(shape)
    if (!found.ok) throw new Error(JSON.stringify(found.error))
    return found.value
  }
  // A quadrilateral with these sides and one diagonal; the other tapes follow from its corners.
  const SIDES = { AB: 1860, BC: 640, CD: 1905, DA: 215 }
  const true4 = solved(taped(4, { ...SIDES, AC: 1967 })).points
  const d = (a: number, b: number) => distance(true4[a]!, true4[b]!)
  const middleOf = (a: number, b: number): Point => ({
    x: (true4[a]!.x + true4[b]!.x) / 2,
    y: (true4[a]!.y + true4[b]!.y) / 2,
  })

  it('finds each corner from two tapes: all sides and the diagonal come out as taped', () => {
    expect([d(0, 1), d(1, 2), d(2, 3), d(3, 0), d(0, 2)].map((x) => Number(x.toFixed(6)))).toEqual([
      1860, 640, 1905, 215, 1967,
    ])
  })

  it('one diagonal wrong by 30 and the other right: something is wrong, but not yet which', () => {
    const { suspicion } = solved(taped(4, { ...SIDES, AC: 1967 + 30, BD: d(1, 3) }))
    // Each single slip that would explain it, the smallest first: here the true one.
    expect(suspicion).toMatchObject({
      kind: 'one-of',
      tapes: [
        { tape: 'AC', offMm: expect.closeTo(30, 1) },
        expect.anything(),
        expect.anything(),
        expect.anything(),
        expect.anything(),
        expect.anything(),
      ],
    })
  })

  it.each<[string, Record<string, number>, string]>([
    ['a tape to the middle of a side', { AC: 1997, BD: d(1, 3), 'A-BC': distance(true4[0]!, middleOf(1, 2)) }, 'AC'],
    ['the first diagonal taped again', { AC: 1997, BD: d(1, 3), AC2: 1967 }, 'AC'],
    [
      'the other diagonal is the wrong one',
      { AC: 1967, BD: d(1, 3) - 30, 'D-AB': distance(true4[3]!, middleOf(0, 1)) },
      'BD',
    ],
  ])('one more tape (%s) names it', (_name, tapes, wrong) => {
    const { suspicion } = solved(taped(4, { ...SIDES, ...tapes }))
    expect(suspicion).toMatchObject({ kind: 'tape', tape: wrong })
    expect(suspicion.kind === 'tape' && Math.abs(Math.abs(suspicion.offMm) - 30)).toBeLessThan(0.5)
  })

  it('random shapes taped all ways with small noise come back within it', () => {
    const corner = fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 500, max: 1000 }))
    fc.assert(
      fc.property(
        fc.array(corner, { minLength: 4, maxLength: 6 }),
        fc.infiniteStream(fc.double({ min: -1, max: 1, noNaN: true })),
        (list, noise) => {
          const n = list.length
          const points = list.map(([jitter, r], i): Point => {
            const angle = ((i + jitter / 100) / n) * 2 * Math.PI
            return { x: 1000 * Math.cos(angle) + 0 * r, y: 700 * Math.sin(angle) }
          })
          const tapes: Record<string, number> = {}
          for (let i = 0; i < n; i++)
            for (let j = i + 1; j < n; j++)
              tapes[`${String.fromCharCode(65 + i)}${String.fromCharCode(65 + j)}`] =
                distance(points[i]!, points[j]!) + noise.next().value!
          const { points: found, suspicion } = solved(taped(n, tapes))
          expect(suspicion.kind).toBe('none')
          for (let i = 0; i < n; i++)
            for (let j = i + 1; j < n; j++)
              expect(Math.abs(distance(found[i]!, found[j]!) - distance(points[i]!, points[j]!))).toBeLessThan(2)
          expect(areaOf(found)).toBeGreaterThan(0)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('a hollow corner points inwards', () => {
    const points: Point[] = [
      { x: 0, y: 0 },
      { x: 900, y: 0 },
      { x: 400, y: 350 },
      { x: 0, y: 800 },
    ]
    const tapes = Object.fromEntries(
      ['AB', 'BC', 'CD', 'DA', 'AC'].map((name) => [
        name,
        distance(points[name.charCodeAt(0) - 65]!, points[name.charCodeAt(1) - 65]!),
      ]),
    )
    expect(areaOf(solved(taped(4, tapes, ['C'])).points)).toBeCloseTo(areaOf(points), 3)
  })

  it.each<[string, Taped, object]>([
    [
      'tapes that cannot close name the three',
      taped(4, { AB: 1000, BC: 300, CD: 900, DA: 400, AC: 1400 }),
      {
        code: 'tapes-cannot-close',
        tapes: [
          { name: 'AB', mm: 1000 },
          { name: 'BC', mm: 300 },
          { name: 'AC', mm: 1400 },
        ],
      },
    ],
    ['too few tapes', taped(4, SIDES), { code: 'too-few-tapes', wanted: 5, found: 4 }],
    [
      'a corner that no two tapes hold',
      taped(4, { AB: 1000, BC: 600, AC: 1166, AB2: 1000, CD: 500 }),
      { code: 'corner-not-held', corner: 'D' },
    ],
    ['a corner that the shape has not', taped(3, { AB: 600, BC: 500, AD: 700 }), { code: 'tape-names', tape: 'AD' }],
  ])('%s', (_name, shape, expected) => expect(fault(shape)).toMatchObject(expected))
})

describe('squareness from diagonals', () => {
  it('equal diagonals are square', () =>
    expect(squareness(rectangle(600, 500, [781, 781]))).toMatchObject({ isTrue: true }))

  it('a parallelogram leaning 20: diagonals √(620² + 500²) and √(580² + 500²)', () => {
    const found = squareness(rectangle(600, 500, [Math.hypot(620, 500), Math.hypot(580, 500)]))!
    expect(found.isTrue).toBe(false)
    expect(found.leanMm).toBeCloseTo(20, 6)
    expect(found.farMm).toBeCloseTo(600, 6)
  })

  it('the offered shape is what was measured: a taper 1124 to 860 with its left side square', () => {
    const found = squareness(rectangle(1124, 402, [Math.hypot(860, 402), Math.hypot(1124, 402)]))!
    expect(found.farMm).toBeCloseTo(860, 6)
    const offered = asTaped(rectangle(1124, 402, [Math.hypot(860, 402), Math.hypot(1124, 402)]), found)
    expect(offered).toMatchObject({ kind: 'taper', far: { readings: [{ mm: 860 }] }, offset: { kind: 'left', mm: 0 } })
    expect(squareness(offered as Extract<Footprint, { kind: 'taper' }>)).toMatchObject({ isTrue: true })
  })

  it('a diagonal shorter than the depth cannot be', () =>
    expect(squareness(rectangle(600, 500, [490, 781]))).toBeNull())
})

describe('bad input', () => {
  const points = (...list: [number, number][]): Footprint => ({
    kind: 'points',
    points: list.map(([x, y]) => ({ x, y, riseMm: 0 })),
    source: { kind: 'typed' },
    template: null,
  })
  it.each<[string, Footprint, Partial<Seat>, string]>([
    ['a self-crossing outline', points([0, 0], [500, 500], [500, 0], [0, 500]), {}, 'outline-crosses'],
    ['an outline that is a line', points([0, 0], [500, 0], [900, 0]), {}, 'outline-crosses'],
    [
      'a radius larger than the corner allows',
      rectangle(600, 500),
      { corners: { 'near left': { kind: 'round', radiusMm: 550 } } },
      'corner-too-large',
    ],
    [
      'two corners that meet',
      rectangle(600, 500),
      {
        corners: {
          'near left': { kind: 'round', radiusMm: 300 },
          'near right': { kind: 'cut', arrivingMm: 310, leavingMm: 20 },
        },
      },
      'corner-too-large',
    ],
    [
      'sides that lean in until the top vanishes',
      rectangle(600, 500),
      {
        edges: Object.fromEntries(
          ['left', 'right'].map((e) => [e, { meets: 'open', lean: { by: 'angle', degrees: -72 }, riseMm: 0 }]),
        ),
      },
      'top-vanishes',
    ],
    [
      'a rounded corner between sides of different lean',
      rectangle(600, 500),
      {
        corners: { 'far left': { kind: 'round', radiusMm: 50 } },
        edges: { left: { meets: 'hull', lean: { by: 'angle', degrees: 24 }, riseMm: 0 } },
      },
      'corner-between-leans',
    ],
    [
      'a rise so large that the front crosses the back',
      rectangle(600, 500),
      { edges: { near: { meets: 'open', lean: null, riseMm: -520 } } },
      'outline-crosses',
    ],
    [
      'ears wider than the seat',
      {
        kind: 'eared',
        width: reading(300),
        depth: reading(500),
        left: { out: reading(160), deep: reading(100) },
        right: { out: reading(160), deep: reading(100) },
      },
      {},
      'ears-too-large',
    ],
    [
      'a corner bench with a leg shorter than the other is deep',
      {
        kind: 'corner-bench',
        lengthA: reading(400),
        depthA: reading(500),
        lengthB: reading(1800),
        depthB: reading(450),
      },
      {},
      'legs-too-short',
    ],
    [
      'a radial division of what is no ring',
      rectangle(600, 500),
      { division: { kind: 'run', count: 2, gapMm: 0, cuts: 'radial' } },
      'division-not-for-shape',
    ],
    [
      'a corner division of what has no corner',
      rectangle(600, 500),
      { division: { kind: 'corner', countA: 1, countB: 1, gapMm: 0, corner: 'square' } },
      'division-not-for-shape',
    ],
    [
      'a straight division through a horseshoe',
      {
        kind: 'ring',
        at: 'inner',
        curve: { by: 'radius', radius: reading(600) },
        depth: reading(400),
        extent: { by: 'angle', degrees: 300 },
      },
      { division: { kind: 'run', count: 4, gapMm: 0, cuts: 'straight' } },
      'parts-in-two',
    ],
  ])('%s', (_name, footprint, change, code) => expect(fault(footprint, change)?.code).toBe(code))

  it('points typed clockwise are read the other way round', () => {
    const ccw = shaped(points([0, 0], [600, 0], [600, 500], [0, 500]))
    const cw = shaped(points([0, 0], [0, 500], [600, 500], [600, 0]), { front: '1-4' })
    expect(areaOf(cw.outline)).toBeCloseTo(areaOf(ccw.outline), 9)
  })
})

describe('mirrored and turned', () => {
  const taper: Footprint = {
    kind: 'taper',
    near: reading(1124),
    far: reading(860),
    depth: reading(402),
    offset: { kind: 'left', mm: 37 },
    rising: null,
    falling: null,
  }
  it('mirrored, every edge keeps its name and length', () => {
    const [one, other] = [shaped(taper), shaped(taper, { mirrored: true })]
    for (const name of ['near', 'right', 'far', 'left'])
      expect(lengthOf(other, name)).toBeCloseTo(lengthOf(one, name), 9)
    expect(one.edges.find((e) => e.name === 'left')!.side).toBe('left')
    expect(other.edges.find((e) => e.name === 'left')!.side).toBe('right')
  })
  it('turned by any angle, area and edges stay', () => {
    fc.assert(
      fc.property(fc.integer({ min: -180, max: 180 }), (turnDeg) => {
        const turned = shaped(taper, { turnDeg })
        expect(areaOf(turned.outline)).toBeCloseTo((1124 + 860) * 201, 4)
        expect(lengthOf(turned, 'right')).toBeCloseTo(lengthOf(shaped(taper), 'right'), 6)
      }),
      { numRuns: 30 },
    )
  })
})
