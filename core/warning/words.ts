import { sayAmountWithUnit } from '../working/index.ts'
import { formatLengthWithUnit, trimmed, type LengthUnit } from '../units/index.ts'
import { isMatterOfTaste } from '../filling/choice/verdict.ts'
import { doubtWords, failureWords } from '../filling/choice/words.ts'
import { FIT_CAUSES } from '../filling/sizing/by-direction.ts'
import { FRONT_CLEAR_MM, SITTER_CLEAR_MM, STAGGER_MM } from '../filling/cutting/joins.ts'
import { HEAVY_KG, LONG_MM } from '../seat/advice.ts'
import { finishingWords } from '../cover/finishing.ts'
import { refusalWords } from '../cover/refusal-words.ts'
import { seatFaultWords } from '../seat/fault-words.ts'
import { shortfallWords } from '../what-if/shortfall-words.ts'
import type { Warning } from './warning.ts'

export interface WarningWords {
  readonly says: string
  /** The cheapest cure; empty where there is nothing to mend. */
  readonly cure: string
}

/** A warning in plain words, lengths in the job's unit. */
export function warningWords(w: Warning, unit: LengthUnit): WarningWords {
  const mm = (length: number) => formatLengthWithUnit(length, unit)
  switch (w.code) {
    case 'readings-spread':
      return words(
        `The readings of the ${w.dimension} lie ${mm(w.spread)} apart; ${mm(w.limit)} is usual.`,
        'Take another reading, or strike out the one you doubt.',
      )
    case 'cushion-vanishes':
      return words(
        `After clearances and gaps ${mm(w.left)} is left for the ${w.dimension} of a cushion.`,
        'Check the measurement, the number of cushions and the gap.',
      )
    case 'seat-fault':
      return seatFaultWords(w.fault, unit)
    case 'diagonal-too-short':
      return words(
        'A diagonal is shorter than the depth: that cannot be.',
        'Measure the diagonals again, corner to corner.',
      )
    case 'not-square':
      return words(
        `The diagonals say that the seat leans ${mm(Math.abs(w.lean))} to the ${w.lean < 0 ? 'left' : 'right'} over its depth and is ${mm(w.far)} wide at the far edge.`,
        'Take over the shape of the diagonals, or measure them again.',
      )
    case 'tape-suspect':
      return words(
        `Tape ${w.tape} is most likely misread: the others want ${mm(w.shouldBe)}, ${mm(Math.abs(w.off))} ${w.off > 0 ? 'less' : 'more'}.`,
        `Measure ${w.tape} again.`,
      )
    case 'tapes-disagree':
      return words(
        `The tapes disagree: ${w.tapes
          .slice(0, 6)
          .map((t) => `${t.tape} is ${mm(Math.abs(t.offMm))} too ${t.offMm > 0 ? 'long' : 'short'}`)
          .join(', or ')}.`,
        'One more tape between other corners, or to the middle of a side, will tell which.',
      )
    case 'old-differs':
      return words(
        `The ${w.source} says ${mm(w.was)} for the ${w.dimension}; by the seat the cushion finishes at ${mm(w.now)}.`,
        'Labels and old covers lie by 10 to 25 mm: trust the seat, and ask how the old cushion fitted.',
      )
    case 'hull-clearance':
      return words(
        `A clearance of ${mm(w.clearance)} is little against a hull: foam swells with damp and goes in past frames.`,
        `${mm(w.usual)} is usual aboard.`,
      )
    case 'cover-outline-lost':
      return words(
        'At its finished size the cover loses an edge of the outline.',
        'Choose another sizing school, or a smaller allowance.',
      )
    case 'block-outline-lost':
      return words(
        'At its cut size the block loses an edge of the outline.',
        'Choose size for size, or leave the short edge out of the outline.',
      )
    case 'curved-front-match':
      return words(
        `The front is bowed: its boxing matches the stripes in the middle and is ${mm(w.off)} off at its ends.`,
        'Choose a plain boxing where that would show.',
      )
    case 'thickness-over-depth':
      return words(
        `The thickness ${mm(w.thickness)} is more than the depth ${mm(w.depth)}.`,
        'Check that depth and thickness are not exchanged.',
      )
    case 'heavy':
      return words(
        `A block weighs ${sayAmountWithUnit(w.massKg, 'mass', unit)} and is ${mm(w.lengthMm)} long: two people carry it (over ${sayAmountWithUnit(HEAVY_KG, 'mass', unit)} or over ${mm(LONG_MM)}).`,
        'Divide the bench into more cushions, or plan for two.',
      )
    case 'no-sheet-thickness':
      return words(
        `No stack of up to three sheets (${w.offered.map(mm).join(', ')}) makes ${mm(w.wanted)}.`,
        `The nearest stack is ${mm(w.nearest)}: change the thickness, or have a sheet split to order.`,
      )
    case 'foam-fails':
      return words(
        `The foam ${FAILS[w.failure.code]}${failureWords(w.failure)}.${w.failure.code === 'bottoms' ? ` ${BASES[w.base]}` : ''}`,
        FOAM_CURES[w.failure.code],
      )
    case 'foam-doubt':
      return words(
        `This foam: ${doubtWords(w.doubt)}.${w.doubt.code === 'near-bottom' || w.doubt.code === 'bottoms-aged' ? ` ${BASES[w.base]}` : ''}`,
        isMatterOfTaste(w.doubt) ? '' : 'A denser or firmer grade lasts; the advice ranks them.',
      )
    case 'layers-over-block':
      return words(
        `The layers of set thickness come to ${mm(w.layers)}; the block is ${mm(w.block)} thick: nothing is left for the other layer.`,
        'Make the set layers thinner, or the cushion thicker.',
      )
    case 'too-many-layers':
      return words(
        `A block is glued from ${w.layers} sheets: more than three are felt, and glue lines harden.`,
        'Choose thicker sheets, or a thickness that fewer sheets make.',
      )
    case 'block-joined':
      return words(
        `The block is longer than any sheet: each is glued from ${w.joins + 1} parts, the offcut at the least seen end.`,
        'Divide into more cushions, or order it cut from a longer bun, to do without a join.',
      )
    case 'join-under-sitter':
      return words(
        `A join falls within ${mm(SITTER_CLEAR_MM)} of the middle of a sitter, or within ${mm(FRONT_CLEAR_MM)} of the front: there was no other place.`,
        'Choose a longer sheet, or divide the cushion there.',
      )
    case 'joins-in-line':
      return words(
        `Joins of two layers lie less than ${mm(STAGGER_MM)} apart.`,
        'Choose another sheet size for one of the layers.',
      )
    case 'not-for-sale':
      return words(
        `${w.grade} is not sold in sheets, and no piece in stock is chosen for it.`,
        'Choose a piece of stock on the cutting page, or another grade.',
      )
    case 'part-over-sheet':
      return words(
        `Part ${w.part} is larger than any sheet of its grade.`,
        'Choose a larger sheet, divide into more cushions, or order cut to size.',
      )
    case 'seat-height-changes':
      return words(
        `The seat becomes ${mm(Math.abs(w.by))} ${w.by > 0 ? 'higher' : 'lower'} than it was.`,
        'Check what was made for the old height: lid, hinge, arm rests, the old cover.',
      )
    case 'berth-wants-air':
      return words(
        'A berth wants air under it: damp that cannot leave turns to mould.',
        'Slats, a mesh underlay or holes in the board; turn the cushions up by day.',
      )
    case 'wet-wants-vents':
      return words(
        'Uncovered outdoors or aboard a cushion fills with rain.',
        'Quick-dry foam with a mesh or vented base, or closed-cell foam.',
      )
    case 'fibre-in-wet':
      return words('Loose fibre mats when it gets wet.', 'Choose quick-dry or closed-cell foam.')
    case 'not-a-lifebuoy':
      return words(
        'A boat cushion is not a life-saving device unless it is approved and labelled as one.',
        'Never open or refill an approved one; national rules come first.',
      )
    case 'glue':
      return words(
        'Solvent vapour burns and harms the lungs; hot glue burns the skin.',
        'Air, no flame, gloves; let the glue cure before the cover is closed. The label on the tin and local rules come first.',
      )
    case 'hot-wire':
      return words(
        'A hot wire burns, and its fumes harm.',
        'Open air, no chlorinated or unknown foams, wire off before reaching over.',
      )
    case 'film':
      return words(
        'Film can suffocate a child; left in a cushion it sweats and slows the foam.',
        'Keep it away from children; draw it out once the cover is on, unless it is meant to stay.',
      )
    case 'old-foam-dust':
      return words('Old foam sheds dust, and may hold mould or droppings.', 'Mask and gloves; bag what is thrown away.')
    case 'infant-bed':
      return words(
        "A bed of this size, or for so light a sleeper, is an infant's: firm flat bedding for infants is governed by safe-sleep rules and is not sized here.",
        'Send the customer to a maker of tested infant mattresses. If it is a seat, choose its use.',
      )
    case 'fit-loose':
      return words(
        `The cover is ${percent(-w.share)} larger than the block ${w.way}: it will look baggy.`,
        'Choose a fuller sizing school or a thicker block.',
      )
    case 'fit-tight':
      return words(
        `The cover squeezes the block by ${percent(w.share)} ${w.way}: tight.`,
        'Choose a smaller block, or leave it where the cloth gives.',
      )
    case 'fit-too-tight':
      return words(
        `The cover squeezes the block by ${percent(w.share)} ${w.way}: it is unlikely to close, or will cup.`,
        'Choose a smaller block or size for size.',
      )
    case 'squeezed-much':
      return words(
        `The cover finishes ${mm(w.by)} smaller than its filling in ${w.way}: ${percent(w.share)}${w.causes.length > 0 ? ` (${w.causes.map((c) => FIT_CAUSES[c]).join(', ')})` : ''}.`,
        w.way === 'thickness'
          ? 'Leave the allowance in the height of the boxing, or take thinner foam.'
          : 'Leave the allowance in, or cut the foam smaller.',
      )
    case 'cover-shrinks-seat':
      return words(
        `The snug cover finishes ${mm(w.width)} narrower and ${mm(w.depth)} shallower than the seat: the cushion no longer fills it.`,
        'Choose the full block if the seat must be filled.',
      )
    case 'wrapped-size-not-measured':
      return words(
        'The cover is worked out from a wrapped size that is calculated, not measured.',
        'Wrap the block, measure it, and enter the three sizes before cutting cloth.',
      )
    case 'fire-label':
      return words(
        'New foam or cloth ends any fire rating on an old label. National rules for seating, public places and boats come first; this program certifies nothing.',
        'Ask the supplier for the certificate, take the old label off, keep foam batch and certificate with the job.',
      )
    case 'seam-over-half':
      return words(
        `The seam allowance ${mm(w.seam)} is more than half of the ${w.panel} (${mm(w.size)}): the two allowances would meet.`,
        'Use a smaller allowance.',
      )
    case 'opening-too-small':
      return words(
        `The opening of ${mm(w.opening)} is shorter than the ${mm(w.needed)} that ${PASSES[w.way]}; by its girth ${mm(w.girth)} would do.`,
        `${LONGER[w.closure]}${w.way === 'film' || w.way === 'fibre' ? '' : `, or pack it in film (${mm(w.packed)} would do)`}.`,
      )
    case 'straight-piping-corners':
      return words(
        `Straight-cut piping bends no sharper than ${mm(w.needed)} with a ${mm(w.cord)} cord; this plate has square corners.`,
        'Clip the strip well at each corner, or cut it on the bias. Corners come out slightly round.',
      )
    case 'piping-as-high-as-boxing':
      return words(`The cord ${mm(w.cord)} is thick for a boxing of ${mm(w.thickness)}.`, 'Use a thinner cord.')
    case 'check-failed':
      return words(
        `Check failed, ${w.check}: ${w.detail}.`,
        'Do not cut. This combination of sizes cannot be sewn as drawn.',
      )
    case 'boxing-cut-per-side':
      return words('A wrap cannot match stripes round a corner: the boxing is cut as one piece per side.', '')
    case 'make-up-refused':
      return refusalWords(w.refusal, unit)
    case 'no-allowance':
      return words(
        `The ${w.panel} has an edge without any allowance: there is nothing to sew it by.`,
        'Fuse or bond that edge, or give it an allowance.',
      )
    case 'lap-over-limit':
      return words(
        `The lap of ${mm(w.lap)} is wider than ${mm(w.most)}, (t + 2s − 12) ÷ 3: on strips cut at boxing height the closed pair would end shorter than the boxing.`,
        'Cut the strips as listed here, which are higher; or use a narrower tape.',
      )
    case 'piping-bend':
      return words(
        `The plate bends by a radius of ${mm(w.radius)}; this piping lies well down to ${mm(w.needed)}.`,
        'Clip the strip each 10 to 15 mm round the curve, cut it on the bias, or use a thinner cord.',
      )
    case 'strip-too-narrow':
      return words(
        `A strip of ${mm(w.strip)} is too narrow for a cord of ${mm(w.cord)}: ${mm(w.needed)} is needed.`,
        'Cut it wider, or use a thinner cord.',
      )
    case 'cloth-gives':
      return words(
        `The cloth gives ${percent(w.share)}: it is cut ${percent(w.taken)} smaller.`,
        'Leave a reserve to trim, try the cover on, and note how much came off.',
      )
    case 'cloth-shrinks':
      return words(
        `Washing takes ${percent(w.across)} across and ${percent(w.along)} along: ${w.washFirst ? 'buy longer and wash it before cutting' : 'pieces are cut larger by that'}.`,
        '',
      )
    case 'finishing-wants-allowance':
      return words(
        `Raw edges ${finishingWords[w.finishing]} need an allowance of ${mm(w.least)}; this job has ${mm(w.seam)}.`,
        'Use a wider seam allowance, or another finish.',
      )
    case 'hot-knife-cloth':
      return words(`${w.cloth} is not all synthetic: a hot knife burns it.`, 'Choose another finish for the raw edges.')
    case 'hot-knife':
      return words(
        'A hot knife burns, and its fumes harm: all-synthetic cloth only, never chlorinated vinyl.',
        "Open air, blade parked before reaching over; the cloth maker's sheet comes first.",
      )
    case 'ties-unreachable':
      return words(
        `With ${w.perSide} ties to a side the middle ones cannot be reached on a mesh or slatted seat.`,
        'Two to a side, near the corners.',
      )
    case 'long-cords':
      return words(
        `Tie tails of ${mm(w.length)} can loop round a small child's neck.`,
        'Keep cords to 220 mm where small children are about.',
      )
    case 'grip-vanishes':
      return words(
        w.grip === 'non-slip'
          ? 'The inset leaves nothing of the non-slip base.'
          : 'The base is too shallow for strips of hook and loop that end short of both edges.',
        w.grip === 'non-slip' ? 'Set it in less than half of the smaller side.' : 'Hold it another way.',
      )
    case 'buttons-outside':
      return words(`Of the buttons ${w.count} fall outside the plate.`, 'Use a smaller margin, or fewer rows.')
    case 'buttons-not-washable':
      return words('Buttons go through the block: the cover cannot be taken off and washed.', '')
    case 'small-parts':
      return words(
        'Buttons that come loose can choke a small child.',
        'Doubled twine, tied to each other through the block; none where small children are about.',
      )
    case 'stapler':
      return words(
        'Staplers hurt eyes and fingers; staples longer than the board come through.',
        'Goggles; staples shorter than the board is thick.',
      )
    case 'liner-in-liner':
      return words(
        'A liner inside a liner holds nothing more.',
        'Leave out the inner liner, or choose another make-up for the cover.',
      )
    case 'wrap-not-washable':
      return words(
        w.fastening === 'bonded'
          ? 'A bonded wrap cannot be washed, and its glue softens in heat.'
          : 'A pinned wrap cannot be washed, and pins work loose.',
        'Sew it where it will be sat on for long.',
      )
    case 'nothing-to-match':
      return words(`${w.cloth} has no stripes to match.`, 'Match nothing, or choose another cloth.')
    case 'sides-cannot-match':
      return words(
        `The ${w.edges} boxing does not match: ${NO_MATCH[w.because](w.edges)}.`,
        w.because === 'runs-along' ? 'Choose how the stripe runs on it: upright or along.' : '',
      )
    case 'too-many-pieces':
      return words(
        `${w.cloth} would be cut into ${w.pieces} pieces; at most ${w.most} are laid at once.`,
        'Fewer buttons, ties or vents, or fewer cushions in one job.',
      )
    case 'matches-one-leg':
      return words(
        `The ${w.edges} boxing runs on round inner corners in one strip: it matches its longest edge and is up to ${mm(w.off)} off on the others.`,
        'Look at it on the made-up view; a plain boxing hides it.',
      )
    case 'rule-from-front':
      return words(
        w.isTaken
          ? 'The stripes run along the row, so that none can lie at a place along it: the band is placed from the front edge instead.'
          : 'The stripes run along the row, so that none can lie at a place along it: only the rule from front to back is used.',
        w.isTaken
          ? 'Say where it lies from front to back, or turn the cloth.'
          : 'Turn the cloth if the place along the row matters.',
      )
    case 'piping-join-near':
      return words(
        `However the piping is turned, a join comes within ${mm(w.clear)} of a corner or of the middle of the front; ${mm(w.wanted)} is usual.`,
        'Cut the strips along the roll or on the bias, so that they are longer and join less often.',
      )
    case 'cloth-too-short':
      return words(
        `${w.cloth} is not enough: ${shortfallWords(w.shortfall, unit)}.`,
        'Turn the cloth, join a hidden panel, or cut hidden panels from another cloth: what would do is tried on the remnant page.',
      )
    case 'depth-rule-idle':
      return words(
        'The pattern does not change from front to back: the rule for that way has nothing to place.',
        'Leave it at front edges alike, or turn the cloth.',
      )
    case 'under-cannot-match':
      return words(
        'The bottom plate does not go on where the boxing ends: this cloth would have to lie the other way up.',
        'Cut top and bottom alike, or leave it: it is not seen.',
      )
    case 'band-missing':
      return words(`The placement names band ${w.band + 1}; the cloth has ${w.bands}.`, 'Choose a band of this cloth.')
    case 'repeat-over-width':
      return words(
        `One repeat (${mm(w.repeat)}) is wider than the usable cloth (${mm(w.usable)}).`,
        'Check the stripe widths: the pattern cannot repeat on this cloth.',
      )
    case 'pile-sideways':
      return words(
        'Railroaded on a one-way cloth the pile runs from side to side of every cushion.',
        'Cut up the roll unless that is meant.',
      )
    case 'piece-wider-than-cloth':
      return words(`${w.piece} is ${mm(w.over)} wider than the usable cloth.`, WIDTH_CURES[w.cure])
    case 'knives':
      return words(
        'Electric, bread and craft knives: cut away from the body, cord clear, block supported. Count pins in and out.',
        '',
      )
    case 'needles':
      return words(
        'A machine needle goes through a finger: guard on, foot off the pedal when threading; a broken needle is found, all of it, before the cushion is handed over.',
        '',
      )
    default:
      return w satisfies never
  }
}

/** What leads up to the words of a failure. */
const FAILS = { exposure: 'does not suit the place: ', bottoms: '', 'too-firm': 'is ', 'too-soft': 'is ' } as const

const FOAM_CURES = {
  exposure: 'Choose a grade for that place; the advice names them.',
  bottoms: 'Choose a firmer or more supportive grade, a firm layer below, or a thicker block.',
  'too-firm': 'Choose a softer grade, or a softer layer on top.',
  'too-soft': 'Choose a firmer grade.',
} as const

const BASES = {
  board: 'On a solid board that is a hard stop.',
  slats: 'Slats give a little.',
  webbing: 'Webbing gives a little.',
  mesh: 'A mesh base gives a little.',
} as const

const NO_MATCH: Readonly<
  Record<Extract<Warning, { code: 'sides-cannot-match' }>['because'], (edges: string) => string>
> = {
  'runs-along': (edges) => `the stripe runs along the ${edges} edges and does not cross them`,
  'one-way': () => 'on one-way cloth it stays upright',
  slanted: (edges) => `the ${edges} edge is slanted or bowed, so that no stripe meets it squarely`,
}

type TooSmall = Extract<Warning, { code: 'opening-too-small' }>

const PASSES: Readonly<Record<TooSmall['way'], string>> = {
  'whole-end': 'this block needs',
  flat: 'this block needs as it is',
  folded: 'this block needs folded in half',
  film: 'this block needs even packed in film',
  fibre: 'a filled liner needs to fold through',
}

/** What would make more room, by what closes it. */
const LONGER: Readonly<Record<TooSmall['closure'], string>> = {
  'zip-gusset': 'A longer zip, or one further round the corners',
  'zip-seam': 'A zip along a longer side, or one in a gusset that runs round the corners',
  horseshoe: 'A slot nearer to the edge of the base, or in a U',
  'hook-and-loop': 'The lap along a longer side',
  'snap-tape': 'The lap along a longer side',
  snaps: 'The lap along a longer side',
  buttons: 'The lap along a longer side',
  ties: 'The lap along a longer side',
  lacing: 'The opening along a longer side',
  slit: 'A slit along the longer way, or a make-up with a zip',
  'sewn-shut': 'Leave a longer opening',
  fixed: 'Another make-up',
}

const WIDTH_CURES = {
  'other-direction': 'Try the other direction (up the roll or railroaded), or choose a wider cloth.',
  'one-per-side': 'Cut the boxing as one piece per side (make-up station), or choose a wider cloth.',
  divide: 'Choose a wider cloth, or divide into more cushions.',
} as const

const words = (says: string, cure: string): WarningWords => ({ says, cure })
const percent = (share: number): string => `${trimmed(share * 100, 1)} %`
