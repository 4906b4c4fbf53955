import { describe, expect, it } from 'vitest'
import { cushionMix } from '../../bench/problems.ts'
import { LayProblem } from '../../contract/index.ts'
import { seeded } from '../random/index.ts'
import { knifeWork } from './knife.ts'
import { largestFree } from './free-rectangle.ts'
import { incumbentFrom } from './incumbent.ts'
import { freeIn, instanceOf, onTheCloth, solveLay } from './index.ts'
import type { Arrangement } from './placer.ts'

const box = (w: number, h: number) => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
const problemOf = (pieces: Record<string, unknown>[], cloth: object = {}) =>
  LayProblem.parse({ format: 'loft-seam/lay-problem', version: 1, cloth: { width: 1000, ...cloth }, pieces })
const at = (id: string, x: number, y: number) => ({ id, copy: 1, x, y, turn: 0, flip: false })

describe('the largest free piece, by hand', () => {
  const problem = problemOf(
    [
      { id: 'a', outline: box(600, 300) },
      { id: 'b', outline: box(400, 100) },
    ],
    { flaws: [[900, 250, 50, 20]] },
  )
  it('beside a, above b: 400 wide from 600, 100 to 250 under the flaw, or 300 wide beside it to 300', () => {
    // 400 x 150 = 60 000 under the flaw; 300 x 200 = 60 000 beside it; with a length of 310 the latter has 300 x 210.
    expect(freeIn(problem, { placements: [at('a', 0, 0), at('b', 600, 0)], length: 310 })).toEqual({
      x: 600,
      y: 100,
      width: 300,
      height: 210,
    })
  })
  it('none where all is covered', () => {
    const full = freeIn(problemOf([{ id: 'a', outline: box(1000, 300) }]), { placements: [at('a', 0, 0)], length: 300 })
    expect(full.width * full.height).toBe(0)
  })
})

it('no piece stands in it, and no rectangle of a grid that is free is larger (60 seeds)', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const random = seeded(seed)
    const whole = (low: number, high: number) => Math.round(low + random() * (high - low))
    const pieces = Array.from({ length: 6 }, (_, i) => ({
      id: `p${i}`,
      outline: box(whole(1, 4) * 100, whole(1, 4) * 100),
    }))
    const placements = pieces.map((p) => at(p.id, whole(0, 6) * 100, whole(0, 6) * 100))
    const free = freeIn(problemOf(pieces), { placements, length: 1000 })
    const isFree = (x: number, y: number, w: number, h: number) =>
      placements.every(
        (p, i) =>
          p.x >= x + w ||
          p.x + pieces[i]!.outline[2]![0]! <= x ||
          p.y >= y + h ||
          p.y + pieces[i]!.outline[2]![1]! <= y,
      )
    let most = 0
    for (let x = 0; x < 10; x++)
      for (let y = 0; y < 10; y++)
        for (let w = 1; x + w <= 10; w++)
          for (let h = 1; y + h <= 10; h++)
            if (w * h * 1e4 > most && isFree(x * 100, y * 100, w * 100, h * 100)) most = w * h * 1e4
    expect(free.width * free.height, `seed ${seed}`).toBe(most)
    if (most > 0) expect(isFree(free.x, free.y, free.width, free.height), `seed ${seed}`).toBe(true)
  }
})

it('of lays of one length the one with the larger rest in one piece is kept', () => {
  // Two boxes of 300 and one of 200 x 100: wherever the small one goes the length is 300, and at best 400 x 200 stays
  // in one piece.
  const problem = problemOf([
    { id: 'a', qty: 2, outline: box(300, 300) },
    { id: 'b', outline: box(200, 100) },
  ])
  const solved = solveLay(problem, { seed: 1, budget: { steps: 400, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  const { free, lay } = solved.value
  expect([lay.length, free.width * free.height]).toEqual([300, 80_000])
  expect(freeIn(problem, lay)).toEqual(free)
})

it('of a lay of true shapes has no corner of a piece inside it', () => {
  const { problem } = cushionMix(60, 8)
  const solved = solveLay(problem, { seed: 1, budget: { steps: 2, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  const { x, y, width, height } = freeIn(problem, solved.value.lay)
  expect(width * height).toBeGreaterThan(0)
  const corners = solved.value.lay.placements.flatMap((place) =>
    problem.pieces.find((p) => p.id === place.id)!.outline.map(([cx, cy]) => onTheCloth(place, cx, cy)),
  )
  expect(
    corners.filter(([cx, cy]) => cx > x + 0.05 && cx < x + width - 0.05 && cy > y + 0.05 && cy < y + height - 0.05),
  ).toEqual([])
})

it('of lays of one length and one free piece the one that is cut in fewer strokes is kept', () => {
  // Two rows of 300 and 500 on 1000: set alike one stroke parts both rows, set crosswise it takes two; 200 x 200 stay
  // free either way.
  const instance = instanceOf(problemOf([300, 500, 300, 500].map((w, i) => ({ id: `p${i}`, outline: box(w, 100) }))))
  const arranged = (xs: readonly number[]): Arrangement => ({
    spots: xs.map((x, item) => ({
      item,
      x,
      y: item < 2 ? 0 : 100,
      posture: instance.items[item]!.postures[0]!,
      sheet: 0,
    })) as Arrangement['spots'],
    left: [],
    sheets: 1,
    length: 200,
    offsets: [],
  })
  const [alike, crosswise] = [arranged([0, 300, 0, 300]), arranged([0, 300, 500, 0])]
  expect(largestFree(instance, alike)).toEqual(largestFree(instance, crosswise))
  // Three lines across, the outer two and the one between; lines up at 0, 300 and 800, crosswise at 500 as well.
  expect([knifeWork(alike).strokes, knifeWork(crosswise).strokes]).toEqual([6, 7])
  const incumbent = incumbentFrom(instance, crosswise, () => {})
  incumbent.offer(alike)
  expect(incumbent.best()).toBe(alike)
  incumbent.offer(crosswise)
  expect(incumbent.best()).toBe(alike)
})
