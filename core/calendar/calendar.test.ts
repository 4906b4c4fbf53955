import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import {
  dayName,
  dayNumber,
  MINUTES_A_DAY,
  planCalendar,
  startedOn,
  weekdayOf,
  weekFrom,
  type JobToPlan,
  type Task,
} from './index.ts'

const { calendar } = USUAL_WORKSHOP
/** A Monday. */
const TODAY = '2026-03-02'
const task = (part: Task['part'], resource: Task['resource'], minutes: number, more: Partial<Task> = {}): Task => ({
  part,
  resource,
  minutes,
  needs: null,
  cures: false,
  ...more,
})
const job = (id: string, tasks: readonly Task[], more: Partial<JobToPlan> = {}): JobToPlan => ({
  id,
  ticket: id,
  tasks,
  dueOn: null,
  orderedOn: null,
  notBefore: null,
  buys: { foam: false, cloth: false },
  ...more,
})
/** `2026-03-02 08:00`. */
const clock = (minutes: number) =>
  `${dayName(Math.floor(minutes / MINUTES_A_DAY))} ${String(Math.floor((minutes % MINUTES_A_DAY) / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
const at = (planned: ReturnType<typeof planCalendar>, id: string) =>
  planned
    .find((p) => p.id === id)!
    .tasks.map(
      (t) =>
        `${t.part} ${t.stretches.map((s) => `${clock(s.from)}-${clock(s.to).slice(11)}`).join(' ')}${t.waitedFor ? ` (${t.waitedFor})` : ''}`,
    )

describe('days', () => {
  it('are counted and named', () => {
    expect([
      dayName(dayNumber('2026-02-28') + 1),
      weekdayOf(dayNumber(TODAY)),
      weekdayOf(dayNumber('1969-12-28')),
    ]).toEqual(['2026-03-01', 0, 6])
  })
})

describe('three jobs, one with late foam, worked out by hand', () => {
  // Table 4 h, machine and bench 7 h, from 8; foam comes 5 days after it is ordered, glue cures 12 h.
  const first = job('A', [task('cloth', 'table', 120), task('sewing', 'machine', 300), task('closing', 'bench', 60)], {
    dueOn: '2026-03-03',
  })
  const lateFoam = job(
    'B',
    [
      task('foam', 'bench', 90, { needs: 'foam', cures: true }),
      task('cloth', 'table', 60),
      task('sewing', 'machine', 240),
      task('closing', 'bench', 120),
    ],
    { dueOn: '2026-03-06', buys: { foam: true, cloth: false } },
  )
  const third = job('C', [task('cloth', 'table', 90), task('sewing', 'machine', 180), task('closing', 'bench', 30)], {
    dueOn: '2026-03-10',
  })
  const planned = planCalendar([third, lateFoam, first], calendar, TODAY)

  it('the one due first has the first of everything', () => {
    expect(at(planned, 'A')).toEqual([
      'cloth 2026-03-02 08:00-10:00',
      'sewing 2026-03-02 10:00-15:00',
      'closing 2026-03-03 08:00-09:00',
    ])
    expect(planned.find((p) => p.id === 'A')).toMatchObject({
      startsOn: '2026-03-02',
      finishesOn: '2026-03-03',
      lateDays: 0,
      why: null,
      orderToday: [],
    })
  })

  it('the cover is sewn while the foam is on its way; the glue cures overnight', () => {
    // Ordered on Monday the 2nd, the foam is there on Saturday the 7th and cut on Monday the 9th, 8 to 9.30; cured at
    // 21.30, closed on the 10th.
    expect(at(planned, 'B')).toEqual([
      'foam 2026-03-09 08:00-09:30 (foam)',
      'cloth 2026-03-02 10:00-11:00 (busy)',
      'sewing 2026-03-03 08:00-12:00 (busy)',
      'closing 2026-03-10 08:00-10:00 (glue)',
    ])
    expect(planned.find((p) => p.id === 'B')).toMatchObject({
      startsOn: '2026-03-02',
      finishesOn: '2026-03-10',
      lateDays: 4,
      why: 'foam',
      orderToday: ['foam'],
    })
  })

  it('the third takes what is left', () => {
    expect(at(planned, 'C')).toEqual([
      'cloth 2026-03-02 11:00-12:00 2026-03-03 08:00-08:30 (busy)',
      'sewing 2026-03-03 12:00-15:00 (busy)',
      'closing 2026-03-04 08:00-08:30',
    ])
  })

  it('tells what is begun today', () =>
    expect(
      startedOn(planned, TODAY)
        .map((p) => p.id)
        .toSorted(),
    ).toEqual(['A', 'B', 'C']))

  it('holidays and a later start move it on', () => {
    const moved = planCalendar(
      [{ ...first, notBefore: '2026-03-04' }],
      { ...calendar, holidays: ['2026-03-04'] },
      TODAY,
    )
    expect(at(moved, 'A')[0]).toBe('cloth 2026-03-05 08:00-10:00')
  })

  it('a shop that never opens finishes nothing, and says so', () => {
    const shut = { ...calendar, hours: { ...calendar.hours, machine: [0, 0, 0, 0, 0, 0, 0] } }
    expect(planCalendar([first], shut, TODAY)[0]).toMatchObject({ finishesOn: null, why: 'busy' })
  })
})

const anyTask = fc
  .tuple(
    fc.constantFrom<Task['part']>('foam', 'cloth', 'sewing', 'closing', 'fitting'),
    fc.constantFrom<Task['resource']>('table', 'machine', 'bench'),
    fc.integer({ min: 1, max: 900 }),
  )
  .map(([part, resource, minutes]) => task(part, resource, minutes))
const PARTS = ['foam', 'cloth', 'sewing', 'closing', 'fitting']
const anyJobs = fc
  .array(fc.array(anyTask, { minLength: 1, maxLength: 6 }), { minLength: 1, maxLength: 12 })
  .map((all) =>
    all.map((tasks, i) =>
      job(
        `J${i}`,
        tasks.toSorted((a, b) => PARTS.indexOf(a.part) - PARTS.indexOf(b.part)),
      ),
    ),
  )

describe('any jobs', () => {
  it('every minute is planned once, in opening hours, no two at one place', () => {
    fc.assert(
      fc.property(anyJobs, (jobs) => {
        const stretches = planCalendar(jobs, calendar, TODAY).flatMap((p) => p.tasks.map((t) => ({ ...t, id: p.id })))
        for (const t of stretches) expect(t.stretches.reduce((sum, s) => sum + s.to - s.from, 0)).toBe(t.minutes)
        for (const resource of ['table', 'machine', 'bench'] as const) {
          const own = stretches
            .filter((t) => t.resource === resource)
            .flatMap((t) => t.stretches)
            .toSorted((a, b) => a.from - b.from)
          own.slice(1).forEach((s, i) => expect(s.from).toBeGreaterThanOrEqual(own[i]!.to))
          for (const s of own) {
            expect(calendar.hours[resource][weekdayOf(Math.floor(s.from / MINUTES_A_DAY))]).toBeGreaterThan(0)
            expect(s.from % MINUTES_A_DAY).toBeGreaterThanOrEqual(8 * 60)
            expect(s.to % MINUTES_A_DAY).toBeLessThanOrEqual((8 + calendar.hours[resource][0]!) * 60)
          }
        }
      }),
      { numRuns: 60 },
    )
  })

  it('200 jobs are all planned to their end', () => {
    const jobs = Array.from({ length: 200 }, (_, i) =>
      job(
        `J${i}`,
        [
          task('foam', 'bench', 90, { needs: 'foam', cures: true }),
          task('cloth', 'table', 75),
          task('sewing', 'machine', 260),
          task('closing', 'bench', 80),
          task('fitting', 'bench', 20),
        ],
        { buys: { foam: true, cloth: true }, dueOn: dayName(dayNumber(TODAY) + i) },
      ),
    )
    const planned = planCalendar(jobs, calendar, TODAY)
    expect(planned.every((p) => p.finishesOn !== null)).toBe(true)
  })
})

it('a week begins where the shop says: the day after its last is its first again', () => {
  // 2026-11-29 is a Sunday.
  const begins = { monday: '2026-11-30', saturday: '2026-11-28', sunday: '2026-11-29' } as const
  for (const [first, day] of Object.entries(begins) as [keyof typeof begins, string][])
    expect(weekFrom(first), first).toEqual(Array.from({ length: 7 }, (_, i) => weekdayOf(dayNumber(day) + i)))
})
