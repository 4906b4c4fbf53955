import fc from 'fast-check'
import highsLoader from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import type { Cloth } from '../../contract/index.ts'
import { setMakeUp, USUAL_PIPING } from '../job/index.ts'
import { keepersBenchPart } from '../demo/index.ts'
import { worked } from '../testing/jobs.ts'
import {
  asLp,
  firstFit,
  lengthBound,
  readPlan,
  solveStrips,
  stripGroups,
  stripProblem,
  type SolveMip,
  type StripPlan,
  type WantedStrip,
} from './index.ts'

let solve: SolveMip
beforeAll(async () => {
  const highs = await highsLoader()
  solve = (lp, columns) => {
    // As in the page: a problem that takes too long is answered by the best found, or by the first fit.
    const { Status, Columns } = highs.solve(lp, { time_limit: 2 }) as {
      Status: string
      Columns: Record<string, { Primal?: number }>
    }
    return Status !== 'Optimal' && Status !== 'Time limit reached'
      ? null
      : {
          isOptimal: Status === 'Optimal',
          values: Array.from({ length: columns }, (_, i) => Columns[`x${i}`]?.Primal ?? 0),
        }
  }
})

const strip = (id: string, lengthMm: number, count: number): WantedStrip => ({ id, name: id, lengthMm, count })
const roll = (lengthMm: number, costMm = 100) => ({ id: 'row', name: 'row', lengthMm, count: null, costMm })
const planned = (p: ReturnType<typeof solveStrips>): StripPlan => {
  if ('code' in p) throw new Error(p.code)
  return p
}
const cutOf = (plan: StripPlan, id: string) =>
  plan.rows.reduce(
    (sum, r) => sum + r.times * r.pieces.filter((p) => p.strip.id === id).reduce((n, p) => n + p.count, 0),
    0,
  )

describe('strips by hand', () => {
  it('700 x 3, 600 x 3 from rows of 1300: three rows, nothing left over, though longest first would take four', () => {
    const plan = planned(solveStrips([strip('a', 700, 3), strip('b', 600, 3)], [roll(1300)], solve))
    expect(plan).toMatchObject({ rollMm: 300, boundMm: 300, isProven: true })
    expect(plan.rows).toEqual([expect.objectContaining({ times: 3, leftMm: 0 })])
  })

  it('a case where the first fit is not the best: 6 of 500, 400, 300 each and so on', () => {
    const wanted = [strip('a', 520, 4), strip('b', 390, 4), strip('c', 260, 6)]
    const problem = stripProblem(wanted, [roll(1300)])
    if ('code' in problem) throw new Error('too long')
    const best = planned(solveStrips(wanted, [roll(1300)], solve))
    const first = readPlan(problem, firstFit(problem), false)
    // 4 x 520 + 4 x 390 + 6 x 260 = 5200 = 4 x 1300: no fewer than four rows.
    expect(best.rollMm).toBe(400)
    expect(first.rollMm).toBeGreaterThanOrEqual(best.rollMm)
  })

  it('what is left over is used before a row is cut', () => {
    const plan = planned(
      solveStrips(
        [strip('a', 700, 2)],
        [roll(1300), { id: 'left', name: 'remnant', lengthMm: 750, count: 1, costMm: 0 }],
        solve,
      ),
    )
    expect(plan.rows.map((r) => [r.stock.id, r.times]).toSorted()).toEqual([
      ['left', 1],
      ['row', 1],
    ])
    expect(plan.rollMm).toBe(100)
  })

  it('a strip longer than any length is named', () =>
    expect(solveStrips([strip('wrap', 1800, 1)], [roll(1350)], solve)).toEqual({
      code: 'strip-too-long',
      strip: 'wrap',
      lengthMm: 1800,
      longestMm: 1350,
    }))

  it('the problem is written as a mixed integer program', () => {
    const problem = stripProblem([strip('a', 700, 1), strip('b', 600, 1)], [roll(1300)])
    expect('code' in problem ? '' : asLp(problem)).toBe(
      'Minimize\n obj: 100.000001 x0\nSubject To\n w0: 1 x0 >= 1\n w1: 1 x0 >= 1\nGeneral\n x0\nEnd\n',
    )
  })

  it('a remnant of the same weave gives rows for nothing, once; another cloth, a matched one or a crooked piece gives none', () => {
    const bench = keepersBenchPart()
    const plain = { ...bench, cloth: { ...bench.cloth, match: { kind: 'none' as const } } }
    const remnant = (change: Partial<Cloth> = {}): Cloth => ({
      ...bench.cloth.cloth,
      id: 'left',
      name: 'left over',
      widthMm: 900,
      selvedgeMm: [0, 0],
      supply: {
        kind: 'remnant',
        outline: [
          [0, 0],
          [900, 0],
          [900, 250],
          [0, 250],
        ],
      },
      ...change,
    })
    const stockOf = (job: typeof bench, cloth: Cloth) =>
      stripGroups(worked(job), [cloth]).flatMap((g) =>
        g.stock.filter((s) => s.id === 'left').map((s) => [g.heightMm, s.lengthMm, s.count]),
      )
    expect(stockOf(plain, remnant())).toEqual([[99, 900, 2]])
    expect(stockOf(bench, remnant())).toEqual([])
    expect(stockOf(plain, remnant({ ground: '#123456' }))).toEqual([])
    expect(
      stockOf(
        plain,
        remnant({
          supply: {
            kind: 'remnant',
            outline: [
              [0, 0],
              [900, 0],
              [700, 250],
              [0, 250],
            ],
          },
        }),
      ),
    ).toEqual([])
    const group = stripGroups(worked(plain), [remnant()]).find((g) => g.heightMm === 99)!
    const [without, withIt] = [
      planned(solveStrips(group.wanted, group.stock.slice(0, 1), solve)),
      planned(solveStrips(group.wanted, group.stock, solve)),
    ]
    expect(withIt.rollMm).toBeLessThan(without.rollMm)
  })

  it("the keepers' bench: boxing 99 high of 770.7 and 375 in rows of 1350, four rows, proven", () => {
    const groups = stripGroups(worked(keepersBenchPart()))
    const boxing = groups.find((g) => g.heightMm === 99)!
    expect(boxing.wanted.map((w) => [w.name, Number(w.lengthMm.toFixed(1)), w.count])).toEqual([
      ['Front boxing', 770.7, 3],
      ['Left boxing', 375, 3],
      ['Right boxing', 375, 3],
    ])
    // 770.7 + 375 = 1145.7 a row for three, and three of 375 in a fourth.
    expect(planned(solveStrips(boxing.wanted, boxing.stock, solve))).toMatchObject({ rollMm: 4 * 99, isProven: true })
  })
})

it('what is cut along the roll is no row across it, gussets or piping; cut across it is', () => {
  const heights = (hiddenStrips: 'along' | 'across', cut: 'along' | 'across') => {
    const bench = setMakeUp('', (m) => ({ ...m, piping: { ...USUAL_PIPING, cut } })).apply(keepersBenchPart())
    return stripGroups(worked({ ...bench, cloth: { ...bench.cloth, hiddenStrips } })).map((g) => g.heightMm)
  }
  expect(heights('along', 'along')).toEqual([99])
  expect(heights('across', 'along')).toEqual([99, 71.5])
  expect(heights('across', 'across')).toEqual([99, 71.5, 40])
})

it('a solver that was stopped before it found anything gives way to the first fit', () => {
  const wanted = [strip('a', 700, 3), strip('b', 600, 3)]
  const stopped: SolveMip = (_lp, columns) => ({ isOptimal: false, values: Array.from({ length: columns }, () => 0) })
  const plan = planned(solveStrips(wanted, [roll(1300)], stopped))
  expect([cutOf(plan, 'a'), cutOf(plan, 'b'), plan.isProven]).toEqual([3, 3, false])
})

describe('any strips', () => {
  const wantedStrips = fc
    .uniqueArray(fc.integer({ min: 60, max: 1300 }), { minLength: 1, maxLength: 6 })
    .chain((lengths) =>
      fc.tuple(...lengths.map((l) => fc.integer({ min: 1, max: 8 }).map((n) => strip(String(l), l, n)))),
    )

  it('every strip is cut as often as wanted, no row is over full, and none is shorter than the bound', () => {
    fc.assert(
      fc.property(wantedStrips, (wanted) => {
        const plan = planned(solveStrips(wanted, [roll(1350)], solve))
        for (const w of wanted) expect(cutOf(plan, w.id)).toBe(w.count)
        for (const r of plan.rows) {
          expect(r.leftMm).toBeGreaterThanOrEqual(-1e-6)
          expect(r.pieces.reduce((sum, p) => sum + p.count * p.strip.lengthMm, 0) + r.leftMm).toBeCloseTo(1350, 6)
        }
        const problem = stripProblem(wanted, [roll(1350)])
        if ('code' in problem) return
        expect(plan.rollMm).toBeGreaterThanOrEqual(lengthBound(problem) - 1e-6)
        expect(plan.rollMm).toBeLessThanOrEqual(readPlan(problem, firstFit(problem), false).rollMm)
      }),
      { numRuns: 120 },
    )
  }, 180_000)
})
