import type { Cloth, Grade, Job, Load, Seat, ShopSettings } from '../../contract/index.ts'
import { startGrade } from '../../core/filling/index.ts'
import { applyEdit, newJob, partJob, partName, setCloth, setFilling, withPart } from '../../core/job/index.ts'
import { planJob } from '../../core/plan/index.ts'
import { valueOf } from '../../core/seat/index.ts'
import { withTypedSeat, type TypedSeat } from '../../core/typing/index.ts'
import type { LengthUnit } from '../../core/units/index.ts'
import { startTitle } from './start-title.ts'

/** What a ticket is begun with: the shop's usual choices, at least one grade and one cloth. */
export interface ShopsChoices {
  readonly settings: ShopSettings
  readonly grades: readonly Grade[]
  readonly cloths: readonly Cloth[]
}

/** A new ticket for a seat, with a start grade and the first cloth. */
export function ticketFor(
  seat: Seat,
  units: LengthUnit,
  ticket: string,
  { settings, grades, cloths }: ShopsChoices,
): Job {
  return newJob({
    ticket,
    title: startTitle(seat),
    units,
    currency: settings.currency,
    book: settings.book,
    grade: startGrade(grades, valueOf(seat.thickness)),
    cloth: cloths[0]!,
    seat,
  })
}

/** The same with what was typed beside its sizes. */
export function asTyped(job: Job, typed: TypedSeat): Job {
  const part = withTypedSeat(partJob(job, 'A'), typed)
  const isNamed = part.title !== job.title
  const title = isNamed ? part.title : startTitle(typed.seat, part.makeUp.construction.kind)
  const begun = withPart(job, 'A', { ...part, title })
  if (!typed.more) return begun
  const set = typed.more.applyToJob(begun)
  const [first, ...others] = set.parts.map(partName)
  return isNamed ? set : { ...set, title: [first, ...others.map((name) => name.toLowerCase())].join(', ') }
}

/** The same with what was asked for in place of the usual. */
export function asAsked(
  job: Job,
  asked: { readonly use: Load['use']; readonly cloth: Cloth; readonly customer: string },
): Job {
  const { load } = job.parts[0]!.filling
  const used = applyEdit(job, 'A', setFilling('', { load: { ...load, use: asked.use } }))
  return { ...applyEdit(used, 'A', setCloth(asked.cloth)), customer: asked.customer }
}

/**
 * A new ticket, each of whose parts with pieces wider than its plain cloth is begun railroaded, as one would turn the roll,
 * where they fit so. A pattern or a pile has its way, and the lay station says what would do.
 */
export const turnedIfWide = (job: Job): Job => job.parts.reduce((now, { letter }) => turnedPart(now, letter), job)

function turnedPart(job: Job, letter: string): Job {
  const part = partJob(job, letter)
  const { cloth, direction } = part.cloth
  if (cloth.pattern.kind !== 'plain' || cloth.nap === 'one-way' || direction === 'railroaded') return job
  const turned = withPart(job, letter, { ...part, cloth: { ...part.cloth, direction: 'railroaded' } })
  return isTooWide(alone(job, letter)) && !isTooWide(alone(turned, letter)) ? turned : job
}

/** The ticket as if it had this part only. */
const alone = (job: Job, letter: string): Job => ({ ...job, parts: job.parts.filter((p) => p.letter === letter) })

const isTooWide = (job: Job): boolean => planJob(job).warnings.some((w) => w.code === 'piece-wider-than-cloth')
