import { words, type WordsOf } from '../warning/index.ts'

/** What the workshop can object to, as data; its words stand beside it. Lengths in mm. */
export type WorkshopWarning = { readonly code: 'knives' | 'needles' }

export const WORKSHOP_WORDS: WordsOf<WorkshopWarning> = {
  knives: () =>
    words(
      'Electric, bread and craft knives: cut away from the body, cord clear, block supported. Count pins in and out.',
      '',
    ),
  needles: () =>
    words(
      'A machine needle goes through a finger: guard on, foot off the pedal when threading; a broken needle is found, all of it, before the cushion is handed over.',
      '',
    ),
}
