import type { JobSummary, Trim } from '../../contract/index.ts'

export interface ShelfRow {
  readonly trim: Trim
  /** What open jobs will take of it. */
  readonly kept: number
  readonly keptFor: readonly string[]
  readonly free: number
  /** At or below its order point once the jobs have taken theirs. */
  readonly isLow: boolean
}

/** The shelf with what open jobs need; a use that two things serve is kept on the first of them. */
export function shelfRows(trims: readonly Trim[], jobs: readonly JobSummary[]): readonly ShelfRow[] {
  return trims.map((trim) => {
    const isFirst = trims.find((t) => t.use === trim.use)?.id === trim.id
    const own = isFirst
      ? jobs.flatMap((j) =>
          j.card.needs.trims.filter((n) => n.use === trim.use).map((n) => ({ ticket: j.ticket, amount: n.amount })),
        )
      : []
    const kept = own.reduce((sum, n) => sum + n.amount, 0)
    const free = trim.inHand - kept
    return {
      trim,
      kept,
      keptFor: own.map((n) => n.ticket),
      free,
      isLow: free < 0 || (trim.reorderAt > 0 && free <= trim.reorderAt),
    }
  })
}

/** How much is ordered to be well above the order point again, in whole packs. */
export const toOrder = ({ trim, free }: ShelfRow): number =>
  Math.max(1, Math.ceil((2 * trim.reorderAt - free) / trim.pack)) * trim.pack
