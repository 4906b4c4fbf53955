import type { Dictionary } from '../core/language/index.ts'
import { wordsOfProgram } from './words.ts'

/*
 * A made-up language of the program's own words, every letter with a mark: what bears none was not translated, and
 * with the marks taken off it must be English again.
 */

const PLAIN = 'abcdefghijklmnopqrstuvwxyz'
/** Letters with small and capital forms of their own, as those of a language have. */
const MARKED = 'áƀçðéƒğĥíĵķĺṁñóþǫŕšţúṽŵẋýž'
const OF = new Map([...PLAIN, ...PLAIN.toUpperCase()].map((c, i) => [c, [...MARKED, ...MARKED.toUpperCase()][i]!]))
const BACK = new Map([...OF].map(([plain, mark]) => [mark, plain]))

/** A text in the made-up language; places of figures stay. */
export const marked = (text: string): string => text.replace(/\{\d+\}|[a-z]/gi, (c) => OF.get(c) ?? c)

export const unmarked = (text: string): string => [...text].map((c) => BACK.get(c) ?? c).join('')

/** All words of the program in it. */
export const madeUpLanguage = (): Dictionary => Object.fromEntries(wordsOfProgram().map((word) => [word, marked(word)]))
