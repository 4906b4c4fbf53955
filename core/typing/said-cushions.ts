import type { LengthUnit } from '../units/index.ts'
import { BENCH, THING } from './thing-words.ts'

/** One kind of cushion as it is said in a line of several. */
export interface Said {
  /** Up to its sizes, and what hangs on them. */
  readonly cushion: string
  /** What follows after commas. */
  readonly also: readonly string[]
  /** What is said of all kinds. */
  readonly ofAll: readonly string[]
}

/** Nothing is said of it alone but its sizes. */
export const isBare = ({ cushion, also }: Said): boolean => also.length === 0 && ENDS_IN_SIZES.test(cushion)

/** The line in pieces of one row of sizes each. */
export function cushionsIn(line: string): readonly Said[] {
  const [first = '', ...rest] = titled(line)
    .replace(LABELLED, '$1 ')
    .split(/(\s*[,;:]\s*|\s+(?:and|plus|with)\s+|\s+[+&]\s+)/i)
  const cushions: Omit<Said, 'ofAll'>[] = [{ cushion: first, also: [] }]
  const ofAll: string[] = []
  let isWhole = hasSizes(first)
  for (let i = 0; i < rest.length; i += 2) {
    const [between, piece] = [rest[i]!, rest[i + 1]!]
    const { cushion, also } = cushions.at(-1)!
    const isSized = hasSizes(piece)
    if (piece === '') continue
    if (isWhole && isSized) cushions.push({ cushion: piece, also: [] })
    else if (isWhole && OF_ALL.test(piece)) ofAll.push(piece.replace(OF_ALL, ''))
    else if (isWhole && /[,;:]/.test(between)) cushions[cushions.length - 1] = { cushion, also: [...also, piece] }
    else if (also.length > 0)
      cushions[cushions.length - 1] = { cushion, also: [...also.slice(0, -1), `${also.at(-1)!}${between}${piece}`] }
    else cushions[cushions.length - 1] = { cushion: cushion === '' ? piece : `${cushion}, ${piece}`, also }
    isWhole ||= isSized
  }
  return cushions.map((one) => ({ ...one, ofAll }))
}

/** `patio set: 4 chairs …`: what is no cushion before a colon is what the ticket is called. */
const titled = (line: string): string =>
  line.replace(/^\s*([a-z][a-z' -]*):\s*([^]*)$/i, (whole, label: string, rest: string) =>
    A_CUSHION.test(label) ? whole : `${rest}, title ${label[0]!.toUpperCase()}${label.slice(1)}`,
  )
/** `back: 600 x 450 x 140`. */
const LABELLED = new RegExp(`\\b(${THING}|${BENCH}|bolsters?)\\s*:\\s*(?=\\d)`, 'gi')
const A_CUSHION = new RegExp(`\\b(?:${THING}|${BENCH}|bolsters?|customer|title|note|due)\\b`, 'i')

/** Whether all sizes of a cushion are said. */
export const hasSizes = (piece: string): boolean => SIZES.test(piece) || TWO_SIZES.test(piece)

/** A unit that is said once is that of all. */
export function unitsSaid(line: string): LengthUnit | null {
  const inches = /\d ?(?:in(?! ?\d)|inch|inches|")(?![a-z])|(?:thick|deep|high|wide|long|across) inch(?:es)?\b/i.test(
    line,
  )
  const metric = /(?:\d|thick|deep|high|wide|long|across) ?(mm|cm)\b/i.exec(line)?.[1]?.toLowerCase()
  if (inches) return metric === undefined ? 'inch-8' : null
  return metric === 'mm' || metric === 'cm' ? metric : null
}

const SIZE = String.raw`\d[\d./]*(?: \d+\/\d+)? ?(?:mm|cm|in|")?`
export const SIZES = new RegExp(`${SIZE} ?(?:x|×|by) ?${SIZE} ?(?:x|×|by) ?${SIZE}`, 'i')
const ENDS_IN_SIZES = new RegExp(`(?:x|×|by) ?${SIZE}(?: ?inch(?:es)?)?$`, 'i')
/** `all piped`, `both in canvas`: but `both ends` are those of one cushion. */
const OF_ALL =
  /^(?:all(?: of them)?|both|everything|each)(?: are)? (?!ends?|sides?|edges?|rows?|plates?|round|around|over)/i

/** A roll or a round has two sizes. */
const TWO_SIZES = new RegExp(`\\b(?:bolsters?|round|circular|discs?)\\b.*${SIZE} ?(?:x|×|by) ?${SIZE}`, 'i')
