import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { discSeat, halfDiscSeat } from '../../job/index.ts'
import { flatten } from '../../outline/index.ts'
import { cushionsOf, handlesOf, reshape, shapeSeat, slotOf, valueOf } from '../index.ts'
import type { Seat } from '../../../contract/index.ts'

/** Every point of the bare outline, arcs and all, as far apart as a hair. */
function pointsOf(seat: Seat) {
  const shaped = shapeSeat(seat)
  if (!shaped.ok) throw new Error(JSON.stringify(shaped.error))
  return flatten(shaped.value.bare.outline, 0.001)
}
/** By the shoelace. */
const areaOf = (points: readonly { x: number; y: number }[]): number =>
  points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length]!
    return sum + (p.x * q.y - q.x * p.y) / 2
  }, 0)

describe('a round seat', () => {
  it('lies on its circle all round, and has its area', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 2000 }), (across) => {
        const points = pointsOf(discSeat(across, 50, 1))
        const r = across / 2
        for (const { x, y } of points) expect(Math.hypot(x - r, y - r)).toBeCloseTo(r, 1)
        expect(areaOf(points) / (Math.PI * r * r)).toBeCloseTo(1, 4)
      }),
    )
  })

  it('half of it is straight in front and half as large', () => {
    const points = pointsOf(halfDiscSeat(900, 60, 1))
    expect(areaOf(points) / ((Math.PI * 450 * 450) / 2)).toBeCloseTo(1, 4)
    expect(Math.max(...points.map((p) => p.y))).toBeCloseTo(450, 6)
    expect(
      points
        .filter((p) => p.y < 1e-9)
        .map((p) => p.x)
        .sort((a, b) => a - b),
    ).toEqual([0, expect.closeTo(900, 6)])
  })

  it('is sized by one tape, from side to side', () => {
    const seat = discSeat(400, 50, 6)
    const wider = slotOf(seat, 'across')!.with({ readings: [{ mm: 420 }, { mm: 424 }, { mm: 421 }] })
    const xs = pointsOf(wider).map((p) => p.x)
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(421, 1)
  })

  it.each([discSeat(400, 50, 1), halfDiscSeat(400, 50, 1)])('follows the pointer at its corner', (seat) => {
    const handle = handlesOf(seat).find((h) => h.id.includes('near right'))!
    // Dragged nowhere it stays as large; 60 mm to the right it grows, and its corner is where the pointer is.
    expect(valueOf(slotOf(handle.drag(handle.at), 'across')!.dimension)).toBeCloseTo(400, 1)
    const to = { x: handle.at.x + 60, y: handle.at.y }
    const grown = handlesOf(handle.drag(to)).find((h) => h.id === handle.id)!
    expect(grown.at.x).toBeCloseTo(to.x, 0)
  })

  it('leans all round by one setting, and is a cone: its top as much larger everywhere', () => {
    const lean = { by: 'overhang' as const, mm: 20 }
    const seat = { ...discSeat(400, 50, 1), edges: { round: { meets: 'open' as const, lean, riseMm: 0 } } }
    const top = cushionsOf(seat)
    if (!top.ok) throw new Error(JSON.stringify(top.error))
    const { edges } = top.value.designs[0]!.solid
    expect(edges.map((e) => Number(Math.tan(e.leanRad).toFixed(6)))).toEqual([0.4, 0.4, 0.4, 0.4])
  })

  it('made of a bench it is so many loose ones', () => {
    const seat = reshape(
      {
        ...discSeat(400, 50, 1),
        footprint: {
          kind: 'points',
          points: [
            [0, 0],
            [1800, 0],
            [1800, 500],
            [0, 500],
          ].map(([x, y]) => ({ x: x!, y: y!, riseMm: 0 })),
          source: { kind: 'typed' },
          template: null,
        },
        division: { kind: 'run', count: 3, gapMm: 0, cuts: 'straight' },
      },
      'disc',
    )
    expect(seat.division).toEqual({ kind: 'singles', count: 3, mirrored: 0 })
    expect(valueOf(slotOf(seat, 'across')!.dimension)).toBe(500)
  })
})
