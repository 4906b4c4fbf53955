import { phrase } from '../../core/language/index.ts'
import { placeOf, readJob, readWith, Seat, type Fault } from '../../contract/index.ts'
import { jobOf } from '../../core/job/index.ts'
import {
  afterTyped,
  readTyped,
  typingWords,
  type Asked,
  type Typed,
  type TypingContext,
} from '../../core/typing/index.ts'

export type ReadLine =
  { readonly ok: true; readonly value: Typed | Asked } | { readonly ok: false; readonly says: string }

/** A typed line in words, asked of the job file as well: what that would refuse is not understood here either. */
export function readLine(text: string, context: TypingContext): ReadLine {
  const read = readTyped(text, context)
  if (!read.ok) return { ok: false, says: typingWords(read.error) }
  const { value } = read
  if (value.kind !== 'ask') return heldAgainst(value, context)
  const readings = value.readings.filter((r) => heldAgainst(r.typed, context).ok)
  const [only] = readings
  return only ? { ok: true, value: { ...value, readings } } : heldAgainst(value.readings[0]!.typed, context)
}

function heldAgainst(typed: Typed, context: TypingContext): ReadLine {
  const fault = faultOf(typed, context)
  return fault === null
    ? { ok: true, value: typed }
    : { ok: false, says: phrase`That cannot be kept: ${placeOf(fault)} ${fault.message}.` }
}

function faultOf(typed: Typed, { job, whole }: TypingContext): Fault | null {
  if (typed.kind === 'seat' && !job) {
    const read = readWith(Seat, typed.seat)
    return read.ok ? null : read.faults[0]!
  }
  if (!job) return null
  const read = readJob(afterTyped(typed, whole ?? jobOf(job), job.letter))
  return read.ok ? null : read.faults[0]!
}
