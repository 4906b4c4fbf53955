import { CLOTH_WORDS, type ClothWarning } from '../cloth/index.ts'
import { COVER_WORDS, type CoverWarning } from '../cover/index.ts'
import { FILLING_WORDS, type FillingWarning } from '../filling/index.ts'
import { SEAT_WORDS, type SeatWarning } from '../seat/index.ts'
import type { LengthUnit } from '../units/index.ts'
import { sayingIn, type Raised, type Saying, type WarningWords, type WordsOf } from '../warning/index.ts'
import { WORKSHOP_WORDS, type WorkshopWarning } from './workshop.ts'

/** Everything that a plan can object to: each room's objections, with its words for them. */
export type WarningCase = SeatWarning | FillingWarning | CoverWarning | ClothWarning | WorkshopWarning
export type Warning = Raised<WarningCase>

/** A warning in plain words, lengths in the job's unit. */
export function warningWords(w: Warning, unit: LengthUnit): WarningWords {
  // Each code's words take just its own case; a table cannot tell the compiler so.
  const say = ALL_WORDS[w.code] as (w: WarningCase, saying: Saying) => WarningWords
  return say(w, sayingIn(unit))
}

const ALL_WORDS: WordsOf<WarningCase> = {
  ...SEAT_WORDS,
  ...FILLING_WORDS,
  ...COVER_WORDS,
  ...CLOTH_WORDS,
  ...WORKSHOP_WORDS,
}
