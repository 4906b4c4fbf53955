import { phrase } from '../language/index.ts'
import { words, type WordsOf } from '../warning/index.ts'
import { seatFaultWords } from './fault-words.ts'
import type { SeatWarning } from './warning.ts'

/** The seat's objections in plain words, with the cheapest cure. */
export const SEAT_WORDS: WordsOf<SeatWarning> = {
  'readings-spread': (w, { mm }) =>
    words(
      phrase`The readings of the ${w.dimension} lie ${mm(w.spread)} apart; ${mm(w.limit)} is usual.`,
      'Take another reading, or strike out the one you doubt.',
    ),
  'cushion-vanishes': (w, { mm }) =>
    words(
      phrase`After clearances and gaps ${mm(w.left)} is left for the ${w.dimension} of a cushion.`,
      'Check the measurement, the number of cushions and the gap.',
    ),
  'seat-fault': (w, { unit }) => seatFaultWords(w.fault, unit),
  'diagonal-too-short': () =>
    words('A diagonal is shorter than the depth: that cannot be.', 'Measure the diagonals again, corner to corner.'),
  'not-square': (w, { mm }) =>
    words(
      phrase`The diagonals say that the seat leans ${mm(Math.abs(w.lean))} to the ${w.lean < 0 ? 'left' : 'right'} over its depth and is ${mm(w.far)} wide at the far edge.`,
      'Take over the shape of the diagonals, or measure them again.',
    ),
  'tape-suspect': (w, { mm }) =>
    words(
      phrase`Tape ${w.tape} is most likely misread: the others want ${mm(w.shouldBe)}, ${mm(Math.abs(w.off))} ${w.off > 0 ? 'less' : 'more'}.`,
      phrase`Measure ${w.tape} again.`,
    ),
  'tapes-disagree': (w, { mm }) =>
    words(
      phrase`The tapes disagree: ${w.tapes
        .slice(0, 6)
        .map((t) => phrase`${t.tape} is ${mm(Math.abs(t.offMm))} too ${t.offMm > 0 ? 'long' : 'short'}`)
        .join(', or ')}.`,
      'One more tape between other corners, or to the middle of a side, will tell which.',
    ),
  'old-differs': (w, { mm }) =>
    words(
      phrase`The ${w.source} says ${mm(w.was)} for the ${w.dimension}; by the seat the cushion finishes at ${mm(w.now)}.`,
      phrase`Labels and old covers lie by ${mm(10)} to ${mm(25)}: trust the seat, and ask how the old cushion fitted.`,
    ),
  'hull-clearance': (w, { mm }) =>
    words(
      phrase`A clearance of ${mm(w.clearance)} is little against a hull: foam swells with damp and goes in past frames.`,
      phrase`${mm(w.usual)} is usual aboard.`,
    ),
  'thickness-over-depth': (w, { mm }) =>
    words(
      phrase`The thickness ${mm(w.thickness)} is more than the depth ${mm(w.depth)}.`,
      'Check that depth and thickness are not exchanged.',
    ),
}
