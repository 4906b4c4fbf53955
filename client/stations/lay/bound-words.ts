import type { Bound } from '../../../core/lay/index.ts'

/** Why no lay can be shorter, behind "No lay can be shorter than 3000 mm". */
export const BOUND_WORDS: Readonly<Record<Bound['name'], string>> = {
  area: ', by the area of the pieces alone',
  'tallest piece': ': the tallest piece is as long',
  'wide pieces': ', since nothing goes beside the widest pieces',
  'what lies abreast': ', by what can lie abreast on this width',
  'pieces at one side': ', since these pieces want the side of the cloth one after the other',
  'rows of the pattern': ', by the repeats that the matched pieces start at',
  'every way tried': ': every way was tried',
}
