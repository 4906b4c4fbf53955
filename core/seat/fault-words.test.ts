import { describe, expect, it } from 'vitest'
import type { DivisionFault } from './division/index.ts'
import { seatFaultWords } from './fault-words.ts'
import type { SeatFault } from './shaped-seat.ts'

type Fault = SeatFault | DivisionFault
/** A fault of every code, and what has to stand in its words. */
const FAULTS: { readonly [C in Fault['code']]: readonly [Extract<Fault, { code: C }>, string] } = {
  'tapes-cannot-close': [
    {
      code: 'tapes-cannot-close',
      tapes: [
        { name: 'AB', mm: 508 },
        { name: 'BC', mm: 254 },
        { name: 'CA', mm: 127 },
      ],
    },
    'AB 508 mm, BC 254 mm, CA 127 mm',
  ],
  'too-few-tapes': [{ code: 'too-few-tapes', found: 4, wanted: 5 }, '4 tapes do not hold the shape: 5 are wanted'],
  'corner-not-held': [{ code: 'corner-not-held', corner: 'D' }, 'Corner D can still move'],
  'tape-names': [{ code: 'tape-names', tape: 'AZ', corners: 4 }, 'Tape AZ names a corner this shape has not'],
  'outline-crosses': [{ code: 'outline-crosses' }, 'crosses or touches itself'],
  'template-swallowed': [{ code: 'template-swallowed', allowanceMm: 25.4 }, 'Less 25.4 mm on every cut line'],
  'template-fold': [{ code: 'template-fold', edge: '4-1', because: 'bowed' }, 'The fold 4-1 is bowed'],
  'no-area': [{ code: 'no-area' }, 'encloses nothing'],
  'corner-too-large': [
    { code: 'corner-too-large', corner: 'near left', roomMm: 254 },
    'more than its edge allows (254 mm in all)',
  ],
  'ears-too-large': [
    { code: 'ears-too-large', way: 'across', ears: 762, seat: 508 },
    'take 762 mm across; the seat has 508 mm',
  ],
  'legs-too-short': [
    { code: 'legs-too-short', leg: 'A', length: 508, depth: 762 },
    'Leg A is 508 mm from the corner, no longer than the other leg is deep (762 mm)',
  ],
  'ring-too-deep': [{ code: 'ring-too-deep', depth: 508, radius: 254 }, '508 mm deep on a radius of 254 mm'],
  'more-than-round': [{ code: 'more-than-round', degrees: 401.4 }, '401° round'],
  'stations-order': [
    { code: 'stations-order', at: 2540, length: 1860 },
    'A station 2540 mm from the head does not lie on the centre line (1860 mm)',
  ],
  'corner-between-leans': [
    { code: 'corner-between-leans', corner: 'far right' },
    'far right is rounded between sides of different lean',
  ],
  'clearance-swallows': [{ code: 'clearance-swallows' }, 'leave nothing of an edge'],
  'top-vanishes': [{ code: 'top-vanishes' }, 'the top, or one of its edges, vanishes'],
  'parts-in-two': [{ code: 'parts-in-two' }, 'part a cushion in two'],
  'cushion-vanishes': [{ code: 'cushion-vanishes', number: 3 }, 'Nothing is left of cushion 3'],
  'division-not-for-shape': [
    { code: 'division-not-for-shape', division: 'radial' },
    'Only a ring is cut towards its centre',
  ],
}

describe('what is wrong with a seat, in words', () => {
  it.each(Object.values(FAULTS))('%o', (fault, says) => {
    const words = seatFaultWords(fault, 'mm')
    expect(words.says).toContain(says)
    // A cure is a sentence of its own, which does not only say the fault again.
    expect(words.cure).toMatch(/^[A-Z].*\.$/)
    expect(words.cure).not.toBe(words.says)
  })

  it("sizes are told in the shop's own units", () => {
    expect(seatFaultWords(FAULTS['ring-too-deep'][0], 'inch-8').says).toContain('20 in deep on a radius of 10 in')
    expect(seatFaultWords(FAULTS['ears-too-large'][0], 'cm').says).toContain('76.2 cm across; the seat has 50.8 cm')
    expect(seatFaultWords(FAULTS['tapes-cannot-close'][0], 'inch-8').says).toContain('AB 20 in, BC 10 in, CA 5 in')
  })

  it('a corner bench is divided otherwise than a ring', () => {
    expect(seatFaultWords({ code: 'division-not-for-shape', division: 'corner' }, 'mm').says).toContain(
      'Only a corner bench',
    )
  })
})
