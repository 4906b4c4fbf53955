import { Remaining } from './remaining.ts'
import { A_TAPER, letteredSizes, namedSizes, NUMBER, SIZE, type NamedSizes } from './said-sizes.ts'
import { BENCH, CORNER_BENCH, ROUND_WORD, TAPERING, THING } from './thing-words.ts'

/** A seat found in a line, as a line of the grammar, and what else was said round it, in order. */
export interface SeatInLine {
  readonly seat: string
  readonly rest: readonly string[]
}

/**
 * Finds a seat in a line whatever the order of its shape, sizes and count: `3 of them, 1800 x 500 x 100, for the bench`.
 * Null where no shape has all its sizes. `mostCushions`: a larger number is a size.
 */
export function seatInLine(text: string, mostCushions: number): SeatInLine | null {
  const spelt = letteredSizes(text)
  const line = new Remaining(A_TAPER.test(spelt) ? spelt.replace(FROM_TO, '$1 x ') : spelt)
  const named = namedSizes(line)
  const divided =
    line.take(IN_TWO_LEGS)?.[1] ??
    line.take(
      /\b(?:in|divided into|split in(?:to)?) (\d+)\b(?!\s*(?:mm|cm|in\b|"))(?: (?:pieces|parts|sections|lengths|cushions)\b)?/,
    )?.[1]
  const count = line.take(COUNTED)?.slice(1).find(Boolean)
  const isUnsaid = [...named.row, ...named.ends, named.along, named.across].every((size) => size === undefined)
  const sizes = { ...named, bare: isUnsaid ? line.take(BARE)?.[0].trim() : undefined }
  const isTaper = sizes.ends.length === 2 && sizes.ends.every((size) => size !== undefined)
  const shape = SHAPES.find(({ word }) => line.take(word)) ?? (isTaper ? { line: tapering } : undefined)
  const said = count ?? line.take(COUNT_ALONE)?.[1]
  const [own, number] = said === undefined && !shape ? countInRow(sizes, mostCushions) : [sizes, said]
  const seat = (shape?.line ?? plain)(own, divided, number)
  return seat === null ? null : { seat, rest: line.left() }
}

const LEGS = /^\d+ and \d+$/
/** `corner seat 2400 x 1800 x 600 x 100 in 3 and 2`. */
const IN_TWO_LEGS = new RegExp(`(?<=\\b${CORNER_BENCH}\\b.*)\\bin (\\d+ and \\d+)(?=$| ?[,;])`)

/** `2400 to 1500`. */
const FROM_TO = new RegExp(`(${SIZE}) to (?=\\d)`)
const SIDES = '(?:(?:front|back|near|far|left|right|all) )*'
const COUNTED = new RegExp(
  String.raw`(?<!x ?)\b(\d+) (?=${TAPERING}|${THING}|${BENCH}|bolster|cube|pouffe|round|half|circular|(?:new )?(?:cover|foam|filling|insert)s? only)|(?:\btimes |(?<!\d ?)\bx ?)(\d+)\b(?! ?[x.\d])|\b(\d+) (?:of )?(?:them|off|pieces|pcs)\b|\b(?:quantity|qty):? (\d+)|^(\d+) ?@|\((\d+)\)`,
)
const BARE = new RegExp(`${SIZE}(?=$| [^\\dx]|[,;])`)
const COUNT_ALONE = /^(\d+)$|^(\d+) (?=[a-z])/

interface Sizes extends NamedSizes {
  /** One size alone that says not which it is. */
  readonly bare: string | undefined
}
type SeatLine = (sizes: Sizes, divided: string | undefined, count: string | undefined) => string | null

/** A line of the grammar where all of so many sizes were said. */
const joined = (
  word: string,
  sizes: readonly (string | undefined)[],
  wanted: number,
  counted: string,
): string | null =>
  sizes.length === wanted && sizes.every((size) => size !== undefined) ? `${word} ${sizes.join(' x ')}${counted}` : null
const times = (count: string | undefined): string => ` times ${count ?? 1}`

const boxSizes = ({ row, along, deep, thick }: Sizes): readonly (string | undefined)[] =>
  row.length === 0 ? [along, deep, thick] : [...row, ...(thick === undefined ? [] : [thick])]

/** Of four numbers in a row one is how many: the first or the last, whichever leaves a cushion thinner than it is wide. */
function countInRow(sizes: Sizes, mostCushions: number): [Sizes, string | undefined] {
  if (sizes.row.length !== 4) return [sizes, undefined]
  const ways = [
    { count: sizes.row[0]!, row: sizes.row.slice(1) },
    { count: sizes.row[3]!, row: sizes.row.slice(0, 3) },
  ].filter(({ count, row }) => {
    const [w = 0, d = 0, t = 0] = row.map((size) => Number.parseFloat(size))
    return /^\d+$/.test(count) && Number(count) <= mostCushions && t <= w && t <= d
  })
  const [only] = ways
  return only && ways.length === 1 ? [{ ...sizes, row: only.row }, only.count] : [sizes, undefined]
}

const plain: SeatLine = (sizes, divided, count) =>
  divided === undefined
    ? joined('seat', boxSizes(sizes), 3, times(count))
    : joined('bench', boxSizes(sizes), 3, ` in ${divided}`)

const roundSizes = ({ row, along, thick, across, bare }: Sizes): readonly (string | undefined)[] =>
  row.length === 0 ? [across ?? along ?? bare, thick] : [...row, ...(thick === undefined ? [] : [thick])]

const SHAPES: readonly { readonly word: RegExp; readonly line: SeatLine }[] = [
  {
    word: new RegExp(
      `(?<!(?:left|right|front|back|near|far|off) )\\b(?:${CORNER_BENCH})\\b(?! (?:(?:front|back|near|far|left|right) )*(?:cut|round(?:ed)?|radius|off)\\b)`,
    ),
    line: ({ row, deep, along, thick }, divided, count) => {
      const sizes = row.length === 2 ? [...row, deep ?? along, thick] : row
      return joined(
        'corner',
        sizes,
        4,
        divided && LEGS.test(divided) ? ` in ${divided}` : inTwoLegs(sizes, Number(divided ?? count ?? 0)),
      )
    },
  },
  {
    word: /\b(?:half circles?|half rounds?|half moons?|semicircles?|semicircular)\b/,
    line: (sizes, _, count) => joined('halfdisc', roundSizes(sizes), 2, times(count)),
  },
  {
    word: new RegExp(`\\bsquare\\b(?= ${THING})`),
    line: (sizes, divided, count) =>
      sizes.bare === undefined
        ? plain(sizes, divided, count)
        : joined('seat', [sizes.bare, sizes.bare, sizes.thick], 3, times(count)),
  },
  { word: /\bbolsters?\b/, line: (sizes, _, count) => joined('bolster', rollSizes(sizes), 2, times(count)) },
  {
    word: /(?<!\b(?:round|circular) )\b(?:cubes?|pouffes?|poufs?)\b/,
    line: (sizes, _, count) => {
      const { along, bare } = sizes
      const one = sizes.row.length === 0 && sizes.thick === undefined ? (along ?? bare) : undefined
      return one === undefined ? joined('cube', boxSizes(sizes), 3, times(count)) : `cube ${one}${times(count)}`
    },
  },
  // A bay is one seat: its cushions are what it is divided into.
  { word: /\bbay(?= )/, line: (sizes, divided, count) => tapering(sizes, divided ?? count ?? '1', undefined) },
  { word: A_TAPER, line: tapering },
  // Without its ears it is told how they are said.
  {
    word: /\bt[ -](?:shaped?|cushions?|seats?)(?: (?:cushions?|seats?))?\b/,
    line: ({ row }) => `tseat ${row.join(' x ')}`,
  },
  {
    // Of `round front corners 60` and `round 60 near` corners are round.
    word: new RegExp(`\\b${ROUND_WORD}\\b(?! ${SIDES}corners?\\b| ${NUMBER} ?(?:mm|cm|in)? (?:near|far|front|back))`),
    line: (sizes, _, count) => joined('disc', roundSizes(sizes), 2, times(count)),
  },
  {
    word: new RegExp(`\\b${BENCH}\\b`),
    // So many cushions of a bench are so many of that size; divided, it says so.
    line: (sizes, divided, count) => plain(sizes, divided ?? (count === undefined ? '1' : undefined), count),
  },
]

/** So many cushions of a corner bench, shared between its legs by their lengths: ` in 2 and 1`. */
function inTwoLegs([a = '', b = '']: readonly (string | undefined)[], count: number): string {
  if (count < 2) return ''
  const [lengthA, lengthB] = [Number.parseFloat(a), Number.parseFloat(b)]
  const first = Math.min(Math.max(Math.round((count * lengthA) / (lengthA + lengthB)), 1), count - 1)
  return ` in ${first} and ${count - first}`
}

function tapering(sizes: Sizes, divided: string | undefined, count: string | undefined): string | null {
  const { row, ends, along, deep, thick } = sizes
  const widths = row.length < 2 ? ends : row.slice(0, 2)
  const others = row.length < 2 ? [deep ?? along, thick] : [row[2] ?? deep, row[3] ?? thick]
  return joined('taper', [...widths, ...others], 4, divided === undefined ? times(count) : ` in ${divided}`)
}

/** Length first, however it was said; a roll with two more sizes has them alike. */
function rollSizes({ row, along, deep, thick, across }: Sizes): readonly (string | undefined)[] {
  const [first, second, third] = row
  if (first === undefined) return [along, across ?? thick ?? deep]
  if (second === undefined) return [first, across ?? thick]
  return third === undefined || third === second ? [first, second] : []
}
