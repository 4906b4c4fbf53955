import type { PartJob } from '../../contract/index.ts'
import type { Edit } from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import { seatInLine, type SeatInLine } from './any-order.ts'
import { valueOf } from '../seat/index.ts'
import { formatLengthWithUnit } from '../units/index.ts'
import { fail, isOutOfBounds, type Answer, type OpenJob, type TypingContext, type TypingFailure } from './failure.ts'
import { plainly } from './rephrase.ts'
import { SEAT_WORDS } from './seat-line.ts'
import { THING } from './thing-words.ts'
import { begunWith } from './typed-seat.ts'

/** Words after which any words are a name. */
const NAMED = '(?:customer|title)'
/** A name ends at a comma, or where it is said when the job is due. */
const NAME_END = String.raw`\s*[,;]|\s+due\s`
/** A name, and after it what may be understood. */
export const NAME_AND_MORE = new RegExp(`^\\s*${NAMED}\\b[^,;]*?(?:${NAME_END})`, 'i')

type ReadOne = (text: string, context: TypingContext) => Answer
/** Takes what is not understood, and why. */
export type Leave = (words: string, why: TypingFailure) => void

/**
 * Several things said in one line: `2 cushions 24 x 22 x 4 in, piped, firm foam, due friday`. Each word must be
 * understood as part of one of them; of the first that is not the failure tells, or it is left to `leave`.
 */
export function readClauses(line: string, context: TypingContext, readOne: ReadOne, leave?: Leave): Answer {
  const { spoken, names } = withoutNames(line)
  const found = exactSeat(spoken, context, readOne) ?? looseSeat(spoken, context, leave !== undefined)
  if (!found)
    return context.job
      ? readEdits([...pieces(spoken), ...names], { ...context, job: context.job }, readOne, leave)
      : nothingHere(line)
  const seat = readOne(found.seat, context)
  if (!seat.ok || seat.value.kind !== 'seat') return seat
  const job = begunWith(seat.value, context)
  if (!job) return fail({ code: 'nothing-in-store' })
  // Beside sizes `backs` are what the cushions are, not a part to add.
  const rest = found.rest.map((said) => (said === 'backs' ? 'back' : said))
  const read = editsIn([...rest, ...names], { ...context, job }, readOne, A_THING, leave)
  if (!read.ok) return read
  const twice = otherThickness(job, read.value)
  if (twice) return fail(twice)
  const says = [seat.value.says, ...read.value.map((edit) => edit.says)].join('; ')
  return ok({ ...seat.value, also: [...seat.value.also, ...read.value], says })
}

/**
 * A line of the grammar for a seat up to its first comma, and what is said after it. Where corners or stations are parted
 * by commas themselves it goes on to the last that may be, and a few things at most are said after it.
 */
function exactSeat(spoken: string, context: TypingContext, readOne: ReadOne): SeatInLine | null {
  const parts = spoken.split(/[,;]/)
  if (parts.length < 2 || !BEGINS_A_SEAT.test(spoken)) return null
  const [least, most] = HAS_COMMAS.test(spoken) ? [Math.max(1, parts.length - MOST_AFTER), parts.length - 1] : [1, 1]
  for (let n = most; n >= least; n--) {
    const seat = parts.slice(0, n).join(',')
    const read = readOne(seat, context)
    if (read.ok && read.value.kind === 'seat') return { seat, rest: parts.slice(n).flatMap(pieces) }
  }
  return null
}

/** A seat in any order. Of a shape with sizes of its own nothing may be left out: it would be a box. */
function looseSeat(spoken: string, { limits }: TypingContext, mayLeave: boolean): SeatInLine | null {
  return mayLeave && OWN_SHAPE.test(spoken) ? null : seatInLine(plainly(spoken), limits.mostCushions)
}

const beginning = (words: readonly string[]): RegExp => new RegExp(`^\\s*(?:${words.join('|')})\\b`, 'i')
const BEGINS_A_SEAT = beginning(SEAT_WORDS)
const HAS_COMMAS = beginning(['points', 'taped', 'berth'])
const MOST_AFTER = 8
const OWN_SHAPE = beginning(SEAT_WORDS.filter((word) => word !== 'seat' && word !== 'bench'))

/** A number beside the sizes, as in `24 x 22 x 4 in, 40 foam`, may be a grade's: it is not taken for the thickness. */
function otherThickness(begun: PartJob, edits: readonly Edit[]): TypingFailure | null {
  const said = edits.reduce<PartJob>((job, edit) => edit.apply(job), begun)
  const [first, second] = [valueOf(begun.seat.thickness), valueOf(said.seat.thickness)]
  const words = (mm: number) => formatLengthWithUnit(mm, begun.units)
  return first === second ? null : { code: 'two-thicknesses', first: words(first), second: words(second) }
}

const nothingHere = (line: string): Answer =>
  fail({ code: 'unknown-word', word: line.trim().split(/\s+/)[0] ?? '', near: null })

function readEdits(texts: readonly string[], context: OpenJob, readOne: ReadOne, leave?: Leave): Answer {
  const read = editsIn(texts, context, readOne, null, leave)
  if (!read.ok) return read
  const [first, ...others] = read.value
  if (!first) return fail({ code: 'empty' })
  return ok({
    kind: 'edit',
    edit: {
      says: [first, ...others].map((edit) => edit.says).join('; '),
      apply: (job) => read.value.reduce<PartJob>((part, edit) => edit.apply(part), job),
    },
  })
}

/** Names may hold any word: each runs to the next comma, a note to the end, and is read as it was typed. */
export function withoutNames(line: string): { readonly spoken: string; readonly names: readonly string[] } {
  const names: string[] = []
  const spoken = line.replace(
    new RegExp(`(^|[,;\\s])(${NAMED}\\s+[^,;]+?(?=${NAME_END}|$)|note\\s.+)`, 'gi'),
    (_, before: string, name: string) => {
      names.push(name.trim())
      return before
    },
  )
  return { spoken, names }
}

const pieces = (text: string): readonly string[] =>
  text
    .split(/[,;]|\band\b|\bplus\b/i)
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '')

/**
 * The changes that pieces of a line come to, each on the job after those before it. `unsaid`: words that say nothing
 * beside those changes, as what a seat is called beside its sizes.
 */
function editsIn(
  texts: readonly string[],
  context: OpenJob,
  readOne: ReadOne,
  unsaid: RegExp | null,
  leave: Leave | undefined,
): Result<readonly Edit[], TypingFailure> {
  const edits: Edit[] = []
  let now = context.job
  for (const text of texts) {
    const said = text.split(/\s+/).filter((word) => word !== '')
    const before = edits.length
    let words = said
    while (words.length > 0) {
      const step = longestEdit(words, words.length === said.length, { ...context, job: now }, readOne, unsaid)
      if (!step.ok) {
        const error = wholeLineOnly(step.error)
        // In an open job half a clause may say the contrary of the whole.
        if (!leave || (unsaid === null && edits.length > before)) return { ok: false, error }
        leave(words.join(' '), error)
        break
      }
      edits.push(...step.value.edit)
      now = step.value.edit.reduce<PartJob>((part, edit) => edit.apply(part), now)
      words = words.slice(step.value.words)
    }
  }
  return ok(edits)
}

/** Lines that would name one thing alone lose the rest of this one: it is said in words which there are. */
const wholeLineOnly = (error: TypingFailure): TypingFailure =>
  error.code === 'which' ? { ...error, lines: [] } : error

interface Step {
  readonly edit: readonly Edit[]
  /** How many words it took. */
  readonly words: number
}

/** The longest beginning that is one change; a word that says nothing is passed over. */
function longestEdit(
  words: readonly string[],
  isWhole: boolean,
  context: OpenJob,
  readOne: ReadOne,
  unsaid: RegExp | null,
): Result<Step, TypingFailure> {
  const thing = unsaid?.exec(words.join(' ').toLowerCase())?.[0]
  if (thing !== undefined && !MAY_BE_A_PLACE.has(thing)) return ok({ edit: [], words: thing.split(' ').length })
  let which: TypingFailure | null = null
  for (let n = Math.min(words.length, MOST_WORDS); n > 0; n--) {
    const said = words.slice(0, n).join(' ')
    // Of `the back is 10 mm wider` the back is not what it is used for, nor is `wrap in wadding` in inches.
    if (/^(?:backs?|in)$/.test(plainly(said)) && !(isWhole && n === words.length)) continue
    const read = readOne(said, context)
    if (read.ok && read.value.kind === 'edit') return ok({ edit: [read.value.edit], words: n })
    if (!read.ok && read.error.code === 'which' && read.error.lines?.length) which = read.error
    // All of it is understood; a shorter reading would leave the number over.
    if (!read.ok && n > 1 && isOutOfBounds(read.error)) return read
  }
  if (which) return fail(which)
  if (SAYS_NOTHING.has(words[0]!.toLowerCase())) return ok({ edit: [], words: 1 })
  const whole = readOne(plainly(words.join(' ')) || words.join(' '), context)
  // A word that begins a seat of its own, as the corner that is cut off, begins none here.
  return whole.ok || whole.error.code === 'sizes' ? fail({ code: 'unknown-word', word: words[0]!, near: null }) : whole
}

const A_THING = new RegExp(`^${THING}(?=$| )`)
/** Alone these are more than what a cushion is called. */
const MAY_BE_A_PLACE: ReadonlySet<string> = new Set(['back', 'backs', 'box', 'boxes'])
const MOST_WORDS = 12
const SAYS_NOTHING: ReadonlySet<string> = new Set([
  'and',
  'with',
  'in',
  'for',
  'each',
  'all',
  'plus',
  'on',
  'net',
  'at',
])
