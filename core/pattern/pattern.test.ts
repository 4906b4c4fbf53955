import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Band, Cloth, Pattern } from '../../contract/index.ts'
import { DEMO_CLOTHS } from '../demo/index.ts'
import {
  axesOf,
  bandCentre,
  bandsOf,
  beforeWash,
  colourAt,
  cutLarger,
  leftByWash,
  mirrorAxes,
  patternStart,
  repeatOf,
  usualMatch,
  washed,
  washedChoice,
  wayOf,
} from './index.ts'

const band = (colour: string, widthMm: number): Band => ({ name: colour, colour, widthMm })
const cloth = (pattern: Pattern, more: Partial<Cloth> = {}): Cloth => ({ ...DEMO_CLOTHS[0]!, ...more, pattern })
const BANDS = [band('ivory', 22), band('slate', 6), band('ivory', 10)]
const ALONG = [band('rust', 30), band('ivory', 50)]
const PLAIN = cloth({ kind: 'plain' })
const STRIPES = cloth({ kind: 'stripes', runs: 'along', startMm: 7, bands: BANDS })
const BARS = cloth({ kind: 'stripes', runs: 'across', startMm: 7, bands: BANDS })
const CHECK = cloth({ kind: 'check', across: BANDS, along: ALONG, startMm: 3, startAlongMm: 5 })
const motif = (halfDrop: boolean): Cloth =>
  cloth({ kind: 'motif', colour: 'rust', acrossMm: 140, alongMm: 200, halfDrop, startMm: 10, startAlongMm: 150 })

/** Whether bands look the same on both sides of a place, looked at every quarter of a millimetre. */
function looksMirrored(bands: readonly Band[], axis: number): boolean {
  const repeat = bands.reduce((sum, b) => sum + b.widthMm, 0)
  const steps = Array.from({ length: repeat * 4 }, (_, i) => 0.125 + i / 4)
  return steps.every((d) => colourAt(bands, axis + d) === colourAt(bands, axis - d))
}

describe('what repeats, by hand', () => {
  it.each<[string, Cloth, number | null, number | null, number, number]>([
    ['plain', PLAIN, null, null, 0, 0],
    ['stripes along the roll', STRIPES, 38, null, 7, 0],
    ['stripes across it', BARS, null, 38, 0, 7],
    ['a check', CHECK, 38, 80, 3, 5],
    // Half a repeat before its middle: 10 − 70, 150 − 100.
    ['a motif', motif(false), 140, 200, 80, 50],
    // The second column is half a repeat lower: squarely it repeats every second. 10 − 140.
    ['a half-drop', motif(true), 280, 200, 150, 50],
  ])('%s', (_, of, across, along, startAcross, startAlong) => {
    expect([repeatOf(of, 'across'), repeatOf(of, 'along')]).toEqual([across, along])
    expect([patternStart(of, 'across'), patternStart(of, 'along')]).toEqual([startAcross, startAlong])
    for (const way of ['across', 'along'] as const) {
      const total = bandsOf(of, way).reduce((sum, b) => sum + b.widthMm, 0)
      expect(total).toBe(repeatOf(of, way) ?? 0)
      const all = wayOf(of, way)
      expect(all).toEqual(
        repeatOf(of, way) === null
          ? null
          : { repeat: repeatOf(of, way), bands: bandsOf(of, way), axes: axesOf(of, way) },
      )
    }
  })

  it('the middle of a band, and the colour at a place, over the ends of the repeat', () => {
    expect([0, 1, 2].map((i) => bandCentre(BANDS, i))).toEqual([11, 25, 33])
    const seen = [0, 21.9, 22, 27.9, 28, 37.9, 38, 60, -1, -11, -16.5].map((at) => colourAt(BANDS, at))
    // From the start: 22 of ivory, 6 of slate, 10 of ivory; 60 is 22 of the next, -11 is 27 of the one before.
    expect(seen.map((colour) => colour[0]).join('')).toBe('iissiiisisi')
  })

  it('plain cloth is not matched, any other on its first band', () => {
    expect(usualMatch(PLAIN)).toEqual({ kind: 'none' })
    for (const of of [STRIPES, CHECK, motif(true)])
      expect(usualMatch(of)).toEqual({ kind: 'matched', rule: { kind: 'band-on-centre', band: 0 } })
  })
})

describe('where a pattern mirrors itself', () => {
  const bands = fc.array(
    fc.tuple(fc.constantFrom('a', 'b', 'c'), fc.integer({ min: 1, max: 6 })).map(([c, w]) => band(c, w)),
    { minLength: 1, maxLength: 6 },
  )
  it('is wherever it looks the same on both sides, and nowhere else', () => {
    fc.assert(
      fc.property(bands, (list) => {
        fc.pre(new Set(list.map((b) => b.colour)).size > 1)
        const repeat = list.reduce((sum, b) => sum + b.widthMm, 0)
        const places = Array.from({ length: repeat * 2 }, (_, i) => i / 2)
        expect(mirrorAxes(list)).toEqual(places.filter((at) => looksMirrored(list, at)))
      }),
      { numRuns: 300 },
    )
  })
  it('of one colour it is told once', () => expect(mirrorAxes([band('a', 10), band('a', 4)])).toEqual([7]))
  it('a motif has a right way up', () => {
    expect(axesOf(motif(false), 'across')).toEqual([])
    expect(axesOf(CHECK, 'along')).toEqual([15, 55])
  })
})

describe('cloth that is washed first', () => {
  const shrink = { across: 0.1, along: 0.2 }
  const washedOf = (of: Cloth) => washed({ ...of, washFirst: true, shrink })

  it.each([
    ['stripes along', STRIPES],
    ['stripes across', BARS],
    ['check', CHECK],
    ['motif', motif(false)],
    ['half-drop', motif(true)],
  ])('%s: every place of it lies as much nearer', (_, of) => {
    const after = washedOf(of)
    for (const [way, left] of [
      ['across', 0.9],
      ['along', 0.8],
    ] as const) {
      if (repeatOf(of, way) === null) {
        expect(repeatOf(after, way)).toBeNull()
        continue
      }
      const colour = (c: Cloth, at: number) => colourAt(bandsOf(c, way), at - patternStart(c, way))
      for (let at = 0.3; at < 300; at += 1.7) expect(colour(after, at * left)).toBe(colour(of, at))
      expect(patternStart(after, way)).toBeCloseTo(patternStart(of, way) * left, 9)
    }
  })

  it('by hand: width, selvedges, flaws and what is in hand; then it shrinks no more', () => {
    const inHand = cloth(
      { kind: 'plain' },
      {
        widthMm: 1400,
        selvedgeMm: [10, 20],
        flaws: [{ xMm: 100, yMm: 200, widthMm: 50, lengthMm: 40 }],
        supply: { kind: 'length', lengthMm: 3000 },
      },
    )
    expect(washedOf(inHand)).toMatchObject({
      widthMm: 1260,
      selvedgeMm: [9, 18],
      flaws: [{ xMm: 90, yMm: 160, widthMm: 45, lengthMm: 32 }],
      supply: { kind: 'length', lengthMm: 2400 },
      shrink: { across: 0, along: 0 },
      washFirst: false,
    })
    const remnant = { ...inHand, supply: { kind: 'remnant' as const, outline: [[0, 0], [500, 0], [500, 800]] as [number, number][] } } // prettier-ignore
    expect(washedOf(remnant).supply).toEqual({ kind: 'remnant', outline: [[0, 0], [450, 0], [450, 640]] }) // prettier-ignore
    const bought = { ...inHand, supply: { kind: 'to-buy' as const } }
    expect(washedOf(bought).supply).toEqual({ kind: 'to-buy' })
    // Washed on the table, it needs no more for the wash.
    expect(washed(washedOf(inHand))).toEqual(washedOf(inHand))
  })

  it('any other stays as it was bought, and is cut larger by what washing will take', () => {
    const later = { ...STRIPES, washFirst: false, shrink }
    expect(washed(later)).toBe(later)
    expect(washed({ ...STRIPES, washFirst: true, shrink: { across: 0, along: 0 } }).widthMm).toBe(STRIPES.widthMm)
    expect([leftByWash(later, 'along'), cutLarger(later, 'along'), cutLarger(later, 'across')]).toEqual([
      1,
      1.25,
      1 / 0.9,
    ])
    const first = { washFirst: true, shrink }
    expect([leftByWash(first, 'across'), leftByWash(first, 'along'), cutLarger(first, 'along')]).toEqual([0.9, 0.8, 1])
    // 4 m on the table were 5 m on the roll.
    expect([beforeWash(first, 4000), beforeWash(later, 4000)]).toEqual([5000, 4000])
  })

  it('all cloths of a job, each by its own', () => {
    const choice = {
      cloth: { ...STRIPES, washFirst: true, shrink },
      others: { piping: { ...PLAIN, washFirst: true, shrink }, base: PLAIN },
    } as unknown as Parameters<typeof washedChoice>[0]
    const after = washedChoice(choice)
    expect(after.cloth.widthMm).toBeCloseTo(STRIPES.widthMm * 0.9, 9)
    expect(after.others.piping!.widthMm).toBeCloseTo(PLAIN.widthMm * 0.9, 9)
    expect(after.others.base).toBe(PLAIN)
  })
})
