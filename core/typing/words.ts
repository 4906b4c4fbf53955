import { phrase } from '../language/index.ts'
import type { TypingFailure } from './failure.ts'

/** What was not understood, and what to type instead. */
export function typingWords(f: TypingFailure): string {
  switch (f.code) {
    case 'empty':
      return 'Nothing typed yet. Try: bench 2236 x 468 x 75 in 3'
    case 'infant':
      return 'Firm flat bedding for infants is governed by safe-sleep rules and is not sized here.'
    case 'unknown-word':
      return unknownWords(f)
    case 'no-such-foam':
      return phrase`The shop has no ${f.word} foam.`
    case 'two-seats':
      return phrase`Of several kinds of cushion in one line each must be plain by itself. Begin with the first; then type on its ticket: part backs: seat 560 x 480 x 140 times 3`
    case 'wants-job':
      return phrase`"${f.word}" changes an open job. Start one first: bench 2236 x 468 x 75 in 3`
    case 'nothing-in-store':
      return 'A ticket starts with a foam and a cloth of yours, and there is none yet: enter one of each on the pages Foam and Cloth.'
    case 'sizes':
      return phrase`${f.word} wants ${COUNT_WORDS[f.wanted] ?? f.wanted} sizes with x between them, as in ${f.example}; ${f.found} found.`
    case 'pattern':
      return phrase`${f.word} is typed as in: ${f.example}`
    case 'angle':
      return phrase`"${f.text}" is not an angle from ${f.least} to ${f.most} degrees.`
    case 'length':
      return phrase`The ${f.what} "${f.text}" ${LENGTH_WORDS[f.why]}`
    case 'count':
      return phrase`"${f.text}" is not a number of cushions: a whole number from 1 to 120 is wanted.`
    case 'two-thicknesses':
      return phrase`The line says two thicknesses, ${f.first} and ${f.second}: leave out the one that is not meant.`
    case 'full':
      return phrase`This ticket has ${f.most} parts, as many as one takes: begin another ticket.`
    case 'too-many':
      return phrase`That would be ${f.count} cushions, more than the ${f.most} of one order: check the numbers, or begin another ticket.`
    case 'only-bench':
      return phrase`${f.word} belongs to a bench; this seat has single cushions.`
    case 'choice':
      return phrase`${f.word} wants one of ${f.choices.join(', ')}; "${f.text}" is none of them.`
    case 'which':
      return f.text === ''
        ? phrase`Which ${f.what}? ${f.found.join(', ')}`
        : phrase`"${f.text}" does not name one ${f.what}. There are: ${f.found.join(', ')}`
    default:
      return f satisfies never
  }
}

function unknownWords({ word, near, known }: Extract<TypingFailure, { code: 'unknown-word' }>): string {
  const meant = near ? phrase` Is "${near}" meant?` : ''
  const help = known ? phrase`${known.word} is typed as in: ${known.example}` : phrase`Type ? to see what is.`
  return phrase`"${word}" is not a word of this line.${meant} ${help}`
}

const COUNT_WORDS: Readonly<Record<number, string>> = { 2: 'two', 3: 'three', 4: 'four' }

const LENGTH_WORDS = {
  empty: 'is missing.',
  'not-a-length': 'is not a length. Type it as 600, 60 cm, 23 5/8 or 42+3/4.',
  'division-by-zero': 'divides by nought. Check the fraction.',
  'not-positive': 'must be more than nought.',
  'too-long': 'is larger than anything a cushion has: check the unit.',
  negative: 'cannot be negative.',
} as const
