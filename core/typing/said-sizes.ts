import { Remaining } from './remaining.ts'
import { BENCH, TAPERING, THING } from './thing-words.ts'

/** A size as it is said: a number, with a fraction and a unit where it has them. */
export const NUMBER = String.raw`\d+(?:\.\d+)?(?:(?:\s|-|\+)\d+\/\d+|\/\d+)?`
export const SIZE = String.raw`(?:\d+\s*(?:ft|')\s*)?${NUMBER}\s*(?:mm|cm|m|inches|inch|in(?! ?\d)|"|ft|')?(?![a-wyz\d/])`

/** Roughly the sizes of one cushion as a row, to count how many a line says. */
export const ROW_OF_SIZES = String.raw`\d\S* ?x ?\d\S* ?x ?\d`

/** The sizes of a line, as they were said. */
export interface NamedSizes {
  /** With x between them, as they were said. */
  readonly row: readonly string[]
  readonly along: string | undefined
  readonly deep: string | undefined
  readonly thick: string | undefined
  readonly across: string | undefined
  /** Along the front and along the back, of a seat that tapers. */
  readonly ends: readonly (string | undefined)[]
}

/** The sizes of a line, each taken out of it. */
export function namedSizes(line: Remaining): NamedSizes {
  const row =
    line
      .take(new RegExp(`(?<!\\bbuttons )${SIZE}(?:\\s*x\\s*${SIZE})+`))?.[0]
      .split(/\s*x\s*/)
      .map((size) => size.trim()) ?? []
  const isLabelFirst = line.says(LABELS_FIRST)
  const labelled = (words: string): string | undefined => {
    const [after, before] = [`(${SIZE}) ?(?:in )?(?:${words})\\b`, `\\b(?:${words}):? (${SIZE})`]
    const ways = isLabelFirst ? [before, after] : [`${after}|${before}`]
    const found = ways.reduce<RegExpExecArray | null>((taken, way) => taken ?? line.take(new RegExp(way)), null)
    return (found?.[1] ?? found?.[2])?.trim()
  }
  const ends =
    row.length < 2 && (line.says(A_TAPER) || line.says(FRONT_AND_BACK))
      ? [labelled(alongThe('front|near')), labelled(alongThe('back|far'))]
      : []
  const thick = labelled('thick|thickness|high|height|tall')
  const across = labelled('across|diameter|dia')
  // Of `6 square seat pads` the six is how many.
  const square = labelled(`square(?! ${THING})`)
  const [long, wide, deep] = [labelled('long|length'), labelled('wide|width'), labelled('deep|depth')]
  return {
    row,
    along: long ?? wide ?? square,
    deep: (long === undefined ? undefined : wide) ?? deep ?? square,
    thick: thick ?? (long !== undefined && wide !== undefined ? deep : undefined),
    across: across ?? square,
    ends,
  }
}

/** A seat that tapers is named, or its widths are said from one to the other. */
export const A_TAPER = new RegExp(`\\b${TAPERING}(?= +(?:${THING}|${BENCH}|\\d|\\||,))`)
const LABEL = '(?:front|back|long|length|wide|width|deep|depth|thick|thickness|high|height|across|diameter)'
/** `width 600 depth 500 thickness 80`: each label stands before its size. */
const LABELS_FIRST = new RegExp(`^[^\\d]*\\b${LABEL}:? (?:\\d.*)?\\b${LABEL}:? ${SIZE}(?! ?(?:in )?${LABEL})`)
/** A width along the front and another along the back. */
const FRONT_AND_BACK = new RegExp(
  `(?:front ${SIZE}|${SIZE} (?:in |at |along )*front).*(?:back ${SIZE}|${SIZE} (?:in |at |along )*back)`,
)
const alongThe = (side: string): string => `(?:(?:along|at|on) )?(?:${side})(?: edge| side)?`

/** How many sizes are said in a line, with x between them or with their names. */
export function sizesIn(text: string): number {
  const { row, along, deep, thick, across } = namedSizes(new Remaining(letteredSizes(text)))
  const rest = [along, deep, thick, across].filter((size) => size !== undefined)
  return row.length + rest.length || (text.match(/\d{2,}/g) ?? []).length
}

/** `22 1/2 w x 24 d x 5 h` and `W600 x D500 x H80` with the letters as words, in any order. */
export function letteredSizes(text: string): string {
  const [after, before] = [text.match(LETTER_AFTER) ?? [], text.match(LETTER_BEFORE) ?? []]
  if (Math.max(after.length, before.length) < 2) return text
  return after.length >= before.length
    ? text.replace(LETTER_AFTER, (_, size: string, letter: string) => ` ${size} ${LETTERS[letter]}, `)
    : text.replace(LETTER_BEFORE, (_, letter: string, size: string) => ` ${size} ${LETTERS[letter]}, `)
}

const LETTERS: Readonly<Record<string, string>> = { w: 'wide', d: 'deep', h: 'high', t: 'thick', l: 'long' }

const LETTER_AFTER = new RegExp(
  `(${NUMBER} ?(?:mm|cm|in|")?) ?([wdhtl])(?: ?x ?(?=${NUMBER} ?(?:mm|cm|in|")? ?[wdhtl](?:$|[ ,]))|(?=$|[ ,]))`,
  'g',
)
const LETTER_BEFORE = new RegExp(`\\b([wdhtl]) ?(${NUMBER} ?(?:mm|cm|in|")?)(?: ?x ?(?=[wdhtl])|(?=$|[ ,]))`, 'g')
