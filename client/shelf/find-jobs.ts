import type { JobSummary, Stage } from '../../contract/index.ts'

export type Order = 'ticket' | 'due' | 'saved' | 'customer'
export interface Wanted {
  readonly text: string
  readonly stage: Stage | 'open' | 'all' | 'archived'
  readonly order: Order
}

/** Tickets that are wanted, in the order that is wanted; every word must be found somewhere on the ticket. */
export function findJobs(jobs: readonly JobSummary[], { text, stage, order }: Wanted): readonly JobSummary[] {
  const isNamed = naming(text)
  return jobs.filter((j) => isAt(j, stage) && isNamed(j)).toSorted(ORDERS[order])
}

/** Whether every word is found somewhere on a ticket. */
export function naming(text: string): (job: JobSummary) => boolean {
  const words = text
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '')
  return (job) => words.every((w) => textOf(job).includes(w))
}

const textOf = ({ ticket, title, customer, card }: JobSummary): string =>
  `${ticket} ${title} ${customer} ${card.furniture} ${card.parts.join(' ')} ${card.makeUp} ${card.cloth.name} ${card.foam}`.toLowerCase()

function isAt({ card }: JobSummary, stage: Wanted['stage']): boolean {
  if (stage === 'archived') return card.archivedOn !== null
  if (card.archivedOn !== null) return false
  if (stage === 'all') return true
  return stage === 'open' ? card.stage !== 'billed' : card.stage === stage
}

/** Made once: a fresh comparison of words for each pair is what made long shelves slow. */
const byWords = new Intl.Collator(undefined, { numeric: true }).compare
const ORDERS: Record<Order, (a: JobSummary, b: JobSummary) => number> = {
  ticket: (a, b) => byWords(a.ticket, b.ticket),
  due: (a, b) => byWords(a.card.dueOn ?? '9999', b.card.dueOn ?? '9999') || byWords(a.ticket, b.ticket),
  saved: (a, b) => b.savedAt.localeCompare(a.savedAt),
  customer: (a, b) => byWords(a.customer, b.customer) || byWords(a.ticket, b.ticket),
}

/** Customers with the furniture that was made for, and the newest ticket of each piece: to make the same once more. */
export function furnitureOf(
  jobs: readonly JobSummary[],
  customer: string,
): readonly { readonly furniture: string; readonly newest: JobSummary }[] {
  const own = jobs
    .filter((j) => j.customer === customer && j.card.furniture !== '')
    .toSorted((a, b) => b.savedAt.localeCompare(a.savedAt))
  return [...new Set(own.map((j) => j.card.furniture))].map((furniture) => ({
    furniture,
    newest: own.find((j) => j.card.furniture === furniture)!,
  }))
}
