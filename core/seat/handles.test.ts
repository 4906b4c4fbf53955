import { describe, expect, it } from 'vitest'
import { Seat } from '../../contract/index.ts'
import { newSeat, reading, shapedSeat } from '../job/index.ts'
import { areaOf, at, boxOf } from '../outline/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES } from '../demo/index.ts'
import {
  adviseCount,
  handlesOf,
  insertPoint,
  removePoint,
  reshape,
  shapeSeat,
  slotOf,
  slotsOf,
  valueOf,
} from './index.ts'

const lid = (change: Partial<Seat> = {}): Seat => ({
  ...shapedSeat(
    {
      kind: 'taper',
      near: reading(1000),
      far: reading(800),
      depth: reading(400),
      offset: { kind: 'left', mm: 50 },
      rising: null,
      falling: null,
    },
    60,
    { kind: 'singles', count: 1, mirrored: 0 },
  ),
  ...change,
})
const handle = (seat: Seat, id: string) => handlesOf(seat).find((h) => h.id === id)!
const size = (seat: Seat, slot: string) => valueOf(slotOf(seat, slot)!.dimension)

describe('dragging', () => {
  it('a corner of a rectangle changes width and depth', () => {
    const seat = handle(newSeat('singles', 600, 500, 80, 1), 'corner far right').drag(at(650, 480))
    expect([size(seat, 'width'), size(seat, 'depth')]).toEqual([650, 480])
  })

  it('follows the hand where the seat is mirrored and turned', () => {
    for (const change of [
      {},
      { mirrored: true },
      { front: 'right' },
      { front: 'far', mirrored: true },
      { turnDeg: 30 },
    ] satisfies Partial<Seat>[]) {
      const seat = lid(change)
      const h = handle(seat, 'corner far right')
      const to = at(h.at.x + 7, h.at.y - 11)
      const shaped = shapeSeat(h.drag(to))
      if (!shaped.ok) throw new Error(shaped.error.code)
      const before = shapeSeat(seat)
      if (!before.ok) throw new Error(before.error.code)
      // Seen from the footprint's own origin, the corner is where the hand let go.
      const corner = shaped.value.corners.find((c) => c.name === 'far right')!.at
      const moved = { x: corner.x - shaped.value.origin.x, y: corner.y - shaped.value.origin.y }
      const wanted = { x: to.x - before.value.origin.x, y: to.y - before.value.origin.y }
      if (change.front === undefined || change.front === 'far') {
        expect(moved.x).toBeCloseTo(wanted.x, 0)
        expect(moved.y).toBeCloseTo(wanted.y, 0)
      }
    }
  })

  it('the middle of an edge bows it; nearly straight is straight', () => {
    const h = handle(lid(), 'rise near')
    expect(h.drag(at(h.at.x, h.at.y - 40)).edges['near']!.riseMm).toBe(40)
    expect(h.drag(at(h.at.x, h.at.y + 25)).edges['near']!.riseMm).toBe(-25)
    expect(h.drag(at(h.at.x, h.at.y - 4)).edges['near']!.riseMm).toBe(0)
  })

  it('every handle of every shape gives a seat that a job can hold', () => {
    for (const kind of ['rectangle', 'taper', 'eared', 'corner-bench', 'ring', 'berth', 'taped', 'points'] as const) {
      const seat = reshape(newSeat('bench', 2000, 600, 80, 3), kind)
      for (const h of handlesOf(seat))
        expect(Seat.safeParse(h.drag(at(h.at.x + 13, h.at.y + 9))).success, `${kind} ${h.id}`).toBe(true)
    }
    expect(handlesOf(reshape(newSeat('singles', 600, 500, 80, 1), 'taped'))).toEqual([])
  })
})

describe('points put in and taken out', () => {
  const wall = { meets: 'wall' as const, lean: null, riseMm: 0 }
  const hinge = { ...wall, meets: 'hinge' as const }
  const five: Seat = {
    ...shapedSeat(
      {
        kind: 'points',
        source: { kind: 'typed' },
        template: null,
        points: [
          [0, 0],
          [600, 0],
          [700, 300],
          [600, 600],
          [0, 600],
        ].map(([x, y]) => ({ x: x!, y: y!, riseMm: 0 })),
      },
      80,
      { kind: 'singles', count: 1, mirrored: 0 },
    ),
    edges: { '1-2': wall, '4-5': hinge, '5-1': wall },
    corners: { '4': { kind: 'round', radiusMm: 30 } },
    front: '4-5',
  }
  const names = (seat: Seat) => {
    const shaped = shapeSeat(seat)
    if (!shaped.ok) throw new Error(shaped.error.code)
    return shaped.value.bare.edges
  }

  it('what was set on later edges and corners moves along, both halves keep the setting', () => {
    const more = insertPoint(five, 0)
    expect(more.edges).toEqual({ '1-2': wall, '2-3': wall, '5-6': hinge, '6-1': wall })
    expect(more.corners).toEqual({ '5': { kind: 'round', radiusMm: 30 } })
    expect(more.front).toBe('5-6')
    expect(names(more).filter((e) => e.meets === 'hinge')).toHaveLength(1)
  })

  it('taken out again the seat is as it was', () => {
    expect(removePoint(insertPoint(five, 1), 2)).toEqual(five)
  })

  it('taking out a point of the front leaves a front; a triangle keeps its points', () => {
    const fewer = removePoint(five, 3)
    expect(names(fewer).some((e) => e.name === fewer.front)).toBe(true)
    expect(fewer.corners).toEqual({})
    const triangle = removePoint(removePoint(five, 0), 0)
    expect(removePoint(triangle, 0)).toBe(triangle)
  })
})

describe('another shape', () => {
  it.each(['taper', 'eared', 'corner-bench', 'ring', 'berth', 'taped', 'points', 'rectangle'] as const)(
    '%s starts from about the same size and makes an outline',
    (kind) => {
      const seat = reshape(lid(), kind)
      expect(Seat.safeParse(seat).success).toBe(true)
      const shaped = shapeSeat(seat)
      if (!shaped.ok) throw new Error(shaped.error.code)
      expect(areaOf(shaped.value.bare.outline)).toBeGreaterThan(0)
      expect(boxOf(shaped.value.bare.outline).maxX).toBeLessThan(2500)
      for (const slot of slotsOf(seat)) expect(Seat.safeParse(slot.with(reading(333))).success, slot.slot).toBe(true)
    },
  )
})

describe('how many cushions', () => {
  const advice = (lengthMm: number, densityKgM3 = 30) =>
    adviseCount(
      { lengthMm, depthMm: 500, thicknessMm: 100, areaMm2: lengthMm * 500, gapMm: 0 },
      { ...DEMO_GRADES[1]!, densityKgM3 },
      DEMO_CLOTHS[0]!,
    )

  it('2.4 m of bench 500 deep: in 4, where each is 1.2 times as wide as deep', () => {
    const best = advice(2400).find((a) => a.isBest)!
    expect([best.count, best.widthMm]).toEqual([4, 600])
    expect(best.reasons.every((r) => r.speaks === 'for')).toBe(true)
  })

  it('in one it is longer than sheet and cloth, and ripples', () => {
    const [one] = advice(2400)
    expect(one!.reasons.filter((r) => r.speaks === 'against').map((r) => r.about)).toEqual(['sheet', 'look'])
    expect(one!.reasons.find((r) => r.about === 'cloth')!.says).toContain('railroaded only')
  })

  it('over 12 kg two people carry', () =>
    expect(advice(2400, 120)[0]!.reasons.find((r) => r.about === 'mass')).toMatchObject({
      speaks: 'against',
      says: '14.4 kg each: two people carry it',
    }))
})
