import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LayProblem, type Lay } from '../../contract/index.ts'
import { acceptLay, solveLay } from './index.ts'

const box = (w: number, h: number) => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
const problemOf = (pieces: object[], cloth: object): LayProblem =>
  LayProblem.parse({ format: 'loft-seam/lay-problem', version: 1, cloth: { width: 1000, ...cloth }, pieces })
const layOf = (problem: LayProblem, steps = 40): Lay => {
  const solved = solveLay(problem, { seed: 1, budget: { steps, isStopped: () => false } })
  if (!solved.ok) throw new Error(JSON.stringify(solved.error))
  return { ...solved.value.lay, seconds: 0 }
}

describe('a slit in the cloth', () => {
  it('across the whole width at 200 pushes a piece of 300 above it; one of 200 stays below', () => {
    const slit = { flaws: [[0, 200, 1000, 0]] }
    const high = layOf(problemOf([{ id: 'a', outline: box(1000, 300) }], slit))
    expect(high.placements[0]!.y).toBeGreaterThanOrEqual(200)
    expect(high.length).toBeLessThan(500.2)
    expect(layOf(problemOf([{ id: 'a', outline: box(1000, 199.9) }], slit)).length).toBeCloseTo(199.9, 3)
  })

  it('along the cloth and a pinhole are kept out of pieces as well', () => {
    for (const flaw of [
      [500, 0, 0, 1000],
      [500, 300, 0, 0],
    ]) {
      const problem = problemOf([{ id: 'a', outline: box(600, 400) }], { flaws: [flaw] })
      const { placements, length } = layOf(problem)
      const { x, y } = placements[0]!
      const isClear = x >= 500 || x + 600 <= 500 || y >= flaw[1]! + flaw[3]! || y + 400 <= flaw[1]!
      expect([isClear, length > 400]).toEqual([true, true])
    }
  })

  it('under a piece is told by the check, along its edge is not', () => {
    const problem = problemOf([{ id: 'a', outline: box(600, 400) }], { flaws: [[100, 400, 300, 0]] })
    const at = (y: number): Lay => ({
      ...layOf(problem),
      length: 400 + y,
      bound: 0,
      placements: [{ id: 'a', copy: 1, x: 0, y, turn: 0, flip: false }],
    })
    expect(acceptLay(problem, at(0)).filter((f) => f.code === 'on-flaw')).toEqual([])
    expect(acceptLay(problem, at(50)).map((f) => f.code)).toContain('on-flaw')
  })

  it('wherever slits lie, no corner of one is inside any piece, told from the placements alone', () => {
    const slit = fc
      .tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 0, max: 900 }), fc.integer({ min: 0, max: 400 }))
      .chain(([x, y, l]) => fc.constantFrom([x, y, l, 0], [x, y, 0, l]))
    fc.assert(
      fc.property(
        fc.array(slit, { minLength: 1, maxLength: 3 }),
        fc.array(fc.tuple(fc.integer({ min: 50, max: 400 }), fc.integer({ min: 50, max: 400 })), {
          minLength: 1,
          maxLength: 5,
        }),
        (flaws, sizes) => {
          const problem = problemOf(
            sizes.map(([w, h], i) => ({ id: `p${i}`, outline: box(w, h) })),
            { flaws },
          )
          const { placements } = layOf(problem, 10)
          for (const { id, x, y } of placements) {
            const [w, h] = sizes[Number(id.slice(1))]!
            for (const [fx, fy, fw, fh] of flaws as [number, number, number, number][]) {
              // The part of the slit within the box, by its two ranges.
              const across = Math.min(fx + fw, x + w) - Math.max(fx, x)
              const along = Math.min(fy + fh, y + h) - Math.max(fy, y)
              const isIn = fw === 0 && fh === 0 ? across : fw === 0 ? Math.min(fx - x, x + w - fx) : across
              const isUp = fh === 0 && fw !== 0 ? Math.min(fy - y, y + h - fy) : along
              expect(Math.min(isIn, isUp)).toBeLessThan(0.05)
            }
          }
        },
      ),
      { numRuns: 40 },
    )
  })
})

it('a problem that counts its sheets, be it one, gets the sheet of every placement', () => {
  const pieces = [{ id: 'a', qty: 3, outline: box(400, 400) }]
  const counted = layOf(problemOf(pieces, { length: 2000, count: 1 }))
  expect(counted.placements.map((p) => p.sheet)).toEqual([1, 1, 1])
  expect(layOf(problemOf(pieces, { length: 2000 })).placements.map((p) => p.sheet)).toEqual([
    undefined,
    undefined,
    undefined,
  ])
})
