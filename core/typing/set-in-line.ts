import { phrase } from '../language/index.ts'
import type { Job } from '../../contract/index.ts'
import {
  addPart,
  freeLetter,
  MOST_PARTS,
  partBeside,
  partJob,
  partName,
  withPart,
  type JobEdit,
  type Starter,
} from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import type { LengthUnit } from '../units/index.ts'
import { fail, type Asked, type Typed, type TypedSeat, type TypingContext, type TypingFailure } from './failure.ts'
import { withTypedSeat } from './typed-seat.ts'

type Read = (line: string, context: TypingContext) => Result<Typed | Asked, TypingFailure>

/**
 * Several kinds of cushion in one line, each a part of the ticket: `3 seats 600 x 560 x 120 and 3 backs 600 x 450 x 140`.
 * What else is said belongs to the cushions before it. Fails as the first of them does; null where one is to be asked about.
 */
export function setInLine(line: string, context: TypingContext, read: Read): Result<Typed, TypingFailure> | null {
  const units = unitsSaid(line) ?? context.job?.units ?? context.units
  const cushions = cushionsIn(line)
  if (cushions.length < 2) return null
  const kinds: Kind[] = []
  for (const said of cushions) {
    const one = read(said, { ...context, units, job: null, whole: null })
    if (!one.ok) return one
    if (one.value.kind !== 'seat') return null
    kinds.push({ typed: one.value, as: kindOf(said), name: nameOf(said) })
  }
  const count = kinds.reduce((sum, { typed }) => sum + context.limits.cushionsIn(typed.seat.division), 0)
  if (count > context.limits.mostCushionsOfAll)
    return fail({ code: 'too-many', count, most: context.limits.mostCushionsOfAll })
  if ((context.whole?.parts.length ?? 1) + kinds.length - 1 > MOST_PARTS)
    return fail({ code: 'full', most: MOST_PARTS })
  const first = kinds.find(({ as }) => as === 'seats') ?? kinds[0]!
  const others = kinds.filter((kind) => kind !== first)
  const says = [first, ...others].map(({ name, typed }) => phrase`${name}: ${typed.says}`).join('; ')
  const more: JobEdit = { says, applyToJob: (job) => others.reduce(withKind, firstNamed(job, first.name)) }
  return context.job ? inTicket(context.job.letter, first.typed, more) : ok({ ...first.typed, more, says })
}

interface Kind {
  readonly typed: TypedSeat
  readonly as: Exclude<Starter, 'copy'>
  readonly name: string
}

const SIZE = String.raw`\d[\d./]*(?: \d+\/\d+)? ?(?:mm|cm|in|")?`
const SIZES = new RegExp(`${SIZE} ?(?:x|×|by) ?${SIZE} ?(?:x|×|by) ?${SIZE}`, 'i')

/** The line in pieces of one row of sizes each. */
function cushionsIn(line: string): readonly string[] {
  const pieces = line.split(/\s*[,;:]\s*|\s+(?:and|plus|with)\s+|\s+[+&]\s+/i).filter((piece) => piece !== '')
  const cushions: string[] = []
  let isWhole = false
  for (const piece of pieces) {
    const hasSizes = SIZES.test(piece) || TWO_SIZES.test(piece)
    if (cushions.length === 0 || (isWhole && hasSizes)) cushions.push(piece)
    else cushions.push(`${cushions.pop()!}, ${piece}`)
    isWhole ||= hasSizes
  }
  return cushions
}

/** A unit that is said once is that of all. */
function unitsSaid(line: string): LengthUnit | null {
  const inches = /\d ?(?:in(?! ?\d)|inch|inches|")(?![a-z])/i.test(line)
  const metric = /\d ?(mm|cm)\b/i.exec(line)?.[1]?.toLowerCase()
  if (inches) return metric === undefined ? 'inch-8' : null
  return metric === 'mm' || metric === 'cm' ? metric : null
}

const KINDS: readonly (readonly [RegExp, Kind['as'], string])[] = [
  [/\bbolsters?\b/i, 'bolsters', 'Bolsters'],
  [/\bbacks?\b(?! ?(?:edge|corner|side|\d))/i, 'backs', 'Backs'],
  [/\barms?\b/i, 'seats', 'Arms'],
  [/\bbench(?:es)?\b/i, 'seats', 'Benches'],
  [/\bmattress(?:es)?\b/i, 'seats', 'Mattresses'],
  [/\b(?:foot)?stools?\b/i, 'seats', 'Stools'],
  [/\bchairs?\b/i, 'seats', 'Chairs'],
]
/** A roll or a round has two sizes. */
const TWO_SIZES = new RegExp(`\\b(?:bolsters?|round|circular|discs?)\\b.*${SIZE} ?(?:x|×|by) ?${SIZE}`, 'i')
/** What the cushions are called: before their sizes, or right after them. */
const called = (said: string): string => said.replace(new RegExp(`${SIZES.source}(\\s*[a-z]*).*`, 'i'), '$1')
const found = (said: string) => KINDS.find(([word]) => word.test(called(said)))
const kindOf = (said: string): Kind['as'] => found(said)?.[1] ?? 'seats'
const nameOf = (said: string): string => found(said)?.[2] ?? 'Seats'

const firstNamed = (job: Job, name: string): Job => ({
  ...job,
  parts: job.parts.map((part, i) => (i === 0 && part.name === '' ? { ...part, name } : part)),
})

function withKind(job: Job, { typed, as, name }: Kind): Job {
  const letter = freeLetter(job)
  if (letter === null) return job
  const added = addPart(job, partBeside(partJob(job, job.parts[0]!.letter), as), freeName(job, name))
  return withPart(added, letter, { ...withTypedSeat(partJob(added, letter), typed), units: job.units })
}

/** No two parts of a ticket go by one name. */
function freeName({ parts }: Job, name: string): string {
  const taken = parts.map(partName)
  const others = taken.map((_, i) => `${name} ${i + 2}`)
  return [name, ...others].find((one) => !taken.includes(one))!
}

/** In an open ticket the first takes the place of the seat in view, and the others come beside it. */
const inTicket = (letter: string, first: TypedSeat, more: JobEdit): Result<Typed, TypingFailure> =>
  ok({
    kind: 'parts',
    edit: {
      says: more.says,
      applyToJob: (job) => more.applyToJob(withPart(job, letter, withTypedSeat(partJob(job, letter), first))),
    },
    look: letter,
  })
