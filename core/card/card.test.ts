import { jobOf } from '../job/index.ts'
import { expect, it } from 'vitest'
import { CARD_VERSION, JobCard } from '../../contract/index.ts'
import { setRecord, ticked, totalMinutes, workOrder } from '../making/index.ts'
import { demoParts, keepersBenchPart } from '../demo/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { worked } from '../testing/jobs.ts'
import { isOpen, jobCard, jobToPlan } from './index.ts'

const { rates } = USUAL_WORKSHOP

it.each(demoParts().map((job) => [job.ticket, job] as const))(
  '%s: its card is of the schema, and its tasks come to the minutes of its work order',
  (_ticket, job) => {
    const card = jobCard(jobOf(job))
    expect(JobCard.parse(card)).toEqual(card)
    expect(card.version).toBe(CARD_VERSION)
    const planned = jobToPlan({ id: 'x', ticket: job.ticket, card }, rates).tasks.reduce((sum, t) => sum + t.minutes, 0)
    expect(Math.abs(planned - totalMinutes(workOrder(jobOf(job), worked(job)), rates).value)).toBeLessThan(6)
    expect(JSON.stringify(card).length).toBeLessThan(4000)
  },
)

it('what is ticked is no work any more', () => {
  const job = keepersBenchPart()
  const [first] = workOrder(jobOf(job), worked(job))
  const card = jobCard(jobOf(setRecord(first!, 'done', (r) => ticked(r, 'Ada', 0)).apply(job)))
  expect(card.steps).toEqual({ done: 1, of: 32 })
  const units = (c: typeof card) => c.left.reduce((sum, l) => sum + (l.kind === 'check' ? l.units : 0), 0)
  expect([units(jobCard(jobOf(job))), units(card)]).toEqual([13, 12])
})

it('a seat that cannot be worked still has a card', () => {
  const bench = keepersBenchPart()
  const card = jobCard(
    jobOf({ ...bench, seat: { ...bench.seat, division: { kind: 'run', count: 40, gapMm: 900, cuts: 'straight' } } }),
  )
  expect(card).toMatchObject({ left: [], steps: { of: 0 } })
  expect(card.doubts).toBeGreaterThan(0)
})

it('open jobs are those ordered or begun', () => {
  expect(
    (['asked', 'ordered', 'making', 'fitted', 'billed'] as const).filter((stage) =>
      isOpen({ stage, archivedOn: null }),
    ),
  ).toEqual(['ordered', 'making'])
  expect(isOpen({ stage: 'making', archivedOn: '2026-03-02' })).toBe(false)
})

it('cloth in hand that is washed first is wanted by what goes into the wash', () => {
  const bench = keepersBenchPart()
  const cloth = {
    ...bench.cloth.cloth,
    washFirst: true,
    shrink: { across: 0, along: 0.05 },
    supply: { kind: 'length' as const, lengthMm: 5000 },
  }
  const job = { ...bench, cloth: { ...bench.cloth, cloth } }
  const lay = {
    format: 'loft-seam/lay' as const,
    version: 1 as const,
    length: 3800,
    bound: 0,
    seed: 1,
    seconds: 0,
    placements: [],
    offsets: {},
  }
  const card = jobCard(
    jobOf({ ...job, lays: { [cloth.id]: { problemKey: 'x', lay, byHand: true, locked: [], joint: null } } }),
  )
  // 3800 on the table is 95 % of 4000.
  expect(card.needs.cloths).toEqual([{ id: cloth.id, mm: expect.closeTo(4000, 6) as number }])
})
