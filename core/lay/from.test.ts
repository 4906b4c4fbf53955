import { expect, it } from 'vitest'
import type { LayProblem } from '../../contract/index.ts'
import { acceptLay, freeIn, solveLay } from './index.ts'

const box = (id: string, w: number, h: number): LayProblem['pieces'][number] => ({
  id,
  qty: 1,
  outline: [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ],
  turns: [0],
  flip: false,
  match: null,
})
/** T plates that no first lay packs as these lie: four pairs of 500 by 400, stem against stem. */
const T: [number, number][] = [
  [0, 0],
  [500, 0],
  [500, 120],
  [300, 120],
  [300, 400],
  [200, 400],
  [200, 120],
  [0, 120],
]
const problem: LayProblem = {
  format: 'loft-seam/lay-problem',
  version: 1,
  cloth: { width: 1100, length: null, selvedge: [0, 0], repeat: { across: null, along: null }, flaws: [] },
  gap: 0,
  groups: {},
  pieces: [...[1, 2, 3, 4, 5].map((i) => ({ ...box(`t${i}`, 1, 1), outline: T, turns: [0, 180] })), box('b', 190, 270)],
}
const once = { seed: 1, budget: { steps: Infinity, isStopped: () => true } } as const
const after = (n: number) => {
  let asked = 0
  return { seed: 2, budget: { steps: Infinity, isStopped: () => asked++ > n } }
}
const solved = (options: Parameters<typeof solveLay>[1]) => {
  const found = solveLay(problem, options)
  if (!found.ok) throw new Error(found.error.code)
  return { ...found.value.lay, seconds: 0 }
}

it('a search goes on from the lay it is given: stopped at once it answers with no longer one', () => {
  const first = solved(once)
  const long = solved(after(4000))
  expect(long.length).toBeLessThan(first.length - 1)
  const from = solved({ ...once, from: long })
  expect(acceptLay(problem, from)).toEqual([])
  expect(from.length).toBeCloseTo(long.length, 3)
})

it('what is said to be a lay and is none is not gone on from', () => {
  const first = solved(once)
  const untrue = [
    { ...first, length: first.length - 100 },
    { ...first, placements: first.placements.slice(1) },
    { ...first, placements: first.placements.map((p) => ({ ...p, x: 0, y: 0 })) },
  ]
  for (const from of untrue) {
    expect(solved({ ...once, from })).toEqual(first)
    // Nor does it stand in the way of a better one.
    expect(solved({ ...after(4000), from }).length).toBeLessThan(first.length - 1)
  }
})

it('a lay may say a turn that comes to the same: what is free beside it is told where it is', () => {
  const plates: LayProblem = {
    ...problem,
    cloth: { ...problem.cloth, width: 1000 },
    pieces: [{ ...box('plate', 600, 400), qty: 2, turns: [0, 180] }],
  }
  // Turned half round a plate lies left of and below its own origin.
  const lay = {
    ...NOTHING_SAID,
    placements: [
      { id: 'plate', copy: 1, x: 600, y: 400, turn: 180, flip: false },
      { id: 'plate', copy: 2, x: 0, y: 420, turn: 0, flip: false },
    ],
    length: 820,
  }
  expect(acceptLay(plates, lay)).toEqual([])
  expect(freeIn(plates, lay)).toMatchObject({ x: 600, y: 0, width: 400, height: 820 })
})

const NOTHING_SAID = {
  format: 'loft-seam/lay' as const,
  version: 1 as const,
  bound: 0,
  seed: 0,
  seconds: 0,
  offsets: {},
}
