import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Division, Seat } from '../../contract/index.ts'
import { newSeat, reading, shapedSeat } from '../job/index.ts'
import { areaOf, boxOf } from '../outline/index.ts'
import { cushionsFrom } from '../testing/jobs.ts'
import { sayWorking, workingLines } from '../working/index.ts'
import { cushionsOf, dimensionFigure, seatWarnings, shapeSeat, slotOf, spreadLimit, spreadOf } from './index.ts'

const readings = (...mm: number[]) => ({ readings: mm.map((m) => ({ mm: m })) })
const WALL = { meets: 'wall', lean: null, riseMm: 0 } as const
const bench = (count = 2, gapMm = 0, change: Partial<Seat> = {}): Seat => ({
  ...newSeat('bench', 2000, 500, 80, count),
  division: { kind: 'run', count, gapMm, cuts: 'straight' },
  ...change,
})
const only = (seat: Seat) => cushionsFrom(seat).designs[0]!.solid

describe('a dimension', () => {
  it.each<[string, number[], number]>([
    ['one reading', [468], 468],
    ['two: half way', [468, 470], 469],
    ['three: the middle, whatever the third says', [468, 470, 999], 470],
    ['four: between the middle two', [460, 468, 470, 500], 469],
    ['unsorted', [470, 460, 465], 465],
  ])('%s', (_name, mm, value) =>
    expect(dimensionFigure(readings(...mm), 'd', 'Depth', 'measure.depth').value).toBe(value),
  )

  it('one reading says so, several show themselves', () => {
    const once = dimensionFigure(readings(468), 'd', 'Depth', 'measure.depth')
    expect(once.rule).toBe('one reading: measure twice')
    expect(sayWorking(once, 'mm')).toBe('468 mm net')
    const thrice = dimensionFigure(readings(468, 470, 469), 'd', 'Depth', 'measure.depth')
    expect(sayWorking(thrice, 'mm')).toBe('the middle of 468, 470, 469 = 469 mm net')
    expect(workingLines(thrice, 'mm').map((l) => l.label)).toEqual(['reading 1', 'reading 2', 'reading 3'])
  })

  it('may spread by 3 mm or half a percent, whichever is more', () => {
    expect(spreadLimit(400)).toBe(3)
    expect(spreadLimit(600)).toBe(3)
    expect(spreadLimit(2236)).toBeCloseTo(11.18, 6)
    expect(spreadOf(readings(468, 475, 470))).toBe(7)
  })
})

describe('the front and the sides', () => {
  const sides = (front: string) => {
    const shaped = shapeSeat(bench(1, 0, { front }))
    if (!shaped.ok) throw new Error(shaped.error.code)
    return Object.fromEntries(shaped.value.bare.edges.map((e) => [e.side, e.name]))
  }
  it('near is the usual front', () =>
    expect(sides('near')).toEqual({ front: 'near', right: 'right', back: 'far', left: 'left' }))
  it('from the right side the depth runs across', () => {
    expect(sides('right')).toEqual({ front: 'right', right: 'far', back: 'left', left: 'near' })
    const { outline } = cushionsFrom(bench(1, 0, { front: 'right' })).seat.bare
    expect(boxOf(outline)).toEqual({ minX: 0, minY: 0, maxX: 500, maxY: 2000 })
  })
  it('turned half round, left and right change places', () =>
    expect(sides('far')).toEqual({ front: 'far', right: 'left', back: 'near', left: 'right' }))

  it('on a T seat shoulders and ears belong to the sides', () => {
    const seat = shapedSeat(
      {
        kind: 'eared',
        width: reading(610),
        depth: reading(545),
        left: { out: reading(62), deep: reading(148) },
        right: { out: reading(62), deep: reading(148) },
      },
      110,
      { kind: 'singles', count: 4, mirrored: 0 },
    )
    expect(only(seat).edges.map((e) => `${e.name}: ${e.side}`)).toEqual([
      'near: front',
      'right ear: right',
      'right shoulder: right',
      'right: right',
      'far: back',
      'left: left',
      'left shoulder: left',
      'left ear: left',
    ])
  })
})

describe('dividing a bench', () => {
  const lefts = (seat: Seat) => cushionsFrom(seat).inOrder.map((c) => c.leftMm)

  it('without gaps shares it out: 2000 in 2', () => {
    expect(only(bench()).width.value).toBe(1000)
    expect(lefts(bench())).toEqual([0, 1000])
  })

  it('with a gap of 6: (2000 - 2 x 6) / 3 = 662.67', () => {
    expect(only(bench(3, 6)).width.value).toBeCloseTo(1988 / 3, 9)
    expect(lefts(bench(3, 6))[2]! + 1988 / 3).toBeCloseTo(2000, 9)
  })

  it('one cushion knows no gap', () => expect(only(bench(1, 50)).width.value).toBe(2000))

  it('between two walls both ends keep their clearance: (2000 - 2 x 3) / 2', () => {
    const walled = bench(2, 0, { edges: { far: WALL, left: WALL, right: WALL } })
    const { width, depth } = only(walled)
    expect(width.value).toBe(997)
    expect(lefts(walled)[0]).toBe(3)
    expect(depth.value).toBe(497)
    expect(sayWorking(width, 'mm')).toBe('(2000 − 2 × 3) ÷ 2 = 997 mm net')
  })

  it('a hinge and a hull want their clearance as a wall does', () => {
    for (const meets of ['hinge', 'hull'] as const)
      expect(only(bench(1, 0, { edges: { far: { ...WALL, meets } } })).depth.value).toBe(497)
  })

  it('seen from the right side the depth is divided', () => {
    const { width, depth } = only(bench(2, 0, { front: 'right' }))
    expect([width.value, depth.value]).toEqual([250, 2000])
  })

  it('cushions and gaps always add up to the bench', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 15_000 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: -20, max: 40 }),
        fc.boolean(),
        (length, count, gapMm, walled) => {
          const seat: Seat = {
            ...newSeat('bench', length, 500, 80, count),
            division: { kind: 'run', count, gapMm, cuts: 'straight' },
            edges: walled ? { left: WALL } : {},
          }
          const { designs, inOrder } = cushionsFrom(seat)
          expect(designs).toHaveLength(1)
          const width = designs[0]!.solid.width.value
          expect(boxOf(designs[0]!.solid.outline).maxX).toBeCloseTo(width, 6)
          expect(inOrder[count - 1]!.leftMm + width).toBeCloseTo(length, 6)
          expect(count * width + (count - 1) * gapMm + (walled ? 3 : 0)).toBeCloseTo(length, 6)
        },
      ),
    )
  })

  it('a tapering bench is cut square to its front, and its parts make up the whole', () => {
    const seat = shapedSeat(
      {
        kind: 'taper',
        near: reading(2400),
        far: reading(1900),
        depth: reading(500),
        offset: { kind: 'centred' },
        rising: null,
        falling: null,
      },
      80,
      { kind: 'run', count: 4, gapMm: 0, cuts: 'straight' },
    )
    const { designs, inOrder, seat: shaped } = cushionsFrom(seat)
    expect(inOrder.map((c) => designs[c.design]!.id)).toEqual(['A', 'B', 'B', 'C'])
    const whole = inOrder.reduce((sum, c) => sum + areaOf(designs[c.design]!.solid.outline), 0)
    expect(whole).toBeCloseTo(areaOf(shaped.bare.outline), 3)
    expect(whole).toBeCloseTo(((2400 + 1900) / 2) * 500, 3)
  })
})

describe('round a corner', () => {
  const corner = (kind: Extract<Division, { kind: 'corner' }>['corner'], mirrored = false): Seat => ({
    ...shapedSeat(
      {
        kind: 'corner-bench',
        lengthA: reading(2400),
        depthA: reading(500),
        lengthB: reading(1800),
        depthB: reading(450),
      },
      90,
      { kind: 'corner', countA: 3, countB: 2, gapMm: 0, corner: kind },
    ),
    mirrored,
  })
  const widths = (seat: Seat) => {
    const { designs, inOrder } = cushionsFrom(seat)
    return inOrder.map((c) => Number(designs[c.design]!.solid.width.value.toFixed(2)))
  }

  it('leg A goes through: B is 1800 - 500 in 2, A 2400 in 3', () =>
    expect(widths(corner('a-through'))).toEqual([650, 650, 800, 800, 800]))
  it('leg B goes through: B 1800 in 2, A is 2400 - 450 in 3', () =>
    expect(widths(corner('b-through'))).toEqual([900, 900, 650, 650, 650]))
  it('a cushion of its own in the corner: 450 wide', () =>
    expect(widths(corner('square'))).toEqual([650, 650, 450, 650, 650, 650]))
  it.each(['a-through', 'b-through', 'square', 'mitre'] as const)(
    '%s: the cushions cover the seat, mirrored or not',
    (kind) => {
      for (const mirrored of [false, true]) {
        const { designs, inOrder, seat } = cushionsFrom(corner(kind, mirrored))
        expect(inOrder.reduce((sum, c) => sum + areaOf(designs[c.design]!.solid.outline), 0)).toBeCloseTo(
          areaOf(seat.bare.outline),
          2,
        )
        expect(areaOf(seat.bare.outline)).toBeCloseTo(2400 * 500 + 1300 * 450, 6)
      }
    },
  )
})

describe('single cushions', () => {
  it('each is the seat, however many', () => {
    const { designs, count, inOrder } = cushionsFrom(newSeat('singles', 610, 545, 110, 4))
    expect([designs[0]!.solid.width.value, designs[0]!.solid.depth.value, count]).toEqual([610, 545, 4])
    expect(inOrder.map((c) => c.leftMm)).toEqual([0, 0, 0, 0])
  })

  const lid = (offset: number, mirrored: number): Seat =>
    shapedSeat(
      {
        kind: 'taper',
        near: reading(1124),
        far: reading(860),
        depth: reading(402),
        offset: { kind: 'left', mm: offset },
        rising: null,
        falling: null,
      },
      60,
      { kind: 'singles', count: 2, mirrored },
    )

  it('mirrored ones are a design of their own, of the same area', () => {
    const { designs } = cushionsFrom(lid(0, 2))
    expect(designs.map((d) => [d.id, d.count])).toEqual([
      ['A', 2],
      ['B', 2],
    ])
    expect(areaOf(designs[1]!.solid.outline)).toBeCloseTo(areaOf(designs[0]!.solid.outline), 6)
    expect(designs[1]!.solid.edges.find((e) => e.name === 'left')!.side).toBe('right')
  })

  it('unless the shape is its own mirror image', () =>
    expect(cushionsFrom(lid(132, 2)).designs.map((d) => d.count)).toEqual([4]))
})

describe('doubts about a seat', () => {
  const codes = (seat: Seat) => {
    const found = cushionsOf(seat)
    return found.ok ? seatWarnings(seat, found.value).map((w) => w.code) : [found.error.code]
  }
  const withDepth = (...mm: number[]) => slotOf(bench(), 'depth')!.with(readings(...mm))

  it('an ordinary bench raises none', () => expect(codes(bench())).toEqual([]))

  it('readings just within the limit raise none, just beyond raise one', () => {
    expect(codes(withDepth(500, 503))).toEqual([])
    expect(codes(withDepth(500, 503.1))).toEqual(['readings-spread'])
  })

  it('a cushion squeezed away by its gaps, or by its clearances, stops the plan', () => {
    expect(codes(bench(20, 110))).toEqual(['cushion-vanishes'])
    expect(codes(bench(1, 0, { clearanceMm: 300, edges: { near: WALL, far: WALL } }))).toEqual(['clearance-swallows'])
  })

  it('thicker than deep is doubted once', () =>
    expect(codes({ ...bench(), thickness: readings(510) })).toEqual(['thickness-over-depth']))

  it('the old cushion and its label are held against the seat', () => {
    const old = {
      measured: { widthMm: 985, depthMm: 504, thicknessMm: null },
      label: { widthMm: null, depthMm: null, thicknessMm: 90 },
    }
    const found = seatWarnings({ ...bench(), old }, cushionsFrom(bench()))
    expect(found).toEqual([
      {
        station: 'measure',
        level: 'note',
        code: 'old-differs',
        source: 'old cushion',
        dimension: 'width',
        was: 985,
        now: 1000,
      },
      {
        station: 'measure',
        level: 'note',
        code: 'old-differs',
        source: 'label',
        dimension: 'thickness',
        was: 90,
        now: 80,
      },
    ])
  })

  it('3 mm is little against a hull', () => {
    expect(codes(bench(1, 0, { edges: { far: { ...WALL, meets: 'hull' } } }))).toEqual(['hull-clearance'])
    expect(codes(bench(1, 0, { edges: { far: { ...WALL, meets: 'hull' } }, clearanceMm: 6 }))).toEqual([])
  })
})
