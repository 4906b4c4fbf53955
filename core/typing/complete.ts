import { distance } from 'fastest-levenshtein'
import { CLOSURES, MAKE_UPS } from '../cover/index.ts'
import { plainText } from '../units/index.ts'
import type { KnownWord, TypingContext } from './failure.ts'
import { GRAMMAR } from './grammar.ts'

/** A line that goes on from what is typed, and what it would do. */
export interface Completion {
  readonly line: string
  readonly does: string
}

const MOST_OFFERED = 5

/**
 * How a line may go on: the words of the grammar that begin so, or, of a word that is none, the nearest ones; after a
 * word that wants a name, the names that have in them what is typed.
 */
export function completionsOf(line: string, context: TypingContext): readonly Completion[] {
  const text = plainText(line).trimStart().toLowerCase()
  const [, word = '', space = '', rest = ''] = /^(\S*)(\s*)(.*)$/.exec(text) ?? []
  if (word === '') return []
  if (space === '') {
    const begun = WORDS.filter((w) => w.word.startsWith(word) && w.word !== word)
    const found = begun.length > 0 || isWord(word) ? begun : nearest(word)
    return found.slice(0, MOST_OFFERED).map((w) => ({ line: `${w.word} `, does: w.does }))
  }
  if (!isWord(word))
    return nearest(word)
      .slice(0, MOST_OFFERED)
      .map((w) => ({ line: `${w.word} ${rest}`, does: w.does }))
  return namesAfter(word, context)
    .filter((name) => name.toLowerCase().includes(rest.trim()) && name.toLowerCase() !== rest.trim())
    .slice(0, MOST_OFFERED)
    .map((name) => ({ line: `${word} ${name.toLowerCase()}`, does: name }))
}

/** The word of the grammar that is meant by one that is none; null where none is near. */
export const nearestWord = (word: string): string | null =>
  nearest(word.toLowerCase()).find((w) => w.word !== word.toLowerCase())?.word ?? null

/** A word of the grammar that is said in a line after its first, with a line of its form; null where there is none. */
export function knownIn(line: string): KnownWord | null {
  const words = plainText(line)
    .toLowerCase()
    .split(/[\s,;]+/)
  const outlined = words.find((word) => BY_POINTS.test(word))
  if (outlined !== undefined)
    return { word: outlined, example: GRAMMAR.find((g) => g.form.startsWith('points'))!.example }
  const found = words
    .slice(1)
    .flatMap((word) =>
      GRAMMAR.flatMap(({ example }) => (word.length > 3 && example.startsWith(`${word} `) ? [{ word, example }] : [])),
    )
  return found[0] ?? null
}

/** Outlines that no form of their own makes. */
const BY_POINTS = /^(?:hexagon|octagon|pentagon|triang|oval|ellip|kidney|heart)/

/** A line of one word that is not typed to its end yet: nothing is guessed from it. */
export const isBegun = (line: string): boolean => {
  const text = plainText(line).trim().toLowerCase()
  return text !== '' && !isWord(text) && WORDS.some(({ word }) => word.startsWith(text))
}

interface Known {
  readonly word: string
  readonly does: string
}

/** The first word of every form, with what it does. */
const WORDS: readonly Known[] = GRAMMAR.flatMap(({ form, does }) =>
  form
    .split('·')
    .flatMap((one) => (/^[a-z, ]+$/.test(one.split(/[A-Z…]/)[0]!) ? one.split(/[A-Z…]/)[0]!.split(',') : [one]))
    .map((one) => ({ word: /^\s*([a-z]+)/.exec(one)?.[1] ?? '', does })),
).filter(({ word }, i, all) => word.length > 1 && all.findIndex((w) => w.word === word) === i)

const isWord = (word: string): boolean => WORDS.some((w) => w.word === word)

/** One letter wrong, or of a longer word two, as when they change places; more is another word. */
function nearest(word: string): readonly Known[] {
  const most = word.length < 5 ? 1 : 2
  return WORDS.map((w) => ({ w, off: distance(word, w.word) }))
    .filter(({ w, off }) => off <= most && Math.abs(w.word.length - word.length) <= 1 && w.word.length > 2)
    .toSorted((a, b) => a.off - b.off)
    .map(({ w }) => w)
}

function namesAfter(word: string, { cloths, grades, job }: TypingContext): readonly string[] {
  switch (word) {
    case 'cloth':
      return cloths.map((c) => c.name)
    case 'foam':
    case 'top':
      return grades.map((g) => g.name)
    case 'makeup':
      return Object.values(MAKE_UPS).map((m) => m.label)
    case 'close':
      return (job ? MAKE_UPS[job.makeUp.construction.kind].closures : []).map((kind) => CLOSURES[kind].label)
    default:
      return []
  }
}
