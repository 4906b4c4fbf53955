import { ok, type Result } from '../result/index.ts'
import { fail, type TypingFailure } from './failure.ts'

/** All words must stand in the name, in any order; one match is wanted. `lineFor`: the line that names one of several. */
export function findNamed<T extends { readonly name: string }>(
  what: 'grade' | 'cloth',
  text: string,
  among: readonly T[],
  lineFor: (name: string) => string,
): Result<T, TypingFailure> {
  const words = text
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '')
  const found =
    words.length === 0 ? [] : among.filter((item) => words.every((w) => item.name.toLowerCase().includes(w)))
  return found.length === 1
    ? ok(found[0]!)
    : fail({
        code: 'which',
        what,
        text,
        found: (found.length > 0 ? found : among).map((f) => f.name),
        lines: found.map((f) => lineFor(f.name)),
      })
}
