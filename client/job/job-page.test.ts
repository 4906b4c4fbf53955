import { describe, expect, it } from 'vitest'
import type { Lay } from '../../contract/index.ts'
import { jobOf } from '../../core/job/index.ts'
import { planJob } from '../../core/plan/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { benchJob, mediumBenchPart } from '../../core/testing/jobs.ts'
import { withCount } from '../../core/typing/index.ts'
import { nextTicket } from '../session/next-ticket.ts'
import { differences } from './differences.ts'
import { keyFigure, wasteWords } from './key-figures.ts'

describe('differences between two versions', () => {
  it('none between equal ones', () => expect(differences(keepersBench(), keepersBench())).toEqual([]))

  it('names the place and both sides', () => {
    const mine = { ...jobOf(mediumBenchPart()), title: 'mine' }
    const theirs = jobOf({ ...mediumBenchPart(), seat: withCount(mediumBenchPart().seat, 4) })
    expect(differences(mine, theirs)).toEqual([
      { path: 'title', mine: '"mine"', theirs: '"Keepers\' bench"' },
      { path: 'parts A seat division count', mine: '3', theirs: '4' },
    ])
  })

  it('a thing that one side lacks, and never more rows than fit', () => {
    expect(differences({ a: 1 }, {})).toEqual([{ path: 'a', mine: '1', theirs: 'nothing' }])
    const many = Object.fromEntries(Array.from({ length: 40 }, (_, i) => [`k${i}`, i]))
    expect(differences(many, {})).toHaveLength(8)
  })
})

describe('the key figure of each station', () => {
  const job = jobOf(mediumBenchPart())
  const plan = planJob(job)
  const lay: Lay = {
    format: 'loft-seam/lay',
    version: 1,
    length: 3249,
    bound: 3249,
    seed: 1,
    seconds: 1,
    placements: [],
    offsets: {},
  }

  it.each([
    ['measure', '3 of 746.7 x 468 x 75 mm'],
    ['filling', '3 blocks, 1 sheet'],
    ['make-up', 'boxed, zip in a gusset, piped'],
    ['pieces', '7 panels, 5 checks right'],
    ['lay', '3249 mm, 15.6 % waste'],
    ['lists', '€159.00 of foam and cloth'],
  ] as const)('%s: %s', (station, words) => expect(keyFigure(station, job, plan, plan.parts[0]!, [lay])).toBe(words))

  it('waits where nothing can be told yet', () => {
    expect(keyFigure('lay', job, plan, plan.parts[0]!, [])).toBe('not laid yet')
    expect(keyFigure('lists', job, plan, plan.parts[0]!, [])).toBe('waits for a lay')
    const bad = jobOf(benchJob({ count: 40, gapMm: 200 }))
    expect(keyFigure('filling', bad, planJob(bad), planJob(bad).parts[0]!, [])).toBe('waits for the measurements')
  })

  it('waste counts every copy', () => {
    const piece = {
      id: 'a',
      name: 'a',
      qty: 2,
      cut: [
        { x: 0, y: 0 },
        { x: 500, y: 0 },
        { x: 500, y: 100 },
        { x: 0, y: 100 },
      ],
      of: null,
      matched: false,
      way: 'flat' as const,
    }
    expect(wasteWords([piece], 100, 1250)).toBe('20 %')
  })
})

describe('the next ticket', () => {
  it.each([
    [[], 'J-001'],
    [['SL-02'], 'J-001'],
    [['J-007', 'SL-02', 'J-003'], 'J-008'],
    [['J-999'], 'J-1000'],
  ])('after %j comes %s', (tickets, next) => expect(nextTicket(tickets.map((ticket) => ({ ticket })))).toBe(next))
})
