import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LayProblem } from '../../contract/index.ts'
import { acceptLay, layWhatFits } from './index.ts'

const box = (w: number, h: number): [number, number][] => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
const problem = (pieces: object[], cloth: object) =>
  LayProblem.parse({ format: 'loft-seam/lay-problem', version: 1, cloth, gap: 2, pieces })
const lay = (p: LayProblem) => ({
  ...layWhatFits(p, { seed: 1, budget: { steps: 40, isStopped: () => false } }),
  seconds: 0,
})
/** The problem with only as many copies as were laid: what a lay must be sound for. */
const laidOnly = (p: LayProblem, laid: ReturnType<typeof lay>): LayProblem => ({
  ...p,
  pieces: p.pieces.flatMap((piece) => {
    const qty = laid.placements.filter((l) => l.id === piece.id).length
    return qty > 0 ? [{ ...piece, qty }] : []
  }),
})

describe('as much as goes on a piece of stock', () => {
  it('by hand: 700 x 1300 takes two of 500 x 600, however many are wanted', () => {
    const found = lay(
      problem([{ id: 'a', qty: 9, outline: box(500, 600), turns: [0, 90] }], { width: 700, length: 1300, count: 1 }),
    )
    expect(found.placements).toHaveLength(2)
  })

  it('leaves out what never fits, and lays the rest', () => {
    const found = lay(
      problem(
        [
          { id: 'huge', outline: box(900, 900) },
          { id: 'small', qty: 2, outline: box(200, 200) },
        ],
        { width: 500, length: 500, count: 1 },
      ),
    )
    expect(found.placements.map((p) => p.id)).toEqual(['small', 'small'])
  })

  it('is empty when nothing fits', () =>
    expect(
      lay(problem([{ id: 'a', outline: box(900, 900) }], { width: 500, length: 500, count: 1 })).placements,
    ).toEqual([]))

  it('is always sound, and never lays a copy twice', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 50, max: 700 }),
            fc.integer({ min: 50, max: 700 }),
            fc.integer({ min: 1, max: 4 }),
          ),
          { minLength: 1, maxLength: 5 },
        ),
        fc.boolean(),
        (sizes, hasFlaw) => {
          const p = problem(
            sizes.map(([w, h, qty], i) => ({ id: `p${i}`, qty, outline: box(w, h), turns: [0, 90] })),
            { width: 800, length: 900, count: 1, flaws: hasFlaw ? [[300, 300, 120, 90]] : [] },
          )
          const found = lay(p)
          const copies = found.placements.map((l) => `${l.id} ${l.copy}`)
          expect(new Set(copies).size).toBe(copies.length)
          if (copies.length > 0)
            expect(
              acceptLay(laidOnly(p, found), {
                ...found,
                placements: found.placements.map((l) => ({
                  ...l,
                  copy: 1 + found.placements.filter((o) => o.id === l.id).indexOf(l),
                })),
              }),
            ).toEqual([])
        },
      ),
      { numRuns: 60 },
    )
  })
})
