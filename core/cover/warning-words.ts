import { phrase } from '../language/index.ts'
import { percent, words, type WordsOf } from '../warning/index.ts'
import { finishingWords } from './finishing.ts'
import { refusalWords } from './refusal-words.ts'
import type { JoinFault } from './joins/join-fault.ts'
import type { CoverWarning } from './warning.ts'

/** The cover's objections in plain words, with the cheapest cure. */
export const COVER_WORDS: WordsOf<CoverWarning> = {
  'seam-over-half': (w, { mm }) =>
    words(
      phrase`The seam allowances of the ${w.panel}, ${mm(w.seam)} together, are more than half of its ${mm(w.size)}: it would be more seam than cloth.`,
      'Use a smaller allowance.',
    ),
  'opening-too-small': (w, { mm }) =>
    words(
      phrase`The opening of ${mm(w.opening)} is shorter than the ${mm(w.needed)} that ${PASSES[w.way]}; by its girth ${mm(w.girth)} would do.`,
      `${LONGER[w.closure]}${w.way === 'film' || w.way === 'fibre' ? '' : phrase`, or pack it in film (${mm(w.packed)} would do)`}.`,
    ),
  'straight-piping-corners': (w, { mm }) =>
    words(
      phrase`Straight-cut piping bends no sharper than ${mm(w.needed)} with a ${mm(w.cord)} cord; this plate has square corners.`,
      'Clip the strip well at each corner, or cut it on the bias. Corners come out slightly round.',
    ),
  'piping-as-high-as-boxing': (w, { mm }) =>
    words(phrase`The cord ${mm(w.cord)} is thick for a boxing of ${mm(w.thickness)}.`, 'Use a thinner cord.'),
  'check-failed': (w) =>
    words(
      phrase`Check failed, ${w.check}: ${w.detail}.`,
      'Do not cut. This combination of sizes cannot be sewn as drawn.',
    ),
  'not-joined': (w, { mm }) => notJoinedWords(w.fault, mm),
  'lap-under-hem': (w, { mm }) =>
    words(
      phrase`The lap of ${mm(w.lap)} does not cover the ${mm(w.covered)} of hem or tape behind it.`,
      'Make the lap wider, or the hem and the tape narrower.',
    ),
  'allowance-beside-book': (w, { mm }) =>
    words(
      phrase`The ${w.name} is ${mm(w.own)} here; the shop’s own is ${mm(w.usual)}.`,
      'Was another unit meant? Mend it, or say that it is meant.',
    ),
  'bare-foam': (w) =>
    words(
      phrase`${w.cloth} has no coating on its back, and lies on bare foam: seams wear through from inside.`,
      'Wrap the block in wadding, or sew a liner.',
    ),
  'layer-without-cloth': (w) =>
    words(
      phrase`The ${w.layer} has no cloth of its own yet: it is planned in the cloth of the face.`,
      'Choose one on Cloths.',
    ),
  'quilted-too-wide': (w, { mm }) =>
    words(
      phrase`The ${w.layer} is quilted every ${mm(w.spacing)}; it holds together no further apart than ${mm(w.most)}.`,
      'Quilt it closer.',
    ),
  'thick-seam': (w, { mm }) =>
    words(
      phrase`Where the top meets the sides ${mm(w.thickness)} lie under the foot.`,
      'A longer stitch and a heavier needle; or trim the layers out of the seam.',
    ),
  'boxing-cut-per-side': () =>
    words('A wrap cannot match stripes round a corner: the boxing is cut as one piece per side.', ''),
  'make-up-refused': (w, { unit }) => refusalWords(w.refusal, unit),
  'no-allowance': (w) =>
    words(
      phrase`The ${w.panel} has an edge without any allowance: there is nothing to sew it by.`,
      'Fuse or bond that edge, or give it an allowance.',
    ),
  'lap-over-limit': (w, { mm }) =>
    words(
      phrase`The lap of ${mm(w.lap)} is wider than ${mm(w.most)}, (t + 2s − 12) ÷ 3: on strips cut at boxing height the closed pair would end shorter than the boxing.`,
      'Cut the strips as listed here, which are higher; or use a narrower tape.',
    ),
  'piping-bend': (w, { mm }) =>
    words(
      phrase`The plate bends by a radius of ${mm(w.radius)}; this piping lies well down to ${mm(w.needed)}.`,
      phrase`Clip the strip each ${mm(10)} to ${mm(15)} round the curve, cut it on the bias, or use a thinner cord.`,
    ),
  'strip-too-narrow': (w, { mm }) =>
    words(
      phrase`A strip of ${mm(w.strip)} is too narrow for a cord of ${mm(w.cord)}: ${mm(w.needed)} is needed.`,
      'Cut it wider, or use a thinner cord.',
    ),
  'cloth-gives': (w) =>
    words(
      phrase`The cloth gives ${percent(w.share)}: it is cut ${percent(w.taken)} smaller.`,
      'Leave a reserve to trim, try the cover on, and note how much came off.',
    ),
  'cloth-shrinks': (w) =>
    words(
      phrase`Washing takes ${percent(w.across)} across and ${percent(w.along)} along: ${w.washFirst ? 'buy longer and wash it before cutting' : 'pieces are cut larger by that'}.`,
      '',
    ),
  'finishing-wants-allowance': (w, { mm }) =>
    words(
      phrase`Raw edges ${finishingWords[w.finishing]} need an allowance of ${mm(w.least)}; this job has ${mm(w.seam)}.`,
      'Use a wider seam allowance, or another finish.',
    ),
  'hot-knife-cloth': (w) =>
    words(phrase`${w.cloth} is not all synthetic: a hot knife burns it.`, 'Choose another finish for the raw edges.'),
  'hot-knife': () =>
    words(
      'A hot knife burns, and its fumes harm: all-synthetic cloth only, never chlorinated vinyl.',
      "Open air, blade parked before reaching over; the cloth maker's sheet comes first.",
    ),
  'ties-nowhere': (w) =>
    words(
      phrase`Ties or handles without a place on this cover, ${w.count} of them: there is no such edge, seam or face, or a zip runs there.`,
      'Choose another place for them.',
    ),
  'ready-nowhere': (w) =>
    words(
      phrase`The ${w.edge} edge of ${w.panel} was said to be the cloth’s own edge: there is no such straight edge on this cover.`,
      'Take it out, or choose another edge.',
    ),
  'ties-unreachable': (w) =>
    words(
      phrase`With ${w.perSide} ties to a side the middle ones cannot be reached on a mesh or slatted seat.`,
      'Two to a side, near the corners.',
    ),
  'long-cords': (w, { mm }) =>
    words(
      phrase`Tie tails of ${mm(w.length)} can loop round a small child's neck.`,
      phrase`Keep cords to ${mm(220)} where small children are about.`,
    ),
  'grip-vanishes': (w) =>
    words(
      w.grip === 'non-slip'
        ? 'The inset leaves nothing of the non-slip base.'
        : 'The base is too shallow for strips of hook and loop that end short of both edges.',
      w.grip === 'non-slip' ? 'Set it in less than half of the smaller side.' : 'Hold it another way.',
    ),
  'buttons-outside': (w) =>
    words(phrase`Of the buttons ${w.count} fall outside the plate.`, 'Use a smaller margin, or fewer rows.'),
  'buttons-not-washable': () => words('Buttons go through the block: the cover cannot be taken off and washed.', ''),
  'small-parts': () =>
    words(
      'Buttons that come loose can choke a small child.',
      'Doubled twine, tied to each other through the block; none where small children are about.',
    ),
  stapler: () =>
    words(
      'Staplers hurt eyes and fingers; staples longer than the board come through.',
      'Goggles; staples shorter than the board is thick.',
    ),
  'liner-in-liner': () =>
    words(
      'A liner inside a liner holds nothing more.',
      'Leave out the inner liner, or choose another make-up for the cover.',
    ),
  'wrap-not-washable': (w) =>
    words(
      w.fastening === 'bonded'
        ? 'A bonded wrap cannot be washed, and its glue softens in heat.'
        : 'A pinned wrap cannot be washed, and pins work loose.',
      'Sew it where it will be sat on for long.',
    ),
}

type TooSmall = Extract<CoverWarning, { code: 'opening-too-small' }>

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

function notJoinedWords(fault: JoinFault, mm: (length: number) => string) {
  const panel = fault.panel.toLowerCase()
  switch (fault.because) {
    case 'no-such-panel':
      return words(
        phrase`A join waits for a panel that this make-up has not (${panel}).`,
        'Take the join out, or go back to the make-up that has it.',
      )
    case 'twice':
      return words(phrase`The ${panel} is joined twice over: the first of both holds.`, 'Take one of them out.')
    case 'too-narrow':
      return words(
        phrase`The ${panel} stays whole: a piece of ${mm(fault.pieceMm)} would be left, and ${mm(fault.leastMm)} is the least that two seams leave anything of.`,
        'Use fewer pieces, or move the join.',
      )
    case 'not-in-two':
      return words(
        phrase`The ${panel} stays whole: the join would cut it in more than two parts, or run along its edge.`,
        'Move the join clear of the hollow, or run it the other way.',
      )
    case 'through-opening':
      return words(
        phrase`The ${panel} stays whole: the join would cross its opening.`,
        'Move the join beside the opening.',
      )
    default:
      return fault satisfies never
  }
}
