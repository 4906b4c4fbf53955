import { phrase } from '../language/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'
import type { DivisionFault } from './division/index.ts'
import type { SeatFault } from './shaped-seat.ts'

export interface FaultWords {
  readonly says: string
  readonly cure: string
}

/** What is wrong with a seat's measurements, and what to do about it. */
export function seatFaultWords(fault: SeatFault | DivisionFault, unit: LengthUnit): FaultWords {
  const mm = (value: number): string => formatLengthWithUnit(value, unit)
  const words = (says: string, cure: string): FaultWords => ({ says, cure })
  switch (fault.code) {
    case 'tapes-cannot-close':
      return words(
        phrase`Tapes ${fault.tapes.map((t) => `${t.name} ${mm(t.mm)}`).join(', ')} cannot close: one is longer than the other two together.`,
        'Measure these three again.',
      )
    case 'too-few-tapes':
      return words(
        phrase`${fault.found} tapes do not hold the shape: ${fault.wanted} are wanted.`,
        'Add diagonals between corners until every corner is reached by two tapes.',
      )
    case 'corner-not-held':
      return words(
        phrase`Corner ${fault.corner} can still move: no two tapes hold it.`,
        phrase`Tape from ${fault.corner} to two corners that are held.`,
      )
    case 'tape-names':
      return words(
        phrase`Tape ${fault.tape} names a corner this shape has not, or the same corner twice; it has ${fault.corners}.`,
        'Name two different corners of the shape.',
      )
    case 'outline-crosses':
      return words(
        'The outline crosses or touches itself.',
        'Check the last entry, the order of the points, or a rise that is too large.',
      )
    case 'template-swallowed':
      return words(
        phrase`Less ${mm(fault.allowanceMm)} on every cut line, the template loses an edge, or crosses itself.`,
        'Check the allowance, and which edges are cut lines: net ones stay where they are.',
      )
    case 'template-fold':
      return fault.because === 'bowed'
        ? words(
            phrase`The fold ${fault.edge} is bowed: half a panel is mirrored over a straight line.`,
            'Choose the straight edge in the middle.',
          )
        : words(
            phrase`The template has no edge ${fault.edge} to mirror it over.`,
            'Choose another edge as the fold, or none.',
          )
    case 'no-area':
      return words('The outline encloses nothing.', 'Check the sizes.')
    case 'corner-too-large':
      return words(
        phrase`The corner ${fault.corner} is rounded or cut by more than its edge allows (${mm(fault.roomMm)} in all).`,
        'Make the radius or the legs smaller.',
      )
    case 'ears-too-large':
      return words(
        phrase`The ears take ${mm(fault.ears)} ${fault.way}; the seat has ${mm(fault.seat)}.`,
        'Check how far they stand out and how deep they are.',
      )
    case 'legs-too-short':
      return words(
        phrase`Leg ${fault.leg} is ${mm(fault.length)} from the corner, no longer than the other leg is deep (${mm(fault.depth)}).`,
        'Measure both legs from the corner of the room.',
      )
    case 'ring-too-deep':
      return words(
        phrase`The bench is ${mm(fault.depth)} deep on a radius of ${mm(fault.radius)}: nothing is left inside.`,
        'Check which arc the radius was taken on.',
      )
    case 'more-than-round':
      return words(
        phrase`The bench would go ${Math.round(fault.degrees)}° round.`,
        'Check the length against the radius: at most 350° is taken.',
      )
    case 'stations-order':
      return words(
        phrase`A station ${mm(fault.at)} from the head does not lie on the centre line (${mm(fault.length)}), or two stand at the same place.`,
        'Measure stations from the head, each at its own place.',
      )
    case 'corner-between-leans':
      return words(
        phrase`The corner ${fault.corner} is rounded between sides of different lean: no flat piece goes round it.`,
        'Leave it square or cut it off, or lean both sides alike.',
      )
    case 'clearance-swallows':
      return words('The clearances leave nothing of an edge.', 'Make the clearance smaller, or check the short edges.')
    case 'top-vanishes':
      return words(
        'The sides lean in so far that the top, or one of its edges, vanishes.',
        'Check lean and thickness: a side moves by thickness times the tangent of its angle.',
      )
    case 'parts-in-two':
      return words(
        'A straight division would part a cushion in two.',
        'Cut towards the centre, or divide into another number.',
      )
    case 'cushion-vanishes':
      return words(phrase`Nothing is left of cushion ${fault.number}.`, 'Check length, gaps and number of cushions.')
    case 'division-not-for-shape':
      return words(
        fault.division === 'radial'
          ? 'Only a ring is cut towards its centre.'
          : 'Only a corner bench is divided round its corner.',
        'Choose another way to divide it.',
      )
    default:
      return fault satisfies never
  }
}
