import { describe, expect, it } from 'vitest'
import { sawnRectangles } from '../../../bench/problems.ts'
import { LayProblem } from '../../../contract/index.ts'
import { seeded } from '../../random/index.ts'
import { acceptLay, bestOf, instanceOf, isProven, lowerBound, solveLay, type Found } from '../index.ts'
import { beamOfBoxes } from './box-beam.ts'
import { givenUp, ledgesAfter, raised, type Ledge } from './ledges.ts'

const box = (w: number, h: number) => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
const problemOf = (pieces: Record<string, unknown>[], cloth: object = {}, more: object = {}) =>
  LayProblem.parse({ format: 'loft-seam/lay-problem', version: 1, cloth: { width: 1000, ...cloth }, pieces, ...more })
const found = (problem: LayProblem, steps: number): Found => {
  const solved = solveLay(problem, { seed: 1, budget: { steps, isStopped: () => false } })
  if (!solved.ok) throw new Error(JSON.stringify(solved.error))
  return solved.value
}

describe('ledges, by hand', () => {
  const edge: readonly Ledge[] = [
    { x: 0, y: 300, width: 400 },
    { x: 400, y: 0, width: 600 },
  ]
  it('a box of the same height joins its neighbour', () =>
    expect(raised(edge, 1, 200, 300)).toEqual([
      { x: 0, y: 300, width: 600 },
      { x: 600, y: 0, width: 400 },
    ]))
  it('a lower one stands beside it', () =>
    expect(raised(edge, 1, 600, 100)).toEqual([
      { x: 0, y: 300, width: 400 },
      { x: 400, y: 100, width: 600 },
    ]))
  it('a ledge given up is level with its lower neighbour', () =>
    expect(givenUp(edge, 1)).toEqual([{ x: 0, y: 300, width: 1000 }]))
  it('are counted before they are made (300 seeds)', () => {
    for (let seed = 1; seed <= 300; seed++) {
      const random = seeded(seed)
      const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1))
      let ledges: readonly Ledge[] = [{ x: 0, y: 0, width: 1000 }]
      for (let k = 0; k < 8; k++) {
        const i = whole(0, ledges.length - 1)
        const [w, h] = [Math.min(ledges[i]!.width, whole(1, 5) * 100), whole(1, 3) * 100]
        expect(ledgesAfter(ledges, i, w, h), `seed ${seed}`).toBe(raised(ledges, i, w, h).length)
        ledges = raised(ledges, i, w, h)
      }
    }
  })
})

describe('beams', () => {
  it('find boxes cut from a whole again', () => {
    const { problem, optimum } = sawnRectangles(25, [0], 3)
    const instance = instanceOf(problem)
    const lengths: number[] = []
    const beam = beamOfBoxes(instance, { length: optimum!, width: 300, largeFirst: 1, sparing: 80 }, seeded(1), (a) =>
      lengths.push(a.length),
    )
    let turn = beam.next()
    while (!turn.done) turn = beam.next()
    expect([turn.value, lengths]).toEqual(['found', [optimum]])
  })

  it('tell when the area alone forbids it', () => {
    const instance = instanceOf(problemOf([{ id: 'a', qty: 2, outline: box(500, 300) }]))
    expect(
      beamOfBoxes(instance, { length: 299, width: 10, largeFirst: 1, sparing: 80 }, seeded(1), () => {}).next(),
    ).toEqual({ done: true, value: 'none exists' })
  })

  it('keep phases both ways: four prints on a lattice of 500 x 400 take two rows', () => {
    const match = { group: 'g', anchor: [0, 0], across: 0, along: 0 }
    const problem = problemOf([{ id: 'a', qty: 4, outline: box(450, 350), match }], {
      repeat: { across: 500, along: 400 },
    })
    expect(found(problem, 400).lay.length).toBeCloseTo(750, 6)
  })
})

describe('a few boxes are proven', () => {
  it('by hand: nothing goes beside the wide box, so 300 and 290 stand on each other, which the area does not tell', () => {
    const { lay, bound } = found(
      problemOf([
        { id: 'a', outline: box(600, 300) },
        { id: 'b', outline: box(450, 200) },
        { id: 'c', outline: box(450, 290) },
      ]),
      5000,
    )
    expect([lay.length, lay.bound, bound.name]).toEqual([590, 590, 'what lies abreast'])
  })

  it('the proof never lies above a known optimum, and closes for six boxes (40 seeds)', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const { problem, optimum } = sawnRectangles(6, seed % 2 ? [0] : [0, 90], seed)
      const best = found(problem, 4000)
      expect(best.lay.bound, `seed ${seed}`).toBeLessThanOrEqual(optimum! + 1e-6)
      expect(isProven(best.lay), `seed ${seed}`).toBe(true)
    }
  })

  it('ten random boxes, turned or not, are all proven (6 seeds)', () => {
    for (let seed = 1; seed <= 6; seed++) {
      const random = seeded(seed)
      const whole = (low: number, high: number) => Math.round(low + random() * (high - low))
      const problem = problemOf(
        Array.from({ length: seed % 2 ? 10 : 9 }, (_, i) => ({
          id: `p${i}`,
          outline: box(whole(150, 600), whole(100, 500)),
          turns: seed % 2 ? [0] : [0, 90],
        })),
      )
      const best = found(problem, 60_000)
      expect(isProven(best.lay), `seed ${seed}`).toBe(true)
      expect(acceptLay(problem, { ...best.lay, seconds: 0 })).toEqual([])
    }
  })

  it('sizes in fractions, with a gap and selvedges, are proven as well', () => {
    const pieces = [
      [402.4, 250.2],
      [310.6, 180.8],
      [280.2, 333.4],
      [505.6, 120.2],
      [190.4, 260.6],
    ].map(([w, h], i) => ({ id: `p${i}`, outline: box(w!, h!) }))
    const problem = problemOf(pieces, { width: 1010, selvedge: [10, 5] }, { gap: 3 })
    const best = found(problem, 20_000)
    expect(isProven(best.lay)).toBe(true)
    expect(acceptLay(problem, { ...best.lay, seconds: 0 })).toEqual([])
  })

  it('agrees with trying every order of a lowest-left placement, which finds no shorter lay (60 seeds)', () => {
    let closed = 0
    for (let seed = 1; seed <= 60; seed++) {
      const random = seeded(seed)
      const whole = (low: number, high: number) => Math.round(low + random() * (high - low))
      const problem = problemOf(
        Array.from({ length: 5 }, (_, i) => ({ id: `p${i}`, outline: box(whole(150, 600), whole(100, 500)) })),
      )
      const best = found(problem, 6000)
      if (isProven(best.lay)) closed++
      expect(best.lay.length, `seed ${seed}`).toBeLessThanOrEqual(shortestOfAllOrders(problem) + 1e-6)
      expect(best.lay.bound).toBeGreaterThanOrEqual(lowerBound(instanceOf(problem)).length - 1e-6)
    }
    expect(closed).toBe(60)
  })
})

describe('lanes beside each other', () => {
  it('the shortest lay of all, with the best bound of all', () => {
    const { lay, ...rest } = found(problemOf([{ id: 'a', outline: box(600, 300) }]), 10)
    const [short, proof] = [
      { ...rest, lay: { ...lay, length: 500, bound: 400 } },
      { ...rest, lay: { ...lay, length: 510, bound: 450 }, bound: { name: 'every way tried' as const, length: 450 } },
    ]
    expect(bestOf([short, proof])).toMatchObject({
      lay: { length: 500, bound: 450 },
      bound: { name: 'every way tried' },
    })
    expect(bestOf([proof, { ...proof, lay: { ...lay, length: 440, bound: 430 } }]).lay).toMatchObject({
      length: 440,
      bound: 440,
    })
  })
})

/**
 * Each order of boxes laid one by one as low, then as far left, as it goes: slow, and shares no code with the planner.
 */
function shortestOfAllOrders(problem: LayProblem): number {
  const sizes = problem.pieces.map((p) => p.outline[2]!)
  const length = (order: readonly number[]) => {
    const placed: [number, number, number, number][] = []
    for (const i of order) {
      const [w, h] = sizes[i]!
      const xs = [0, ...placed.map((p) => p[0] + p[2])].filter((x) => x + w <= problem.cloth.width)
      const ys = [0, ...placed.map((p) => p[1] + p[3])].sort((a, b) => a - b)
      const isFree = (x: number, y: number) =>
        placed.every(([px, py, pw, ph]) => x >= px + pw || px >= x + w || y >= py + ph || py >= y + h)
      const y = ys.find((at) => xs.some((x) => isFree(x, at)))!
      placed.push([Math.min(...xs.filter((x) => isFree(x, y))), y, w, h])
    }
    return Math.max(...placed.map((p) => p[1] + p[3]))
  }
  const orders = (rest: readonly number[]): number[][] =>
    rest.length === 0 ? [[]] : rest.flatMap((i) => orders(rest.filter((j) => j !== i)).map((o) => [i, ...o]))
  return Math.min(...orders(sizes.map((_, i) => i)).map(length))
}
