import { describe, expect, it } from 'vitest'
import { cushionMix, stripedRows } from '../../bench/problems.ts'
import { LayProblem, type Lay, type Placement } from '../../contract/index.ts'
import { seeded } from '../random/index.ts'
import {
  acceptLay,
  nextTurn,
  onTheCloth,
  placementKey,
  snapped,
  solveAround,
  solveLay,
  usedLength,
  withPlacement,
} from './index.ts'

const box = (w: number, h: number) => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
const problemOf = (pieces: Record<string, unknown>[], cloth: object = {}, more: object = {}) =>
  LayProblem.parse({ format: 'loft-seam/lay-problem', version: 1, cloth: { width: 1000, ...cloth }, pieces, ...more })
const at = (id: string, x: number, y: number, more: Partial<Placement> = {}): Placement => ({
  id,
  copy: 1,
  x,
  y,
  turn: 0,
  flip: false,
  ...more,
})
const layOf = (problem: LayProblem, placements: Placement[], offsets: Lay['offsets'] = {}): Lay => ({
  format: 'loft-seam/lay',
  version: 1,
  length: usedLength(problem, placements),
  bound: 0,
  seed: 1,
  seconds: 0,
  placements,
  offsets,
})
const budget = { steps: 40, isStopped: () => false }

describe('dragging, by hand', () => {
  const problem = problemOf(
    [
      { id: 'a', outline: box(400, 300) },
      { id: 'b', outline: box(300, 200), turns: [0, 90] },
    ],
    { selvedge: [10, 10] },
    { gap: 4 },
  )
  const lay = layOf(problem, [at('a', 10, 0), at('b', 600, 500)])

  it('a piece comes to lie beside its neighbour with the gap, and on the starting end', () =>
    expect(snapped(problem, lay, at('b', 420, 6), 20)).toMatchObject({ x: 414, y: 0 }))
  it('flush with the right selvedge and on top of its neighbour', () =>
    expect(snapped(problem, lay, at('b', 683, 296), 20)).toMatchObject({ x: 690, y: 304 }))
  it('stays where it was put when nothing is near', () =>
    expect(snapped(problem, lay, at('b', 500, 600), 20)).toMatchObject({ x: 500, y: 600 }))
  it('never goes beyond the starting end', () => expect(snapped(problem, lay, at('b', 500, -90), 20).y).toBe(0))
  it('turns about its middle: 300 x 200 at (600, 500) has its middle at (750, 600)', () => {
    const turned = nextTurn(problem, at('b', 600, 500))
    expect(turned.turn).toBe(90)
    expect(box(300, 200).map(([x, y]) => onTheCloth(turned, x!, y!).map(Math.round))).toEqual([
      [850, 450],
      [850, 750],
      [650, 750],
      [650, 450],
    ])
    expect(nextTurn(problem, turned).turn).toBe(0)
  })
  it('the length follows', () => expect(withPlacement(problem, lay, at('b', 600, 0)).length).toBe(300))
})

describe('dragging matched pieces', () => {
  const match = { group: 'run', anchor: [100, 50], across: 20, along: 30 }
  const problem = problemOf([{ id: 'a', outline: box(200, 100), match }], { repeat: { across: 90, along: 70 } })
  const lay = layOf(problem, [at('a', 0, 0)], { run: { across: 5, along: 10 } })
  it('to the nearest place of the pattern: x + 100 is 25 more than nineties, y + 50 is 40 more than seventies', () => {
    const placed = snapped(problem, lay, at('a', 333, 222), 20)
    expect([(placed.x + 100 - 25) % 90, (placed.y + 50 - 40) % 70]).toEqual([0, 0])
    expect(Math.hypot(placed.x - 333, placed.y - 222)).toBeLessThanOrEqual(Math.hypot(45, 35))
  })
})

describe('the planner lays round locked pieces', () => {
  it.each([
    ['cushions', cushionMix(14, 3).problem],
    ['cushions with a gap', { ...cushionMix(10, 5).problem, gap: 6 }],
    ['striped rows', stripedRows(4, 9).problem],
  ])('%s: sound, and the locked stay (10 seeds)', (_name, problem) => {
    const first = solveLay(problem, { seed: 1, budget })
    if (!first.ok) throw new Error(first.error.code)
    for (let seed = 1; seed <= 10; seed++) {
      const random = seeded(seed)
      const locked = new Set(first.value.lay.placements.filter(() => random() < 0.3).map(placementKey))
      const solved = solveAround(problem, first.value.lay, locked, { seed, budget })
      if (!solved.ok) throw new Error(solved.error.code)
      const { lay } = solved.value
      expect(acceptLay(problem, { ...lay, seconds: 0 }), `seed ${seed}`).toEqual([])
      for (const p of first.value.lay.placements)
        if (locked.has(placementKey(p))) expect(lay.placements).toContainEqual(p)
    }
  })

  it('all locked: the lay as it is', () => {
    const { problem } = cushionMix(8, 2)
    const first = solveLay(problem, { seed: 1, budget })
    if (!first.ok) throw new Error(first.error.code)
    const solved = solveAround(problem, first.value.lay, new Set(first.value.lay.placements.map(placementKey)), {
      seed: 1,
      budget,
    })
    expect(solved.ok && solved.value.lay.length).toBeCloseTo(first.value.lay.length, 3)
  })
})
