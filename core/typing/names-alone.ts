import type { Grade } from '../../contract/index.ts'
import { MAKE_UPS } from '../cover/index.ts'
import { FAMILIES, firmnessOf, hardnessOf, mainGrade } from '../filling/index.ts'
import type { TypingContext } from './failure.ts'

/** A name alone: a make-up, a cloth or a grade of the shop. */
export function namesIn(text: string, { grades, cloths }: TypingContext): readonly string[] {
  if (!/^[a-z][a-z0-9/ -]+$/.test(text)) return []
  const bare = text
    .replace(/^(?:makeup|make-up|style|cover) /, '')
    .replace(/ (?:cushions?|cover|style|foam|cloth)$/, '')
    .replaceAll('-', ' ')
  const words = bare.split(/\s+/)
  if (words.some((w) => /^[a-z]{1,2}$/.test(w))) return []
  const has = (name: string) =>
    words.every((w) =>
      name
        .toLowerCase()
        .replaceAll('-', ' ')
        .split(' ')
        .some((n) => n === w || n.startsWith(w)),
    )
  // What a make-up shares with others, as `corner` or `back`, does not name it; a wrap may be of wadding.
  const begins = (name: string) => bare !== 'wrap' && has(name) && name.toLowerCase().startsWith(words[0]!)
  return [
    ...Object.entries(MAKE_UPS).flatMap(([kind, { label }]) =>
      begins(label) || begins(kind.replaceAll('-', ' ')) ? [`makeup ${label}`] : [],
    ),
    ...onlyOne(
      'cloth',
      bare,
      cloths.filter((c) => has(c.name)),
    ),
    ...onlyOne(
      'foam',
      bare,
      grades.filter((g) => has(g.name)),
    ),
  ]
}

/** The one that is named; of several the line as it was said, so that it is asked which. */
const onlyOne = (
  word: 'cloth' | 'foam',
  said: string,
  found: readonly { readonly name: string }[],
): readonly string[] => (found.length > 1 ? [`${word} ${said}`] : found.map(({ name }) => `${word} ${name}`))

/** The grade of the shop nearest the middle of a firmness, ordinary foam first. */
export function foamOf(word: string, { grades, job }: TypingContext): readonly string[] {
  const wanted = { soft: 'soft', medium: 'medium', firm: 'firm', hard: 'extra firm', 'extra firm': 'extra firm' }[word]
  const now = job?.filling.kind === 'foam' ? (hardnessOf(mainGrade(job.filling.layers)) ?? 0) : 0
  const hardness = (g: Grade) => hardnessOf(g) ?? 0
  const ordinary = grades.filter(
    (g) => (g.family === 'conventional' || g.family === 'high-resilience') && hardnessOf(g) !== null,
  )
  const fitting = wanted
    ? ordinary.filter((g) => firmnessOf(hardness(g)) === wanted)
    : ordinary.filter((g) => (word === 'softer' ? hardness(g) < now : hardness(g) > now))
  const [best] = fitting.toSorted(
    (a, b) =>
      Number(b.family === 'conventional') - Number(a.family === 'conventional') ||
      (wanted
        ? (b.densityKgM3 ?? 0) - (a.densityKgM3 ?? 0)
        : Math.abs(hardness(a) - now) - Math.abs(hardness(b) - now)),
  )
  return [`foam ${best?.name ?? word}`]
}

export function foamOfFamily(word: string, { grades }: TypingContext): readonly string[] {
  const family = { hr: 'high-resilience' }[word] ?? word.replace(' ', '-')
  const found = grades.find((g) => g.family in FAMILIES && g.family === family)
  return found ? [`foam ${found.name}`] : []
}
