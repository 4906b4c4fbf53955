import Papa from 'papaparse'
import type { PartJob } from '../../contract/index.ts'
import type { CutLine } from '../planned/index.ts'
import { formatLength, unitName } from '../units/index.ts'

/** The cut list for a spreadsheet; cut sizes in the job's unit. */
export function cutListCsv(lines: readonly CutLine[], job: Pick<PartJob, 'ticket' | 'units'>): string {
  const unit = unitName(job.units)
  const say = (mm: number) => formatLength(mm, job.units)
  const data = lines.map((l) => [job.ticket, l.what, l.from, l.count, say(l.width.value), say(l.height.value), l.note])
  return Papa.unparse(
    { fields: ['ticket', 'piece', 'material', 'count', `cut width ${unit}`, `cut height ${unit}`, 'note'], data },
    { delimiter: ',', newline: '\n', escapeFormulae: true },
  )
}
