import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Seat } from '../../contract/index.ts'
import { newSeat } from '../job/index.ts'
import { sayWorking, workingLines } from '../working/index.ts'
import { dimensionFigure, divideSeat, facing, seatWarnings, spreadLimit, spreadOf } from './index.ts'

const readings = (...mm: number[]) => ({ readings: mm.map((m) => ({ mm: m })) })
const bench = (change: Partial<Extract<Seat, { kind: 'bench' }>> = {}): Seat => ({ ...(newSeat('bench', 2000, 500, 80, 2) as Extract<Seat, { kind: 'bench' }>), ...change })

describe('a dimension', () => {
  it.each<[string, number[], number]>([
    ['one reading', [468], 468],
    ['two: half way', [468, 470], 469],
    ['three: the middle, whatever the third says', [468, 470, 999], 470],
    ['four: between the middle two', [460, 468, 470, 500], 469],
    ['unsorted', [470, 460, 465], 465],
  ])('%s', (_name, mm, value) => expect(dimensionFigure(readings(...mm), 'd', 'Depth', 'measure.depth').value).toBe(value))

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

describe('facing', () => {
  it('near is the usual front', () => {
    expect(facing('near')).toEqual({ front: 'near', right: 'right', back: 'far', left: 'left', across: 'width' })
  })

  it('from the right side the depth runs across', () => {
    expect(facing('right')).toEqual({ front: 'right', right: 'far', back: 'left', left: 'near', across: 'depth' })
  })

  it('turned half round, left and right change places', () => {
    expect(facing('far')).toMatchObject({ right: 'left', left: 'right', back: 'near', across: 'width' })
  })

  it.each(['near', 'right', 'far', 'left'] as const)('from %s every side has one name', (front) => {
    const f = facing(front)
    expect(new Set([f.front, f.right, f.back, f.left]).size).toBe(4)
  })
})

describe('dividing a bench', () => {
  it('without gaps shares it out: 2000 in 2', () => {
    const { size, leftMm } = divideSeat(bench())
    expect(size.width.value).toBe(1000)
    expect(leftMm).toEqual([0, 1000])
  })

  it('with a gap of 6: (2000 - 2 x 6) / 3 = 662.67', () => {
    const { size, leftMm } = divideSeat(bench({ count: 3, gapMm: 6 }))
    expect(size.width.value).toBeCloseTo(1988 / 3, 9)
    expect(leftMm[2]! + size.width.value).toBeCloseTo(2000, 9)
  })

  it('one cushion knows no gap', () => {
    const { size } = divideSeat(bench({ count: 1, gapMm: 50 }))
    expect(size.width.value).toBe(2000)
  })

  it('between two walls both ends keep their clearance: (2000 - 2 x 3) / 2', () => {
    const { size, leftMm } = divideSeat(bench({ roles: { near: 'open', far: 'wall', left: 'wall', right: 'wall' } }))
    expect(size.width.value).toBe(997)
    expect(leftMm[0]).toBe(3)
    expect(size.depth.value).toBe(497)
    expect(sayWorking(size.width, 'mm')).toBe('(2000 − 2 × 3) ÷ 2 = 997 mm net')
  })

  it('a hinge wants its clearance as a wall does', () => {
    expect(divideSeat(bench({ roles: { near: 'open', far: 'hinge', left: 'open', right: 'open' } })).size.depth.value).toBe(497)
  })

  it('seen from the right side the depth is divided', () => {
    const { size } = divideSeat(bench({ front: 'right' }))
    expect([size.width.value, size.depth.value]).toEqual([250, 2000])
  })

  it('cushions and gaps always add up to the bench', () => {
    fc.assert(
      fc.property(fc.integer({ min: 500, max: 15_000 }), fc.integer({ min: 1, max: 12 }), fc.integer({ min: -20, max: 40 }), fc.boolean(), (length, count, gapMm, walled) => {
        const seat = bench({ width: readings(length), count, gapMm, roles: { near: 'open', far: 'open', left: walled ? 'wall' : 'open', right: 'open' } })
        const { size, leftMm } = divideSeat(seat)
        const end = leftMm[count - 1]! + size.width.value
        expect(end).toBeCloseTo(length, 6)
        expect(count * size.width.value + (count - 1) * gapMm + (walled ? 3 : 0)).toBeCloseTo(length, 6)
      }),
    )
  })
})

describe('single cushions', () => {
  it('each is the seat, however many', () => {
    const cushions = divideSeat(newSeat('singles', 610, 545, 110, 4))
    expect([cushions.size.width.value, cushions.size.depth.value, cushions.count]).toEqual([610, 545, 4])
    expect(cushions.leftMm).toEqual([0, 0, 0, 0])
  })
})

describe('doubts about a seat', () => {
  const codes = (seat: Seat) => seatWarnings(seat, divideSeat(seat)).map((w) => w.code)

  it('an ordinary bench raises none', () => expect(codes(bench())).toEqual([]))

  it('readings just within the limit raise none, just beyond raise one', () => {
    expect(codes(bench({ depth: readings(500, 503) }))).toEqual([])
    expect(codes(bench({ depth: readings(500, 503.1) }))).toEqual(['readings-spread'])
  })

  it('a cushion squeezed away by its gaps stops the plan', () => {
    const seat = bench({ count: 20, gapMm: 110 })
    expect(seatWarnings(seat, divideSeat(seat))).toContainEqual({ station: 'measure', level: 'stop', code: 'cushion-vanishes', dimension: 'width', left: expect.closeTo((2000 - 19 * 110) / 20, 6) })
  })

  it('clearances larger than the seat stop it as well', () => {
    expect(codes(bench({ clearanceMm: 300, roles: { near: 'wall', far: 'wall', left: 'open', right: 'open' } }))).toContain('cushion-vanishes')
  })

  it('thicker than deep is doubted once', () => expect(codes(bench({ thickness: readings(510) }))).toEqual(['thickness-over-depth']))
})
