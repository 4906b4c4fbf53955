import { describe, expect, it } from 'vitest'
import type { LayProblem } from '../../contract/index.ts'
import { Job, readJob, type Cloth, type PartJob } from '../../contract/index.ts'
import { acceptLay, solveLay } from '../lay/index.ts'
import { jobOf, newSeat, USUAL_PIPING, partJob, startPart, withPart } from '../job/index.ts'
import { DEMO_CLOTHS, DEMO_TRIMS, demoParts, keepersBenchPart } from '../demo/index.ts'
import { worked } from '../testing/jobs.ts'
import { usualMakeUp } from '../cover/index.ts'
import { shortfallWords } from '../cloth/index.ts'
import { planJob } from '../plan/index.ts'
import { ratesOf } from '../making/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { buyingList } from '../lists/index.ts'
import {
  clothCost,
  inHandOf,
  layChoices,
  problemKey,
  rescued,
  RESCUES,
  shortfallOf,
  tryRescue,
  withRescue,
  type Rescue,
} from './index.ts'
import { onAMetre } from '../testing/on-a-metre.ts'

const calico = DEMO_CLOTHS.find((c) => c.id === 'house-calico')!
const once = () => false
const lengthOf = (problem: LayProblem) => {
  const solved = solveLay(problem, { seed: 1, budget: { steps: 20, isStopped: once } })
  if (!solved.ok) throw new Error(solved.error.code)
  expect(acceptLay(problem, { ...solved.value.lay, seconds: 0 })).toEqual([])
  return solved.value.lay.length
}

describe('will it fit this remnant?', () => {
  const job = demoParts().find((j) => j.ticket === 'SL-07')!
  const remnant = (lengthMm: number, more: Partial<Cloth> = {}): Cloth => ({
    ...calico,
    id: 'piece',
    widthMm: 1180,
    selvedgeMm: [0, 0],
    supply: { kind: 'length', lengthMm },
    ...more,
  })
  const steps = (n: number) => {
    let asked = 0
    return () => asked++ / n
  }
  const prices = { rates: ratesOf(USUAL_WORKSHOP), shelf: DEMO_TRIMS, hourRate: USUAL_WORKSHOP.charges.hourRate }
  const tryOn = (part: PartJob, cloth: Cloth, rescue: readonly Rescue[], n: number) =>
    tryRescue(jobOf(part), { cloth, hidden: calico }, rescue, prices, steps(n))

  it('yes, with the lay, where there is enough', () => {
    const attempt = tryOn(job, remnant(6000), ['as-it-is'], 40)!
    expect(attempt.missing).toEqual([])
    expect(acceptLay(attempt.problem, { ...attempt.found!.lay, seconds: 0 })).toEqual([])
  })

  it('the remnant of check is far too small for twelve kneelers: what is missing shrinks as more is given up, and is told by piece', () => {
    const kelp = DEMO_CLOTHS.find((c) => c.id === 'kelp-check')!
    const attempts = RESCUES.flatMap((r) => tryOn(job, kelp, r, 20) ?? [])
    expect(attempts.length).toBeGreaterThan(5)
    expect(attempts.every((a) => a.found === null)).toBe(true)
    const missing = (r: string) => attempts.find((a) => a.rescue.join() === r)!
    expect(missing('hidden-in-another').missingMm2).toBeLessThan(missing('as-it-is').missingMm2)
    expect(missing('hidden-in-another').missing.some((name) => name === 'Bottom plate')).toBe(false)
  })

  it('a remnant that holds the tops and boxing alone is saved by another cloth for what is hidden', () => {
    const whole = lengthOf(
      worked({ ...job, cloth: { ...job.cloth, cloth: remnant(9000), match: { kind: 'none' } } }).cloth.lays[0]!.problem,
    )
    const tried = (rescue: readonly (typeof RESCUES)[number][number][]) =>
      tryOn(job, remnant(whole * 0.85), rescue, 60)!
    expect(tried(['as-it-is']).found).toBeNull()
    expect(tried(['hidden-in-another']).found).not.toBeNull()
  })

  it('a narrower allowance is no rescue where it is as narrow already', () =>
    expect(
      tryOn(
        { ...job, allowances: { ...job.allowances, overrides: { seamMm: 8 } } },
        remnant(3000),
        ['narrow-allowance'],
        5,
      ),
    ).toBeNull())

  it('what does not fit with even strips may fit with strips as the lay has room for them; taken, it is that lay', () => {
    const piped = onAMetre(1, {
      construction: { kind: 'boxed', boxing: 'wrap' },
      piping: { ...USUAL_PIPING, cut: 'across' },
    })
    const { cloth } = piped.cloth
    // The panels take 1300; six even strips of 780 six rows of 40, strips of 1000 and 340 beside the plates four.
    const inHand: Cloth = { ...cloth, supply: { kind: 'length', lengthMm: 1300 + 5 * 40 } }
    const cloths = { cloth: inHand, hidden: calico }
    const job = jobOf({ ...piped, cloth: { ...piped.cloth, cloth: inHand } })
    const tried = (rescue: Rescue) => tryRescue(job, cloths, [rescue], prices, steps(60))
    expect(tried('as-it-is')!.found).toBeNull()
    const attempt = tried('strips-to-the-lay')!
    const taken = withRescue(job, cloths, attempt)
    expect(readJob(taken).ok).toBe(true)
    const plan = planJob(taken)
    if (plan.kind !== 'worked') throw new Error('unworkable')
    const [own] = plan.cloth.lays
    expect(taken.lays['plain']!.problemKey).toBe(problemKey(own!.problem))
    expect(acceptLay(own!.problem, taken.lays['plain']!.lay)).toEqual([])
    expect(attempt.costs!.money).toBeCloseTo(0, 6)
  })
  it('no strips are cut to the lay where nothing is piped, and folded cloth that is enough needs no way', () => {
    const piped = onAMetre(1, { piping: { ...USUAL_PIPING, cut: 'across' } }, { nap: 'two-way' })
    const cloths = { cloth: piped.cloth.cloth, hidden: calico }
    const plain = { ...piped, makeUp: { ...piped.makeUp, piping: { kind: 'none' as const } } }
    expect(tryRescue(jobOf(plain), cloths, ['strips-to-the-lay'], prices, steps(9))).toBeNull()
    const folded = { ...jobOf(piped), folded: ['plain'] }
    expect(tryRescue(folded, cloths, ['strips-to-the-lay'], prices, steps(9))).toBeNull()
  })

  it('what fits is a ticket that can be kept: planned again it has the lay that was found, and is priced', () => {
    const part = keepersBenchPart()
    const cloth = remnant(4200, { widthMm: 1400 })
    const attempt = tryOn(part, cloth, ['hidden-in-another'], 40)!
    const changed = rescued(jobOf(part), { cloth, hidden: { ...calico, pricePerMetre: 10 } }, ['hidden-in-another'])!
    expect(Job.safeParse(changed).success).toBe(true)
    expect([changed.cloth.cloth.id, changed.cloth.others['second-face']?.id]).toEqual(['piece', 'house-calico'])
    const plan = planJob(changed)
    if (plan.kind !== 'worked') throw new Error('unworkable')
    const lay = plan.cloth.lays.find((l) => l.cloth.id === 'piece')!
    expect(acceptLay(lay.problem, { ...attempt.found!.lay, seconds: 0 })).toEqual([])
    // Beside the same cloth in hand alone, the calico for what is hidden is all that is bought more.
    const other = plan.cloth.lays.find((l) => l.cloth.id !== 'piece')!
    const more = clothCost(calico, lengthOf(other.problem)).cost
    expect(attempt.costs!.money).toBeGreaterThanOrEqual(more - 0.01)
    expect(attempt.costs!.money).toBeLessThan(1.25 * more + 1)
    expect(attempt.costs!.minutes).toBeGreaterThanOrEqual(0)
  })

  it('a wrap 1210 x 890 on 1000 of one-way cloth: too wide as it is, joined it lies, at the price of its join', () => {
    const bench = keepersBenchPart()
    const wrap: PartJob = {
      ...bench,
      seat: { ...newSeat('singles', 1210, 365, 80, 1), clearanceMm: 0 },
      makeUp: usualMakeUp('wrapped-tube'),
      cloth: { ...bench.cloth, cloth: remnant(4000, { widthMm: 1000, nap: 'one-way' }), match: { kind: 'none' } },
    }
    const cloth = wrap.cloth.cloth
    expect(tryOn(wrap, cloth, ['as-it-is'], 5)!.found).toBeNull()
    const joined = tryOn(wrap, cloth, ['joined-wide'], 30)!
    const pieces = joined.problem.pieces.filter((p) => p.id.includes('body'))
    const widths = pieces.map((p) => Math.max(...p.outline.map((q) => q[0])) - Math.min(...p.outline.map((q) => q[0])))
    // 1210 in two, and an allowance at all four ends.
    expect(pieces).toHaveLength(2)
    expect(widths.reduce((a, b) => a + b)).toBeCloseTo(1210 + 4 * 12, 3)
    expect(joined.found).not.toBeNull()
    expect(joined.costs!.minutes).toBeGreaterThan(0)
    // The wrap of the usual hook and loop is as long round as its girth and lap.
    const deep = pieces.map((p) => Math.max(...p.outline.map((q) => q[1])) - Math.min(...p.outline.map((q) => q[1])))
    expect(deep[0]).toBeGreaterThan(890)
    expect(deep[0]).toBe(deep[1])
  })

  it('what is wider than the cloth is joined in as few pieces as it gives: 1952 is two of 976 and 24 on 1000', () => {
    const bench = keepersBenchPart()
    const cloth = remnant(9000, { widthMm: 1000, nap: 'one-way' })
    const wrap = (width: number): PartJob => ({
      ...bench,
      seat: { ...newSeat('singles', width, 365, 80, 1), clearanceMm: 0 },
      makeUp: { ...usualMakeUp('wrapped-tube'), closure: { kind: 'sewn-shut', side: 'back', openingMm: width } },
      cloth: { ...bench.cloth, cloth, match: { kind: 'none' } },
    })
    const pieces = (width: number) =>
      rescued(jobOf(wrap(width)), { cloth, hidden: calico }, ['joined-wide'])!.parts[0]!.makeUp.joins.map((j) =>
        j.places.kind === 'at' ? j.places.placesMm.length + 1 : j.places.pieces,
      )
    expect(pieces(1952)).toEqual([2])
    expect(pieces(1953)).toEqual([3])
  })

  it('too short as it is, it says how much, how many cushions it gives, and the other way', () => {
    const bench = keepersBenchPart()
    const short = { ...bench, cloth: { ...bench.cloth, match: { kind: 'none' as const }, cloth: remnant(1500) } }
    const attempt = tryOn(short, short.cloth.cloth, ['as-it-is'], 5)!
    expect(attempt.shortfall).toMatchObject({ of: 3 })
    expect(attempt.shortfall!.shortMm).toBeGreaterThan(0)
  })

  it('every way on every demo ticket is null or a sound ticket with a problem of its own', () => {
    for (const part of demoParts())
      for (const rescue of RESCUES) {
        const changed = rescued(jobOf(part), { cloth: remnant(2500), hidden: calico }, rescue)
        if (!changed) continue
        expect(Job.safeParse(changed).error?.issues ?? [], `${part.ticket} ${rescue.join()}`).toEqual([])
        const plan = planJob(changed)
        if (plan.kind !== 'worked') continue
        for (const d of plan.designs) expect(d.checks.flatMap((c) => c.faults)).toEqual([])
        expect(plan.warnings.filter((w) => w.code === 'not-joined' && w.fault.because === 'no-such-panel')).toEqual([])
      }
  })
})

describe('ways of cutting beside each other', () => {
  const job = keepersBenchPart()
  it('each combination once, the own width among them', () => {
    const all = layChoices(jobOf(job), {
      widthsMm: [1120, 1520],
      direction: true,
      match: true,
      piping: false,
      joins: false,
      fold: false,
    })
    expect(all).toHaveLength(3 * 2 * 2)
    expect(all.filter((c) => c.widthMm === 1370 && c.direction === 'up-the-roll' && c.isMatched)).toHaveLength(1)
    expect(
      layChoices(jobOf(job), {
        widthsMm: [],
        direction: false,
        match: false,
        piping: false,
        joins: false,
        fold: false,
      }),
    ).toHaveLength(1)
  })
  it('a set is cut so in all its parts, and what is not varied stays as each part has it', () => {
    const set = startPart(jobOf(job), 'A', 'backs')
    const back = partJob(set, 'B')
    const turned = withPart(set, 'B', { ...back, cloth: { ...back.cloth, direction: 'railroaded' } })
    const ways = (varied: boolean) =>
      layChoices(turned, {
        widthsMm: [],
        direction: varied,
        match: false,
        piping: true,
        joins: false,
        fold: false,
      }).map((c) => c.take(turned).parts.map((p) => `${p.cloth.direction} ${p.makeUp.piping.kind}`))
    expect(ways(false)).toEqual([
      ['up-the-roll corded', 'railroaded corded'],
      ['up-the-roll none', 'railroaded none'],
    ])
    expect(ways(true)).toContainEqual(['railroaded none', 'railroaded none'])
  })
  it('wider unmatched cloth never needs more than the area says it must, and no combination is left without pieces', () => {
    for (const c of layChoices(jobOf(job), {
      widthsMm: [1520],
      direction: true,
      match: true,
      piping: true,
      joins: false,
      fold: false,
    }))
      expect(c.problem!.pieces.length).toBeGreaterThan(10)
  })
  it('piping split once and twice more: the same length of piping and its joins, and a lay no longer where long strips do not fit', () => {
    const across = {
      ...job,
      makeUp: { ...job.makeUp, piping: { ...USUAL_PIPING, cut: 'across' as const } },
      cloth: { ...job.cloth, match: { kind: 'none' as const } },
    }
    const all = layChoices(jobOf(across), {
      widthsMm: [],
      direction: false,
      match: false,
      piping: false,
      joins: true,
      fold: false,
    })
    expect(all.map((c) => c.strips)).toEqual([0, 1, 2].map((moreJoins) => ({ kind: 'even', moreJoins })))
    const strips = all.map((c) =>
      c
        .problem!.pieces.filter((p) => p.id.startsWith('piping'))
        .map((p) => [p.qty, Math.max(...p.outline.map((q) => q[0]))]),
    )
    // A loop of 2489.33 on cloth 1350 wide: two strips and a join of 40; three and two joins; four and three.
    expect(strips.map(([s]) => [s![0]! / 6, Number(s![1]!.toFixed(1))])).toEqual([
      [2, 1264.7],
      [3, 856.4],
      [4, 652.3],
    ])
    expect(Math.min(...all.slice(1).map((c) => lengthOf(c.problem!)))).toBeLessThanOrEqual(lengthOf(all[0]!.problem!))
  })
  it('costs the length bought: 3.42 m at 34 by the 100 mm is 3.5 m, 119', () =>
    expect(clothCost({ ...calico, pricePerMetre: 34, buyingStepMm: 100 }, 3420)).toEqual({ boughtMm: 3500, cost: 119 }))
  it('and what washing takes: 3.42 m on the table are 3.60 m in the bale at 5 %', () =>
    expect(
      clothCost(
        { ...calico, pricePerMetre: 34, buyingStepMm: 100, washFirst: true, shrink: { across: 0, along: 0.05 } },
        3420,
      ).boughtMm,
    ).toBe(3600))
})

describe('a cloth in hand that is not enough', () => {
  const inHand = (lengthMm: number) => {
    const job = keepersBenchPart()
    return {
      ...job,
      cloth: {
        ...job.cloth,
        cloth: { ...calico, supply: { kind: 'length' as const, lengthMm } },
        match: { kind: 'none' as const },
      },
    }
  }
  const whole = lengthOf(worked(inHand(30_000)).cloth.lays[0]!.problem)

  it('says how much is short, how many cushions it gives, and what it would take the other way', () => {
    const job = inHand(1500)
    const own = worked(job).cloth.lays[0]!
    const found = shortfallOf(inHandOf(jobOf(job), own)!)
    // The same pieces on a roll without an end; the first lay of each search may be a little longer than the best.
    expect(found.shortMm!).toBeGreaterThanOrEqual(whole - 1500 - 1)
    expect(found.shortMm!).toBeLessThan(1.15 * whole - 1500)
    // Two plates of 771 lie beside each other on 1580: two cushions are two rows of 492 and five strips of 99, 1479 in
    // all.
    expect([found.of, found.fit]).toEqual([3, 2])
    const turned = worked({ ...job, cloth: { ...job.cloth, direction: 'railroaded', cloth: { ...calico } } }).cloth
      .lays[0]!.problem
    expect(found.turned).toMatchObject({ direction: 'railroaded' })
    expect(found.turned!.neededMm).toBeGreaterThanOrEqual(lengthOf(turned) - 1)
    expect(
      shortfallWords({ shortMm: 210, fit: 4, of: 5, turned: { direction: 'railroaded', neededMm: 3850 } }, 'mm'),
    ).toBe('210 mm short; 4 of 5 cushions fit; railroaded it would need 3850 mm')
  })

  it('is not priced as nothing to buy', () => {
    const job = inHand(1500)
    const plan = worked(job)
    const list = buyingList(job, plan, [{ laidMm: null, boundMm: 2000 }])
    expect([list.hasLay, list.lines.find((l) => l.from === 'cloth')!.what]).toEqual([
      false,
      'House calico, in hand: not enough as far as is known',
    ])
  })

  it('a wrap 1510 wide on 1300 of plain cloth is told to be railroaded, and then lies', () => {
    const job = keepersBenchPart()
    const wrap = (direction: 'up-the-roll' | 'railroaded'): PartJob => ({
      ...job,
      seat: { ...newSeat('singles', 1290, 400, 50, 1), clearanceMm: 0 },
      makeUp: usualMakeUp('no-sew-wrap'),
      cloth: {
        ...job.cloth,
        direction,
        match: { kind: 'none' },
        cloth: { ...calico, widthMm: 1320, selvedgeMm: [10, 10] },
      },
    })
    const stop = worked(wrap('up-the-roll')).warnings.find((w) => w.code === 'piece-wider-than-cloth')
    expect(stop).toMatchObject({ piece: 'Wrap', cure: 'other-direction', over: 1290 + 100 + 120 - 1300 })
    const railroaded = worked(wrap('railroaded'))
    expect(railroaded.warnings.map((w) => w.code)).not.toContain('piece-wider-than-cloth')
    expect(lengthOf(railroaded.cloth.lays[0]!.problem)).toBeCloseTo(1510, 6)
  })

  it('a piece as wide as the cloth lies on it, unwarned', () => {
    const job = keepersBenchPart()
    const exact: PartJob = {
      ...job,
      seat: { ...newSeat('singles', 1190, 400, 50, 1), clearanceMm: 0 },
      makeUp: usualMakeUp('no-sew-wrap'),
      cloth: {
        ...job.cloth,
        match: { kind: 'none' },
        cloth: { ...calico, widthMm: 1430, selvedgeMm: [10, 10], nap: 'one-way' },
      },
    }
    expect(worked(exact).warnings.map((w) => w.code)).not.toContain('piece-wider-than-cloth')
  })
})
