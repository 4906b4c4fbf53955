import { phrase } from '../language/index.ts'
import { words, type WordsOf } from '../warning/index.ts'
import { shortfallWords } from './shortfall-words.ts'
import type { NotFollowing } from './follow.ts'
import type { FoldFault } from './folded/fold-fault.ts'
import type { ClothWarning } from './warning.ts'

/** The cloth's objections in plain words, with the cheapest cure. */
export const CLOTH_WORDS: WordsOf<ClothWarning> = {
  'curved-front-match': (w, { mm }) =>
    words(
      phrase`The front is bowed: its boxing matches the stripes in the middle and is ${mm(w.off)} off at its ends.`,
      'Choose a plain boxing where that would show.',
    ),
  'cannot-follow': (w) =>
    words(
      phrase`Its stripes cannot follow those of ${w.leader}: ${NOT_FOLLOWING[w.because].why}.`,
      NOT_FOLLOWING[w.because].cure,
    ),
  'nothing-to-match': (w) =>
    words(phrase`${w.cloth} has no stripes to match.`, 'Match nothing, or choose another cloth.'),
  'sides-cannot-match': (w) =>
    words(
      phrase`The ${w.edges} boxing does not match: ${NO_MATCH[w.because](w.edges)}.`,
      w.because === 'runs-along' ? 'Choose how the stripe runs on it: upright or along.' : '',
    ),
  'too-many-pieces': (w) =>
    words(
      phrase`${w.cloth} would be cut into ${w.pieces} pieces; at most ${w.most} are laid at once.`,
      'Fewer buttons, ties or vents, or fewer cushions in one job.',
    ),
  'matches-one-leg': (w, { mm }) =>
    words(
      phrase`The ${w.edges} boxing runs on round inner corners in one strip: it matches its longest edge and is up to ${mm(w.off)} off on the others.`,
      'Look at it on the made-up view; a plain boxing hides it.',
    ),
  'rule-from-front': (w) =>
    words(
      w.isTaken
        ? 'The stripes run along the row, so that none can lie at a place along it: the band is placed from the front edge instead.'
        : 'The stripes run along the row, so that none can lie at a place along it: only the rule from front to back is used.',
      w.isTaken
        ? 'Say where it lies from front to back, or turn the cloth.'
        : 'Turn the cloth if the place along the row matters.',
    ),
  'piping-join-near': (w, { mm }) =>
    words(
      phrase`However the piping is turned, a join comes within ${mm(w.clear)} of a corner or of the middle of the front; ${mm(w.wanted)} is usual.`,
      'Cut the strips along the roll or on the bias, so that they are longer and join less often.',
    ),
  'cloth-too-short': (w, { unit }) =>
    words(
      phrase`${w.cloth} is not enough: ${shortfallWords(w.shortfall, unit)}.`,
      'Turn the cloth, join a hidden panel, or cut hidden panels from another cloth: what would do is tried on the remnant page.',
    ),
  'depth-rule-idle': () =>
    words(
      'The pattern does not change from front to back: the rule for that way has nothing to place.',
      'Leave it at front edges alike, or turn the cloth.',
    ),
  'under-cannot-match': () =>
    words(
      'The bottom plate does not go on where the boxing ends: this cloth would have to lie the other way up.',
      'Cut top and bottom alike, or leave it: it is not seen.',
    ),
  'band-missing': (w) =>
    words(phrase`The placement names band ${w.band + 1}; the cloth has ${w.bands}.`, 'Choose a band of this cloth.'),
  'repeat-over-width': (w, { mm }) =>
    words(
      phrase`One repeat (${mm(w.repeat)}) is wider than the usable cloth (${mm(w.usable)}).`,
      'Check the stripe widths: the pattern cannot repeat on this cloth.',
    ),
  'pile-sideways': () =>
    words(
      'Railroaded on a one-way cloth the pile runs from side to side of every cushion.',
      'Cut up the roll unless that is meant.',
    ),
  'not-folded': (w) =>
    words(phrase`${w.cloth} cannot be cut folded: ${NOT_FOLDED[w.because]}. It is laid flat.`, 'Lay it flat.'),
  'never-on-selvedge': (w) =>
    words(
      w.because === 'remnant'
        ? phrase`${w.piece}: an edge is said to be the cloth’s own, and a remnant of its own outline has none to give.`
        : phrase`${w.piece}: in no way it may lie does the edge that is said to be the cloth’s own come to a selvedge.`,
      'Give the edge its hem again, let the cloth run the other way, or choose another edge.',
    ),
  'spare-pieces': (w) =>
    words(
      phrase`Folded, ${w.count === 1 ? 'one piece' : phrase`${w.count} pieces`} of ${w.cloth} ${w.count === 1 ? 'has' : 'have'} no partner and ${w.count === 1 ? 'comes' : 'come'} twice: the second is spare.`,
      'Compare with the cloth laid flat.',
    ),
  'piece-wider-than-cloth': (w, { mm }) =>
    words(phrase`${w.piece} is ${mm(w.over)} wider than the usable cloth.`, WIDTH_CURES[w.cure]),
}

const NO_MATCH: Readonly<
  Record<Extract<ClothWarning, { code: 'sides-cannot-match' }>['because'], (edges: string) => string>
> = {
  'runs-along': (edges) => phrase`the stripe runs along the ${edges} edges and does not cross them`,
  'one-way': () => 'on one-way cloth it stays upright',
  slanted: (edges) => phrase`the ${edges} edge is slanted or bowed, so that no stripe meets it squarely`,
}

const WIDTH_CURES = {
  'other-direction': 'Try the other direction (up the roll or railroaded), or choose a wider cloth.',
  'one-per-side': 'Cut the boxing as one piece per side (make-up station), or choose a wider cloth.',
  divide: 'Choose a wider cloth, or divide into more cushions.',
} as const

const NOT_FOLLOWING: Readonly<Record<NotFollowing, { readonly why: string; readonly cure: string }>> = {
  'not-there': { why: 'that cannot be made as it stands', cure: 'Mend it first, or let this one have its own rule.' },
  'not-matched': { why: 'its own are not matched', cure: 'Match its stripes on the lay station.' },
  'leader-not-matched': { why: 'those are not matched', cure: 'Match them on the lay station.' },
  'other-cloth': { why: 'it is cut from another cloth', cure: 'Take the same cloth, or give it its own rule.' },
  'other-direction': {
    why: 'one is cut up the roll and the other railroaded',
    cure: 'Cut both the same way of the cloth.',
  },
  'nothing-goes-on': {
    why: 'nothing of the pattern repeats from front to back',
    cure: 'Only the centres can be shared: choose the same centres.',
  },
  'other-number': {
    why: 'there are more or fewer of them, and the others are no row',
    cure: 'Choose the same rule instead.',
  },
}

const NOT_FOLDED: Readonly<Record<FoldFault, string>> = {
  patterned: 'its pattern has to be seen to be laid right',
  'deep-pile': 'its pile creeps against itself',
  remnant: 'a remnant of its own outline has no two halves',
}
