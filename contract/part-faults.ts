import type { Part } from './part.ts'
import type { Division } from './seat.ts'

/** More cushions are more than one order. */
export const MOST_CUSHIONS_OF_ALL = 120

interface PartFault {
  readonly path: (string | number)[]
  readonly message: string
}

/** What is wrong with the parts of a ticket taken together. */
export function partFaults(parts: readonly Part[]): readonly PartFault[] {
  const letters = parts.map((p) => p.letter)
  const count = parts.reduce((sum, p) => sum + cushionsIn(p.seat.division), 0)
  const at = (i: number, ...path: string[]) => ['parts', i, ...path]
  return [
    ...(count > MOST_CUSHIONS_OF_ALL
      ? [
          {
            path: ['parts'],
            message: `have ${count} cushions, more than ${MOST_CUSHIONS_OF_ALL} in all: check the numbers, or begin another ticket`,
          },
        ]
      : []),
    ...letters.flatMap((letter, i) =>
      letters.indexOf(letter) < i
        ? [{ path: at(i, 'letter'), message: `is ${letter} twice: each part has its own` }]
        : [],
    ),
    ...parts.flatMap(({ follows, letter }, i) =>
      follows ? leads(parts, letter, at(i, 'follows', 'part'), (p) => p.follows?.part ?? null, 'follows') : [],
    ),
    ...parts.flatMap(({ pose, letter }, i) =>
      pose.kind === 'lies-on'
        ? leads(
            parts,
            letter,
            at(i, 'pose', 'part'),
            (p) => (p.pose.kind === 'lies-on' ? p.pose.part : null),
            'lies on',
          )
        : [],
    ),
  ]
}

/** How many cushions a seat is divided into. */
export function cushionsIn(division: Division): number {
  switch (division.kind) {
    case 'singles':
      return division.count + division.mirrored
    case 'run':
      return division.count
    case 'corner':
      return division.countA + division.countB + (division.corner === 'square' ? 1 : 0)
    case 'rows':
      return division.rows.reduce((sum, row) => sum + row.count, 0)
    default:
      return division satisfies never
  }
}

/** A part that follows or lies on another must come to an end somewhere. */
function leads(
  parts: readonly Part[],
  letter: string,
  path: (string | number)[],
  next: (part: Part) => string | null,
  verb: string,
): readonly PartFault[] {
  const seen = [letter]
  for (let at = parts.find((p) => p.letter === letter); at;) {
    const to = next(at)
    if (to === null) return []
    if (seen.includes(to))
      return to === letter
        ? [
            {
              path,
              message:
                seen.length === 1
                  ? `${verb} itself: choose another part, or none`
                  : `${verb} in a ring (${[...seen, to].join(', ')}): let one of them stand by itself`,
            },
          ]
        : []
    seen.push(to)
    at = parts.find((p) => p.letter === to)
    if (!at && seen.length === 2) return [{ path, message: `${verb} part ${to}, which is not there` }]
  }
  return []
}
