import { writeCsv, type Table } from '../../../core/formats/index.ts'
import { download } from '../../ui/download.ts'
import { csvManner } from '../../ui/manner.ts'

/** The lines of a quote for the books, as text that any spreadsheet reads by the shop's own signs. */
export const saveLines = (name: string, table: Table): void =>
  download(`${name}.csv`, writeCsv(table, csvManner()), 'text/csv')

/** The same as a workbook, amounts as numbers. */
export async function saveWorkbook(name: string, { fields, rows }: Table): Promise<void> {
  const { default: writeXlsxFile } = await import('write-excel-file/browser')
  const heading = fields.map((value) => ({ value, fontWeight: 'bold' as const }))
  const body = rows.map((row) =>
    row.map((value) => (typeof value === 'number' ? { value, type: Number, format: '0.00' } : { value, type: String })),
  )
  const blob = await writeXlsxFile([heading, ...body], { columns: WIDTHS.map((width) => ({ width })) }).toBlob()
  download(`${name}.xlsx`, new Uint8Array(await blob.arrayBuffer()), blob.type)
}

/** Of its columns, in characters. */
const WIDTHS = [10, 22, 10, 40, 12, 9] as const
