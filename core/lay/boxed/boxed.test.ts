import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tPlate } from '../../../bench/curved-mix.ts'
import { box } from '../../../bench/problems.ts'
import { LayProblem } from '../../../contract/index.ts'
import { insideDeeper } from '../check/outlines.ts'
import type { Ring } from '../convex-parts.ts'
import { acceptLay, instanceOf, solveLay } from '../index.ts'
import type { Instance } from '../instance.ts'
import { PairTable } from '../separation/index.ts'
import { layOnSkyline } from '../boxes/index.ts'
import { boxedOf, type Boxed } from './boxed.ts'
import { areaOf, bundlesOf } from './bundle.ts'
import { boxfulsOf } from './pairing.ts'

type Corner = [number, number]
/** Narrower at the top by `ear` on each side. */
const taper = (w: number, h: number, ear: number): Corner[] => [
  [0, 0],
  [w, 0],
  [w - ear, h],
  [ear, h],
]
const problemOf = (pieces: readonly { outline: Corner[]; qty?: number; turns?: number[] }[], more: object = {}) =>
  LayProblem.parse({
    format: 'loft-seam/lay-problem',
    version: 1,
    cloth: { width: 1400 },
    pieces: pieces.map((p, i) => ({ id: `p${i}`, qty: 1, turns: [0, 180], ...p })),
    ...more,
  })
const instanceFor = (...args: Parameters<typeof problemOf>): Instance => instanceOf(problemOf(...args))

function ended<T>(work: Generator<number, T>): T {
  for (;;) {
    const { done, value } = work.next()
    if (done) return value
  }
}

const bundles = (instance: Instance) =>
  bundlesOf(new PairTable(instance, 'exact'), instance.items[0]!, instance.items.at(-1)!)

describe('two in a box, by hand', () => {
  it('two tapers head to tail: one width and one step of the taper less', () => {
    // 600 wide, 400 at the top: side by side the slants meet all along, 600 + 400 + 100 wide.
    const [beside] = bundles(instanceFor([{ outline: taper(600, 500, 100), qty: 2 }]))
    expect(beside!.width).toBeCloseTo(1100, 6)
    expect(beside!.height).toBeCloseTo(500, 6)
  })

  it('two T plates: turned over, the stem of one fills the corner of the other', () => {
    // 600 x 500 with corners of 200 x 300 taken out. The second upside down, 400 to the right: its bar (y 0 to 200) beside
    // the stem of the first (x 200 to 400), its stem (x 600 to 800) beside the bar of the first (x 0 to 600).
    const [beside] = bundles(instanceFor([{ outline: tPlate(600, 500, 200, 300), qty: 2 }]))
    expect([beside!.width, beside!.height]).toEqual([expect.closeTo(1000, 3), expect.closeTo(500, 3)])
  })

  it('a strip in the corner of a T plate takes no box of its own', () => {
    const instance = instanceFor([{ outline: tPlate(600, 500, 150, 200) }, { outline: box(140, 190) }])
    expect(Math.min(...bundles(instance).map(areaOf))).toBeCloseTo(600 * 500, 3)
  })

  it('two boxes only beside or above each other', () => {
    const [beside, above] = bundles(instanceFor([{ outline: box(300, 200) }, { outline: box(100, 200) }]))
    expect([beside!.width, beside!.height]).toEqual([400, 200])
    expect(areaOf(above!)).toBe(300 * 400)
  })

  it('a gap lies between them', () => {
    const [beside] = bundles(instanceFor([{ outline: taper(600, 500, 100), qty: 2 }], { gap: 10 }))
    // Square to the slant, which leans 100 over 500: 10 mm is 10 / cos(atan 0.2) across, by a ring of sixteen sides.
    expect(beside!.width).toBeGreaterThanOrEqual(1100 + 10 * Math.hypot(1, 0.2) - 1e-6)
    expect(beside!.width).toBeLessThan(1100 + 10 * Math.hypot(1, 0.2) + 0.3)
  })
})

const anyShape: fc.Arbitrary<Corner[]> = fc.oneof(
  fc.record({ w: fc.integer({ min: 200, max: 600 }), h: fc.integer({ min: 100, max: 500 }) }).map((s) => box(s.w, s.h)),
  fc
    .record({
      w: fc.integer({ min: 300, max: 600 }),
      h: fc.integer({ min: 200, max: 500 }),
      e: fc.integer({ min: 5, max: 140 }),
    })
    .map((s) => taper(s.w, s.h, s.e)),
  fc
    .record({
      w: fc.integer({ min: 300, max: 600 }),
      h: fc.integer({ min: 200, max: 500 }),
      e: fc.integer({ min: 20, max: 140 }),
      up: fc.integer({ min: 20, max: 180 }),
    })
    .map((s) => tPlate(s.w, s.h, s.e, s.up)),
)

const moved = (ring: Ring, dx: number, dy: number): Ring => ring.map((v, i) => v + (i % 2 === 0 ? dx : dy))

const overlap = (a: Ring, b: Ring, depth: number): boolean => insideDeeper(a, b, depth) || insideDeeper(b, a, depth)

describe('any two', () => {
  it('lie within their box and touch, none over the other', () => {
    fc.assert(
      fc.property(anyShape, anyShape, (a, b) => {
        for (const { width, height, members } of bundles(instanceFor([{ outline: a }, { outline: b }]))) {
          const rings = members.map((m) => moved(m.posture.shape.ring, m.dx, m.dy))
          for (const ring of rings)
            ring.forEach((v, i) => {
              expect(v).toBeGreaterThanOrEqual(-1e-6)
              expect(v).toBeLessThanOrEqual((i % 2 === 0 ? width : height) + 1e-6)
            })
          expect(overlap(rings[0]!, rings[1]!, 0.01)).toBe(false)
          // They were slid together until they touched.
          const nearer = [
            [1, 0],
            [-1, 0],
            [0, 1],
            [0, -1],
          ].some(([x, y]) => overlap(rings[0]!, moved(rings[1]!, x!, y!), 0.01))
          expect(nearer).toBe(true)
        }
      }),
      { numRuns: 60 },
    )
  })
})

const anySet = fc.array(fc.record({ outline: anyShape, qty: fc.integer({ min: 1, max: 3 }) }), {
  minLength: 1,
  maxLength: 7,
})
const laidBoxes = ({ instance, opened }: Boxed) =>
  opened(
    layOnSkyline(
      instance,
      instance.items.map((_, i) => i),
    ),
  )

describe('boxes opened', () => {
  it('are a sound lay of every piece, by the exact check', () => {
    fc.assert(
      fc.property(anySet, (pieces) => {
        const problem = problemOf(pieces)
        const instance = instanceOf(problem)
        const { spots, length } = laidBoxes(ended(boxedOf(instance)))
        expect(spots).toHaveLength(instance.items.length)
        const lay = {
          format: 'loft-seam/lay' as const,
          version: 1 as const,
          length: Number(length.toFixed(4)),
          bound: 0,
          seed: 1,
          seconds: 0,
          offsets: {},
          placements: spots.map((s) => ({
            id: instance.items[s.item]!.piece,
            copy: instance.items[s.item]!.copy,
            x: Number((s.x + s.posture.originX).toFixed(4)),
            y: Number((s.y + s.posture.originY).toFixed(4)),
            turn: s.posture.turn,
            flip: s.posture.flip,
          })),
        }
        expect(acceptLay(problem, lay)).toEqual([])
      }),
      { numRuns: 60 },
    )
  })

  it('never have more area than the boxes of the pieces alone', () => {
    fc.assert(
      fc.property(anySet, (pieces) => {
        const instance = instanceFor(pieces)
        const apart = instance.items.reduce(
          (sum, i) => sum + Math.min(...i.postures.map(({ shape }) => shape.width * shape.height)),
          0,
        )
        expect(ended(boxedOf(instance)).instance.totalArea).toBeLessThanOrEqual(apart + 1e-6)
      }),
      { numRuns: 60 },
    )
  })
})

describe('pairs', () => {
  it('each piece goes into one pair or stays alone', () => {
    const boxfuls = ended(
      boxfulsOf(
        instanceFor([
          { outline: taper(600, 500, 100), qty: 5 },
          { outline: box(300, 200), qty: 2 },
        ]),
      ),
    )
    expect(boxfuls.flatMap((b) => b.members).sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6])
    // The tapers come first; the fifth and both boxes are alone.
    expect(boxfuls.map((b) => b.members.length)).toEqual([2, 2, 1, 1, 1])
  })
})

describe('tapers that fill the cloth two by two', () => {
  it('are laid in as many rows as their pairs make, in a few hundred steps', () => {
    // Two tapers head to tail are 1100 wide and a band of 200 stands beside them: six rows of 500.
    const problem = problemOf([
      { outline: taper(600, 500, 100), qty: 12 },
      { outline: box(200, 500), qty: 6 },
    ])
    const solved = solveLay(problem, { seed: 1, budget: { steps: 400, isStopped: () => false } })
    if (!solved.ok) throw new Error(JSON.stringify(solved.error))
    expect(solved.value.lay.length).toBeGreaterThanOrEqual((12 * 500 * 500 + 6 * 200 * 500) / 1400)
    expect(solved.value.lay.length).toBeLessThanOrEqual(3000)
  })
})
