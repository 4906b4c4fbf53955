import { phrase } from '../language/index.ts'
import type { Job } from '../../contract/index.ts'
import {
  addPart,
  freeLetter,
  jobOf,
  MOST_PARTS,
  partBeside,
  partJob,
  partName,
  withPart,
  type JobEdit,
  type Starter,
} from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import { fail, type Asked, type Typed, type TypedSeat, type TypingContext, type TypingFailure } from './failure.ts'
import { cushionsIn, hasSizes, isBare, SIZES, unitsSaid, type Said } from './said-cushions.ts'
import { begunWith, withTypedSeat } from './typed-seat.ts'

type Read = (line: string, context: TypingContext) => Result<Typed | Asked, TypingFailure>

/**
 * Several kinds of cushion in one line, each a part of the ticket: `3 seats 600 x 560 x 120 and 3 backs 600 x 450 x 140`.
 * What else is said belongs to the cushions before it, and what is said of all to all; what stands after the last alone
 * may be either, and is asked. Fails as the first of them does; null where one is to be asked about.
 */
export function setInLine(
  line: string,
  context: TypingContext,
  read: Read,
): Result<Typed | Asked, TypingFailure> | null {
  const cushions = cushionsIn(line)
  const last = cushions.at(-1)!
  if (cushions.length < 2) return null
  const units = unitsSaid(line) ?? context.job?.units ?? context.units
  const setOf = (said: readonly Said[]) =>
    readSet(said, context, (one) => read(one, { ...context, units, job: null, whole: null }))
  const own = setOf(cushions)
  if (!own?.ok || last.also.length === 0 || !cushions.slice(0, -1).every(isBare)) return own && madeOf(own, context)
  const ofAll = setOf(cushions.map((one) => ({ ...one, also: last.also })))
  if (!ofAll?.ok || ticketOf(own.value, context) === ticketOf(ofAll.value, context)) return madeOf(own, context)
  return ok({
    kind: 'ask',
    why: 'slip',
    says: phrase`What is said last may be said of all, or of the last alone. Which is meant?`,
    readings: [
      { says: phrase`Of all: ${namesOf(ofAll.value)}`, typed: typedOf(ofAll.value, context) },
      { says: phrase`Of ${own.value.at(-1)!.name} alone`, typed: typedOf(own.value, context) },
    ],
  })
}

/**
 * Cushions that are added to an open ticket with their sizes, each kind a part beside those it has: `add 2 backs 700 x
 * 400 x 100`. Null where the line adds none; fails as the first of them does.
 */
export function addedInLine(line: string, context: TypingContext, read: Read): Result<Typed, TypingFailure> | null {
  const [, said] = ADDED.exec(line) ?? []
  if (!context.job || said === undefined || !hasSizes(said)) return null
  const units = unitsSaid(line) ?? context.job.units
  const ticket = context.whole ?? jobOf(context.job)
  const kinds = readSet(cushionsIn(said), context, (one) => read(one, { ...context, units, job: null, whole: null }))
  if (!kinds?.ok) return kinds
  if (ticket.parts.length + kinds.value.length > MOST_PARTS) return fail({ code: 'full', most: MOST_PARTS })
  const says = kinds.value.map(({ name, typed }) => phrase`${name}: ${typed.says}`).join('; ')
  const edit: JobEdit = { says, applyToJob: (job) => kinds.value.reduce(withKind, job) }
  return ok({ kind: 'parts', edit, look: freeLetter(ticket)! })
}

/** Round corners have two sizes as well. */
const ADDED = /^\s*(?:also |and )?(?:add|plus) +(?:an? )?(?!.*\bcorners?\b)(.*\d.*)$/i

type Kinds = readonly Kind[]

/** Each kind as it is read by itself, in the order in which they were said. */
function readSet(
  cushions: readonly Said[],
  context: TypingContext,
  read: (said: string) => Result<Typed | Asked, TypingFailure>,
): Result<Kinds, TypingFailure> | null {
  const kinds: Kind[] = []
  for (const { cushion, also, ofAll } of cushions) {
    const one = read([cushion, ...also, ...ofAll].join(', '))
    if (!one.ok) return one
    if (one.value.kind !== 'seat') return null
    kinds.push({ typed: one.value, as: kindOf(cushion), name: nameOf(cushion) })
  }
  const count = kinds.reduce((sum, { typed }) => sum + context.limits.cushionsIn(typed.seat.division), 0)
  if (count > context.limits.mostCushionsOfAll)
    return fail({ code: 'too-many', count, most: context.limits.mostCushionsOfAll })
  if ((context.whole?.parts.length ?? 1) + kinds.length - 1 > MOST_PARTS)
    return fail({ code: 'full', most: MOST_PARTS })
  return ok(kinds)
}

/** The ticket begins with what is sat on. */
function typedOf(kinds: Kinds, { job }: TypingContext): Typed {
  const first = kinds.find(({ as }) => as === 'seats') ?? kinds[0]!
  const others = kinds.filter((kind) => kind !== first)
  const says = [first, ...others].map(({ name, typed }) => phrase`${name}: ${typed.says}`).join('; ')
  const more: JobEdit = { says, applyToJob: (job) => others.reduce(withKind, firstNamed(job, first.name)) }
  return job ? inTicket(job.letter, first.typed, more) : { ...first.typed, more, says }
}

const madeOf = (kinds: Result<Kinds, TypingFailure>, context: TypingContext): Result<Typed, TypingFailure> =>
  kinds.ok ? ok(typedOf(kinds.value, context)) : kinds

const namesOf = (kinds: Kinds): string => kinds.map(({ name }) => name).join(', ')

/** The ticket that a reading makes, to tell readings apart: the customer and the cloths are of all, whoever they are said of. */
function ticketOf(kinds: Kinds, context: TypingContext): string {
  const onShelf = { ...context, job: null }
  const typed = typedOf(kinds, onShelf)
  const first = typed.kind === 'seat' ? begunWith(typed, onShelf) : null
  return first && typed.kind === 'seat' ? JSON.stringify(typed.more!.applyToJob(jobOf(first))) : ''
}

interface Kind {
  readonly typed: TypedSeat
  readonly as: Exclude<Starter, 'copy'>
  readonly name: string
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
const inTicket = (letter: string, first: TypedSeat, more: JobEdit): Typed => ({
  kind: 'parts',
  edit: {
    says: more.says,
    applyToJob: (job) => more.applyToJob(withPart(job, letter, withTypedSeat(partJob(job, letter), first))),
  },
  look: letter,
})
