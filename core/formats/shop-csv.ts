import type { JobSummary, Trim } from '../../contract/index.ts'
import { type CsvManner, writeCsv } from './csv.ts'

/** Every job on a line, for a spreadsheet. */
export const shelfCsv = (jobs: readonly JobSummary[], manner?: CsvManner): string =>
  writeCsv(
    {
      fields: [
        'ticket',
        'title',
        'customer',
        'furniture',
        'stage',
        'due',
        'cushions',
        'makeUp',
        'cloth',
        'foam',
        'stepsDone',
        'steps',
        'revision',
        'savedAt',
      ],
      rows: jobs.map(({ ticket, title, customer, revision, savedAt, card }) => [
        ticket,
        title,
        customer,
        card.furniture,
        card.archivedOn ? 'put away' : card.stage,
        card.dueOn ?? '',
        card.cushions,
        card.makeUp,
        card.cloth.name,
        card.foam,
        card.steps.done,
        card.steps.of,
        revision,
        savedAt,
      ]),
    },
    manner,
  )

/** The shelf of trims, for a spreadsheet. */
export const trimsCsv = (trims: readonly Trim[], manner?: CsvManner): string =>
  writeCsv(
    {
      fields: ['name', 'use', 'unit', 'price', 'pack', 'inHand', 'reorderAt'],
      rows: trims.map((t) => [t.name, t.use, t.unit, t.price, t.pack, t.inHand, t.reorderAt]),
    },
    manner,
  )
