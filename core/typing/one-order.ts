import type { Job } from '../../contract/index.ts'
import { applyEdit, jobOf, partJob, withPart } from '../job/index.ts'
import { fail, type Answer, type Typed, type TypingContext } from './failure.ts'
import { withTypedSeat } from './typed-seat.ts'

/** A line that would make an open ticket more than one order is refused, with how many cushions there would be. */
export function inOneOrder(answer: Answer, { job, whole, limits }: TypingContext): Answer {
  if (!answer.ok || !job) return answer
  const { parts } = afterTyped(answer.value, whole ?? jobOf(job), job.letter)
  const count = parts.reduce((sum, part) => sum + limits.cushionsIn(part.seat.division), 0)
  const most = limits.mostCushionsOfAll
  return count > most ? fail({ code: 'too-many', count, most }) : answer
}

/** A ticket after what was typed at one of its parts. */
export function afterTyped(typed: Typed, ticket: Job, letter: string): Job {
  switch (typed.kind) {
    case 'seat':
      return withPart(ticket, letter, withTypedSeat(partJob(ticket, letter), typed))
    case 'edit':
      return applyEdit(ticket, letter, typed.edit)
    case 'parts':
      return typed.edit.applyToJob(ticket)
    default:
      return typed satisfies never
  }
}
