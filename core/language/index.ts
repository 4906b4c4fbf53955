/**
 * The words a person reads, in the language of the shop. They are written where they are said, in English; another
 * language is a file of the same words: whole texts by themselves, sentences by their form, `{0}` where a figure goes.
 * A word that is not translated yet is empty.
 */
export type Dictionary = Readonly<Record<string, string>>

let dictionary: ReadonlyMap<string, string> | null = null

/** From here on everything is said in these words; what they lack, and everything without them, in English. */
export function speak(words: Dictionary | null): void {
  dictionary = words && new Map(Object.entries(words).filter(([, own]) => own !== ''))
}

/** A sentence with figures in it: phrase`${3} labels on ${2} sheets`. Figures that are words are looked up themselves. */
export function phrase(parts: TemplateStringsArray, ...figures: readonly unknown[]): string {
  return dictionary === null
    ? parts.reduce((text, part, i) => text + String(figures[i - 1]) + part)
    : sentence(formOf(parts), ...figures)
}

/** The same by its form: `{0} labels on {1} sheets`. */
export function sentence(form: string, ...figures: readonly unknown[]): string {
  const own = dictionary?.get(form) ?? form
  return own.replace(/\{(\d+)\}/g, (_, i: string) => String(shown(figures[Number(i)])))
}

/**
 * A value as it is shown: a text that the language knows in its words; a name with its number or letter (`left 2`), or said within
 * a sentence and so in small letters (`boxed` of `Boxed`), or made of several (`left, zip`), too.
 */
export function shown<T>(value: T): T | string {
  if (dictionary === null || typeof value !== 'string') return value
  const own = dictionary.get(value)
  if (own !== undefined) return own
  const numbered = /^(.*\p{L}) (\d+|[A-Z])$/u.exec(value)
  if (numbered) return `${shown(numbered[1])} ${numbered[2]}`
  // Corners give their names to what is rounded there, and jobs refer to them by it.
  const corner = /^(.*\p{L}) corner$/u.exec(value)
  if (corner) return phrase`${corner[1]} corner`
  const within = dictionary.get(capital(value)) ?? dictionary.get(small(value))
  if (within !== undefined) return value === small(value) ? small(within) : capital(within)
  return value.includes(', ')
    ? value
        .split(', ')
        .map((w) => shown(w))
        .join(', ')
    : value
}

/** Words one after the other: `boxed, zip in a gusset, piped`; what is empty is left out. */
export const listed = (words: readonly (string | null | undefined | false)[], between = ', '): string =>
  words
    .filter((w): w is string => Boolean(w))
    .map((w) => shown(w))
    .join(dictionary?.get(between) ?? between)

/** The form of a sentence: what stands between its figures. */
export const formOf = (parts: readonly string[]): string =>
  parts.map((part, i) => (i === 0 ? part : `{${i - 1}}${part}`)).join('')

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
const small = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
