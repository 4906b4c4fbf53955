import Papa from 'papaparse'
import type { JobSummary, Trim } from '../../contract/index.ts'

/** Every job on a line, for a spreadsheet. */
export const shelfCsv = (jobs: readonly JobSummary[]): string =>
  Papa.unparse(
    jobs.map(({ ticket, title, customer, revision, savedAt, card }) => ({
      ticket,
      title,
      customer,
      furniture: card.furniture,
      stage: card.archivedOn ? 'put away' : card.stage,
      due: card.dueOn ?? '',
      cushions: card.cushions,
      makeUp: card.makeUp,
      cloth: card.cloth.name,
      foam: card.foam,
      stepsDone: card.steps.done,
      steps: card.steps.of,
      revision,
      savedAt,
    })),
    SAFE,
  )

/** The shelf of trims, for a spreadsheet. */
export const trimsCsv = (trims: readonly Trim[]): string =>
  Papa.unparse(
    trims.map(({ name, use, unit, price, pack, inHand, reorderAt }) => ({
      name,
      use,
      unit,
      price,
      pack,
      inHand,
      reorderAt,
    })),
    SAFE,
  )

/** A spreadsheet must not take a title for a formula. */
const SAFE = { delimiter: ',', newline: '\r\n', escapeFormulae: true } as const
