import { jobOf } from '../job/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PartJob } from '../../contract/index.ts'
import { demoJobs, demoParts } from '../demo/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { worked, planOne, mediumBenchPart } from '../testing/jobs.ts'
import { anyMakeUp } from '../testing/make-ups.ts'
import { planJob } from '../plan/index.ts'
import { sayWorking } from '../working/index.ts'
import {
  clockWasSetBack,
  machineCardFor,
  minutesByKind,
  openGate,
  orderFaults,
  paused,
  progressOf,
  ratedIn,
  ratesAtBench,
  ratesOf,
  recordOf,
  setRecord,
  started,
  stepMinutes,
  ticked,
  totalMinutes,
  unticked,
  workedSeconds,
  workOrder,
} from './index.ts'

const { rates } = USUAL_WORKSHOP
const order = (job: PartJob) => workOrder(jobOf(job), worked(job))
const bench = mediumBenchPart()
const steps = order(bench)

describe('the work order of the keepers bench', () => {
  it('runs from the tape to the papers, the zip first and left open before the last plate', () => {
    const ids = steps.map((s) => s.id)
    const inOrder = [
      'foam.measured',
      'foam.cut',
      'cloth.prepare',
      'cloth.width',
      'cloth.cord',
      'cloth.mark',
      'cloth.stripes',
      'cloth.cut',
      'cloth.label',
      'cloth.laid',
      'sew.A.piping',
      'sew.A.A',
      'sew.A.B',
      'sew.A.ring',
      'sew.A.F',
      'sew.A.corners',
      'sew.A.zip-open',
      'sew.A.G',
      'close.turn',
      'close.fill',
      'close.corners',
      'close.pins',
      'fit.seat',
      'fit.papers',
    ]
    expect(ids.filter((id) => inOrder.includes(id))).toEqual(inOrder)
  })

  it('has the figures of the job in its words', () => {
    const says = (id: string) => steps.find((s) => s.id === id)!.says.join(' ')
    expect(says('foam.cut')).toContain('3 of A1: 761.6 mm x 477.4 mm from Gannet 30/140, 75 mm thick')
    expect(says('sew.A.piping')).toContain('Strips 40 mm wide')
    expect(says('sew.A.F')).toMatch(/2429\.3 mm on each of 3 cushions\..*Notches c d f h i k meet/)
    expect(says('close.fill')).toContain('Through 980.7 mm of opening')
    expect(order({ ...bench, units: 'inch-16' }).find((s) => s.id === 'sew.A.F')!.says[0]).toMatch(/^95 5\/8 ?in/)
  })

  // By hand, minutes: metres (or pieces) x rate; one cushion is 746.67 x 468 x 75, its perimeter 2429.33.
  it.each([
    ['cut-foam', (3 * 2 * (746.67 * 1.02 + 468 * 1.02) * 3) / 1000],
    ['mark', (3 * (2 + 3 + 2) + 6) * 2],
    ['cut-cloth', 1.5 * 69.324],
    ['piping', (3 * 2 * 2489.33 * 2) / 1000],
    ['zip', (3 * (746.67 + 2 * 117) * 10) / 1000],
    ['join', (3 * 4 * 75 * 3) / 1000],
    ['plate', (3 * 2 * 2429.33 * 4) / 1000],
    ['corner', 3 * 2 * 4 * 1.5],
    ['finish', (3 * (980.67 + 4 * 75 + 2 * 2429.33)) / 1000],
    ['fill', 3 * (1 + (0.74667 * 0.468 * 75) / 50) * 6],
    ['check', 13 * 2],
  ] as const)('%s takes the minutes worked out by hand', (kind, minutes) => {
    const line = minutesByKind(steps, rates).find((k) => k.kind === kind)!
    expect(line.minutes.value).toBeCloseTo(minutes, 1)
  })

  it('cloth is cut round every piece of the cut list', () => {
    const round = worked(bench)
      .cutList.filter((l) => l.material === 'cloth')
      .reduce((sum, l) => sum + l.count * 2 * (l.width.value + l.height.value), 0)
    expect(minutesByKind(steps, rates).find((k) => k.kind === 'cut-cloth')!.minutes.value).toBeCloseTo(
      (round / 1000) * rates['cut-cloth'],
      1,
    )
  })

  it('takes 7 h 41 in all, and says how', () => {
    const total = totalMinutes(steps, rates)
    expect(total.value).toBeCloseTo(460.9, 0)
    expect(sayWorking(total, 'mm')).toMatch(/= 7 h 41$/)
    expect(
      sayWorking(
        stepMinutes(
          steps.find((s) => s.id === 'sew.A.F')!,
          rates,
        ),
        'mm',
      ),
    ).toBe('7.288 × 4 + 12 × 1.5 = 47 min')
    expect(
      stepMinutes(
        steps.find((s) => s.id === 'close.shut')!,
        rates,
      ).value,
    ).toBe(0)
  })

  it('a beginner takes so many times as long, whoever is not named as long as the rates say', () => {
    const workshop = { ...USUAL_WORKSHOP, people: [{ name: 'Wren', factor: 1.5 }] }
    expect(ratesAtBench(workshop, ' wren ').plate).toBe(USUAL_WORKSHOP.rates.plate * 1.5)
    expect(ratesAtBench(workshop, '')).toEqual(ratesOf(workshop))
    expect(ratesAtBench(workshop, 'Tam').zip).toBe(USUAL_WORKSHOP.rates.zip)
  })

  it('a learnt rate slows its own kind of work alone', () => {
    const learnt = ratesOf({
      rates,
      learned: [{ kind: 'rate', work: 'plate', factor: 1.5, says: '', on: '2026-03-02' }],
    })
    expect([learnt.plate, learnt.join]).toEqual([rates.plate * 1.5, rates.join])
  })
})

describe('gates', () => {
  const gatesOf = (ticket: string) =>
    order(demoParts().find((j) => j.ticket === ticket || j.name === ticket)!)
      .filter((s) => s.gate)
      .map((s) => s.id)

  it('stand where the cushion needs them', () => {
    expect(gatesOf('SL-03')).toContain('foam.wrapped')
    expect(gatesOf('SL-04')).toContain('cloth.shrink')
    expect(gatesOf('SL-05')).toContain('close.flush')
    expect(gatesOf('Bench pad')).toContain('close.pulled')
    expect(gatesOf('SL-09')).not.toContain('sew.A.zip-open')
  })

  it('hold what comes after them until they are answered; an overruled one says why', () => {
    expect(openGate(steps, bench)).toBe(0)
    const answered = setRecord(steps[0]!, 'yes', (r) => ticked(r, 'Ada', Date.parse('2026-03-02T09:00:00Z'))).apply(
      bench,
    )
    expect(steps[openGate(steps, answered)!]!.id).toBe('foam.first')
    const overruled = setRecord(steps[0]!, 'overruled', (r) => ticked(r, 'Ada', 0, 'measured by the customer')).apply(
      bench,
    )
    expect(recordOf(overruled, 'foam.measured')).toMatchObject({ doneBy: 'Ada', overruled: 'measured by the customer' })
    expect(progressOf(steps, answered)).toMatchObject({ done: 1, of: steps.length, next: { id: 'foam.cut' } })
  })
})

describe('the timer of a step', () => {
  const at = (clock: string) => Date.parse(`2026-03-02T${clock}Z`)
  const untouched = recordOf(bench, 'foam.cut')

  it('starts, pauses and goes on', () => {
    const first = paused(started(untouched, at('09:00:00')), at('09:10:30'))
    expect(first).toMatchObject({ workedS: 630, runningSince: null })
    expect(workedSeconds(started(first, at('10:00:00')), at('10:01:00'))).toBe(690)
    expect(started(started(untouched, at('09:00:00')), at('09:05:00')).runningSince).toBe('2026-03-02T09:00:00.000Z')
  })

  it('counts nothing when the clock was set back, and tells', () => {
    const running = started(untouched, at('09:00:00'))
    expect([
      workedSeconds(running, at('08:00:00')),
      clockWasSetBack(running, at('08:00:00')),
      clockWasSetBack(running, at('08:59:30')),
    ]).toEqual([0, true, false])
    expect(paused(running, at('08:00:00'))).toMatchObject({ workedS: 0, runningSince: null })
  })

  it('is stopped by the tick; a second tick changes nothing', () => {
    const done = ticked(started(untouched, at('09:00:00')), 'Ada', at('09:30:00'))
    expect(done).toMatchObject({ workedS: 1800, runningSince: null, doneBy: 'Ada' })
    expect(ticked(done, 'Ben', at('11:00:00'))).toBe(done)
    expect(unticked(done)).toMatchObject({ doneAt: null, workedS: 1800 })
  })
})

describe('any make-up', () => {
  it('gets steps with ids of their own, every seam once and in its order, and a time', () => {
    fc.assert(
      fc.property(anyMakeUp, (makeUp) => {
        const plan = planOne({ ...bench, makeUp, cloth: { ...bench.cloth, match: { kind: 'none' } } })
        if (plan.kind !== 'worked') return
        const all = workOrder(jobOf(bench), plan)
        expect(new Set(all.map((s) => s.id)).size).toBe(all.length)
        for (const d of plan.designs) {
          const sewn = all.map((s) => s.id).filter((id) => new RegExp(`^sew\\.${d.design.id}\\.[A-Z]+$`).test(id))
          expect(sewn).toEqual(
            d.cover.seams.filter((s) => s.kind !== 'final').map((s) => `sew.${d.design.id}.${s.letter}`),
          )
        }
        const minutes = totalMinutes(all, rates).value
        expect(minutes).toBeGreaterThan(0)
        expect(JSON.stringify(all)).not.toMatch(/NaN|undefined|Infinity/)
      }),
      { numRuns: 60 },
    )
  })
})

describe('batches over the covers of a ticket', () => {
  it('zips of all covers first, then cover by cover; the order can still be made', () => {
    const set = demoJobs().find((j) => j.ticket === 'SL-03')!
    const plan = planJob(set)
    if (plan.kind !== 'worked') throw new Error('not worked')
    const titles = workOrder(set, plan).map((s) => s.title)
    const at = (title: RegExp) => titles.findIndex((t) => title.test(t))
    expect(at(/Backs B: seam A: zip/)).toBe(at(/Seats A: seam A: zip/) + 1)
    expect(at(/Seats A: seam B/)).toBeGreaterThan(at(/Backs B: seam A: zip/))
    expect(orderFaults(set, plan)).toEqual([])
  })
})

describe('the machine card', () => {
  it.each<[number, number, 'indoors' | 'outdoors' | 'aboard', string]>([
    [180, 0.4, 'indoors', 'Light cloth indoors'],
    [180, 0.9, 'indoors', 'Furnishing cloth'],
    [300, 0.6, 'indoors', 'Furnishing cloth'],
    [300, 2.5, 'indoors', 'Heavy cloth'],
    [700, 1, 'indoors', 'Heavy cloth'],
    [300, 0.6, 'aboard', 'Canvas and vinyl, outdoors'],
  ])('for %s g/m², %s mm, %s is %s', (massGM2, thicknessMm, use, name) =>
    expect(machineCardFor(USUAL_WORKSHOP.machineCards, { massGM2, thicknessMm, use })?.name).toBe(name),
  )
  it('is none in a shop without cards', () =>
    expect(machineCardFor([], { massGM2: 300, thicknessMm: 0.6, use: 'indoors' })).toBeNull())
})

it('a step that sews says on what: the liner of the reading chairs, or the cover', () => {
  const set = demoJobs().find((j) => j.ticket === 'SL-03')!
  const plan = planJob(set)
  if (plan.kind !== 'worked') throw new Error('the chairs can be made')
  const sewn = workOrder(set, plan).flatMap((s) => (s.sews ? [{ title: s.title, on: s.sews.layer }] : []))
  expect(new Set(sewn.map((s) => s.on))).toEqual(new Set(['cover', 'liner']))
  for (const { title, on } of sewn) expect(title.includes('Liner'), title).toBe(on === 'liner')
})

describe('what a rate counts', () => {
  it('is a yard beside inches, and a metre beside millimetres; pieces are pieces', () => {
    expect(ratedIn('zip', 'mm')).toEqual({ per: 'metre', ofStored: 1 })
    expect(ratedIn('glue', 'cm')).toEqual({ per: 'square metre', ofStored: 1 })
    expect(ratedIn('zip', 'inch-8').per).toBe('yard')
    expect(ratedIn('glue', 'inch-16').per).toBe('square yard')
    // A yard is 36 inches of 25.4 mm: ten minutes a metre are 9.144 a yard, ten a square metre 8.361.
    expect(10 * ratedIn('zip', 'inch-8').ofStored).toBeCloseTo(9.144, 9)
    expect(10 * ratedIn('glue', 'inch-16').ofStored).toBeCloseTo(8.3612736, 7)
    expect(ratedIn('button', 'inch-8')).toEqual({ per: 'piece', ofStored: 1 })
  })
})
