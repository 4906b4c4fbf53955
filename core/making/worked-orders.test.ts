import { describe, expect, it } from 'vitest'
import type { PartJob } from '../../contract/index.ts'
import { usualMakeUp } from '../cover/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { demoParts } from '../demo/index.ts'
import { jobOf, newSeat } from '../job/index.ts'
import { foamJob, mediumBenchPart, worked } from '../testing/jobs.ts'
import { stepMinutes, workOrder } from './index.ts'

/** Every act with its minutes by the usual rates, to a tenth; what is done at the table is the same for all. */
const orderOf = (job: PartJob): readonly (readonly [string, number])[] =>
  workOrder(jobOf(job), worked(job))
    .filter((s) => s.part !== 'cloth')
    .map((s) => [s.id, Math.round(stepMinutes(s, USUAL_WORKSHOP.rates).value * 10) / 10])
const demo = (ticket: string) => demoParts().find((j) => j.ticket === ticket)!
const gate = 2

// Rates, minutes: join and close 3 a metre, plate 4 a metre and 1.5 a corner, zip 10, hem 2.5, finish 1, top-stitch 5,
// roll 6, board 8, staple 4 a metre; drill 0.5, tie 3, turn 3, fill 6, fit 5 each; glue 10 and wrap 6 a square metre.
describe('orders worked by hand, act by act', () => {
  it('SL-08, the hassock: 440 x 440 x 380 of eight sheets, its slip cover over an inner cover', () => {
    expect(orderOf(demo('SL-08'))).toEqual([
      ['foam.measured', gate],
      // Eight squares of 440: 8 x 4 x 0.44 m x 3.
      ['foam.cut', 42.2],
      // Seven glue lines of 0.1936 m².
      ['foam.glue', 13.6],
      // Four hems of 440 on the cover and on the lining, and the two sides of the lap of 380: 4.28 m.
      ['sew.A.hems', 10.7],
      ['sew.A.A', 3.8],
      ...['B', 'C', 'D'].map((l) => [`sew.A.${l}`, 1.1]),
      ['sew.A.ring', gate],
      // Round the top: 1.76 m x 4, and four corners.
      ['sew.A.E', 13],
      // 0.38 + 3 x 0.38 + 1.76 m.
      ['sew.A.finish', 3.3],
      // The lining is shorter by the hem of 30: 1.05.
      ...['F', 'G', 'H', 'I'].map((l) => [`sew.A.${l}`, 1]),
      ['sew.A.J', 13],
      ['sew.A.lining.finish', 3.2],
      ...['K', 'L', 'M', 'N'].map((l) => [`sew.A.${l}`, 1.1]),
      ['sew.A.O', 13],
      ['sew.A.inner.finish', 3.3],
      ['close.A.inner.turn', 3],
      // 73.6 litres: 1 + 73.6 / 50 fillings, a fifth more for firm foam, x 6.
      ['close.A.inner.fill', 17.8],
      ['close.A.inner.corners', gate],
      ['close.A.inner.sew', 5.3],
      ['slip.A.turn', 3],
      // Wadding: the top 0.1936 and 4 x 0.44 x 0.35 m².
      ['slip.A.lining', 4.9],
      ['slip.A.over', 6],
      ['close.pins', gate],
      ['fit.seat', 5],
      ['fit.papers', 0],
    ])
  })

  it('SL-09, the hinged pair: turned, divided from outside, two blocks, two ends', () => {
    expect(orderOf(demo('SL-09'))).toEqual([
      ['foam.measured', gate],
      ['foam.checked', gate],
      ['sew.A.trims', 6],
      // Two sides of 455 + 530 + 70 and what is left beside two openings of 250 in 505: 2.11 + 0.51 m x 4; 4 corners.
      ['sew.A.A', 16.5],
      ['sew.A.finish', 2.6],
      ['sew.A.turn', 3],
      // The divider: 470 + 35 = 505 mm.
      ['sew.A.B', 2.5],
      // 470 x 455 x 35 are 7.5 litres: 1.15 fillings, extra firm 1.4, x 6; the back 8.7 litres.
      ['close.fill-seat', 9.7],
      ['close.fill-back', 9.9],
      ['close.corners', gate],
      ['close.sew-seat', 1.3],
      ['close.sew-back', 1.3],
      ['close.pins', gate],
      ['fit.seat', 5],
      ['fit.papers', 0],
    ])
  })

  it('a rolled edge with a liner, 600 x 500 x 100: rolls once it is turned, the last one on the filled cushion', () => {
    const job = foamJob((foam) => ({ ...foam, school: { kind: 'size-for-size' } }), {
      ...mediumBenchPart(),
      seat: { ...newSeat('singles', 600, 500, 100, 1), clearanceMm: 0 },
      makeUp: { ...usualMakeUp('rolled-edge'), liner: { largerShare: 0 } },
      cloth: { ...mediumBenchPart().cloth, match: { kind: 'none' } },
    })
    const order = orderOf(job).filter(([id]) => !id.startsWith('foam') && !id.includes('liner'))
    expect(order).toEqual([
      ...['A', 'B', 'C', 'D'].map((l) => [`sew.A.${l}`, 0.3]),
      ['sew.A.ring', gate],
      // 2.2 m x 4 and four corners; then all but the opening of 250.
      ['sew.A.E', 14.8],
      ['sew.A.corners', gate],
      ['sew.A.F', 13.8],
      // 0.4 + 2.2 + 1.95 m.
      ['sew.A.finish', 4.6],
      ['sew.A.turn', 3],
      // 2.2 + 1.95 m x 6, then four corner edges of 100.
      ['sew.A.rolls', 24.9],
      ['sew.A.corner-rolls', 2.4],
      // 30 litres in medium foam: 1.6 x 6.
      ['close.fill', 9.6],
      ['close.corners', gate],
      ['close.sew', 1.5],
      ['close.pins', gate],
      ['fit.seat', 5],
      ['fit.papers', 0],
    ])
    const all = orderOf(job).map(([id]) => id)
    expect(all.indexOf('close.A.liner.sew')).toBeLessThan(all.indexOf('close.fill'))
    expect(all.indexOf('close.A.liner.fill')).toBeLessThan(all.indexOf('close.A.liner.sew'))
  })

  it('SL-05, the locker lids: boards first, foam glued on, darts, then pulled over; nothing is turned', () => {
    const order = orderOf(demo('SL-05'))
    const of = (letter: string) => order.filter(([id]) => id.includes(`.${letter}.`)).map(([id]) => id)
    expect(of('B')).toEqual([
      'board.B.cut',
      'board.B.seat',
      'board.B.holes',
      'board.B.glue',
      ...['A', 'B', 'C', 'D'].map((l) => `sew.B.${l}`),
      'close.B.staple',
      'close.B.flush',
      'close.B.dust',
    ])
    const minutes = new Map(order)
    // Sides of about 402, 318 and 2 x 1125, smaller all round: 2.95 m or so x 8, and stapled in two rows of 2.96 m x 4.
    expect(minutes.get('board.B.cut')).toBeGreaterThan(22.5)
    expect(minutes.get('board.B.cut')).toBeLessThan(24)
    expect(minutes.get('close.B.staple')).toBeCloseTo(23.7, 0)
    // 18 holes: about 0.4 m² by 150 x 150.
    expect(minutes.get('board.B.holes')).toBe(9)
    expect(order.some(([id]) => id.endsWith('turn'))).toBe(false)
  })

  it('SL-06, the berth: the zip along its path and its slit while the base is flat, before the border is sewn to it', () => {
    const order = orderOf(demo('SL-06'))
    expect(order.filter(([id]) => id.startsWith('sew.A.')).map(([id]) => id)).toEqual([
      'sew.A.slot',
      'sew.A.slit',
      ...['A', 'B', 'C', 'D'].map((l) => `sew.A.${l}`),
      'sew.A.zip-open',
      'sew.A.E',
      'sew.A.finish',
    ])
    // A path of 3.953 m, sewn along both sides at 10 a metre.
    expect(new Map(order).get('sew.A.slot')).toBe(39.5)
  })
})
