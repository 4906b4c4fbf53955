import { phrase } from '../../../core/language/index.ts'
import type { ClothLay } from '../../../core/cloth/index.ts'
import type { LayFailure } from '../../../core/lay/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../../core/units/index.ts'

/** Why no lay exists, with a cure. */
export function layFailureWords(failure: LayFailure, plan: ClothLay, unit: LengthUnit): string {
  const name = (id: string) => plan.pieces.find((p) => p.id === id)?.name ?? id
  switch (failure.code) {
    case 'wider-than-cloth':
      return phrase`${name(failure.piece)} is ${formatLengthWithUnit(failure.over, unit)} wider than the ${plan.isFolded ? 'folded cloth. Laid flat it may go.' : 'usable cloth. What would help stands below.'}`
    case 'longer-than-cloth':
      return phrase`${name(failure.piece)} is ${formatLengthWithUnit(failure.over, unit)} longer than the cloth in hand.`
    case 'never-at-side':
      return phrase`${name(failure.piece)} has a ready edge, and in no way it may lie does that edge come to a selvedge. Give the edge a hem, or let the cloth run the other way.`
    case 'no-place':
      return phrase`${name(failure.piece)} finds no place on this cloth, even alone.`
    case 'no-room':
      return phrase`There is no room for ${failure.pieces.map(name).join(', ')}.`
    case 'too-many-pieces':
      return phrase`${failure.pieces} pieces with their copies are more than can be laid at once (${failure.most}). Fewer buttons, ties or cushions in one job, or several jobs, can.`
    case 'unsound':
      return 'The lay that was found did not stand up to its check, so it is not shown. Lay again with another start; the fault is ours.'
    default:
      return failure satisfies never
  }
}
