import { phrase } from '../language/index.ts'
import type { PartJob } from '../../contract/index.ts'
import type { CuttingPlan } from '../filling/index.ts'
import { type CsvManner, writeCsv } from './csv.ts'
import { formatLength, unitName } from '../units/index.ts'

/**
 * What to order of the foam supplier, for a spreadsheet: whole sheets, or parts cut to size; lengths in the job's unit.
 */
export function foamOrderCsv({ cutting, groups, order }: CuttingPlan, job: PartJob, manner?: CsvManner): string {
  const say = (mm: number) => formatLength(mm, job.units)
  const unit = unitName(job.units)
  const fields = [
    'ticket',
    'what',
    'grade',
    'kg/m3',
    'count',
    phrase`length ${unit}`,
    phrase`width ${unit}`,
    phrase`thickness ${unit}`,
  ]
  const rows: readonly (readonly (string | number)[])[] =
    cutting.supply === 'cut-to-size'
      ? order.map((l) => [
          job.ticket,
          l.what,
          l.grade.name,
          l.grade.densityKgM3 ?? '',
          l.count,
          say(l.widthMm),
          say(l.depthMm),
          say(l.thicknessMm),
        ])
      : groups.flatMap(({ group, buy }) =>
          buy
            ? [
                [
                  job.ticket,
                  'sheet',
                  group.grade.name,
                  group.grade.densityKgM3 ?? '',
                  buy.sheets.value,
                  say(buy.sheet.lengthMm),
                  say(buy.sheet.widthMm),
                  say(group.thicknessMm),
                ],
              ]
            : [],
        )
  return writeCsv({ fields, rows }, manner)
}
