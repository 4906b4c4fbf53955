import { describe, expect, it } from 'vitest'
import { readJob, type Cloth, type Job, type PartJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_TRIMS, demoJobs } from '../demo/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { usualMakeUp } from '../cover/index.ts'
import { jobOf, newSeat, USUAL_PIPING } from '../job/index.ts'
import { acceptLay } from '../lay/index.ts'
import { ratesOf } from '../making/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { worked } from '../testing/jobs.ts'
import { onAMetre } from '../testing/on-a-metre.ts'
import { problemKey, savedMoney, splitToLay, withSplits, type SplitLay } from './index.ts'

const calico = DEMO_CLOTHS.find((c) => c.id === 'house-calico')!
/** One cushion, piped top and bottom with strips of 40 cut across, its cloth bought by the 10 mm. */
const part = onAMetre(
  1,
  { construction: { kind: 'boxed', boxing: 'wrap' }, piping: { ...USUAL_PIPING, cut: 'across' } },
  { buyingStepMm: 10 },
)
const plain = part.cloth.cloth
const job = jobOf(part)
const prices = { rates: ratesOf(USUAL_WORKSHOP), shelf: DEMO_TRIMS, hourRate: USUAL_WORKSHOP.charges.hourRate }
const { cut: _, stripMm: _s, ...cord } = { ...USUAL_PIPING, cut: 'across' as const }
const readyMade = { ...cord, kind: 'ready-made' as const }
/** The same work at every run: no clock. */
const counted = (most: number) => {
  let asked = 0
  return () => asked++ / most
}
const planned = (of: Job): WorkedPlan => {
  const plan = planJob(of)
  if (plan.kind !== 'worked') throw new Error('cannot be worked')
  return plan
}
const own = (of: Job, clothId: string) => planned(of).cloth.lays.find((l) => l.cloth.id === clothId)!
function split(of: Job, clothId: string, laidMm: number, hourRate = 0): SplitLay | null {
  const laid = new Map([[problemKey(own(of, clothId).problem), laidMm]])
  return splitToLay({ job: of, clothId, prices: { ...prices, hourRate }, laid, spent: counted(60) })
}
const pieces = (of: Job, clothId: string) => own(of, clothId).pieces.filter((p) => p.of === null)
const longest = (outline: readonly { x: number; y: number }[]) => Math.max(...outline.map((p) => p.x))

/** Both loops as the first test finds them. */
const splits = { A: { kind: 'to-the-lay' as const, runs: [{ of: 'piping', count: 2, lengthsMm: [1000, 1000, 340] }] } }

describe('piping cut to the lay', () => {
  it('by hand: loops of 2260 on 1000 are even strips of 780 in rows of their own, or 1000, 1000 and 340 beside the plates', () => {
    expect(pieces(job, 'plain').map((p) => [p.qty, longest(p.cut)])).toEqual([[6, 780]])
    // The boxing goes round once and twice across: too long is what is laid now, so that anything saves.
    const found = split(job, 'plain', 3000, 1000)!
    const after = withSplits(job, found.splits)
    expect(found.splits['A']).toEqual({
      kind: 'to-the-lay',
      runs: [{ of: 'piping', count: 2, lengthsMm: [1000, 1000, 340] }],
    })
    expect(pieces(after, 'plain').map((p) => [p.qty, longest(p.cut), p.name])).toEqual([
      [4, 1000, 'Piping strip, strip 1, 2 of 3 to loops 1 to 2'],
      [2, 340, 'Piping strip, strip 3 of 3 to loops 1 to 2'],
    ])
    expect(found.strips).toEqual({ now: 6, before: 6 })
  })

  it('the lay is sound for the ticket so split, and its key is that of its pieces', () => {
    const found = split(job, 'plain', 3000)!
    const after = own(withSplits(job, found.splits), 'plain')
    expect(acceptLay(after.problem, found.lay)).toEqual([])
    expect(found.key).toBe(problemKey(after.problem))
    // It is sent from a worker.
    expect(structuredClone(found)).toEqual(found)
  })

  it('minutes are free: more joins and less cloth than where an hour costs much', () => {
    const [free, dear] = [split(job, 'plain', 3000)!, split(job, 'plain', 3000, 1000)!]
    expect(free.strips.now).toBeGreaterThan(dear.strips.now)
    expect(free.lay.length).toBeLessThan(dear.lay.length)
    for (const found of [free, dear]) {
      // Bought by the 10 mm at 20 a metre, beside 3 m as it lies now; a strip more is cut, labelled and joined.
      const bought = Math.ceil(found.lay.length / 10 - 1e-9) * 10
      expect(found.costs.money).toBeCloseTo(((bought - 3000) / 1000) * 20, 6)
    }
    expect(savedMoney(dear.costs, 1000)).toBeGreaterThanOrEqual(savedMoney(free.costs, 1000)!)
  })

  it('SL-01, on the bias: every loop is made up, joins less 34 each, and the lay is sound', () => {
    const ticket = demoJobs().find((j) => j.ticket === 'SL-01')!
    const cloth = planned(ticket).cloth.lays[0]!.cloth.id
    const found = split(ticket, cloth, 9000, USUAL_WORKSHOP.charges.hourRate)!
    const after = withSplits(ticket, found.splits)
    expect(acceptLay(own(after, cloth).problem, found.lay)).toEqual([])
    const runs = planned(after).cloth.strips.flat()
    expect(runs.reduce((sum, r) => sum + r.runs.count, 0)).toBe(10)
    for (const { split: of, group } of runs) {
      const sewn = of.lengths.reduce((sum, l) => sum + l.value, 0) - (of.lengths.length - 1) * 2 * Math.SQRT2 * 12
      expect(sewn).toBeCloseTo(group.length.value, 6)
      expect(of.joinsMm).toHaveLength(of.lengths.length)
      expect(of.clearMm).toBeGreaterThan(59)
    }
  })

  it('round a flaw of the cloth, and longer than the cloth is wide where strips may lie along it', () => {
    const flaws = [0, 1, 2, 3].map((i) => ({ xMm: 700, yMm: 100 + 400 * i, widthMm: 60, lengthMm: 20 }))
    const flawed = jobOf({ ...part, cloth: { ...part.cloth, cloth: { ...plain, flaws } } })
    const found = split(flawed, 'plain', 3000)!
    expect(acceptLay(own(withSplits(flawed, found.splits), 'plain').problem, found.lay)).toEqual([])
    const twoWay = jobOf({ ...part, cloth: { ...part.cloth, cloth: { ...plain, nap: 'two-way' } } })
    const turned = split(twoWay, 'plain', 3000, 1000)!
    expect(Math.max(...pieces(withSplits(twoWay, turned.splits), 'plain').map((p) => longest(p.cut)))).toBeGreaterThan(
      1000,
    )
    expect(turned.strips.now).toBeLessThan(6)
  })

  it('no run in more strips than a ticket holds, however little a join costs', () => {
    const long = jobOf({
      ...part,
      seat: { ...newSeat('singles', 5200, 230, 80, 2), clearanceMm: 0 },
      makeUp: { ...usualMakeUp('knife-edge'), piping: { ...USUAL_PIPING, cut: 'across' } },
      cloth: { ...part.cloth, direction: 'railroaded' },
    })
    const found = split(long, 'plain', 20_000)!
    const kept = readJob(withSplits(long, found.splits))
    expect(kept.ok ? [] : kept.faults).toEqual([])
    const strips = planned(withSplits(long, found.splits)).cloth.strips.flat()
    expect(Math.max(...strips.map((s) => s.split.lengths.length))).toBeGreaterThan(10)
  })

  it('of a set the parts that are piped from the cloth, each its own runs; what is piped from another stays even', () => {
    const [first] = job.parts
    const seat = (w: number, n: number) => ({ ...newSeat('singles', w, 420, 80, n), clearanceMm: 0 })
    const set: Job = {
      ...job,
      parts: [
        first!,
        { ...first!, letter: 'B', name: 'Backs', seat: seat(500, 2) },
        {
          ...first!,
          letter: 'C',
          name: 'Ends',
          seat: seat(400, 1),
          cloth: { ...first!.cloth, own: { piping: calico } },
        },
      ],
    }
    const found = split(set, 'plain', 5000)!
    expect(Object.keys(found.splits)).toEqual(['A', 'B'])
    const after = withSplits(set, found.splits)
    expect(acceptLay(own(after, 'plain').problem, found.lay)).toEqual([])
    expect(after.parts.map((p) => p.cloth.strips.kind)).toEqual(['to-the-lay', 'to-the-lay', 'even'])
    // Two loops of 2200 + 60; four of 1840 + 60; of each, strips less 40 for a join.
    const sewn = Object.entries(found.splits).map(([letter, own]) =>
      own.kind === 'even'
        ? []
        : own.runs.flatMap((r) =>
            Array.from({ length: r.count }, () => [
              letter,
              Math.round(r.lengthsMm.reduce((sum, mm) => sum + mm, 0) - (r.lengthsMm.length - 1) * 40),
            ]),
          ),
    )
    expect(sewn).toEqual([Array.from({ length: 2 }, () => ['A', 2260]), Array.from({ length: 4 }, () => ['B', 1900])])
  })

  it('a set of which one part is split and another is even is split anew as a whole', () => {
    const set: Job = {
      ...job,
      parts: [
        job.parts[0]!,
        {
          ...job.parts[0]!,
          letter: 'B',
          name: 'Backs',
          seat: { ...newSeat('singles', 500, 420, 80, 2), clearanceMm: 0 },
        },
      ],
    }
    const of = planned(set).cloth.strips[0]![0]!.of
    const half = withSplits(set, { A: { kind: 'to-the-lay', runs: [{ ...splits.A.runs[0]!, of }] } })
    expect(planned(half).cloth.strips.map(([s]) => s!.id === s!.of)).toEqual([false, true])
    const found = split(half, 'plain', 5000)!
    expect(Object.keys(found.splits)).toEqual(['A', 'B'])
    expect(acceptLay(own(withSplits(half, found.splits), 'plain').problem, found.lay)).toEqual([])
  })

  it('nothing is split where nothing is piped from the cloth, where it is ready-made or folded', () => {
    const none = jobOf({ ...part, makeUp: { ...part.makeUp, piping: { kind: 'none' } } })
    expect(split(none, 'plain', 3000)).toBeNull()
    const bought = jobOf({ ...part, makeUp: { ...part.makeUp, piping: readyMade } })
    expect(split(bought, 'plain', 3000)).toBeNull()
    const twoWay = jobOf({ ...part, cloth: { ...part.cloth, cloth: { ...plain, nap: 'two-way' } } })
    expect(split(twoWay, 'plain', 3000)).not.toBeNull()
    expect(own({ ...twoWay, folded: ['plain'] }, 'plain').isFolded).toBe(true)
    expect(split({ ...twoWay, folded: ['plain'] }, 'plain', 3000)).toBeNull()
  })

  it('on a remnant with a notch, and beside a slit: strips keep to the cloth that is there', () => {
    const outline: [number, number][] = [
      [0, 0],
      [1020, 0],
      [1020, 700],
      [700, 700],
      [700, 1200],
      [1020, 1200],
      [1020, 1900],
      [0, 1900],
    ]
    const remnant: Cloth = { ...plain, supply: { kind: 'remnant', outline } }
    // The 376 beside the plates are 186 and 190 then: no strip of 340 lies there.
    const slit: Cloth = { ...plain, flaws: [{ xMm: 820, yMm: 40, widthMm: 0, lengthMm: 1300 }] }
    for (const cloth of [remnant, slit]) {
      const of = jobOf({ ...part, cloth: { ...part.cloth, cloth } })
      const found = split(of, 'plain', 3000, 1000)!
      expect(acceptLay(own(withSplits(of, found.splits), 'plain').problem, found.lay)).toEqual([])
      // On whole cloth both loops are 1000, 1000 and 340; here there is no room for the second 340.
      expect(found.splits['A']).toMatchObject({ runs: [{ count: 1, lengthsMm: [1000, 1000, 340] }, { count: 1 }] })
    }
  })

  it('on a length in hand it takes joins that the length asks for, and says where not even the plates go on it', () => {
    const inHand = (lengthMm: number) => {
      const two = onAMetre(2, part.makeUp, { supply: { kind: 'length', lengthMm } })
      return split(jobOf(two), 'plain', 3000, USUAL_WORKSHOP.charges.hourRate)
    }
    // Beside twelve strips the lay is 2920 at its shortest: two strips more find room in what the plates leave.
    expect(inHand(2900)!.strips).toEqual({ now: 14, before: 12 })
    expect(inHand(2900)!.lay.length).toBeLessThanOrEqual(2900)
    expect(inHand(900)).toBeNull()
  })
})

describe('a split that was found for other pieces', () => {
  const splits = {
    A: { kind: 'to-the-lay' as const, runs: [{ of: 'piping', count: 2, lengthsMm: [1000, 1000, 340] }] },
  }
  const cutOf = (of: PartJob) => pieces(withSplits(jobOf(of), splits), of.cloth.cloth.id).map((p) => p.qty)

  it('gives way to even strips: another size, another number, narrower cloth, another cord', () => {
    expect(cutOf(part)).toEqual([4, 2])
    expect(cutOf({ ...part, seat: { ...part.seat, ...newSeat('singles', 610, 500, 80, 1), clearanceMm: 0 } })).toEqual([
      6,
    ])
    expect(cutOf({ ...part, seat: { ...newSeat('singles', 600, 500, 80, 2), clearanceMm: 0 } })).toEqual([12])
    expect(cutOf({ ...part, cloth: { ...part.cloth, cloth: { ...plain, widthMm: 1010 } } })).toEqual([6])
    expect(
      cutOf({ ...part, makeUp: { ...part.makeUp, piping: { ...USUAL_PIPING, cut: 'across', cordMm: 8 } } }),
    ).toEqual([6])
  })

  it('in the cut list each strip says to which loops it goes', () => {
    const list = worked({ ...part, cloth: { ...part.cloth, strips: splits.A } }).cutList.filter((l) =>
      l.what.startsWith('Piping'),
    )
    expect(list.map((l) => [l.count, l.width.value, l.note])).toEqual([
      [4, 1000, 'strip 1, 2 of 3 to loops 1 to 2'],
      [2, 340, 'strip 3 of 3 to loops 1 to 2'],
    ])
  })
})
