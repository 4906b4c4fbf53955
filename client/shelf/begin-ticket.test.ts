import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, readJob } from '../../contract/index.ts'
import { readTyped } from '../../core/typing/index.ts'
import { newSeat, partJob } from '../../core/job/index.ts'
import { DEMO_SHOP } from '../testing/demo-shop.ts'
import { asAsked, asTyped, ticketFor, turnedIfWide } from './begin-ticket.ts'

/** The ticket that a line typed on the shelf begins. */
function begun(line: string) {
  const { grades, cloths } = DEMO_SHOP
  const read = readTyped(line, { job: null, units: 'mm', grades, cloths, limits: JOB_LIMITS, today: '2026-11-30' })
  if (!read.ok || read.value.kind !== 'seat') throw new Error(line)
  return asTyped(ticketFor(read.value.seat, read.value.units, 'SL-99', DEMO_SHOP), read.value)
}

describe('a ticket begun from one line', () => {
  it.each([
    ['600 x 500 x 80', 'One cushion'],
    ['4 chairs 450 x 430 x 60', '4 cushions'],
    ['bench 2236 x 468 x 75 in 3', 'Bench in 3'],
    ['bolster 900 x 180', 'One bolster'],
    ['3 bolsters 24 in long 8 in diameter', '3 bolsters'],
    ['2 cubes 450', '2 cubes'],
    ['bolster 900 x 180, title Reading nook', 'Reading nook'],
  ])('"%s" is called %s, and its job file is sound', (line, title) => {
    const job = begun(line)
    expect(job.title).toBe(title)
    expect(job.ticket).toBe('SL-99')
    expect(readJob(JSON.parse(JSON.stringify(job))).ok).toBe(true)
  })
  it('goes on in the units it was said in, with all that was said in the line', () => {
    const job = begun('2 cushions 24 x 22 x 4 in, storm canvas, no piping, customer Ada Tern, due friday')
    expect(job.units).toBe('inch-8')
    expect(job.customer).toBe('Ada Tern')
    expect(job.terms.dueOn).toBe('2026-12-04')
    expect(partJob(job, 'A').cloth.cloth.name).toBe('Storm canvas')
    expect(job.parts[0]!.makeUp.piping.kind).toBe('none')
  })
})

describe('a ticket of pieces wider than its cloth', () => {
  const way = (line: string) => partJob(turnedIfWide(begun(line)), 'A').cloth.direction

  it('is begun railroaded on plain cloth, where it lies so', () => {
    // Cut 1620 long; the canvas is 1520 wide, and the girth of the roll lies across it.
    expect(way('bolster 1600 x 180, storm canvas')).toBe('railroaded')
    expect(way('bolster 900 x 180, storm canvas')).toBe('up-the-roll')
  })

  it('of several kinds each part that is wider lies so, the others as they were', () => {
    const ways = (line: string) => {
      const job = turnedIfWide(begun(line))
      return job.parts.map(({ letter }) => partJob(job, letter).cloth.direction)
    }
    // Plates of 1900 and 1700 are wider than 1520 of canvas; 500 is not.
    expect(
      ways(
        '2 berth cushions 1900 x 620 x 100, one lounge cushion 1700 x 600 x 100, one stool 500 x 400 x 80, storm canvas',
      ),
    ).toEqual(['railroaded', 'railroaded', 'up-the-roll'])
    expect(ways('2 seats 500 x 400 x 80, 2 benches 1900 x 450 x 80, storm canvas')).toEqual([
      'up-the-roll',
      'railroaded',
    ])
  })

  it('stays as it was where the pattern or the pile has its way, or no way helps', () => {
    expect(way('bolster 1600 x 180, lamp-room ticking')).toBe('up-the-roll')
    expect(way('one cushion 1900 x 1800 x 80, storm canvas')).toBe('up-the-roll')
  })
})

describe('a ticket begun field by field', () => {
  it('has the use, the cloth and the customer that were asked for, and the rest as the shop does it', () => {
    const usual = ticketFor(newSeat('singles', 600, 500, 80, 2), 'mm', 'SL-98', DEMO_SHOP)
    const cloth = DEMO_SHOP.cloths.find((c) => c.name === 'Hull vinyl')!
    const job = asAsked(usual, { use: 'cockpit', cloth, customer: 'Ada Tern' })
    expect(job.parts[0]!.filling.load.use).toBe('cockpit')
    expect(job.customer).toBe('Ada Tern')
    expect(JSON.stringify(job)).toContain('Hull vinyl')
    expect(job.parts[0]!.makeUp).toEqual(usual.parts[0]!.makeUp)
  })
})
