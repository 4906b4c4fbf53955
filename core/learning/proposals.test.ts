import { describe, expect, it } from 'vitest'
import type { Learned } from '../../contract/index.ts'
import { MOST_RESERVE_MM } from '../cover/index.ts'
import { middleOfRight } from '../filling/index.ts'
import type { LengthUnit } from '../units/index.ts'
import { proposals, type Evidence, type FitEvidence } from './index.ts'

const TODAY = '2026-03-02'
const NONE: Evidence = { fits: [], times: [], cloths: [], trims: [] }
/** Five jobs, as few as may show a bias, that agree. */
const five = <T>(of: (ticket: string) => T): T[] => [1, 2, 3, 4, 5].map((i) => of(`J-${i}`))
const from = (evidence: Partial<Evidence>, learned: readonly Learned[] = [], lengths: LengthUnit = 'mm') =>
  proposals({ ...NONE, ...evidence }, learned, TODAY, lengths)

const fit = (ticket: string, change: Partial<FitEvidence> = {}): FitEvidence => ({
  ticket,
  cushion: '2',
  makeUp: 'boxed',
  clothId: 'moss-loop',
  cloth: 'Moss loop',
  foam: 'Fulmar 35/120',
  firmness: 'medium',
  planned: { widthMm: 1000, depthMm: 500, thicknessMm: 80 },
  measured: { widthMm: 1000, depthMm: 500, thicknessMm: null },
  verdict: 'unknown',
  sat: null,
  fitShare: null,
  ...change,
})

describe('sizes', () => {
  const sized = (widthMm: number | null, depthMm: number | null) =>
    from({ fits: five((t) => fit(t, { measured: { widthMm, depthMm, thicknessMm: null } })) })
  it('too large one way and too small the other are told and corrected each its own way', () => {
    const [found] = sized(1004, 496.5)
    expect(found!.says).toBe(
      'Boxed covers in Moss loop over Fulmar 35/120 finish 4 mm too large to the metre in width and 7 mm too small to the metre in depth: cut them 0.4 % smaller and 0.7 % larger.',
    )
    const { learned } = found!
    if (learned.kind !== 'size') throw new Error(learned.kind)
    expect([learned.widthShare, learned.depthShare].map((s) => Number(s.toFixed(6)))).toEqual([0.004, -0.007])
    expect(learned).toMatchObject({ makeUp: 'boxed', clothId: 'moss-loop', on: TODAY, says: found!.says })
    // The points are those of the way that is off the most.
    expect(found!.evidence).toHaveLength(5)
    expect(found!.evidence[0]).toMatchObject({ label: 'J-1, cushion 2', planned: 500, measured: 496.5 })
    expect(found!.evidence[0]!.value).toBeCloseTo(-0.007, 9)
  })
  it('too large both ways are corrected in one word', () =>
    expect(sized(1004, 503.5)[0]!.says).toMatch(/: cut them 0\.4 % and 0\.7 % smaller\.$/))
  it.each([
    [1002.1, 500, 1],
    [1001.9, 500, 0],
    [997.9, 500, 1],
    [998.1, 500, 0],
    [null, null, 0],
  ])('%s by %s: %d proposed, from two thousandths on', (w, d, count) => expect(sized(w, d)).toHaveLength(count))
  it('are corrected by a tenth at most', () => {
    const [found] = sized(1300, 300)
    expect(found!.learned).toMatchObject({ widthShare: 0.1, depthShare: -0.1 })
  })
  it('of another cloth, make-up or foam are told apart', () => {
    const off = { widthMm: 1010, depthMm: 500, thicknessMm: null }
    const fits = five((t) => fit(t, { measured: off })).map((f, i) => ({ ...f, foam: i < 2 ? 'Rook 80/350' : f.foam }))
    expect(from({ fits })).toEqual([])
  })
})

describe('times', () => {
  const timed = (factor: number) =>
    from({ times: five((ticket) => ({ ticket, work: 'zip' as const, plannedMin: 40, workedMin: 40 * factor })) })
  it('that are longer than planned', () => {
    const [found] = timed(1.25)
    expect(found!.says).toBe('Set in a zip or tape: it takes 1.25 times as long as planned.')
    expect(found!.learned).toMatchObject({ kind: 'rate', work: 'zip', on: TODAY })
    expect(found!.spread.median).toBeCloseTo(0.25, 9)
    expect(found!.evidence[4]).toMatchObject({ label: 'J-5', planned: 40, measured: 50 })
    expect(found!.evidence[4]!.value).toBeCloseTo(0.25, 9)
  })
  it.each([
    [1.09, 0],
    [1.11, 1],
    [0.91, 0],
    [0.89, 1],
    [9.9, 1],
    [10.1, 0],
    [0.11, 1],
    [0.09, 0],
  ])('%d times as long: %d proposed', (factor, count) => expect(timed(factor)).toHaveLength(count))
})

describe('cloth that is used', () => {
  const used = (factor: number) =>
    from({
      cloths: five((ticket) => ({ ticket, clothId: 'm', cloth: 'Moss loop', laidMm: 2000, usedMm: 2000 * factor })),
    })
  it('more than its lay, or less', () => {
    const [more, less] = [used(1.05)[0]!, used(0.9)[0]!]
    expect(more.says).toBe('Moss loop: 5 % more is used than its lay is long.')
    expect(less.says).toBe('Moss loop: 10 % less is used than its lay is long.')
    expect(more.learned).toMatchObject({ kind: 'waste', clothId: 'm', on: TODAY })
    expect([more, less].map((p) => Number(p.spread.median.toFixed(9)))).toEqual([0.05, -0.1])
    expect(less.evidence[0]).toMatchObject({ label: 'J-1', planned: 2000, measured: 1800 })
    expect(less.evidence[0]!.value).toBeCloseTo(-0.1, 9)
  })
  it.each([
    [1.019, 0],
    [1.021, 1],
    [0.981, 0],
    [0.979, 1],
    [2.9, 1],
    [3.1, 0],
    [0.51, 1],
    [0.49, 0],
  ])('%d times as much: %d proposed', (factor, count) => expect(used(factor)).toHaveLength(count))
})

describe('foam under sitters', () => {
  const sat = (factor: number, lengths: LengthUnit = 'mm') =>
    from(
      {
        fits: five((t) =>
          fit(t, { sat: { gradeId: 'g', grade: 'Gannet 36/180', factor, massKg: 75, plannedMm: 50, leftMm: 44 } }),
        ),
      },
      [],
      lengths,
    )
  it('that acts firmer or softer than its figures', () => {
    const [firmer, softer] = [sat(1.2)[0]!, sat(0.8, 'inch-8')[0]!]
    expect(firmer.says).toBe(
      'Gannet 36/180 acts 20 % firmer than its figures, by what was left under sitters: its forces in the catalogue times 1.2.',
    )
    expect(softer.says).toContain('acts 20 % softer')
    expect(firmer.learned).toMatchObject({ kind: 'firmness', gradeId: 'g', on: TODAY })
    expect(firmer.spread.median).toBeCloseTo(0.2, 9)
    expect(firmer.evidence[1]).toMatchObject({ label: 'J-2, cushion 2, 75 kg', planned: 50, measured: 44 })
    expect(firmer.evidence[1]!.value).toBeCloseTo(0.2, 9)
    // A pound is 0.45359237 kg.
    expect(softer.evidence[1]!.label).toBe('J-2, cushion 2, 165.35 lb')
  })
  it.each([
    [1.04, 0],
    [1.06, 1],
    [0.96, 0],
    [0.94, 1],
    [2.9, 1],
    [3.1, 0],
    [0.31, 1],
    [0.29, 0],
  ])('%d times as firm: %d proposed', (factor, count) => expect(sat(factor)).toHaveLength(count))
})

describe('what is left to trim', () => {
  const trimmed = (leftMm: number, trimmedMm: number, lengths: LengthUnit = 'mm') =>
    from(
      {
        trims: five((ticket) => ({
          ticket,
          makeUp: 'boxed',
          clothId: 'moss-loop',
          cloth: 'Moss loop',
          leftMm,
          trimmedMm,
        })),
      },
      [],
      lengths,
    )
  it('and is kept, in the units of the shop', () => {
    const [found] = trimmed(40, 30)
    expect(found!.says).toBe('Boxed covers in Moss loop keep 10 mm of what is left to trim: leave more than that.')
    expect(found!.learned).toMatchObject({ kind: 'reserve', makeUp: 'boxed', clothId: 'moss-loop', mm: 10, on: TODAY })
    expect(found!.evidence[2]).toEqual({ label: 'J-3', value: 0.25, planned: 40, measured: 10 })
    expect(trimmed(40, 30, 'inch-8')[0]!.says).toContain('keep 3/8 in of what')
  })
  it.each([
    [100, 91, 0],
    [100, 89, 1],
    [0, 0, 0],
    [4 * MOST_RESERVE_MM, 3 * MOST_RESERVE_MM, 1],
    [4 * MOST_RESERVE_MM, 3 * MOST_RESERVE_MM - 1, 0],
  ])('%d left and %d off: %d proposed', (left, off, count) => expect(trimmed(left, off)).toHaveLength(count))
})

describe('the window of a fit', () => {
  const middle = middleOfRight('medium')
  const judged = (shift: number, change: Partial<FitEvidence> = {}) =>
    from({ fits: five((t) => fit(t, { verdict: 'right', fitShare: middle + shift, ...change })) })
  it('moves to where covers were judged right', () => {
    const [found] = judged(0.01)
    const percent = (share: number) => String(Number((share * 100).toFixed(1)))
    expect(found!.says).toBe(
      `Medium foam: covers that were judged right squeeze it ${percent(middle + 0.01)} %; the window moves by 1 %.`,
    )
    expect(found!.learned).toMatchObject({ kind: 'fit-window', firmness: 'medium', on: TODAY })
    expect(found!.evidence[0]).toMatchObject({ label: 'J-1, cushion 2', planned: middle, measured: middle + 0.01 })
    expect(found!.evidence[0]!.value).toBeCloseTo(0.01, 9)
  })
  it('by a tenth at most', () => expect(judged(0.3)[0]!.learned).toMatchObject({ shiftShare: 0.1 }))
  it.each<[number, Partial<FitEvidence>, number]>([
    [0.0039, {}, 0],
    [0.0041, {}, 1],
    [-0.0041, {}, 1],
    [0.01, { verdict: 'loose' }, 0],
    [0.01, { firmness: null }, 0],
    [0.01, { fitShare: null }, 0],
  ])('off by %d, %o: %d proposed', (shift, change, count) => expect(judged(shift, change)).toHaveLength(count))
})

describe('what was accepted', () => {
  const evidence: Partial<Evidence> = {
    fits: [
      ...five((t) =>
        fit(t, {
          measured: { widthMm: 1010, depthMm: 500, thicknessMm: null },
          verdict: 'right',
          fitShare: middleOfRight('medium') + 0.01,
          sat: { gradeId: 'g', grade: 'Gannet', factor: 1.2, massKg: 75, plannedMm: 50, leftMm: 44 },
        }),
      ),
    ],
    times: five((ticket) => ({ ticket, work: 'zip' as const, plannedMin: 40, workedMin: 60 })),
    cloths: five((ticket) => ({ ticket, clothId: 'm', cloth: 'Moss loop', laidMm: 2000, usedMm: 2200 })),
    trims: five((ticket) => ({
      ...{ ticket, makeUp: 'boxed', clothId: 'moss-loop', cloth: 'Moss loop' },
      ...{ leftMm: 40, trimmedMm: 30 },
    })),
  }
  const all = from(evidence).map((p) => p.learned)
  it('is proposed no more, each by itself', () => {
    expect(all.map((l) => l.kind)).toEqual(['size', 'rate', 'waste', 'firmness', 'reserve', 'fit-window'])
    for (const learned of all)
      expect(from(evidence, [learned]).map((p) => p.learned.kind)).toEqual(
        all.map((l) => l.kind).filter((kind) => kind !== learned.kind),
      )
  })
  it.each<[Learned['kind'], object]>([
    ['size', { makeUp: 'capped' }],
    ['size', { clothId: 'other' }],
    ['reserve', { makeUp: 'capped' }],
    ['reserve', { clothId: 'other' }],
    ['rate', { work: 'plate' }],
    ['waste', { clothId: 'other' }],
    ['firmness', { gradeId: 'other' }],
    ['fit-window', { firmness: 'soft' }],
  ])('of another: a %s of %o is proposed all the same', (kind, change) => {
    const other = { ...all.find((l) => l.kind === kind)!, ...change } as Learned
    expect(from(evidence, [other])).toHaveLength(all.length)
  })
})
