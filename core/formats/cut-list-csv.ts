import { phrase } from '../language/index.ts'
import type { PartJob } from '../../contract/index.ts'
import type { CutLine } from '../planned/index.ts'
import { type CsvManner, writeCsv } from './csv.ts'
import { formatLength, unitName } from '../units/index.ts'

/** The cut list for a spreadsheet; cut sizes in the job's unit. */
export function cutListCsv(
  lines: readonly CutLine[],
  job: Pick<PartJob, 'ticket' | 'units'>,
  manner?: CsvManner,
): string {
  const unit = unitName(job.units)
  const say = (mm: number) => formatLength(mm, job.units)
  const rows = lines.map((l) => [job.ticket, l.what, l.from, l.count, say(l.width.value), say(l.height.value), l.note])
  return writeCsv(
    {
      fields: ['ticket', 'piece', 'material', 'count', phrase`cut width ${unit}`, phrase`cut height ${unit}`, 'note'],
      rows,
    },
    manner,
  )
}
