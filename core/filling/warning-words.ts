import { phrase } from '../language/index.ts'
import { percent, words, type WordsOf } from '../warning/index.ts'
import { HEAVY_KG, LONG_MM } from '../seat/index.ts'
import { sayAmountWithUnit } from '../working/index.ts'
import { doubtWords, failureWords, isCalm, OLD_FOAM_WORDS, trialWords, UNKNOWN_WORDS } from './choice/index.ts'
import { FRONT_CLEAR_MM, SITTER_CLEAR_MM, STAGGER_MM } from './cutting/index.ts'
import { FIT_CAUSES } from './sizing/index.ts'
import type { FillingWarning } from './warning.ts'

/** What would settle it. */
const UNKNOWN_CURES = [
  ['density', 'Weigh a piece of known size for its density and its life.'],
  ['force', 'Press it with a weight on a disc, or let somebody sit on it and write down what they found.'],
] as const

/** The filling's objections in plain words, with the cheapest cure. */
export const FILLING_WORDS: WordsOf<FillingWarning> = {
  'cover-outline-lost': () =>
    words(
      'At its finished size the cover loses an edge of the outline.',
      'Choose another sizing school, or a smaller allowance.',
    ),
  'block-outline-lost': () =>
    words(
      'At its cut size the block loses an edge of the outline.',
      'Choose size for size, or leave the short edge out of the outline.',
    ),
  heavy: (w, { mm, unit }) =>
    words(
      phrase`A block weighs ${sayAmountWithUnit(w.massKg, 'mass', unit)} and is ${mm(w.lengthMm)} long: two people carry it (over ${sayAmountWithUnit(HEAVY_KG, 'mass', unit)} or over ${mm(LONG_MM)}).`,
      'Divide the bench into more cushions, or plan for two.',
    ),
  'no-sheet-thickness': (w, { mm }) =>
    words(
      phrase`No stack of up to three sheets (${w.offered.map(mm).join(', ')}) makes ${mm(w.wanted)}.`,
      phrase`The nearest stack is ${mm(w.nearest)}: change the thickness, or have a sheet split to order.`,
    ),
  'foam-fails': (w, { unit }) =>
    words(
      phrase`The foam ${w.failure.code === 'exposure' ? 'does not suit the place' : 'is'}${w.failure.code === 'exposure' ? ': ' : ' '}${failureWords(w.failure, unit)}.${w.failure.code === 'on-board' ? ` ${BASES[w.base]}` : ''}`,
      FOAM_CURES[w.failure.code],
    ),
  'foam-unknown': (w) =>
    words(
      phrase`Nobody knows ${w.unknown.map((u) => UNKNOWN_WORDS[u]).join(', nor ')} of this foam; it is sized, cut and covered all the same.${w.isTried ? ' A sitter found it right.' : ''}`,
      UNKNOWN_CURES.filter(([unknown]) => w.unknown.includes(unknown))
        .map(([, cure]) => cure)
        .join(' '),
    ),
  'trial-against': (w, { unit }) =>
    words(
      phrase`Sat on: ${w.trials.map((t) => trialWords(t, unit)).join('; ')}.`,
      'A firmer or softer foam, or another thickness; then sit on it again.',
    ),
  'trials-differ': (w, { unit }) =>
    words(
      phrase`Trials contradict each other: ${w.trials.map((t) => trialWords(t, unit)).join(', but ')}.`,
      'Let both sit again for as long, or trust the press.',
    ),
  'body-not-recovered': (w) =>
    words(
      phrase`${w.body} stays, and has not been measured since it rested or was steamed: it is taken as found.`,
      'Steam it, let it lie a day, measure it again.',
    ),
  'body-is-done': (w) =>
    words(
      phrase`${w.body} stays, though ${w.reasons.map((r) => OLD_FOAM_WORDS[r]).join(' and ')}.`,
      'Replace it, or keep it below a new layer.',
    ),
  'cover-much-smaller': (w, { mm }) =>
    words(
      phrase`The inside of the cover is ${mm(w.cover)} in ${w.way}, the block ${mm(w.block)}: smaller by more than a fifth.`,
      'Measure the cover again: laid flat, seam to seam.',
    ),
  'sheet-squeezes': (w, { mm }) =>
    words(
      phrase`Wanted are ${mm(w.wanted)}; the nearest sheet makes ${mm(w.made)}, which the cover squeezes by ${percent(w.share)}.`,
      'Have a sheet split to order where it must be exact.',
    ),
  'film-left-in': () =>
    words(
      'Film stays round the block: soft foam comes back slowly in it, and it keeps water out, and in.',
      'Prick it, or draw it out once the block lies in its corners.',
    ),
  'foam-doubt': (w, { unit }) =>
    words(
      phrase`This foam: ${doubtWords(w.doubt, unit)}.`,
      isCalm(w.doubt) ? '' : 'A denser or firmer grade, or a thicker block; the advice ranks them.',
    ),
  'layers-over-block': (w, { mm }) =>
    words(
      phrase`The layers of set thickness come to ${mm(w.layers)}; the block is ${mm(w.block)} thick: nothing is left for the other layer.`,
      'Make the set layers thinner, or the cushion thicker.',
    ),
  'too-many-layers': (w) =>
    words(
      phrase`A block is glued from ${w.layers} sheets: more than three are felt, and glue lines harden.`,
      'Choose thicker sheets, or a thickness that fewer sheets make.',
    ),
  'block-joined': (w) =>
    words(
      phrase`The block is longer than any sheet: each is glued from ${w.joins + 1} parts, the offcut at the least seen end.`,
      'Divide into more cushions, or order it cut from a longer bun, to do without a join.',
    ),
  'join-under-sitter': (_, { mm }) =>
    words(
      phrase`A join falls within ${mm(SITTER_CLEAR_MM)} of the middle of a sitter, or within ${mm(FRONT_CLEAR_MM)} of the front: there was no other place.`,
      'Choose a longer sheet, or divide the cushion there.',
    ),
  'joins-in-line': (_, { mm }) =>
    words(
      phrase`Joins of two layers lie less than ${mm(STAGGER_MM)} apart.`,
      'Choose another sheet size for one of the layers.',
    ),
  'not-for-sale': (w) =>
    words(
      phrase`${w.grade} is not sold in sheets, and no piece in stock is chosen for it.`,
      'Choose a piece of stock on the cutting page, or another grade.',
    ),
  'part-over-sheet': (w) =>
    words(
      phrase`Part ${w.piece} is larger than any sheet of its grade.`,
      'Choose a larger sheet, divide into more cushions, or order cut to size.',
    ),
  'seat-height-changes': (w, { mm }) =>
    words(
      phrase`The seat becomes ${mm(Math.abs(w.by))} ${w.by > 0 ? 'higher' : 'lower'} than it was.`,
      'Check what was made for the old height: lid, hinge, arm rests, the old cover.',
    ),
  'berth-wants-air': () =>
    words(
      'A berth wants air under it: damp that cannot leave turns to mould.',
      'Slats, a mesh underlay or holes in the board; turn the cushions up by day.',
    ),
  'wet-wants-vents': () =>
    words(
      'Uncovered outdoors or aboard a cushion fills with rain.',
      'Quick-dry foam with a mesh or vented base, or closed-cell foam.',
    ),
  'fibre-in-wet': () => words('Loose fibre mats when it gets wet.', 'Choose quick-dry or closed-cell foam.'),
  'not-a-lifebuoy': () =>
    words(
      'A boat cushion is not a life-saving device unless it is approved and labelled as one.',
      'Never open or refill an approved one; national rules come first.',
    ),
  glue: () =>
    words(
      'Solvent vapour burns and harms the lungs; hot glue burns the skin.',
      'Air, no flame, gloves; let the glue cure before the cover is closed. The label on the tin and local rules come first.',
    ),
  'hot-wire': () =>
    words(
      'A hot wire burns, and its fumes harm.',
      'Open air, no chlorinated or unknown foams, wire off before reaching over.',
    ),
  film: () =>
    words(
      'Film can suffocate a child; left in a cushion it sweats and slows the foam.',
      'Keep it away from children; draw it out once the cover is on, unless it is meant to stay.',
    ),
  'old-foam-dust': () =>
    words('Old foam sheds dust, and may hold mould or droppings.', 'Mask and gloves; bag what is thrown away.'),
  'infant-bed': () =>
    words(
      "A bed of this size, or for so light a sleeper, is an infant's: firm flat bedding for infants is governed by safe-sleep rules and is not sized here.",
      'Send the customer to a maker of tested infant mattresses. If it is a seat, choose its use.',
    ),
  'fit-loose': (w) =>
    words(
      phrase`The cover is ${percent(-w.share)} larger than the block ${w.way}: it will look baggy.`,
      'Choose a fuller sizing school or a thicker block.',
    ),
  'fit-tight': (w) =>
    words(
      phrase`The cover squeezes the block by ${percent(w.share)} ${w.way}: tight.`,
      'Choose a smaller block, or leave it where the cloth gives.',
    ),
  'fit-too-tight': (w) =>
    words(
      phrase`The cover squeezes the block by ${percent(w.share)} ${w.way}: it is unlikely to close, or will cup.`,
      'Choose a smaller block or size for size.',
    ),
  'squeezed-much': (w, { mm }) =>
    words(
      phrase`The cover finishes ${mm(w.by)} smaller than its filling in ${w.way}: ${percent(w.share)}${w.causes.length > 0 ? ` (${w.causes.map((c) => FIT_CAUSES[c]).join(', ')})` : ''}.`,
      w.way === 'thickness'
        ? 'Leave the allowance in the height of the boxing, or take thinner foam.'
        : 'Leave the allowance in, or cut the foam smaller.',
    ),
  'cover-shrinks-seat': (w, { mm }) =>
    words(
      phrase`The snug cover finishes ${mm(w.width)} narrower and ${mm(w.depth)} shallower than the seat: the cushion no longer fills it.`,
      'Choose the full block if the seat must be filled.',
    ),
  'wrapped-size-not-measured': () =>
    words(
      'The cover is worked out from a wrapped size that is calculated, not measured.',
      'Wrap the block, measure it, and enter the three sizes before cutting cloth.',
    ),
  'fire-label': () =>
    words(
      'New foam or cloth ends any fire rating on an old label. National rules for seating, public places and boats come first; this program certifies nothing.',
      'Ask the supplier for the certificate, take the old label off, keep foam batch and certificate with the job.',
    ),
}

const FOAM_CURES = {
  exposure: 'Choose a grade for that place; the advice names them.',
  'on-board': 'Choose a thicker block, a firmer or more supportive grade, or a firm layer below.',
} as const

const BASES = {
  board: 'On a solid board that is a hard stop.',
  slats: 'Slats give a little.',
  webbing: 'Webbing gives a little.',
  mesh: 'A mesh base gives a little.',
} as const
