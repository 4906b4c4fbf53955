import Papa from 'papaparse'

/** How a shop's spreadsheets read a file: what parts its columns, and the decimal sign. */
export interface CsvManner {
  readonly delimiter: ',' | ';'
  readonly decimal: '.' | ','
}

export const PLAIN_CSV: CsvManner = { delimiter: ',', decimal: '.' }

export interface Table {
  readonly fields: readonly string[]
  readonly rows: readonly (readonly (string | number)[])[]
}

/** A table as CSV. A spreadsheet must not take a title for a formula. */
export const writeCsv = ({ fields, rows }: Table, { delimiter, decimal }: CsvManner = PLAIN_CSV): string =>
  Papa.unparse(
    { fields: [...fields], data: rows.map((row) => row.map((cell) => asText(cell, decimal))) },
    { delimiter, newline: '\r\n', escapeFormulae: true },
  )

/** Numbers, and texts that are nothing but a number, take the decimal sign. */
const asText = (cell: string | number, decimal: CsvManner['decimal']): string =>
  typeof cell === 'number' || /^-?\d+\.\d+$/.test(cell) ? String(cell).replace('.', decimal) : cell
