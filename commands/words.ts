import type { LayFailure } from '../core/lay/index.ts'

/** Why there is no lay, for a terminal. Lengths in mm. */
export function failureWords(failure: LayFailure): string {
  switch (failure.code) {
    case 'wider-than-cloth':
      return `${failure.piece} is ${failure.over.toFixed(1)} mm wider than the usable cloth${failure.wouldTurn ? '; turned by 90 it would fit' : '; it wants a join or a wider cloth'}`
    case 'longer-than-cloth':
      return `${failure.piece} is ${failure.over.toFixed(1)} mm longer than the cloth`
    case 'never-at-side':
      return `${failure.piece}: in none of its turns do its edges lie on the sides of the cloth they are demanded on`
    case 'no-place':
      return `${failure.piece} finds no place on this cloth, even alone`
    case 'no-room':
      return `no room for ${failure.pieces.join(', ')} beside the other pieces`
    case 'too-many-pieces':
      return `${failure.pieces} pieces with their copies are more than the ${failure.most} that are laid at once`
    case 'unsound':
      return `the lay that was found did not stand up to its check (${failure.faults.map((f) => f.code).join(', ')}): try another seed`
    default:
      return failure satisfies never
  }
}
