import { describe, expect, it } from 'vitest'
import { readJob, type Grade, type PartJob } from '../../contract/index.ts'
import { DEMO_GRADES, keepersBenchPart } from '../demo/index.ts'
import { newLayer, usualWadding } from '../filling/index.ts'
import { jobOf, keepBody, newSeat, setThere, setWork } from '../job/index.ts'
import { buyingList, keptList } from '../lists/index.ts'
import { orderFaults, workOrder } from '../making/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { oldBody, thick } from '../testing/bodies.ts'
import { warningWords } from '../warnings/index.ts'
import { planJob } from './index.ts'

const grade = DEMO_GRADES.find((g) => g.name === 'Fulmar 40/160')!
const unknown: Grade = { ...grade, id: 'old', name: 'Old foam', densityKgM3: null, at40N: null, supportFactor: null }
const single = (width: number, depth: number, thickness: number): PartJob => ({
  ...keepersBenchPart(),
  seat: { ...newSeat('singles', width, depth, thickness, 2), clearanceMm: 0 },
})
const worked = (part: PartJob): WorkedPlan => {
  const plan = planJob(jobOf(part))
  if (plan.kind !== 'worked') throw new Error(JSON.stringify(plan.warnings))
  return plan
}
const sizesOf = ({ width, depth, thickness }: { width: Sum; depth: Sum; thickness: Sum }) =>
  [width, depth, thickness].map((f) => Number(f.value.toFixed(1)))
type Sum = { readonly value: number }
const whole = (part: PartJob) => {
  const read = readJob(JSON.parse(JSON.stringify(jobOf(part))))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
}
const steps = (part: PartJob) => workOrder(jobOf(part), worked(part))
const said = (part: PartJob) =>
  steps(part)
    .flatMap((s) => [s.title, ...s.says, ...s.checks, s.gate ?? ''])
    .join('\n')

it('a cover that stays and is too small for sides that lean so is a stop in words', () => {
  const bench = keepersBenchPart()
  const plan = planJob(
    jobOf({
      ...bench,
      seat: {
        ...newSeat('singles', 1400, 300, 60, 1),
        edges: { far: { meets: 'open', lean: { by: 'angle', degrees: -40 }, riseMm: 0 } },
      },
      work: {
        kind: 'filling-only',
        inside: { from: 'laid-flat', widthMm: 200, depthMm: 60, thicknessMm: 90 },
        unpicking: '',
      },
    }),
  )
  expect(plan.kind).toBe('unworkable')
  const stop = plan.warnings.find((w) => w.level === 'stop')!
  expect(warningWords(stop, 'mm').says).toMatch(/top, or one of its edges, vanishes/)
})

describe('a filling for a cover that stays', () => {
  const cover = setWork('filling-only').apply(single(1880, 690, 95))
  if (cover.filling.kind !== 'foam') throw new Error(cover.filling.kind)
  const job: PartJob = {
    ...cover,
    work: {
      kind: 'filling-only',
      inside: { from: 'laid-flat', widthMm: 1880, depthMm: 690, thicknessMm: 95 },
      unpicking: 'Back bottom seam, 400 wide.',
    },
    filling: {
      ...cover.filling,
      layers: [newLayer({ ...grade, thicknessesMm: [100], sheets: [{ lengthMm: 2000, widthMm: 1200 }] })],
      school: { kind: 'into-cover', widthShare: 0.01, depthShare: 0.015, thicknessShare: 0.04 },
    },
  }
  const plan = worked(job)
  const { sizing, directions } = plan.designs[0]!.filling as Extract<
    WorkedPlan['designs'][number]['filling'],
    { kind: 'foam' }
  >

  it('by hand: 1880/0.99, 690/0.985, 95/0.96 is 1899.0 x 700.5 x 99.0; from a 100 sheet 5.0 % in thickness, and said', () => {
    whole(job)
    expect(sizesOf(sizing.block)).toEqual([1899, 700.5, 99])
    expect(sizesOf(sizing.cover)).toEqual([1880, 690, 95])
    expect(directions.map((d) => Number((d.overFilling.share.value * 100).toFixed(2)))).toEqual([-1, -1.5, -4])
    const note = plan.warnings.find((w) => w.code === 'sheet-squeezes')!
    expect(warningWords(note, 'mm').says).toContain('squeezes by 5 %')
  })

  it('is held against the seat, which is only a check', () => {
    const plan2 = worked({ ...job, seat: { ...newSeat('singles', 1900, 700, 100, 2), clearanceMm: 0 } })
    const { filling } = plan2.designs[0]!
    if (filling.kind !== 'foam') throw new Error(filling.kind)
    expect(sizesOf(filling.sizing.block)).toEqual([1899, 700.5, 99])
    expect(filling.directions.map((d) => Math.round(d.overSeat.by.value))).toEqual([-20, -10, -5])
  })

  it('has no cloth, no lay, no thread and no closure to buy; foam alone is cut', () => {
    expect([plan.cloth.lays, plan.sewn]).toEqual([[], []])
    expect(new Set(plan.cutList.map((l) => l.material))).toEqual(new Set(['foam']))
    const { lines, hasLay } = buyingList(jobOf(job), plan, [])
    expect(lines.map((l) => l.what)).toEqual(['Fulmar 40/160, sheets 2000 x 1200 x 100 mm'])
    expect(hasLay).toBe(true)
    expect(keptList(job, plan)[0]).toMatchObject({ what: 'Cover', count: 2 })
  })

  it('is photographed, unpicked, emptied, cut, filled, pinned from the middle and closed by hand, in this order', () => {
    const ids = steps(job).map((s) => s.id)
    expect(ids).toEqual([
      'there.photo',
      'there.open',
      'there.out',
      'foam.measured',
      'foam.cut',
      'foam.first',
      'refill.fill',
      ...(ids.includes('refill.pin') ? ['refill.pin'] : []),
      'refill.close',
      'close.pins',
      'fit.seat',
      'fit.papers',
    ])
    expect(said(job)).toMatch(/Back bottom seam, 400 wide/)
    expect(said(job)).not.toMatch(/stripe|boxing|piping|shears|pieces|chalk|cloth batch/i)
    expect(orderFaults(jobOf(job), plan)).toEqual([])
  })

  it('in film it is told so at filling, and how it comes out again', () => {
    const filmed: PartJob = { ...job, cutting: { ...job.cutting, film: 'taken-out' } }
    expect(said(filmed)).toMatch(/drawn out again/)
    expect(said({ ...job, cutting: { ...job.cutting, film: 'left-in' } })).toMatch(/film, which stays/)
  })

  it('a cover smaller than its block by a fifth is doubted', () => {
    const tight: PartJob = {
      ...job,
      filling: {
        ...job.filling,
        school: { kind: 'into-cover', widthShare: 0.25, depthShare: 0, thicknessShare: 0 },
      } as PartJob['filling'],
    }
    expect(worked(tight).warnings.map((w) => w.code)).toContain('cover-much-smaller')
  })
})

describe('a cover for a filling that stays', () => {
  const job = setWork('cover-only').apply(single(600, 500, 80))
  const filling = (school: object): PartJob =>
    ({ ...job, filling: { ...job.filling, layers: [newLayer(unknown)], school } }) as PartJob

  it.each([
    ['size for size', { kind: 'size-for-size' }, [600, 500, 80]],
    // 2 % of 600 is 12, of 500 is 10: foam that nobody knows is taken as medium.
    ['full block', { kind: 'full-block', thicknessExtraMm: 3 }, [588, 490, 77]],
    ['snug, seams of 12', { kind: 'snug-cover' }, [576, 476, 56]],
    [
      'a wanted squeeze',
      { kind: 'into-cover', widthShare: 0.02, depthShare: 0.01, thicknessShare: 0.05 },
      [588, 495, 76],
    ],
    ['thinner block: the cover higher', { kind: 'thinner-block', thinnerShare: 0.2 }, [600, 500, 100]],
  ])('%s', (_name, school, cover) => {
    const part = filling(school)
    const seamed: PartJob = { ...part, allowances: { ...part.allowances, overrides: { seamMm: 12 } } }
    whole(seamed)
    const { sizing } = worked(seamed).designs[0]!.filling
    expect([sizesOf(sizing.block), sizesOf(sizing.cover)]).toEqual([[600, 500, 80], cover])
  })

  it('buys nothing for the filling, and cuts none; the filling goes in again', () => {
    const part = filling({ kind: 'size-for-size' })
    const plan = worked(part)
    expect(plan.cutList.some((l) => l.material === 'foam')).toBe(false)
    expect(buyingList(jobOf(part), plan, []).lines.some((l) => l.from === 'foam')).toBe(false)
    expect(said(part)).toMatch(/The filling that stays/)
    expect(said(part)).not.toMatch(/Cut the foam|electric knife/)
    expect(orderFaults(jobOf(part), plan)).toEqual([])
    expect(keptList(part, plan)[0]).toMatchObject({ what: 'Filling', count: 2 })
  })

  it('a liner full of fibre that stays is not made again', () => {
    const fibre: PartJob = {
      ...job,
      filling: {
        kind: 'loose-fibre',
        of: 'fibre',
        trials: [],
        load: job.filling.load,
        boardMm: job.filling.boardMm,
        fillKgM3: 24,
        linerLargerShare: 0.04,
        pricePerKg: 6,
      },
    }
    const plan = worked(fibre)
    expect(plan.designs[0]!.liner).toBeNull()
    expect(buyingList(jobOf(fibre), plan, []).lines.some((l) => l.from === 'foam')).toBe(false)
    expect(orderFaults(jobOf(fibre), plan)).toEqual([])
  })
})

describe('an old body that stays', () => {
  const body = oldBody({
    found: { widthMm: 560, depthMm: 545, thicknessMm: 62 },
    recovered: { widthMm: 560, depthMm: 545, thicknessMm: 74 },
    newMm: 80,
  })
  const noted = setThere('', (t) => ({ ...t, bodies: [body] })).apply(single(560, 545, 80))
  const kept = keepBody(body, unknown).apply(noted)
  // 12 mm of wadding above and below, each squeezed to a third: 2 x 4 mm.
  const wrapped: PartJob = { ...kept, filling: { ...kept.filling, wadding: usualWadding(12) } as PartJob['filling'] }

  it('62 recovered to 74 of 80, and 12 mm of wadding round it: the block is 560 x 545 x 74, wrapped 82', () => {
    whole(wrapped)
    const { filling } = worked(wrapped).designs[0]!
    expect(sizesOf(filling.sizing.block)).toEqual([560, 545, 74])
    expect(filling.sizing.wrapped.thickness.value).toBeCloseTo(82, 9)
  })

  it('is neither cut nor bought, stands among what is kept, is steamed and measured again before anything is cut', () => {
    const plan = worked(wrapped)
    const bought = buyingList(jobOf(wrapped), plan, []).lines
    expect(bought.filter((l) => l.from === 'foam')).toEqual([])
    expect(bought.map((l) => l.what)).toContain('Wadding')
    expect(keptList(wrapped, plan)).toMatchObject([
      { what: 'Old seat', count: 2, note: expect.stringMatching(/560 x 545 x 74 mm; recovered/) },
    ])
    const ids = steps(wrapped).map((s) => s.id)
    expect(ids.indexOf('there.body-1.measured')).toBeLessThan(ids.findIndex((id) => id.startsWith('cloth.cut')))
    expect(orderFaults(jobOf(wrapped), plan)).toEqual([])
  })

  it('a new layer on top takes the rest: 80 less 74 is 6, the body below it', () => {
    const topped: PartJob = {
      ...kept,
      filling: {
        ...kept.filling,
        school: { kind: 'size-for-size' },
        layers: [...(kept.filling as Extract<PartJob['filling'], { kind: 'foam' }>).layers, newLayer(grade)],
      } as PartJob['filling'],
    }
    whole(topped)
    const plan = worked(topped)
    expect(plan.cutting!.blocks[0]!.slices.map((s) => [s.thicknessMm, s.stays])).toEqual([
      [74, true],
      [6, false],
    ])
    expect(plan.cutting!.blocks[0]!.parts).toHaveLength(1)
    expect(plan.cutting!.supplies.glue!.value).toBeGreaterThan(0)
  })

  it('taken out of what is there, its place is foam to be bought again', () => {
    const gone = setThere('', (t) => ({ ...t, bodies: [] })).apply(kept)
    whole(gone)
    expect(worked(gone).designs[0]!.filling.sizing.block.thickness.value).not.toBe(74)
  })

  it('a zip, a board and wadding that stay are not bought', () => {
    const bought = (part: PartJob) => buyingList(jobOf(part), worked(part), []).lines.map((l) => l.what)
    const keeping = setThere('', (t) => ({
      ...t,
      things: { zip: { use: 'keep', note: '' }, wadding: { use: 'mend', note: '' } },
    })).apply(wrapped)
    expect(bought(wrapped).filter((w) => /zip|slider|wadding/i.test(w)).length).toBeGreaterThan(1)
    expect(bought(keeping).filter((w) => /zip|slider|wadding/i.test(w))).toEqual([])
  })
})

describe('foam that nobody knows', () => {
  const part = { ...single(600, 500, 80) }
  const job: PartJob = { ...part, filling: { ...part.filling, layers: [newLayer(unknown)] } as PartJob['filling'] }

  it('goes on: sized, cut, covered and billed; its weight and its life are not told', () => {
    whole(job)
    const plan = worked(job)
    const { filling } = plan.designs[0]!
    if (filling.kind !== 'foam') throw new Error(filling.kind)
    expect([filling.mass, filling.verdict, filling.firmness]).toEqual([null, null, null])
    expect(filling.unknown).toEqual(['density', 'force', 'life'])
    expect(plan.cutList.some((l) => l.material === 'foam')).toBe(true)
    const note = plan.warnings.find((w) => w.code === 'foam-unknown')!
    expect([note.level, warningWords(note, 'mm').cure]).toEqual(['note', expect.stringMatching(/Weigh.*Press/s)])
  })

  it('trials that contradict each other are both told', () => {
    const trials = [
      { who: 'Wim', massKg: 80, minutes: 20, verdict: 'too-soft' },
      { who: 'Ada', massKg: 85, minutes: 15, verdict: 'too-firm' },
    ] as const
    const tried: PartJob = { ...job, filling: { ...job.filling, trials: [...trials] } as PartJob['filling'] }
    const words = worked(tried)
      .warnings.map((w) => warningWords(w, 'mm').says)
      .join('\n')
    expect(words).toMatch(/contradict.*Wim, 80 kg.*Ada, 85 kg/)
  })

  it.each([
    [
      'a body without a thickness',
      { there: { bodies: [{ ...oldBody(), found: { widthMm: 1, depthMm: 1 } }], things: {}, fireLabelOffOn: null } },
      /thicknessMm/,
    ],
    [
      'a trial of nobody',
      { filling: { ...job.filling, trials: [{ who: '', massKg: 0, minutes: 5, verdict: 'right' }] } },
      /massKg is below 10 kg/,
    ],
    [
      'scrap packed like fibre',
      {
        filling: {
          kind: 'loose-fibre',
          of: 'scrap',
          trials: [],
          fillKgM3: 20,
          linerLargerShare: 0.04,
          pricePerKg: 1,
          load: job.filling.load,
          boardMm: job.filling.boardMm,
        },
      },
      /fillKgM3 is below 30/,
    ],
    [
      'an insert of no mass',
      {
        filling: {
          kind: 'insert',
          name: '',
          flatWidthMm: 500,
          flatDepthMm: 500,
          filledMm: 120,
          massKg: 0,
          price: 1,
          load: job.filling.load,
          boardMm: job.filling.boardMm,
        },
      },
      /massKg must be more than nought/,
    ],
  ])('%s is refused in words', (_name, change, says) => {
    const read = readJob(JSON.parse(JSON.stringify({ ...jobOf({ ...job, ...change } as PartJob) })))
    expect(read.ok ? '' : `${read.faults[0]!.path} ${read.faults[0]!.message}`).toMatch(says)
  })
})

describe('a ready-made insert', () => {
  const part = single(480, 480, 120)
  const job: PartJob = {
    ...part,
    filling: {
      kind: 'insert',
      name: 'Down pad',
      flatWidthMm: 500,
      flatDepthMm: 470,
      filledMm: 140,
      massKg: 0.9,
      price: 21,
      load: part.filling.load,
      boardMm: part.filling.boardMm,
    },
  }
  it('shows its ease each way, negative where it is smaller: 20 of 500 is 4 %, −10 of 470 is −2.1 %', () => {
    whole(job)
    const { filling } = worked(job).designs[0]!
    if (filling.kind !== 'insert') throw new Error(filling.kind)
    expect(filling.directions.map((d) => Number((-d.overFilling.share.value * 100).toFixed(1)))).toEqual([
      4, -2.1, 14.3,
    ])
  })
  it('is bought by the piece, and no foam is cut', () => {
    const plan = worked(job)
    const lines = buyingList(jobOf(job), plan, []).lines.filter((l) => l.from === 'foam')
    expect(lines).toMatchObject([{ what: 'Down pad', amount: { value: 2 }, cost: { value: 42 } }])
    expect(plan.cutting).toBeNull()
    expect(orderFaults(jobOf(job), plan)).toEqual([])
  })
})

it('an ordinary body as found is thick as found, and it is said that it was not measured again', () => {
  const body = oldBody({ found: thick(60) })
  const kept = keepBody(body, unknown).apply(
    setThere('', (t) => ({ ...t, bodies: [body] })).apply(single(600, 500, 80)),
  )
  const plan = worked(kept)
  expect(plan.designs[0]!.filling.sizing.block.thickness.value).toBe(60)
  expect(plan.warnings.map((w) => w.code)).toContain('body-not-recovered')
})
