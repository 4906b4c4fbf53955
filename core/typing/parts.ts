import { phrase } from '../language/index.ts'
import type { Job, PartJob, SizeRow } from '../../contract/index.ts'
import {
  addPart,
  applyEdit,
  freeLetter,
  freshPart,
  jobOf,
  partFrom,
  partJob,
  partName,
  reading,
  setSeat,
  withPart,
  type JobEdit,
} from '../job/index.ts'
import { seatOfRows, slotOf } from '../seat/index.ts'
import { ok } from '../result/index.ts'
import { readCount, readSizes } from './amounts.ts'
import { withTypedSeat } from './typed-seat.ts'
import { chain, edit, fail, listed, type Answer, type OpenJob, type Typed, type TypingContext } from './failure.ts'

/** A line that speaks of the parts of a ticket; null for any other. */
export function readParts(
  line: string,
  context: TypingContext,
  inner: (line: string, context: TypingContext) => Answer,
): Answer | null {
  const [, word = '', rest = ''] = /^(part|copy to|as part)\s+(.+)$/i.exec(line) ?? []
  if (word === '') return null
  const { job } = context
  if (!job) return fail({ code: 'wants-job', word })
  const set: OpenSet = { ...context, job, whole: context.whole ?? jobOf(job) }
  switch (word.toLowerCase()) {
    case 'part':
      return partLine(rest, set, inner)
    case 'copy to':
      return copyTo(rest.trim(), set)
    default:
      return asPart(rest.trim(), set)
  }
}

/** An open ticket, and its part in view. */
type OpenSet = OpenJob & { readonly whole: Job }

const named = ({ parts }: Job, name: string) =>
  parts.find((p) => p.letter.toLowerCase() === name.toLowerCase() || partName(p).toLowerCase() === name.toLowerCase())

const parts = (says: string, applyToJob: JobEdit['applyToJob'], look: string): Answer =>
  ok({ kind: 'parts', edit: { says, applyToJob }, look })

const full = ({ whole }: OpenSet): Answer => fail({ code: 'full', most: whole.parts.length })

/** `part backs`, `part backs: seat 560 x 480 x 140 times 3`, `part B: sa 15`. */
function partLine(rest: string, context: OpenSet, inner: (line: string, context: TypingContext) => Answer): Answer {
  const { whole, job } = context
  const [, name = '', line = ''] = /^([^:]+?)\s*(?::\s*(.*))?$/.exec(rest) ?? []
  const found = named(whole, name)
  const letter = found?.letter ?? freeLetter(whole)
  if (letter === null) return full(context)
  const title = found ? partName(found) : capital(name)
  const withIt = (to: Job): Job => (found ? to : addPart(to, freshPart(job, null), title))
  if (line === '') return parts(found ? title : `${title}: a part of their own`, withIt, letter)
  const own = partJob(withIt(whole), letter)
  return chain(inner(line, { ...context, job: own }), (typed) =>
    typed.kind === 'parts'
      ? fail({ code: 'pattern', word: 'part', example: EXAMPLE })
      : parts(
          phrase`${title}: ${typed.kind === 'seat' ? typed.says : typed.edit.says}`,
          (to) => changed(withIt(to), letter, typed),
          letter,
        ),
  )
}

const EXAMPLE = 'part backs: seat 560 x 480 x 140 times 3'

const changed = (job: Job, letter: string, typed: Exclude<Typed, { kind: 'parts' }>): Job =>
  typed.kind === 'seat'
    ? withPart(job, letter, { ...withTypedSeat(partJob(job, letter), typed), units: job.units })
    : applyEdit(job, letter, typed.edit)

const capital = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1).slice(0, 59)

function copyTo(name: string, context: OpenSet): Answer {
  const { job, whole } = context
  const letter = freeLetter(whole)
  if (named(whole, name)) return asPart(partName(job), { ...context, job: partJob(whole, named(whole, name)!.letter) })
  return letter === null
    ? full(context)
    : parts(
        `${partName(job)} copied to ${capital(name)}`,
        (to) => addPart(to, partFrom(to, job), capital(name)),
        letter,
      )
}

/** The filling, the make-up and the way of the cloth of another part; the seat stays. */
function asPart(name: string, { job, whole }: OpenSet): Answer {
  const from = named(whole, name)
  if (!from || from.letter === job.letter)
    return fail({
      code: 'which',
      what: 'part',
      text: name,
      found: whole.parts.filter((p) => p.letter !== job.letter).map(partName),
    })
  const { filling, makeUp, cloth, allowances } = partJob(whole, from.letter)
  return parts(
    `${partName(job)} made as ${partName(from)}`,
    (to) => {
      const own: PartJob = partJob(to, job.letter)
      return withPart(to, job.letter, {
        ...own,
        filling,
        makeUp,
        cloth: { ...cloth, cloth: own.cloth.cloth, others: own.cloth.others },
        allowances: { ...own.allowances, overrides: allowances.overrides },
      })
    },
    job.letter,
  )
}

/** `rows 452 x 431, 449 x 436 times 2`: sizes in the order of the seat's dimensions; the first is the seat itself. */
export function readRows(rest: string, { job, limits }: OpenJob): Answer {
  const slots = ['width', 'depth', 'thickness'].flatMap((name) => slotOf(job.seat, name) ?? [])
  if (slots.length < 3) return fail({ code: 'pattern', word: 'rows', example: ROWS })
  const rows: SizeRow[] = []
  for (const text of listed(rest)) {
    const [, sizes = '', times] = /^(.*?)(?:\s+times\s+(\S+))?$/i.exec(text) ?? []
    const whats = sizes.split(/\s*[x×]\s*/i).length === 3 ? ['width', 'depth', 'thickness'] : ['width', 'depth']
    const read = readSizes(sizes, whats, 'rows', ROWS, job.units, limits)
    if (!read.ok) return read
    const count = times === undefined ? ok(1) : readCount(times, limits)
    if (!count.ok) return count
    const readings = Object.fromEntries(read.value.map((mm, k) => [slots[k]!.slot, reading(mm)]))
    rows.push({ count: count.value, readings })
  }
  const [first, ...others] = rows
  if (!first) return fail({ code: 'pattern', word: 'rows', example: ROWS })
  return edit(setSeat(`${rows.length} sizes`, (seat) => seatOfRows(seat, [first, ...others])))
}

const ROWS = 'rows 452 x 431, 449 x 436, 455 x 433 times 2'
