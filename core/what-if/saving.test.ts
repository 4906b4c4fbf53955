import { describe, expect, it } from 'vitest'
import type { Cloth, Lay, LayProblem } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_TRIMS, keepersBenchPart } from '../demo/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { jobOf, partJob, USUAL_PIPING } from '../job/index.ts'
import { acceptLay, neverAbreast, solveLay } from '../lay/index.ts'
import { ratesOf } from '../making/index.ts'
import { worked } from '../testing/jobs.ts'
import { onAMetre } from '../testing/on-a-metre.ts'
import { problemKey, savedMoney, SAVINGS, trySaving, withSaved, withSaving, type Saving } from './index.ts'

const calico = DEMO_CLOTHS.find((c) => c.id === 'house-calico')!
const prices = { rates: ratesOf(USUAL_WORKSHOP), shelf: DEMO_TRIMS, hourRate: USUAL_WORKSHOP.charges.hourRate }
const after = (n: number) => {
  let asked = 0
  return () => asked++ / n
}

/** Two unpiped cushions, their cloth bought by the 100 mm. */
const part = onAMetre(2, { piping: { kind: 'none' } }, { buyingStepMm: 100 })
const plain = part.cloth.cloth
const job = jobOf(part)
const own = worked(part).cloth.lays[0]!
/** What the table holds now, by a tape on it. */
const LAID_MM = 4000
const laid = new Map([[problemKey(own.problem), LAID_MM]])
const tried = (saving: Saving) =>
  trySaving({ job, cloths: { cloth: plain, hidden: calico }, saving, prices, laid, lay: null, spent: after(30) })
/** Bought by the step, in money. */
const bought = (mm: number, perMetre = 20) => (Math.ceil(mm / 100 - 1e-9) / 10) * perMetre

describe('what would make a lay shorter', () => {
  it('the cloth the other way: what is bought less is what is saved, and no minute more', () => {
    const saved = tried('other-direction')!
    // Four plates alone cover 1200 of a cloth 1000 wide.
    expect(saved.laidMm).toBeGreaterThan(1200)
    expect(saved.costs!.money).toBeCloseTo(bought(saved.laidMm!) - bought(LAID_MM), 6)
    expect(saved.costs!.minutes).toBeCloseTo(0, 6)
  })

  it('a wider cloth is the next that is sold, at the price of its area', () => {
    const saved = tried('wider-cloth')!
    expect(saved.widthMm).toBe(1120)
    expect(saved.costs!.money).toBeCloseTo(bought(saved.laidMm!, (20 * 1120) / 1020) - bought(LAID_MM), 6)
    const widest = { ...plain, widthMm: 1520 }
    const on = jobOf({ ...part, cloth: { ...part.cloth, cloth: widest } })
    expect(withSaving(on, { cloth: widest, hidden: calico }, 'wider-cloth')).toBeNull()
  })

  it('what does not apply is left out, and what changes no piece too', () => {
    expect(tried('unmatched')).toBeNull()
    expect(tried('strips-to-the-lay')).toBeNull()
    expect(tried('joined-wrap')).toBeNull()
  })

  it('what is hidden in another cloth: both cloths are bought, and the joins of two cutting tables take longer', () => {
    const saved = tried('hidden-in-another')!
    expect(saved.laidMm!).toBeLessThan(LAID_MM)
    const cheaper = bought(LAID_MM) - bought(saved.laidMm!)
    // Calico is bought besides, so that less than that is saved.
    expect(saved.costs!.money!).toBeGreaterThan(-cheaper)
    expect(saved.costs!.minutes).toBeGreaterThan(0)
  })

  it('unmatched is never longer than what lies on the table, which may lie so still; wider cloth neither', () => {
    const striped = keepersBenchPart()
    const ticket = jobOf(striped)
    const { problem, cloth } = worked(striped).cloth.lays[0]!
    const best = solveLay(problem, { seed: 1, budget: { steps: 4000, isStopped: () => false } })
    if (!best.ok) throw new Error(best.error.code)
    const lay = { ...best.value.lay, seconds: 1 }
    const found = (saving: Saving, from: Lay | null) =>
      trySaving({
        job: ticket,
        cloths: { cloth, hidden: calico },
        saving,
        prices,
        laid: new Map([[problemKey(problem), lay.length]]),
        lay: from,
        // No time but for a first lay.
        spent: () => 1,
      })!.laidMm!
    for (const saving of ['unmatched', 'wider-cloth'] as const) {
      expect(found(saving, null)).toBeGreaterThan(lay.length)
      expect(found(saving, lay)).toBeLessThanOrEqual(lay.length)
    }
  })

  it('a change that does not go on the cloth says so', () => {
    const narrow: Cloth = { ...plain, widthMm: 700 }
    const wide = jobOf({ ...part, cloth: { ...part.cloth, cloth: narrow, direction: 'railroaded' } })
    const saved = trySaving({
      job: wide,
      cloths: { cloth: narrow, hidden: calico },
      saving: 'other-direction',
      prices,
      laid: new Map(),
      lay: null,
      spent: after(5),
    })
    expect(saved).toMatchObject({ laidMm: null, costs: null })
  })

  it('strips as the lay has room for them come with their lay, by hand two of 1000 and one of 340 to a loop', () => {
    const piping = { ...USUAL_PIPING, cut: 'across' as const }
    const piped = onAMetre(1, { construction: { kind: 'boxed', boxing: 'wrap' }, piping }, { buyingStepMm: 100 })
    const ticket = jobOf(piped)
    const cloths = { cloth: piped.cloth.cloth, hidden: calico }
    const asked = {
      cloths,
      saving: 'strips-to-the-lay' as const,
      prices: { ...prices, hourRate: 1000 },
      laid: new Map(),
      lay: null,
    }
    const saved = trySaving({ ...asked, job: ticket, spent: after(60) })!
    const taken = withSaved(ticket, cloths, saved)
    expect(taken.parts[0]!.cloth.strips).toMatchObject({ runs: [{ count: 2, lengthsMm: [1000, 1000, 340] }] })
    expect(taken.lays['plain']!.lay.length).toBe(saved.laidMm)
    const now = worked(partJob(taken, 'A')).cloth.lays[0]!.problem
    expect(acceptLay(now, taken.lays['plain']!.lay)).toEqual([])
    expect(trySaving({ ...asked, job: taken, spent: after(60) })).toBeNull()
  })

  it('the job itself is never changed by trying', () => {
    const before = JSON.stringify(job)
    for (const saving of SAVINGS) withSaving(job, { cloth: plain, hidden: calico }, saving)
    expect(JSON.stringify(job)).toBe(before)
  })
})

describe('pieces that never lie beside each other', () => {
  const box = (id: string, qty: number, w: number, h: number, turns = [0]) => ({
    ...own.problem.pieces[0]!,
    id,
    qty,
    match: null,
    turns,
    outline: [
      [0, 0],
      [w, 0],
      [w, h],
      [0, h],
    ] as [number, number][],
  })
  const slanted = (reach: number, width: number): [number, number][] => [
    [0, 0],
    [width, 0],
    [reach + width, reach],
    [reach, reach],
  ]
  const cornersCut = (w: number, h: number, by: number): [number, number][] => [
    [by, 0],
    [w - by, 0],
    [w, by],
    [w, h - by],
    [w - by, h],
    [by, h],
    [0, h - by],
    [0, by],
  ]
  const problem: LayProblem = {
    ...own.problem,
    gap: 10,
    cloth: { ...own.problem.cloth, width: 1000, selvedge: [0, 0] },
    pieces: [
      box('wide', 2, 600, 300),
      // On end it is narrow enough to stand beside another.
      box('turned', 3, 700, 400, [0, 90]),
      // Two of 495 and a gap of 10 are 1000.
      box('half', 4, 495, 100),
      box('past-half', 1, 496, 120),
      // Its box is 740 wide; a line across it meets 40 at most, so that many lie beside each other.
      { ...box('bias', 5, 1, 1), outline: slanted(700, 40) },
      // Wider than 495 but for 8 at either end, where its corners are cut off: 84 of 100.
      { ...box('pointed', 1, 1, 1), outline: cornersCut(511, 100, 16) },
      // And but for 4: 92 of 100.
      { ...box('cut', 1, 1, 1), outline: cornersCut(511, 100, 12) },
    ],
  }
  it('are wider than half of the cloth and the gap in every turn; their lengths add up', () => {
    expect(neverAbreast(problem)).toEqual({
      pieces: [
        { id: 'wide', qty: 2 },
        { id: 'past-half', qty: 1 },
        { id: 'cut', qty: 1 },
      ],
      lengthMm: expect.closeTo(300 + 300 + 120 + 92 + 3 * 10, 0),
    })
  })
})

it('what a change saves is cloth and trims, less its minutes at the price of an hour', () => {
  expect(savedMoney({ money: -12.5, minutes: 6 }, 40)).toBeCloseTo(8.5, 9)
  expect(savedMoney({ money: -12.5, minutes: 30 }, 40)).toBeCloseTo(-7.5, 9)
  expect(savedMoney({ money: 3, minutes: -90 }, 20)).toBeCloseTo(27, 9)
  expect(savedMoney({ money: null, minutes: 6 }, 40)).toBeNull()
})
