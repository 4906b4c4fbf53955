import { phrase } from '../language/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'
import type { Refusal } from './refusal.ts'
import { MAKE_UPS } from './usual.ts'

/** Why a cushion cannot take its make-up, and what it can take instead. */
export function refusalWords(
  { construction, reason, nearest }: Refusal,
  unit: LengthUnit,
): { readonly says: string; readonly cure: string } {
  const instead = nearest ? phrase`${MAKE_UPS[nearest].label} is the nearest that can.` : ''
  const say = (why: string, cure = '') => ({
    says: phrase`${MAKE_UPS[construction].label}: ${why}`,
    cure: [cure, instead].filter((s) => s !== '').join(' '),
  })
  const mm = (length: number) => formatLengthWithUnit(length, unit)
  switch (reason.code) {
    case 'bowed-edge':
      return say(phrase`the ${reason.edge} edge is bowed, and cloth cannot be folded over it without a seam.`)
    case 'leaning-side':
      return say(phrase`the ${reason.edge} side leans.`)
    case 'not-rectangular':
      return say('the cushion is not an upright rectangle, and cloth wrapped round it would not lie flat.')
    case 'inward-corner':
      return say('at an inward corner the two sides of the blank would lie on each other.')
    case 'borders-collide':
      return say(
        'the sides are too low for their seam allowances: nothing is left to cut out at a corner.',
        'Use a smaller seam allowance.',
      )
    case 'not-round':
      return say(
        phrase`a roll is as deep as it is thick; this cushion is ${mm(reason.depth)} deep and ${mm(reason.thickness)} thick.`,
        'Make depth and thickness the diameter.',
      )
    case 'roll-too-deep':
      return say(
        phrase`roll and seam take ${mm(reason.taken)}, more than half the thickness (${mm(reason.half)}).`,
        'Make the roll or the seam allowance smaller.',
      )
    case 'lap-too-wide':
      return say(
        phrase`the lap of ${mm(reason.lap)} is wider than the cushion is thick (${mm(reason.most)}).`,
        'Use a narrower tape.',
      )
    case 'opening-over-edge':
      return say(
        phrase`the opening of ${mm(reason.opening)} is longer than its edge (${mm(reason.edge)}).`,
        'Make the opening shorter, or choose a longer side.',
      )
    case 'radius-over-half':
      return say(
        phrase`the front is rounded by ${mm(reason.radius)}; no more than ${mm(reason.most)} fits.`,
        'Use a smaller radius.',
      )
    case 'tucks-over-half':
      return say(
        phrase`the tucks reach ${mm(reason.reach)} from the front corners, more than half the depth (${mm(reason.most)}).`,
        'Make fewer of them, or set them closer.',
      )
    case 'slit-outside':
      return say('the slit does not part the bottom in two.', 'Move the slit.')
    case 'slot-outside':
      return say(
        phrase`the base has no room for a slot set in by ${mm(reason.inset)} with rounded corners.`,
        'Set it in less, round it less, use a straight slot, or put the zip into the seam.',
      )
    case 'too-thin-to-border':
      return say(
        phrase`${mm(reason.left)} would be left of the border.`,
        'Use a smaller seam allowance, or the full depth.',
      )
    case 'board-vanishes':
      return say('nothing is left of the board.', 'Check the clearance.')
    case 'hem-over-height':
      return say(
        phrase`a hem of ${mm(reason.hem)} leaves nothing of the lining, which is ${mm(reason.height)} high less the hem.`,
        'Use a narrower hem.',
      )
    case 'closure-unfit':
      return say(phrase`it cannot be closed with: ${reason.closure}.`, 'Choose one of the closures it offers.')
    default:
      return reason satisfies never
  }
}
