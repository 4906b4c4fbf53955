import { phrase } from '../language/index.ts'
import type { Seat } from '../../contract/index.ts'
import { setAllowance, setGrade, setSeat } from '../job/index.ts'
import { usualMatch } from '../pattern/index.ts'
import { isRow } from '../seat/index.ts'
import { ok } from '../result/index.ts'
import { formatLengthWithUnit, plainText, UNIT_WORDS } from '../units/index.ts'
import { readCount, readLength } from './amounts.ts'
import {
  chain,
  edit,
  fail,
  isOutOfBounds,
  type AllowanceName,
  type Answer,
  type OpenJob,
  type Reader,
  type TypingContext,
  type TypingFailure,
} from './failure.ts'
import { NAME_AND_MORE, readClauses, withoutNames, type Leave } from './clauses.ts'
import { isBegun, knownIn, nearestWord } from './complete.ts'
import { FILLING_EDITS } from './filling-edits.ts'
import { readCloth } from './cloth-edits.ts'
import { findNamed } from './find-named.ts'
import { plainly, rephrased } from './rephrase.ts'
import { ROW_OF_SIZES, sizesIn } from './said-sizes.ts'
import { NOUN } from './thing-words.ts'
import { TERMS_EDITS } from './terms-edits.ts'
import { TRIM_EDITS } from './trim-edits.ts'
import { MAKE_UP_EDITS } from './make-up-edits.ts'
import { readParts, readRows } from './parts.ts'
import { SEAT_WORDS } from './seat-line.ts'
import { readSeat } from './seats.ts'
import { dimensionWords, readDimension, SHAPE_EDITS } from './shape-edits.ts'

/**
 * Reads one typed line into a seat for a job, or a change of the open job, said back in words. A line that is none of the
 * grammar is tried as people say it.
 */
export function readLine(line: string, context: TypingContext): Answer {
  const text = plainText(line)
  if (isBegun(text)) return readGrammar(text, context)
  if (FOR_INFANTS.test(withoutNames(text).spoken)) return fail({ code: 'infant' })
  const one = readOne(text, context)
  if (one.ok && !NAME_AND_MORE.test(text)) return one
  const several = readClauses(text, context, readOne)
  const isTold = several.ok || several.error.code === 'nothing-in-store'
  const read = isTold || (!one.ok && severalSaysMore(text, one.error)) ? several : one
  return read.ok || read.error.code !== 'unknown-word' ? read : fail(unknown(text, read.error, context))
}

const FOR_INFANTS = /\b(?:cots?|cribs?|infants?|bab(?:y|ies)|bassinets?|cradles?|moses)\b/i

/** The clauses of a line that are understood; each that is not goes to `leave`. */
export const readLeaving = (line: string, context: TypingContext, leave: Leave): Answer =>
  readClauses(plainText(line), context, readOne, leave)

/** Of a word that is not known it is told what else the line may have meant. */
function unknown(
  text: string,
  failure: Extract<TypingFailure, { code: 'unknown-word' }>,
  { job }: TypingContext,
): TypingFailure {
  if (hasTwoSeats(text)) return { code: 'two-seats' }
  const known = failure.near === null ? knownIn(text) : null
  if (known) return { ...failure, known }
  const found = !job && SAYS_A_CUSHION.test(plainly(text)) ? sizesIn(plainly(text)) : 0
  return found === 1 || found === 2
    ? { code: 'sizes', word: 'cushion', found, wanted: 3, example: 'seat 600 x 500 x 80 times 4' }
    : failure
}

/** Whether sizes of two kinds of cushion are said in one line. */
export const hasTwoSeats = (text: string): boolean => (plainly(text).match(A_SEAT) ?? []).length > 1

const A_SEAT = new RegExp(`${ROW_OF_SIZES}|\\bbolsters?[^x]* ?x ?\\d`, 'g')

const SAYS_A_CUSHION = new RegExp(`\\b(?:${NOUN})\\b`)

/** One thing said, by the grammar or as people say it. */
function readOne(text: string, context: TypingContext): Answer {
  const literal = readGrammar(text, context)
  if (literal.ok) return literal
  const reads = rephrased(text, context).map((said) => readGrammar(said, context))
  const telling = reads.find((read) => !read.ok && saysMore(read.error))
  return reads.find((read) => read.ok) ?? telling ?? literal
}

/** What is one of several, or none of the shop's, says more than that a word is not known. */
const saysMore = (error: TypingFailure): boolean =>
  error.code === 'no-such-foam' || isOutOfBounds(error) || (error.code === 'which' && (error.lines ?? []).length > 0)

/** Of several things one may be wrong: its failure says more than that of the line as one thing. */
const severalSaysMore = (text: string, { code }: TypingFailure): boolean =>
  code === 'unknown-word' ||
  (code === 'count' && /[,;]/.test(text)) ||
  ((code === 'length' || code === 'sizes') && SIZES_LATER.test(text))

/** `bench pad 48 x 16 x 2`: what it is called stands before its sizes. */
const SIZES_LATER = new RegExp(`^\\s*(?:bench|seat|corner)\\s+(?:${NOUN})\\b`, 'i')

function readGrammar(line: string, context: TypingContext): Answer {
  const text = plainText(line).trim()
  const [, word = '', rest = ''] = /^(\S+)\s*(.*)$/.exec(text) ?? []
  const name = word.toLowerCase()
  if (name === '') return fail({ code: 'empty' })
  const ofParts = readParts(text, context, readLine)
  if (ofParts) return ofParts
  const seatWord = SEAT_WORDS.find((w) => w === name)
  if (seatWord) return readSeat(seatWord, rest, context)
  const { job } = context
  const open = job && { ...context, job }
  const dimension = open && readDimension(name, rest, open)
  if (dimension) return dimension
  const reader = Object.hasOwn(READERS, name) ? READERS[name] : undefined
  if (!reader) return fail({ code: 'unknown-word', word, near: nearestWord(word) })
  return open ? reader(rest, open) : fail({ code: 'wants-job', word })
}

const READERS: Record<string, Reader> = {
  ...SHAPE_EDITS,
  ...FILLING_EDITS,
  // Dimensions that this seat has not; on one that has them they are read before.
  ...Object.fromEntries(
    dimensionWords().map((word): [string, Reader] => [word, () => fail({ code: 'unknown-word', word, near: null })]),
  ),
  gap: (rest, c) => gap('gap', 1, rest, c),
  squeeze: (rest, c) => gap('squeeze', -1, rest, c),
  in: (rest, c) =>
    chain(readCount(rest, c.limits), (n) => edit(setSeat(`${n} cushions`, (seat) => withCount(seat, n)))),
  times: (rest, c) => times(rest, c),
  rows: readRows,
  sa: (rest, c) => allowance('seamMm', 'Seam allowance', rest, c),
  ...MAKE_UP_EDITS,
  ...TRIM_EDITS,
  ...TERMS_EDITS,
  foam: (rest, c) => {
    const named = findNamed('grade', rest, c.grades, (name) => `foam ${name}`)
    if (named.ok) return edit(setGrade(named.value))
    return FIRMNESS.test(rest) ? fail({ code: 'no-such-foam', word: rest }) : named
  },
  cloth: readCloth,
  match: (rest) =>
    edit(
      rest.trim() === 'none'
        ? { says: 'Not matched', apply: (job) => ({ ...job, cloth: { ...job.cloth, match: { kind: 'none' } } }) }
        : {
            says: 'Matched',
            apply: (job) => ({ ...job, cloth: { ...job.cloth, match: usualMatch(job.cloth.cloth) } }),
          },
    ),
  railroad: () =>
    edit({ says: 'Railroaded', apply: (job) => ({ ...job, cloth: { ...job.cloth, direction: 'railroaded' } }) }),
  up: () =>
    edit({ says: 'Up the roll', apply: (job) => ({ ...job, cloth: { ...job.cloth, direction: 'up-the-roll' } }) }),
  units: (rest) => readUnits(rest),
}

/** How soft or firm, which a grade of the shop may be. */
const FIRMNESS = /^(?:soft|medium|firm|hard|extra firm|softer|firmer)$/i

/** Leg A of a corner bench keeps its own count. */
export function withCount(seat: Seat, count: number): Seat {
  const { division } = seat
  switch (division.kind) {
    case 'corner':
      return { ...seat, division: { ...division, countA: count } }
    case 'rows':
      return { ...seat, division: { kind: 'singles', count, mirrored: 0 } }
    case 'singles':
    case 'run':
      return { ...seat, division: { ...division, count } }
    default:
      return division satisfies never
  }
}

function times(rest: string, { limits }: OpenJob): Answer {
  const [count = '', mirrored] = rest.replace(/\s*mirrored$/i, '').split(/\s+and\s+/i)
  return chain(readCount(count, limits), (n) =>
    chain(mirrored === undefined ? ok(0) : readCount(mirrored, limits), (m) =>
      edit(
        setSeat(m > 0 ? `${n} cushions and ${m} mirrored` : `${n} single cushions`, (seat) => ({
          ...seat,
          division: { kind: 'singles', count: n, mirrored: m },
        })),
      ),
    ),
  )
}

function gap(word: 'gap' | 'squeeze', sign: 1 | -1, rest: string, { job, limits }: OpenJob): Answer {
  if (!isRow(job.seat.division)) return fail({ code: 'only-bench', word })
  return chain(readLength(rest, word, job.units), (mm) => {
    const gapMm = sign * mm
    if (gapMm < limits.leastGapMm || gapMm > limits.mostGapMm)
      return fail({ code: 'length', what: word, text: rest, why: 'too-long' })
    return edit(
      setSeat(
        gapMm < 0
          ? `Squeezed by ${formatLengthWithUnit(-gapMm, job.units)}`
          : `Gap ${formatLengthWithUnit(gapMm, job.units)}`,
        (seat) => (isRow(seat.division) ? { ...seat, division: { ...seat.division, gapMm } } : seat),
      ),
    )
  })
}

function allowance(name: AllowanceName, label: string, rest: string, { job, limits }: OpenJob): Answer {
  return chain(readLength(rest, label.toLowerCase(), job.units), (mm) => {
    if (mm < 0) return fail({ code: 'length', what: label.toLowerCase(), text: rest, why: 'negative' })
    if (mm > limits.largestAllowanceMm)
      return fail({ code: 'length', what: label.toLowerCase(), text: rest, why: 'too-long' })
    return edit(setAllowance(name, mm, phrase`${label} ${formatLengthWithUnit(mm, job.units)}`))
  })
}

function readUnits(rest: string): Answer {
  const units = ({ mm: 'mm', cm: 'cm', in: 'inch-8', in8: 'inch-8', in16: 'inch-16' } as const)[
    rest.toLowerCase().trim()
  ]
  if (!units) return fail({ code: 'choice', word: 'units', text: rest, choices: ['mm', 'cm', 'in', 'in16'] })
  return edit({ says: phrase`Lengths in ${UNIT_WORDS[units]}`, apply: (job) => ({ ...job, units }) })
}
