import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { LayProblem, Placement } from '../../../contract/index.ts'
import { acceptLay } from '../../lay/index.ts'
import { rowsBeside, stripsBeside, type StripsLaid, type StripWay, type WantedStrips } from './index.ts'

const BED = { leftMm: 0, rightMm: 1000 }
const straight = (riseMm = 40, turn: 0 | 90 = 0): StripWay => ({ turn, slope: 0, riseMm })
const bias = (turn: 0 | 90, widthMm = 40): StripWay => ({ turn, slope: 1, riseMm: widthMm * Math.SQRT2 })
const box = (x: number, y: number, w: number, h: number) => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
]
const runs = (count: number, lengthMm: number, mostStrips: number, lossMm = 40) =>
  Array.from({ length: count }, () => ({ lengthMm, lossMm, mostStrips, longestMm: Infinity }))
type Kind = WantedStrips & { readonly ways: readonly StripWay[] }
const wanted = (ways: readonly StripWay[], own: WantedStrips['runs']): Kind => ({
  ways,
  runs: own,
  leastMm: 200,
  stepMm: 1,
})
const cutBeside = (
  laid: Parameters<typeof rowsBeside>[0],
  kinds: readonly Kind[],
  [shortestMm, longestMm]: readonly [number, number],
) => {
  const rows = rowsBeside(
    laid,
    { ...BED, lengthMm: longestMm },
    kinds.map((k) => k.ways),
  )
  return stripsBeside(rows, kinds, [shortestMm, longestMm])
}
const shortest = (found: readonly StripsLaid[]) => found.at(-1)!
const lengthsOf = ({ strips }: StripsLaid) => strips[0]!.map((run) => run.map((s) => s.lengthMm))

describe('strips beside what is laid, by hand', () => {
  // Two plates of 624 by 524 one above the other leave 376 beside them.
  const plates = [box(0, 0, 624, 524), box(0, 524, 624, 524)]

  it('two loops of 2260 in three strips each: two rows across for each, and what is left beside the plates', () => {
    const found = shortest(cutBeside(plates, [wanted([straight()], runs(2, 2260, 3))], [1048, 3000]))
    // 1000 + 1000 + 340 - 2 x 40 = 2260; four rows of 40 above the plates.
    expect(lengthsOf(found)).toEqual([
      [1000, 1000, 340],
      [1000, 1000, 340],
    ])
    expect(found.lengthMm).toBeGreaterThanOrEqual(1048 + 160)
    expect(found.lengthMm).toBeLessThan(1048 + 165)
    expect(
      found.strips[0]!.flat()
        .filter((s) => s.lengthMm === 340)
        .every((s) => s.at.x >= 624),
    ).toBe(true)
  })

  it('where more joins are allowed all strips lie beside the plates: seven of at most 376 to a loop', () => {
    const found = shortest(cutBeside(plates, [wanted([straight()], runs(2, 2260, 8))], [1048, 3000]))
    expect(found.lengthMm).toBeLessThan(1048 + 5)
    for (const run of lengthsOf(found)) {
      // Six of 376 less five joins are 2056: one more is wanted.
      expect(run).toHaveLength(7)
      expect(Math.max(...run)).toBeLessThanOrEqual(376)
      expect(run.reduce((sum, mm) => sum + mm, 0) - 6 * 40).toBeCloseTo(2260, 6)
    }
  })

  it('each way is on a shorter cloth than the one before', () => {
    const lengths = cutBeside(plates, [wanted([straight()], runs(2, 2260, 5))], [1048, 3000]).map((f) => f.lengthMm)
    expect(lengths).toEqual(lengths.toSorted((a, b) => b - a))
    expect(lengths[0]).toBe(3000)
  })

  it('on the bias a strip climbs as far as it reaches, and is cut 1.41 times its width high, or as wide when it is turned', () => {
    const on = (ways: StripWay[]) => shortest(cutBeside([], [wanted(ways, runs(1, 500, 1))], [0, 3000])).lengthMm
    expect(on([bias(0)])).toBeGreaterThanOrEqual(500 + 40 * Math.SQRT2 - 1e-6)
    expect(on([bias(0)])).toBeLessThan(500 + 40 * Math.SQRT2 + 5)
    expect(on([bias(0), bias(90)])).toBeGreaterThanOrEqual(500 - 1e-6)
    expect(on([bias(0), bias(90)])).toBeLessThan(505)
  })

  it('along the roll a strip is as long as the cloth has to be', () => {
    const found = shortest(cutBeside([], [wanted([straight(40, 90)], runs(25, 1500, 1))], [0, 4000]))
    expect(found.lengthMm).toBeGreaterThanOrEqual(1500)
    expect(found.lengthMm).toBeLessThan(1505)
    expect(cutBeside([], [wanted([straight(40, 90)], runs(26, 1500, 1))], [0, 1510])).toEqual([])
  })

  it('no strip is longer than it may be, however long the rows', () => {
    const [run] = runs(1, 1500, 3)
    const found = shortest(cutBeside([], [wanted([straight()], [{ ...run!, longestMm: 700 }])], [0, 400]))
    // 700 + 700 + 180 - 2 x 40 would leave too little for the last.
    expect(lengthsOf(found)).toEqual([[700, 680, 200]])
  })

  it('a run that is a little longer than a row gives some of it up: no strip is shorter than can be handled', () => {
    const found = shortest(cutBeside([], [wanted([straight()], runs(1, 1060, 2))], [0, 400]))
    // 1000 would leave 100 with the join: 900 and 200.
    expect(lengthsOf(found)).toEqual([[900, 200]])
  })
})

/** The strips of a way and what was there as a lay of the open format, for the check that knows nothing of strips. */
function faultsOf(laid: readonly (readonly { x: number; y: number }[])[], found: StripsLaid): readonly string[] {
  const strips = found.strips.flat(2)
  const problem: LayProblem = {
    format: 'loft-seam/lay-problem',
    version: 1,
    cloth: { width: 1000, length: null, selvedge: [0, 0], repeat: { across: null, along: null }, flaws: [] },
    gap: 0,
    groups: {},
    pieces: [
      ...laid.map((ring, i) => ({ id: `laid-${i}`, outline: ring.map((p): [number, number] => [p.x, p.y]) })),
      ...strips.map(({ way: { slope, riseMm }, lengthMm: l }, i) => ({
        id: `strip-${i}`,
        outline: [
          [0, 0],
          [l, l * slope],
          [l, l * slope + riseMm],
          [0, riseMm],
        ] as [number, number][],
      })),
    ].map((piece) => ({ ...piece, qty: 1, turns: [0, 90], flip: false, match: null })),
  }
  const placements: Placement[] = [
    ...laid.map((_, i) => ({ id: `laid-${i}`, copy: 1, x: 0, y: 0, turn: 0, flip: false })),
    ...strips.map(({ way, at }, i) => ({ id: `strip-${i}`, copy: 1, x: at.x, y: at.y, turn: way.turn, flip: false })),
  ]
  return acceptLay(problem, {
    format: 'loft-seam/lay',
    version: 1,
    length: found.lengthMm,
    bound: 0,
    seed: 0,
    seconds: 0,
    placements,
    offsets: {},
  })
    .filter((f) => f.code !== 'wrong-length')
    .map((f) => JSON.stringify(f))
}

describe('any strips beside any plates', () => {
  const shelf = fc
    .array(fc.tuple(fc.integer({ min: 100, max: 1000 }), fc.integer({ min: 60, max: 400 })), { maxLength: 5 })
    .map((sizes) =>
      sizes.map(([w, h], i) =>
        box(
          i % 2 === 0 ? 0 : 1000 - w,
          sizes.slice(0, i).reduce((sum, [, d]) => sum + d, 0),
          w,
          h,
        ),
      ),
    )
  const ways = fc.constantFrom<readonly StripWay[]>(
    [straight()],
    [straight(40, 90)],
    [straight(33), straight(33, 90)],
    [bias(0), bias(90)],
    [{ turn: 0 as const, slope: -0.8, riseMm: 50 }],
  )

  it('lie on the cloth and beside all else, make up their runs, and are neither too many nor too short', () => {
    let met = 0
    fc.assert(
      fc.property(
        shelf,
        ways,
        fc.integer({ min: 250, max: 2500 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 6 }),
        (laid, own, lengthMm, count, mostStrips) => {
          const top = Math.max(0, ...laid.flat().map((p) => p.y))
          const strips = [
            wanted(own, runs(count, lengthMm, mostStrips, 30)),
            wanted([straight(25)], runs(1, 600, 3, 25)),
          ]
          for (const found of cutBeside(laid, strips, [top, top + 4000]).slice(-2)) {
            met++
            expect(faultsOf(laid, found)).toEqual([])
            for (const run of lengthsOf(found)) {
              expect(run.length).toBeLessThanOrEqual(mostStrips)
              expect(run.reduce((sum, mm) => sum + mm, 0) - (run.length - 1) * 30).toBeCloseTo(lengthMm, 6)
              expect(Math.min(...run)).toBeGreaterThanOrEqual(200 - 1e-6)
            }
          }
        },
      ),
      { numRuns: 40 },
    )
    expect(met).toBeGreaterThan(30)
  })
})
