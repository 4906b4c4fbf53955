import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LayProblem, type Lay } from '../../contract/index.ts'
import { lowerBound } from './bounds/index.ts'
import { acceptLay } from './check/index.ts'
import { instanceOf } from './instance.ts'
import { problemFaults } from './problem-faults.ts'
import { snapped } from './snap.ts'
import { MOST_LAID, solveLay } from './solve.ts'

type Pieces = readonly Record<string, unknown>[]

const problemOf = (pieces: Pieces, cloth: object = {}, more: object = {}) =>
  LayProblem.parse({
    format: 'loft-seam/lay-problem',
    version: 2,
    cloth: { width: 1000, selvedge: [15, 10], ...cloth },
    pieces,
    ...more,
  })
const box = (id: string, w: number, h: number, more: object = {}) => ({
  id,
  outline: [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ],
  ...more,
})
const solve = (problem: LayProblem, steps = 40) =>
  solveLay(problem, { seed: 3, budget: { steps, isStopped: () => false } })
const laid = (problem: LayProblem): Lay => {
  const answer = solve(problem)
  if (!answer.ok) throw new Error(answer.error.code)
  return { ...answer.value.lay, seconds: 0 }
}
/** Corners of a placement by this file's own sums, for quarter turns. */
const cornersOf = (problem: LayProblem, { id, x, y, turn }: Lay['placements'][number]) =>
  problem.pieces
    .find((p) => p.id === id)!
    .outline.map(([px, py]) =>
      turn === 0
        ? [x + px, y + py]
        : turn === 90
          ? [x - py, y + px]
          : turn === 180
            ? [x - px, y - py]
            : [x + py, y - px],
    ) as [number, number][]

describe('an edge on a side of the cloth', () => {
  it('lies on the cloth’s own edge, beyond the selvedge; the others keep within it', () => {
    const problem = problemOf([
      box('half-left', 360, 500, { sides: [{ edge: 3, of: 'left' }] }),
      box('half-right', 360, 500, { sides: [{ edge: 1, of: 'right' }] }),
      box('between', 280, 500),
    ])
    const lay = laid(problem)
    const left = Object.fromEntries(
      lay.placements.map((p) => [p.id, Math.min(...cornersOf(problem, p).map(([x]) => x))]),
    )
    // 360 + 280 + 360 fill the 1000 from edge to edge: only because the halves lie over the selvedges.
    expect([left, lay.length]).toEqual([{ 'half-left': 0, between: 360, 'half-right': 640 }, 500])
  })

  it('as wide as the cloth with both edges ready, it lies from side to side', () => {
    const both = (w: number) =>
      problemOf([
        box('back', w, 400, {
          sides: [
            { edge: 3, of: 'either' },
            { edge: 1, of: 'either' },
          ],
        }),
      ])
    expect(laid(both(1000)).placements[0]).toMatchObject({ x: 0, y: 0 })
    const narrow = solve(both(990))
    expect(narrow.ok ? null : narrow.error.code).toBe('never-at-side')
  })

  it('turns where it may, so that a front edge comes to the side', () => {
    const front = (turns: number[]) => problemOf([box('flap', 300, 120, { turns, sides: [{ edge: 0, of: 'left' }] })])
    const lay = laid(front([0, 90, 180, 270]))
    const [a, b] = cornersOf(front([0]), lay.placements[0]!)
    expect([a![0], b![0], lay.placements[0]!.turn]).toEqual([0, 0, 270])
    const upright = solve(front([0, 180]))
    expect(upright.ok ? null : upright.error.code).toBe('never-at-side')
  })

  it('keeps its pattern too, or has no place', () => {
    const striped = (width: number) =>
      problemOf(
        [
          box('a', 300, 200, {
            match: { group: 'run', anchor: [150, 0], across: 0, along: null },
            sides: [{ edge: 3, of: 'left' }],
          }),
          box('b', width, 200, {
            match: { group: 'run', anchor: [150, 0], across: 0, along: null },
            sides: [{ edge: 1, of: 'right' }],
          }),
        ],
        { repeat: { across: 100, along: null } },
      )
    // b stands at 1000 - 350 = 650: its anchor at 800, a's at 150. 650 is no multiple of 100; with 300 it is 850.
    expect(laid(striped(300)).length).toBe(200)
    const off = solve(striped(350))
    expect(off.ok).toBe(false)
  })

  it('a piece that comes to no side proves nothing of the others: the bound is the tallest of them', () => {
    const match = { group: 'run', anchor: [0, 0], across: null, along: 0 }
    const problem = problemOf(
      [box('flap', 300, 120, { turns: [0], match, sides: [{ edge: 0, of: 'left' }] }), box('top', 300, 400, { match })],
      { repeat: { across: null, along: 100 } },
    )
    const { length } = lowerBound(instanceOf(problem))
    expect(length).toBeGreaterThan(399)
    expect(length).toBeLessThanOrEqual(400)
  })

  it('is snapped to the side by hand, and told where it is not', () => {
    const problem = problemOf([box('flap', 300, 120, { sides: [{ edge: 3, of: 'either' }] })])
    const lay = laid(problem)
    const moved = { ...lay.placements[0]!, x: 12 }
    expect(acceptLay(problem, { ...lay, placements: [moved] })).toEqual([
      { code: 'off-cloth', piece: 'flap', over: 3 },
      { code: 'not-at-side', piece: 'flap', off: 12 },
    ])
    expect(snapped(problem, lay, moved, 20).x).toBe(0)
  })
})

describe('sides in a file', () => {
  const faults = (problem: LayProblem) => problemFaults(problem, MOST_LAID)
  const flap = box('flap', 300, 120, { sides: [{ edge: 3, of: 'either' }] })
  it('are of version 2; files of version 1 stay as they were', () => {
    expect(faults(problemOf([flap]))).toEqual([])
    expect(faults({ ...problemOf([flap]), version: 1 })).toEqual([
      { path: '$.pieces[0].sides', message: 'is of version 2 of the format: say "version": 2' },
    ])
    expect(faults({ ...problemOf([box('plain', 300, 120)]), version: 1 })).toEqual([])
  })
  it('are refused in words where no turn brings the edge there, the edge is none or the cloth has no sides', () => {
    const path = '$.pieces[0].sides'
    const one = (piece: object, cloth: object = {}) => faults(problemOf([{ ...flap, ...piece }], cloth))
    expect(one({ sides: [{ edge: 0, of: 'left' }] })[0]).toMatchObject({ path })
    expect(one({ sides: [{ edge: 7, of: 'left' }] })[0]!.message).toContain('beyond the 4')
    expect(
      one(
        {},
        {
          outline: [
            [0, 0],
            [900, 0],
            [900, 900],
          ],
        },
      )[0]!.message,
    ).toContain('remnant')
  })
})

it('any boxes, some on the sides: sound by sums of the test’s own, never below the bound', () => {
  const piece = fc.record({
    w: fc.integer({ min: 60, max: 480 }),
    h: fc.integer({ min: 60, max: 480 }),
    side: fc.constantFrom(null, 'left', 'right', 'either'),
    turns: fc.constantFrom([0], [0, 180]),
  })
  fc.assert(
    fc.property(fc.array(piece, { minLength: 1, maxLength: 9 }), (pieces) => {
      const problem = problemOf(
        pieces.map(({ w, h, side, turns }, i) =>
          box(`p${i}`, w, h, { turns, ...(side ? { sides: [{ edge: side === 'right' ? 1 : 3, of: side }] } : {}) }),
        ),
      )
      const lay = laid(problem)
      const boxes = lay.placements.map((p) => {
        const points = cornersOf(problem, p)
        const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
        return { id: p.id, x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) }
      })
      for (const b of boxes) {
        const { side } = pieces[Number(b.id.slice(1))]!
        const [atLeft, atRight] = [Math.abs(b.x0) < 1e-3, Math.abs(b.x1 - 1000) < 1e-3]
        expect(
          side === 'left' ? atLeft : side === 'right' ? atRight : side === 'either' ? atLeft || atRight : true,
        ).toBe(true)
        if (!side) expect(b.x0 > 15 - 1e-3 && b.x1 < 990 + 1e-3).toBe(true)
      }
      for (const [i, a] of boxes.entries())
        for (const b of boxes.slice(i + 1))
          expect(
            Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0) > 1e-3 && Math.min(a.y1, b.y1) - Math.max(a.y0, b.y0) > 1e-3,
          ).toBe(false)
      const highest = Math.max(...boxes.map((b) => b.y1))
      expect(lay.length).toBeCloseTo(highest, 3)
      expect(lay.bound).toBeLessThanOrEqual(highest + 1e-3)
      const onlyLeft = pieces.filter((p) => p.side === 'left' && p.turns.length === 1).reduce((sum, p) => sum + p.h, 0)
      expect(lay.bound).toBeGreaterThanOrEqual(onlyLeft - 1e-3)
    }),
    { numRuns: 60 },
  )
})
