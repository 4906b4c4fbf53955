import { jobOf } from '../job/index.ts'
import { describe, expect, it } from 'vitest'
import type { Grade, PartJob, Learned } from '../../contract/index.ts'
import { normal as normalOf, seeded } from '../random/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { jobCard } from '../card/index.ts'
import { setRecord, started, ticked, workOrder } from '../making/index.ts'
import { usualMakeUp } from '../cover/index.ts'
import { DEMO_GRADES, keepersBenchPart } from '../demo/index.ts'
import { depthUnder, loadCaseOf, pressed, sitterOn, stackOf, USUAL_LOAD } from '../filling/index.ts'
import { worked, mediumBenchPart } from '../testing/jobs.ts'
import {
  correctedGrade,
  evidenceOf,
  joined,
  learnedFor,
  proposals,
  reserveFor,
  setLearned,
  spreadOf,
  wasteFactor,
  type Evidence,
  type FitEvidence,
} from './index.ts'

const TODAY = '2026-03-02'
const proposed = (evidence: Evidence, learned: readonly Learned[], today: string) =>
  proposals(evidence, learned, today, 'mm')
const random = seeded(20260302)
const normal = (): number => normalOf(random)
/** The difference of two exponentials: sharper in the middle, longer in its tails. */
const laplace = (): number => (random() < 0.5 ? -1 : 1) * Math.log(1 - random()) * Math.SQRT1_2

/** A shop's history: each job a few cushions that finish off by a bias and by noise, in shares. */
function history(jobs: number, bias: number, sd: number, noise = normal): Evidence {
  const fits = Array.from({ length: jobs }, (_, j) =>
    Array.from({ length: 1 + Math.floor(random() * 4) }, (_, c): FitEvidence => {
      const planned = { widthMm: 500 + 900 * random(), depthMm: 400 + 200 * random(), thicknessMm: 80 }
      const off = () => 1 + bias + sd * noise()
      return {
        ticket: `J-${j}`,
        cushion: String(c + 1),
        makeUp: 'boxed',
        clothId: 'moss-loop',
        cloth: 'Moss loop',
        foam: 'Fulmar 35/120',
        firmness: 'medium',
        planned,
        measured: { widthMm: planned.widthMm * off(), depthMm: planned.depthMm * off(), thicknessMm: null },
        verdict: 'right',
        sat: null,
        fitShare: 0.015 + 0.004 * noise(),
      }
    }),
  ).flat()
  const times = Array.from({ length: jobs }, (_, j) => ({
    ticket: `J-${j}`,
    work: 'plate' as const,
    plannedMin: 40,
    workedMin: 40 * Math.exp(0.2 * noise()),
  }))
  const cloths = Array.from({ length: jobs }, (_, j) => ({
    ticket: `J-${j}`,
    clothId: 'moss-loop',
    cloth: 'Moss loop',
    laidMm: 3000,
    usedMm: 3000 * Math.exp(0.03 * noise()),
  }))
  return { fits, times, cloths, trims: [] }
}

describe('a spread', () => {
  it('is the median and the deviation, by hand', () => {
    // Median 2; deviations 1 1 0 8 0: their median 1, mean 2; 1.4826 against 0.7 x 1.2533 x 2 = 1.755.
    expect(spreadOf([1, 3, 2, 10, 2])).toMatchObject({ count: 5, median: 2, isBias: false })
    expect(spreadOf([1, 3, 2, 10, 2]).spread).toBeCloseTo(1.755, 3)
  })
  it('of fewer than five logs is never a bias', () => expect(spreadOf([1, 1, 1, 1]).isBias).toBe(false))
  it('of five that agree is one', () => expect(spreadOf([0.007, 0.0072, 0.0069, 0.0071, 0.007]).isBias).toBe(true))
})

describe('simulated shops', () => {
  it.each<[string, () => number]>([
    ['normal', normal],
    ['long-tailed', laplace],
  ])(
    '%s noise alone proposes something in less than 5 %% of shops',
    (_name, noise) => {
      const shops = 400
      const wrong = Array.from(
        { length: shops },
        () => proposed(history(5 + Math.floor(random() * 20), 0, 0.003, noise), [], TODAY).length > 0,
      ).filter(Boolean).length
      expect(wrong / shops).toBeLessThan(0.05)
    },
    120_000,
  )

  it('a hidden bias of 0.7 % is found in nine of ten shops with twelve jobs, and its size with it', () => {
    const found = Array.from({ length: 200 }, () =>
      proposed(history(12, 0.007, 0.004), [], TODAY).flatMap((p) => (p.learned.kind === 'size' ? [p.learned] : [])),
    )
    expect(found.filter((f) => f.length > 0).length).toBeGreaterThan(180)
    const shares = found.flatMap((f) => f.map((l) => l.widthShare).filter((s) => s !== 0)).toSorted((a, b) => a - b)
    expect(shares[shares.length >> 1]).toBeCloseTo(0.007, 3)
  }, 180_000)

  it('cushions of one job count once: fifty of them are no evidence', () => {
    const one = history(1, 0.01, 0.0005)
    const many = { ...one, fits: Array.from({ length: 50 }, (_, i) => ({ ...one.fits[0]!, cushion: String(i) })) }
    expect(proposed(many, [], TODAY)).toEqual([])
  })

  it('foam under which sitters rest deeper than planned acts softer: factor by hand from the force that holds them there', () => {
    const grade = DEMO_GRADES.find((g) => g.name === 'Gannet 36/180')!
    // What sitters of a foam four fifths as hard would leave, told from its own curve.
    const soft = correctedGrade(grade, 0.8)
    const load = { ...USUAL_LOAD, heaviestKg: 100, lightestKg: 50 }
    const depthOn = (g: Grade, massKg: number) =>
      depthUnder(massKg * 9.81 * 0.75, loadCaseOf(load).body, stackOf(pressed([{ grade: g, thicknessMm: 100 }], 0)))
    const logs = [60, 70, 80, 90, 95].map((massKg, i): FitEvidence => ({
      ...history(1, 0, 0).fits[0]!,
      ticket: `J-${i}`,
      sat: sitterOn(
        { pressed: [{ grade, thicknessMm: 100 }], loadCase: loadCaseOf(load) },
        { massKg, leftMm: 100 - depthOn(soft, massKg) },
        load,
      ),
    }))
    const found = proposed({ fits: logs, times: [], cloths: [], trims: [] }, [], TODAY).find(
      (p) => p.learned.kind === 'firmness',
    )!
    expect(found.learned).toMatchObject({ kind: 'firmness', gradeId: grade.id })
    expect(found.learned.kind === 'firmness' && found.learned.factor).toBeCloseTo(0.8, 2)
    expect(found.says).toMatch(/Gannet 36\/180 acts 20 % softer than its figures/)
    expect(correctedGrade(grade, 0.8).at40N).toBe(144)
  })

  it('one slip of the tape does not make or hide a proposal', () => {
    const off = [0.007, 0.0065, 0.0072, 0.0068, 0.0071, 0.0069, 0.0073, 0.0066]
    const logs = (values: readonly number[]) => ({
      fits: values.map((v, i): FitEvidence => ({
        ...history(1, 0, 0).fits[0]!,
        ticket: `J-${i}`,
        planned: { widthMm: 1000, depthMm: 500, thicknessMm: 80 },
        measured: { widthMm: 1000 * (1 + v), depthMm: null, thicknessMm: null },
      })),
      times: [],
      cloths: [],
      trims: [],
    })
    const [found] = proposed(logs([...off.slice(1), 0.09]), [], TODAY)
    expect(found!.learned).toMatchObject({ kind: 'size', makeUp: 'boxed', clothId: 'moss-loop', depthShare: 0 })
    expect(found!.says).toBe(
      'Boxed covers in Moss loop over Fulmar 35/120 finish 7 mm too large to the metre in width: cut them 0.7 % smaller.',
    )
    expect(proposed(logs([0.0002, -0.0003, 0.0001, -0.0002, 0.0003, 0.09]), [], TODAY)).toEqual([])
  })

  it('covers that keep a part of what is left to trim: by their median, and the next is left so much more', () => {
    const trims = [18, 17, 19, 18, 16].map((kept, i) => ({
      ticket: `J-${i}`,
      makeUp: 'wrapped-tube',
      clothId: 'moss-loop',
      cloth: 'Moss loop',
      leftMm: 25,
      trimmedMm: 25 - kept,
    }))
    const none = { fits: [], times: [], cloths: [] }
    const [found] = proposed({ ...none, trims }, [], TODAY)
    expect(found!.learned).toMatchObject({ kind: 'reserve', makeUp: 'wrapped-tube', clothId: 'moss-loop', mm: 18 })
    expect(found!.says).toContain('keep 18 mm of what is left to trim')
    const tube = { ...keepersBenchPart(), makeUp: usualMakeUp('wrapped-tube') }
    const like = { ...tube, cloth: { ...tube.cloth, cloth: { ...tube.cloth.cloth, id: 'moss-loop' } } }
    expect([reserveFor(like, []), reserveFor(like, [found!.learned]), reserveFor(tube, [found!.learned])]).toEqual([
      25, 43, 25,
    ])
    // All of it came off: nothing is wanted longer.
    expect(proposed({ ...none, trims: trims.map((t) => ({ ...t, trimmedMm: 25 })) }, [], TODAY)).toEqual([])
  })

  it('slow work, wasteful cloth and a fit window off its middle are proposed, and once accepted no more', () => {
    const times = Array.from({ length: 8 }, (_, j) => ({
      ticket: `J-${j}`,
      work: 'zip' as const,
      plannedMin: 30,
      workedMin: 45 + (j % 3),
    }))
    const cloths = Array.from({ length: 8 }, (_, j) => ({
      ticket: `J-${j}`,
      clothId: 'hull-vinyl',
      cloth: 'Hull vinyl',
      laidMm: 3000,
      usedMm: 3200 + 5 * (j % 3),
    }))
    const fits = Array.from({ length: 8 }, (_, j): FitEvidence => ({
      ...history(1, 0, 0).fits[0]!,
      ticket: `J-${j}`,
      measured: { widthMm: null, depthMm: null, thicknessMm: null },
      fitShare: 0.03 + 0.001 * (j % 3),
    }))
    const found = proposed({ fits, times, cloths, trims: [] }, [], TODAY)
    expect(found.map((p) => p.learned.kind)).toEqual(['rate', 'waste', 'fit-window'])
    expect(found[0]!.says).toBe('Set in a zip or tape: it takes 1.53 times as long as planned.')
    expect(
      wasteFactor(
        'hull-vinyl',
        found.map((p) => p.learned),
      ),
    ).toBeCloseTo(3205 / 3000, 6)
    expect(
      proposed(
        { fits, times, cloths, trims: [] },
        found.map((p) => p.learned),
        TODAY,
      ),
    ).toEqual([])
  })
})

describe('evidence of a job', () => {
  it('holds measured cushions, timed steps and used cloth against the plan', () => {
    const bench = mediumBenchPart()
    const log = (widthMm: number) => ({
      day: TODAY,
      widthMm,
      depthMm: 470,
      thicknessMm: null,
      verdict: 'right' as const,
      leftAbove: null,
      wrinkles: '',
      stripesOffMm: null,
    })
    const job: PartJob = { ...bench, fitting: { ...bench.fitting, fits: { A2: log(752), A9: log(1), B2: log(1) } } }
    const cut = workOrder(jobOf(job), worked(job)).find((s) => s.id === 'foam.cut')!
    const timed = setRecord(cut, 'done', (r) =>
      ticked(started(r, Date.parse('2026-03-02T09:00:00Z')), 'Ada', Date.parse('2026-03-02T09:33:00Z')),
    ).apply(job)
    const { fits, times } = evidenceOf({ ticket: 'SL-02', card: jobCard(jobOf(timed)) }, USUAL_WORKSHOP.rates)
    expect(fits.map((f) => [f.cushion, f.measured.widthMm, Number(f.planned.widthMm.toFixed(1)), f.foam])).toEqual([
      ['2', 752, 746.7, 'Gannet 30/140'],
    ])
    // At a pace of half as long again the same minutes are those of somebody who took 22.
    const slow = evidenceOf({ ticket: 'SL-02', card: jobCard(jobOf(timed)) }, USUAL_WORKSHOP.rates, [
      { name: 'Ada', factor: 1.5 },
    ])
    expect(slow.times[0]!.workedMin).toBe(22)
    expect(times.map((t) => [t.work, t.workedMin, Math.round(t.plannedMin)])).toEqual([['cut-foam', 33, 22]])
    expect(
      joined([
        { fits, times, cloths: [], trims: [] },
        { fits, times, cloths: [], trims: [] },
      ]).fits,
    ).toHaveLength(2)
  })
})

describe('what was learnt', () => {
  const learned: Learned[] = [
    {
      kind: 'size',
      makeUp: 'boxed',
      clothId: 'lamp-room-ticking',
      widthShare: 0.007,
      depthShare: 0.004,
      says: 'finish long',
      on: TODAY,
    },
  ]

  it('is offered to jobs of that make-up and cloth alone', () => {
    const job = mediumBenchPart()
    expect(learnedFor(job, worked(job), learned)).toMatchObject({ widthShare: 0.007, depthShare: 0.004 })
    expect(
      learnedFor({ ...job, cloth: { ...job.cloth, cloth: { ...job.cloth.cloth, id: 'other' } } }, null, learned),
    ).toBeNull()
  })

  it('cuts plates smaller by its shares, boxing by the one of the way it runs, and still sews; given up, all is as before', () => {
    const job = mediumBenchPart()
    const own = worked(setLearned(learnedFor(job, null, learned)).apply(job))
    const cut = (plan: ReturnType<typeof worked>, what: string) => plan.cutList.find((l) => l.what === what)!
    // 746.67 x 0.993 + 24 = 765.4; 468 x 0.996 + 24 = 490.1; the front boxing by the width's share too, so that it
    // meets its plate.
    expect(cut(own, 'Top plate').width.value).toBeCloseTo(765.44, 1)
    expect(cut(own, 'Top plate').height.value).toBeCloseTo(490.13, 1)
    expect(cut(own, 'Front boxing').width.value).toBeCloseTo(765.44, 1)
    expect(cut(own, 'Front boxing').height.value).toBe(cut(worked(job), 'Front boxing').height.value)
    expect(own.designs[0]!.checks.flatMap((c) => c.faults)).toEqual([])
    expect(worked(setLearned(null).apply(setLearned(learnedFor(job, null, learned)).apply(job))).cutList).toEqual(
      worked(job).cutList,
    )
  })
})
