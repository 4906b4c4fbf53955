import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { curvedMix, tPlate } from '../../../bench/curved-mix.ts'
import { cutJigsaw } from '../../../bench/problems.ts'
import { LayProblem } from '../../../contract/index.ts'
import { insideDeeper } from '../check/outlines.ts'
import type { Ring } from '../convex-parts.ts'
import { instanceOf, solveLay } from '../index.ts'
import { PairTable } from '../separation/index.ts'
import { byOutlines } from './by-outlines.ts'
import { longestPair } from './longest-pair.ts'
import { slabsInPlace } from './slabs-in-place.ts'

type Corner = [number, number]
interface Piece {
  readonly outline: Corner[]
  readonly qty?: number
  readonly turns?: readonly number[]
  readonly flip?: boolean
}
const problemOf = (width: number, pieces: readonly Piece[], more: object = {}): LayProblem =>
  LayProblem.parse({
    format: 'loft-seam/lay-problem',
    version: 1,
    cloth: { width },
    pieces: pieces.map((p, i) => ({ id: `p${i}`, qty: 1, turns: [0], ...p })),
    ...more,
  })

function bound(problem: LayProblem): number {
  const instance = instanceOf(problem)
  const table = new PairTable(instance, 'inner')
  let best = 0
  for (const most of [40, 130])
    for (const _ of byOutlines(instance, table, most, (length) => (best = Math.max(best, length))));
  return best
}

function pair(problem: LayProblem): number {
  const instance = instanceOf(problem)
  const work = longestPair(instance, new PairTable(instance, 'inner'))
  for (;;) {
    const { done, value } = work.next()
    if (done) return value
  }
}

const box = (w: number, h: number): Corner[] => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
/** A half ring, its legs down. */
const halfRing = (outer: number, inner: number): Corner[] => {
  const arc = (r: number, from: number, to: number) =>
    Array.from({ length: 17 }, (_, k): Corner => {
      const angle = from + ((to - from) * k) / 16
      return [outer + r * Math.cos(angle), r * Math.sin(angle)]
    })
  return [...arc(outer, 0, Math.PI), ...arc(inner, Math.PI, 0)]
}

describe('how near outlines come, by hand', () => {
  // 600 x 500, a bar 200 high and a stem 200 wide on it.
  const tee = tPlate(600, 500, 200, 300)

  it('two T plates one way up lie one after the other on 990: the second is 400 to the right of the first, or above it', () => {
    const on990 = bound(problemOf(990, [{ outline: tee, qty: 2 }]))
    expect(on990).toBeGreaterThan(995)
    expect(on990).toBeLessThanOrEqual(1000)
  })

  it('on 1001 the bar of the second lies beside the stem of the first: 700 long', () => {
    const on1001 = bound(problemOf(1001, [{ outline: tee, qty: 2 }]))
    expect(on1001).toBeLessThanOrEqual(700)
    expect(on1001).toBeGreaterThan(495)
  })

  it('upside down the stem of one goes beside that of the other: 800 wide is enough for both to be 500 long', () => {
    expect(bound(problemOf(1001, [{ outline: tee, qty: 2, turns: [0, 180] }]))).toBeLessThanOrEqual(500)
  })

  it('plates 600 wide and strips beside them, whose area goes where plates leave cloth free', () => {
    const plates = { outline: box(600, 500), qty: 3 }
    const bent = { outline: tee, qty: 1 }
    // Beside a plate lies the stem of the T, its bar by itself: 3 x 500 + 200.
    const alone = bound(problemOf(1100, [plates, bent]))
    expect(alone).toBeGreaterThan(1695)
    expect(alone).toBeLessThanOrEqual(1700)
    const withStrips = bound(problemOf(1100, [plates, bent, { outline: box(500, 100), qty: 20 }]))
    // 12 strips beside the plates where the stem is not, two beside the bar, the other six two abreast: 300 more.
    expect(withStrips).toBeGreaterThan(1995)
    expect(withStrips).toBeLessThanOrEqual(2000)
  })

  it('of more kinds than it looks at the others count by their area', () => {
    const plates = Array.from({ length: 4 }, (_, i) => ({ outline: tPlate(800 + i, 400, 60, 150), turns: [0, 180] }))
    const strips = Array.from({ length: 130 }, (_, i) => ({ outline: box(50, 100 + i) }))
    const ofPlates = plates.reduce((sum, _, i) => sum + (800 + i) * 400 - 2 * 60 * 150, 0)
    const ofStrips = strips.reduce((sum, _, i) => sum + 50 * (100 + i), 0)
    // Beside the plates, which lie one after the other on 1600, there is not room for all of the strips.
    const both = bound(problemOf(1400, [...plates, ...strips]))
    expect(bound(problemOf(1400, plates))).toBeCloseTo(1600, 3)
    expect(both).toBeGreaterThan((0.999 * (ofPlates + ofStrips)) / 1400)
    expect(both).toBeLessThanOrEqual((ofPlates + ofStrips) / 1400 + 1)
  })

  it('what is turned to be narrower than the cloth counts the way that is shorter', () => {
    const long = bound(problemOf(1000, [{ outline: tee, qty: 1, turns: [0, 90] }]))
    expect(long).toBeLessThanOrEqual(500)
    expect(long).toBeGreaterThan(495)
  })
})

describe('two pieces by themselves, by hand', () => {
  const taper: Corner[] = [
    [0, 0],
    [600, 0],
    [600, 500],
    [100, 500],
  ]
  const of = (width: number, turns: number[], more: object = {}) =>
    pair(problemOf(width, [{ outline: taper, qty: 2, turns }], more))

  it('one way up the second lies to the left, raised until it clears the slant of the first', () => {
    // Its right edge at -dx + 600, the slant at a fifth of the height: 1200 - 250 / 5 wide when it is 250 up.
    const on1150 = of(1150, [0])
    expect(on1150).toBeGreaterThan(747)
    expect(on1150).toBeLessThanOrEqual(750)
    expect(of(1201, [0])).toBeCloseTo(500, 3)
    expect(of(1000, [0])).toBeCloseTo(1000, -1)
  })

  it('head to tail slant lies on slant: 1100 wide at one height, 1050 when the one is 250 up', () => {
    expect(of(1101, [0, 180])).toBeCloseTo(500, 3)
    const on1050 = of(1050, [0, 180])
    expect(on1050).toBeGreaterThan(747)
    expect(on1050).toBeLessThanOrEqual(750)
  })

  it('either may be the lower one', () => {
    // A bar 600 wide and 200 high, on it a stem of 200: the strip goes beside the stem, above the bar.
    const stemUp = tPlate(600, 500, 200, 300).map(([x, y]): Corner => [600 - x, 500 - y])
    const pieces = [{ outline: stemUp }, { outline: box(190, 100) }]
    for (const order of [pieces, pieces.toReversed()]) {
      const length = pair(problemOf(610, order))
      expect(length).toBeGreaterThan(499)
      expect(length).toBeLessThanOrEqual(500 + 1e-6)
    }
  })

  it('the gap lies between them; one piece, or many kinds, say nothing', () => {
    expect(of(650, [0], { gap: 20 })).toBeCloseTo(1020, -1)
    expect(pair(problemOf(700, [{ outline: taper }]))).toBe(0)
    const kinds = Array.from({ length: 7 }, (_, i) => ({ outline: box(600, 100 + i) }))
    expect(pair(problemOf(700, kinds))).toBe(0)
    const six = pair(problemOf(700, kinds.slice(0, 6)))
    expect(six).toBeGreaterThan(105 + 104 - 2)
    expect(six).toBeLessThanOrEqual(105 + 104)
  })
})

describe('how near outlines come', () => {
  it('never makes a bound above a lay that is found, nor above a known optimum', () => {
    for (const seed of [1, 2, 3]) {
      const { problem, optimum } = cutJigsaw(9, seed)
      expect(bound(problem)).toBeLessThanOrEqual(optimum! + 1e-6)
    }
    const shapes: readonly ((a: number, b: number, c: number) => Corner[])[] = [
      (a, b, c) => tPlate(a, b, a * 0.3, b * c),
      (a, b, c) => [
        [0, 0],
        [a, 0],
        [a * (1 - c / 3), b],
        [(a * c) / 3, b],
      ],
      (a, _, c) => halfRing(a / 2, (a / 2) * c),
      (a, b) => box(a, b / 3),
      (a, b, c) => [
        [0, 0],
        [a * 0.2, 0],
        [a, b * c],
        [a * 0.8, b * c],
      ],
    ]
    const piece = fc.record({
      shape: fc.nat(shapes.length - 1),
      a: fc.integer({ min: 250, max: 750 }),
      b: fc.integer({ min: 200, max: 500 }),
      c: fc.double({ min: 0.3, max: 0.8, noNaN: true }),
      qty: fc.integer({ min: 1, max: 3 }),
      turns: fc.constantFrom([0], [0, 180], [0, 90, 180, 270]),
    })
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 3 }), fc.constantFrom(0, 5), (kinds, gap) => {
        const problem = problemOf(
          1000,
          kinds.map(({ shape, a, b, c, ...more }) => ({ outline: shapes[shape]!(a, b, c), ...more })),
          { gap },
        )
        const solved = solveLay(problem, { seed: 1, budget: { steps: 60, isStopped: () => false } })
        if (!solved.ok) throw new Error(solved.error.code)
        expect(Math.max(bound(problem), pair(problem))).toBeLessThanOrEqual(solved.value.lay.length + 1e-3)
      }),
      { numRuns: 16 },
    )
  }, 400_000)

  it('says no more than is true of two pieces: wherever it says they meet, they do', () => {
    const outlines = [tPlate(600, 500, 200, 300), halfRing(300, 200), curvedMix(6, 3).problem.pieces[0]!.outline]
    const instance = instanceOf(
      problemOf(
        1400,
        outlines.map((outline) => ({ outline: outline as Corner[] })),
      ),
    )
    const table = new PairTable(instance, 'inner')
    const moved = (ring: Ring, x: number, y: number) => ring.map((v, i) => v + (i % 2 === 0 ? x : y))
    fc.assert(
      fc.property(
        fc.nat(2),
        fc.nat(2),
        fc.double({ min: -400, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: -200, max: 500, noNaN: true }),
        fc.oneof(fc.constant(1), fc.double({ min: 0, max: 1, noNaN: true })),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (i, j, low, high, from, across, along) => {
          const [a, b] = [instance.items[i]!.postures[0]!.shape, instance.items[j]!.postures[0]!.shape]
          const clear = table.leastClear(a, b, low, low + high, from)
          expect(clear).toBeGreaterThanOrEqual(from)
          // Where a piece may be 0.05 mm deep in another it is claimed to be deeper by next to nothing: half of it is asked.
          const dx = from + (clear - from - 0.02) * across
          const other = moved(b.ring, dx, low + high * along)
          const isTheSame = i === j && Math.abs(dx) + Math.abs(low + high * along) < 1
          if (clear > from + 0.02 && !isTheSame)
            expect(insideDeeper(a.ring, other, 0.025) || insideDeeper(other, a.ring, 0.025)).toBe(true)
        },
      ),
      { numRuns: 2000 },
    )
  })

  it('slabs in place have all of the height, and no line across one meets less, or begins or ends elsewhere', () => {
    for (const outline of [tPlate(600, 500, 200, 300), halfRing(300, 200), halfRing(250, 60)]) {
      const ring = outline.flatMap((p) => p)
      const heights = ring.filter((_, i) => i % 2 === 1)
      for (const most of [1, 3, 8]) {
        const slabs = slabsInPlace(ring, most)
        expect(slabs.length).toBeLessThanOrEqual(most)
        expect(slabs.reduce((sum, s) => sum + s.high - s.low, 0)).toBeCloseTo(Math.max(...heights), 6)
        for (let y = 0.7; y < Math.max(...heights); y += 3.1) {
          const slab = slabs.find((s) => s.low <= y && y <= s.high)!
          const meets = outline.flatMap(([x1, y1], k): number[] => {
            const [x2, y2] = outline[(k + 1) % outline.length]!
            return y1 > y !== y2 > y ? [x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)] : []
          })
          meets.sort((p, q) => p - q)
          const length = meets.reduce((sum, x, k) => sum + (k % 2 === 1 ? x - meets[k - 1]! : 0), 0)
          expect(length).toBeGreaterThanOrEqual(slab.width - 0.01)
          expect(meets[0]).toBeLessThanOrEqual(slab.fromMost + 0.01)
          expect(meets[1]).toBeGreaterThanOrEqual(slab.toLeast - 0.01)
        }
      }
    }
  })
})
