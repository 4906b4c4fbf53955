import { phrase } from '../language/index.ts'
import type { PartJob, Seat } from '../../contract/index.ts'
import { ok, type Result } from '../result/index.ts'
import { slotsOf, valueOf } from '../seat/index.ts'
import { formatLengthWithUnit, isInch, LENGTH_UNITS, plainText, type LengthUnit } from '../units/index.ts'
import type { Answer, Asked, Typed, TypingContext, TypingFailure } from './failure.ts'
import { begunWith } from './typed-seat.ts'
import { inOneOrder } from './one-order.ts'
import { unitsSaid } from './said-cushions.ts'
import { addedInLine, setInLine } from './set-in-line.ts'
import { withLeftOver } from './left-over.ts'
import { plainly } from './rephrase.ts'
import { BENCH } from './thing-words.ts'
import { hasTwoSeats, readLine as readAlone } from './typing.ts'

/**
 * Reads one typed line, and asks where it may be a slip: a fraction in a metric job, a size that no cushion has, a
 * comma that may part thousands, readings or tenths. Each reading that makes a cushion is offered in words.
 */
export function readTyped(line: string, context: TypingContext): Result<Typed | Asked, TypingFailure> {
  const text = plainText(line).trim()
  const added = addedInLine(text, context, readTyped)
  if (added) return inOneOrder(added, context)
  const literal = readLine(text, context)
  if (COMMA.test(text)) return commaRead(text, literal, context)
  if (!literal.ok && literal.error.code !== 'infant' && hasTwoSeats(text))
    return inOrder(setInLine(text, context, readTyped) ?? literal, context)
  if (!literal.ok && literal.error.code === 'which' && literal.error.lines?.length) {
    const each = literal.error.lines.map((one) => ({ answer: readLine(one, context) }))
    return each.some(({ answer }) => answer.ok) ? ok(asked(`There are several`, each)) : literal
  }
  const doubt = literal.ok
    ? doubtOf(text, literal.value, context)
    : literal.error.code === 'length' && literal.error.why === 'too-long'
      ? 'That is larger than anything a cushion has'
      : null
  if (doubt === null)
    return (literal.ok ? benchOf(text, literal.value, context) : withoutRest(text, literal.error, context)) ?? literal
  const others = inOtherUnits(text, context).filter(
    ({ answer }) => answer.ok && doubtOf('', answer.value, context) === null,
  )
  if (!literal.ok && others.length === 0) return literal
  const said = unitsSaid(text)
  const meant = others.find(({ answer }) => answer.ok && answer.value.kind === 'seat' && answer.value.units === said)
  if (meant) return meant.answer
  return ok(asked(doubt, [{ answer: literal }, ...others, ...(others.length === 0 ? tenthOf(text, context) : [])]))
}

/** Of a question each answer makes as many cushions as the first. */
function inOrder(
  read: Result<Typed | Asked, TypingFailure>,
  context: TypingContext,
): Result<Typed | Asked, TypingFailure> {
  if (!read.ok) return read
  if (read.value.kind !== 'ask') return inOneOrder(ok(read.value), context)
  const first = inOneOrder(ok(read.value.readings[0]!.typed), context)
  return first.ok ? read : first
}

/** The line without what is not understood; of a size that is none the maker is told, unless words after it spoil it. */
function withoutRest(text: string, failure: TypingFailure, context: TypingContext): Result<Asked, never> | null {
  const heads = text.split(',').map((_, i, all) => all.slice(0, i).join(','))
  const isSpoilt = failure.code === 'length' && heads.some((head) => head !== '' && readLine(head, context).ok)
  return LEAVES_THE_REST.has(failure.code) || isSpoilt ? withLeftOver(text, context) : null
}

const LEAVES_THE_REST: ReadonlySet<TypingFailure['code']> = new Set([
  'unknown-word',
  'no-such-foam',
  'which',
  'pattern',
  'choice',
])

/** `window seat 1800 x 450 x 80, 2 cushions`: two of that size, or one seat in two; null where it is plain. */
function benchOf(text: string, typed: Typed, context: TypingContext): Result<Asked, never> | null {
  const line = plainly(text)
  const division = typed.kind === 'seat' ? typed.seat.division : null
  const isWhole = division?.kind === 'run' && division.count === 1
  const [said, count] = /\b(\d+) (?:cushions?|pads?)\b/.exec(line) ?? []
  if (
    !(isWhole || division?.kind === 'singles') ||
    said === undefined ||
    count === '1' ||
    !A_BENCH.test(line.replace(said, '')) ||
    /\beach\b/.test(line)
  )
    return null
  const divided = readLine(line.replace(said, ` in ${count} `), context)
  const isSo = divided.ok && divided.value.kind === 'seat' && divided.value.seat.division.kind === 'run'
  return isSo
    ? ok(
        asked(phrase`It may be one seat in ${count}, or ${count} of that size`, [
          { answer: divided },
          { answer: isWhole ? readLine(line.replace(A_BENCH, ''), context) : ok(typed) },
        ]),
      )
    : null
}

const A_BENCH = new RegExp(`\\b${BENCH}(?= |$|[,;:])`)

const readLine = (line: string, context: TypingContext): Answer => inOneOrder(readAlone(line, context), context)

/** `1,250` and `470,469`; other commas are decimal or part a list. */
const COMMA = /(?<![\d.,])[1-9]\d{0,2},\d{3}(?![\d.,])/g

interface Reading {
  readonly answer: Answer
}

function commaRead(text: string, literal: Answer, context: TypingContext): Result<Typed | Asked, TypingFailure> {
  // Lists of points, tapes and sizes are parted by commas.
  if (/^(points|taped|rows)\b/i.test(text)) return literal
  const ways = [
    text.replace(COMMA, (n) => n.replace(',', '')),
    text.replace(COMMA, (n) => n.replace(',', ', ')),
    text.replace(COMMA, (n) => n.replace(',', '.')),
  ]
  const sound = ways
    .map((way) => ({ answer: readLine(way, context) }))
    .filter(({ answer }) => answer.ok && doubtOf('', answer.value, context) === null)
  const different = sound.filter((r, i) => sound.findIndex((q) => saysOf(q) === saysOf(r)) === i)
  if (different.length === 0) return literal
  return different.length === 1
    ? different[0]!.answer
    : ok(asked('A comma may part thousands, readings or tenths', different))
}

const UNITS: readonly LengthUnit[] = ['mm', 'cm', 'inch-8']

/** The line as if its numbers without a unit were said in another. */
const inOtherUnits = (text: string, context: TypingContext): readonly Reading[] => {
  const own = context.job?.units ?? context.units
  return UNITS.filter((units) => units !== own && !(isInch(units) && isInch(own))).map((units) => ({
    answer: readLine(text, { ...context, units, job: context.job && { ...context.job, units } }),
  }))
}

/** An allowance said ten times too large. */
function tenthOf(text: string, context: TypingContext): readonly Reading[] {
  const shorter = text.replace(/^(\S+\s+\d+)0(\s*\S*)$/, '$1$2')
  return shorter === text ? [] : [{ answer: readLine(shorter, context) }]
}

function asked(doubt: string, readings: readonly Reading[]): Asked {
  const offered = readings.flatMap(({ answer }) =>
    answer.ok ? [{ says: wordsOf(answer.value), typed: answer.value }] : [],
  )
  return { kind: 'ask', why: 'slip', says: phrase`${doubt}. Which is meant?`, readings: offered }
}

const wordsOf = (typed: Typed): string => (typed.kind === 'seat' ? typed.says : typed.edit.says)
const saysOf = ({ answer }: Reading): string => (answer.ok ? wordsOf(answer.value) : '')

/**
 * Sizes that are hardly meant, by the trade: narrower, shallower, thinner or thicker than any cushion, an allowance wider than
 * any.
 */
const NARROWEST_MM = 150
const SHALLOWEST_MM = 60
const THINNEST_MM = 12
const THICKEST_MM = 400
const WIDEST_ALLOWANCE_MM = 40

/** Why a line may be a slip, in words; null where it is not. */
function doubtOf(text: string, typed: Typed, context: TypingContext): string | null {
  const units = context.job?.units ?? context.units
  if (typed.kind === 'seat') return sizeDoubt(null, typed.seat, typed.units, isTall(begunWith(typed, context)))
  if (!context.job || typed.kind === 'parts') return null
  if (!isInch(units) && hasBareFraction(text)) return 'Nobody says fractions of a millimetre'
  const after = typed.edit.apply(context.job)
  return sizeDoubt(context.job.seat, after.seat, units) ?? allowanceDoubt(context.job, after)
}

/** What stands on the floor by itself may be as high as a seat. */
const isTall = (job: PartJob | null): boolean =>
  job !== null && ['cube', 'bolster'].includes(job.makeUp.construction.kind)

const hasBareFraction = (text: string): boolean => /\d\/\d/.test(text) && !SAID_UNIT.test(text)

const SAID_UNIT = new RegExp(String.raw`\d\s*(?:${LENGTH_UNITS})(?![a-z])`, 'i')

function sizeDoubt(before: Seat | null, after: Seat, units: LengthUnit, maybeTall = false): string | null {
  const was = new Map(before ? slotsOf(before).map((s) => [s.slot, valueOf(s.dimension)]) : [])
  for (const { slot, label, dimension } of slotsOf(after)) {
    const mm = valueOf(dimension)
    if (was.get(slot) === mm) continue
    const said = formatLengthWithUnit(mm, units)
    if (slot === 'thickness') {
      if (mm < THINNEST_MM) return phrase`No cushion is only ${said} thick`
      if (mm > THICKEST_MM && !maybeTall) return phrase`Few cushions are ${said} thick`
    } else if (WIDTHS.has(slot) && mm < NARROWEST_MM)
      return phrase`No cushion is only ${said} wide (${label.toLowerCase()})`
    else if (slot === 'depth' && mm < SHALLOWEST_MM) return phrase`No cushion is only ${said} deep`
  }
  return null
}

const WIDTHS: ReadonlySet<string> = new Set([
  'width',
  'near',
  'length',
  'lengthA',
  'lengthB',
  'chord',
  'radius',
  'across',
])

function allowanceDoubt(before: PartJob, after: PartJob): string | null {
  const [was, is] = [before.allowances.overrides.seamMm, after.allowances.overrides.seamMm]
  return is !== undefined && is !== was && is > WIDEST_ALLOWANCE_MM
    ? phrase`An allowance of ${formatLengthWithUnit(is, after.units)} is wider than any`
    : null
}
