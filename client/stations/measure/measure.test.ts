import { describe, expect, it } from 'vitest'
import type { Seat } from '../../../contract/index.ts'
import { newSeat, reading, shapedSeat } from '../../../core/job/index.ts'
import { isInside } from '../../../core/outline/index.ts'
import { shapeSeat } from '../../../core/seat/index.ts'
import { cushionsFrom } from '../../../core/testing/jobs.ts'
import { edgePath, svgPath } from '../../drawing/use-scale.ts'
import { placeMarks } from './place-marks.ts'
import { sketchCushions, sketchCushionWidth, sketchEdges, sketchLetters, writtenOn } from './seat-sketch.ts'

const view = { k: 0.5, x: (mm: number) => 100 + mm * 0.5, y: (mm: number) => 400 - mm * 0.5 }
const shapeOf = (seat: Seat) => {
  const found = shapeSeat(seat)
  if (!found.ok) throw new Error(found.error.code)
  return found.value
}
const ring: Seat = shapedSeat(
  {
    kind: 'ring',
    at: 'inner',
    curve: { by: 'radius', radius: reading(1870) },
    depth: reading(520),
    extent: { by: 'length', length: reading(3640) },
  },
  90,
  { kind: 'run', count: 5, gapMm: 0, cuts: 'radial' },
)

describe('dimension lines on the sketch', () => {
  const rectangle = newSeat('singles', 600, 500, 80, 1)
  const squared: Seat = {
    ...rectangle,
    footprint: {
      kind: 'rectangle',
      width: reading(600),
      depth: reading(500),
      rising: reading(781),
      falling: reading(781),
    },
  }

  it('stand beside the seat, clear of it; diagonals lie where they were taped', () => {
    const shaped = shapeOf(squared)
    const marks = placeMarks(shaped.marks, shaped.bare.outline, 0.5)
    const of = (slot: string) => marks.find((m) => m.slot === slot)!
    expect(of('width').line.map((p) => p.y)).toEqual([-80, -80])
    expect(of('depth').line.map((p) => p.x)).toEqual([-80, -80])
    expect(of('rising').line).toEqual(of('rising').between)
  })

  it('follow an arc on its free side, round the same centre', () => {
    const shaped = shapeOf(ring)
    const length = placeMarks(shaped.marks, shaped.bare.outline, 0.2).find((m) => m.slot === 'length')!
    expect(length.bulge).toBeGreaterThan(0)
    for (const p of length.line) {
      expect(isInside(shaped.bare.outline, p)).toBe(false)
      expect(Math.hypot(p.x - shaped.centre!.x, p.y - shaped.centre!.y)).toBeCloseTo(1870 - 40 / 0.2, 6)
    }
  })

  it('lie one behind the other on one side', () => {
    const seat: Seat = {
      ...rectangle,
      footprint: {
        kind: 'eared',
        width: reading(600),
        depth: reading(500),
        left: { out: reading(60), deep: reading(150) },
        right: null,
      },
    }
    const shaped = shapeOf(seat)
    const xs = placeMarks(shaped.marks, shaped.bare.outline, 1)
      .filter((m) => m.slot === 'depth' || m.slot === 'left.deep')
      .map((m) => m.line[0].x)
    expect(new Set(xs).size).toBe(2)
  })
})

describe('the sketch of a seat', () => {
  it('numbers the cushions of a run where they stand', () => {
    const drawn = sketchCushions(ring, cushionsFrom(ring), 'mm', view)
    expect(drawn.map((c) => c.number)).toEqual(['1', '2', '3', '4', '5'])
    const xs = drawn.map((c) => c.x)
    expect(xs).toEqual(xs.toSorted((a, b) => a - b))
    expect(drawn[2]!.y).toBeLessThan(drawn[0]!.y)
  })

  it('says how many single cushions there are, and which are mirrored', () => {
    const lid: Seat = shapedSeat(
      {
        kind: 'taper',
        near: reading(1124),
        far: reading(860),
        depth: reading(402),
        offset: { kind: 'left', mm: 0 },
        rising: null,
        falling: null,
      },
      60,
      { kind: 'singles', count: 2, mirrored: 1 },
    )
    expect(sketchCushions(lid, cushionsFrom(lid), 'mm', view)).toMatchObject([
      { number: '3 of these', mirrored: '1 mirrored' },
    ])
  })

  it('names a hull in several arcs once, and says what an edge meets', () => {
    const berth: Seat = {
      ...shapedSeat(
        {
          kind: 'berth',
          length: reading(1860),
          head: reading(640),
          foot: reading(215),
          stations: [
            { at: reading(600), width: reading(560) },
            { at: reading(1200), width: reading(430) },
          ],
          hull: 'smooth',
        },
        100,
        { kind: 'singles', count: 1, mirrored: 0 },
      ),
      edges: {
        hull: { meets: 'hull', lean: { by: 'angle', degrees: 24 }, riseMm: 0 },
        centre: { meets: 'wall', lean: null, riseMm: 0 },
      },
    }
    const words = sketchEdges(shapeOf(berth), 'foot', view)
      .map((e) => e.words)
      .filter((w) => w !== '')
    expect(words.toSorted()).toEqual(['centre, wall', 'front', 'head', 'hull, leans 24°'])
  })

  it('writes no name over what stands on a cushion, at whatever scale', () => {
    const corner = shapedSeat(
      {
        kind: 'corner-bench',
        lengthA: reading(2100),
        depthA: reading(520),
        lengthB: reading(1650),
        depthB: reading(520),
      },
      100,
      { kind: 'corner', countA: 3, countB: 2, gapMm: 0, corner: 'a-through' },
    )
    for (const k of [0.13, 0.15, 0.17, 0.2, 0.25]) {
      const near = { k, x: (mm: number) => 100 + mm * k, y: (mm: number) => 400 - mm * k }
      const drawn = sketchCushions(corner, cushionsFrom(corner), 'mm', near)
      const names = sketchEdges(shapeOf(corner), 'front', near, writtenOn(drawn)).filter((e) => e.words !== '')
      expect(names.length).toBeGreaterThan(1)
      for (const { words, x, y, anchor } of names) {
        const wide = words.length * 7
        const left = anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2
        for (const c of drawn.filter((d) => d.size !== '')) {
          const half = c.size.length * 3.5
          const isClear = Math.abs(y - (c.y + 22)) > 14 || left > c.x + half || left + wide < c.x - half
          expect(isClear, `${words} over ${c.size} at ${k}`).toBe(true)
        }
      }
    }
  })

  it('letters corners where tapes speak of them', () => {
    const taped: Seat = shapedSeat(
      {
        kind: 'taped',
        corners: 3,
        hollow: [],
        tapes: [
          { from: 'A', to: 'B', length: reading(600) },
          { from: 'B', to: 'C', length: reading(500) },
          { from: 'A', to: 'C', length: reading(400) },
        ],
      },
      80,
      { kind: 'singles', count: 1, mirrored: 0 },
    )
    expect(sketchLetters(taped, shapeOf(taped), view).map((l) => l.name)).toEqual(['A', 'B', 'C'])
    expect(sketchLetters(ring, shapeOf(ring), view)).toEqual([])
  })

  it('draws the width of a cushion over a straight row only', () => {
    const bench = newSeat('bench', 2000, 500, 80, 2)
    expect(sketchCushionWidth(bench, cushionsFrom(bench), shapeOf(bench).bare.outline, view)).toMatchObject({
      x1: 100,
      x2: 600,
      figure: { value: 1000 },
    })
    expect(sketchCushionWidth(ring, cushionsFrom(ring), shapeOf(ring).bare.outline, view)).toBeNull()
  })
})

describe('paths', () => {
  it('an arc that turns left in millimetres sweeps the other way on the screen', () => {
    const half = [
      { x: 0, y: 0, bulge: 1 },
      { x: 100, y: 0 },
    ]
    expect(edgePath(half, 0, view)).toBe('M 100.00 400.00 A 25.00 25.00 0 0 0 150.00 400.00')
    expect(
      svgPath(
        [
          { x: 0, y: 0 },
          { x: 100, y: 0 },
          { x: 0, y: 80 },
        ],
        view,
      ),
    ).toBe('M 100.00 400.00 L 150.00 400.00 L 100.00 360.00 L 100.00 400.00 Z')
    expect(svgPath([], view)).toBe('')
  })
})
