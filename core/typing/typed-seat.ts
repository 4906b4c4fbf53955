import type { PartJob } from '../../contract/index.ts'
import { FACTORY_BOOK } from '../defaults/index.ts'
import { startGrade } from '../filling/index.ts'
import { newPartJob } from '../job/index.ts'
import { valueOf } from '../seat/index.ts'
import type { TypedSeat, TypingContext } from './failure.ts'

/** A job with a typed seat in place of its own, and with what was said in the same line. */
export const withTypedSeat = (job: PartJob, { seat, units, also }: TypedSeat): PartJob =>
  also.reduce<PartJob>((part, edit) => edit.apply(part), { ...job, units, seat })

/** What a typed seat comes to: in the open job, else in a new one of the shop's; null where a shop has no foam or cloth. */
export function begunWith(typed: TypedSeat, { job, grades, cloths }: TypingContext): PartJob | null {
  if (job) return withTypedSeat(job, typed)
  const [cloth] = cloths
  if (!cloth || grades.length === 0) return null
  const grade = startGrade(grades, valueOf(typed.seat.thickness))
  const { seat, units } = typed
  return withTypedSeat(
    newPartJob({ ticket: '', title: '', units, currency: '', book: FACTORY_BOOK, grade, cloth, seat }),
    typed,
  )
}
