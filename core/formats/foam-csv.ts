import Papa from 'papaparse'
import { phrase } from '../language/index.ts'
import type { Grade } from '../../contract/index.ts'
import { KG_M3_PER_LB_FT3, N_PER_LBF } from '../units/index.ts'

/** One row of a catalogue as read: a grade yet to be checked, or what could not be understood. */
export interface CatalogueRow {
  /** As a spreadsheet counts, its heading being row 1. */
  readonly row: number
  readonly grade: Readonly<Record<string, unknown>>
  readonly faults: readonly string[]
}

export type CatalogueFile =
  { readonly ok: true; readonly rows: readonly CatalogueRow[] } | { readonly ok: false; readonly says: string }

/** A heading, the field of a grade it fills, and what its numbers are multiplied by. */
interface Column {
  readonly heading: string
  readonly field: keyof Grade | 'lossShare' | 'years'
  readonly factor?: number
}

const COLUMNS: readonly Column[] = [
  { heading: 'name', field: 'name' },
  { heading: 'family', field: 'family' },
  { heading: 'density kg/m3', field: 'densityKgM3' },
  { heading: 'N at 25 %', field: 'at25N' },
  { heading: 'N at 40 %', field: 'at40N' },
  { heading: 'N at 65 %', field: 'at65N' },
  { heading: 'support factor', field: 'supportFactor' },
  { heading: 'places', field: 'exposures' },
  { heading: 'combustion modified', field: 'combustionModified' },
  { heading: 'firmness lost %', field: 'lossShare', factor: 0.01 },
  { heading: 'over years', field: 'years' },
  { heading: 'sheets mm', field: 'sheets' },
  { heading: 'thicknesses mm', field: 'thicknessesMm' },
  { heading: 'price of a m3', field: 'pricePerM3' },
  { heading: 'supplier says', field: 'said' },
]

/** Headings that are read as well: the same in pounds and feet. */
const ALSO_READ: readonly Column[] = [
  { heading: 'density lb/ft3', field: 'densityKgM3', factor: KG_M3_PER_LB_FT3 },
  { heading: 'lbf at 25 %', field: 'at25N', factor: N_PER_LBF },
  { heading: 'lbf at 40 %', field: 'at40N', factor: N_PER_LBF },
  { heading: 'lbf at 65 %', field: 'at65N', factor: N_PER_LBF },
]

/** The catalogue for a spreadsheet: metric, one row for each grade, lists parted by semicolons. */
export function writeCatalogue(grades: readonly Grade[]): string {
  return Papa.unparse(
    { fields: COLUMNS.map((c) => c.heading), data: grades.map((g) => COLUMNS.map((c) => cellOf(g, c))) },
    { delimiter: ',', newline: '\n', escapeFormulae: true },
  )
}

/**
 * Reads a catalogue; a row with faults says which, and no row is dropped in silence. Whether a grade can be is for its
 * schema to say.
 */
export function readCatalogue(text: string): CatalogueFile {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimiter: delimiterOf(text),
    skipEmptyLines: 'greedy',
  })
  const [headings, ...rows] = data
  if (!headings) return { ok: false, says: 'The file is empty. Its first line must be the headings.' }
  const columns = headings.map((h) => [...COLUMNS, ...ALSO_READ].find((c) => plain(c.heading) === plain(h)))
  const unknown = headings.filter((h, i) => h.trim() !== '' && !columns[i])
  if (unknown.length > 0)
    return {
      ok: false,
      says: phrase`The heading "${unknown[0]}" is not known. Known are: ${[...COLUMNS, ...ALSO_READ].map((c) => c.heading).join(', ')}.`,
    }
  if (!columns.some((c) => c?.field === 'name')) return { ok: false, says: 'There is no column "name".' }
  return { ok: true, rows: rows.map((cells, i) => rowOf(cells, columns, i + 2)) }
}

/** A name as the key of a grade: small letters, figures and hyphens. */
export const idOfName = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '')
    .slice(0, 60)

const plain = (heading: string): string =>
  heading
    .toLowerCase()
    .replaceAll('³', '3')
    .replaceAll(/[\s_]+/g, ' ')
    .trim()

const delimiterOf = (text: string): string => {
  const [first = ''] = text.split('\n', 1)
  return [',', ';', '\t'].reduce((best, d) => (first.split(d).length > first.split(best).length ? d : best))
}

function cellOf(grade: Grade, { field, factor = 1 }: Column): string {
  switch (field) {
    case 'lossShare':
    case 'years':
      return grade.ageing === null ? '' : String(Number((grade.ageing[field] / factor).toFixed(4)))
    case 'exposures':
      return grade.exposures.join('; ')
    case 'combustionModified':
      return grade.combustionModified ? 'yes' : 'no'
    case 'sheets':
      return grade.sheets.map((s) => `${s.lengthMm} x ${s.widthMm}`).join('; ')
    case 'thicknessesMm':
      return grade.thicknessesMm.join('; ')
    default:
      return grade[field] === null ? '' : String(grade[field])
  }
}

function rowOf(cells: readonly string[], columns: readonly (Column | undefined)[], row: number): CatalogueRow {
  const faults: string[] = []
  const number = (column: Column, text: string): number | null => {
    const value = Number(text.trim().replace(/^(\d+),(\d+)$/, '$1.$2'))
    if (text.trim() === '') return null
    if (!Number.isFinite(value)) faults.push(phrase`${column.heading}: "${text}" is not a number`)
    return value * (column.factor ?? 1)
  }
  const list = (column: Column, text: string): number[] =>
    text
      .split(';')
      .filter((t) => t.trim() !== '')
      .map((t) => number(column, t) ?? 0)
  const grade: Record<string, unknown> = {
    densityKgM3: null,
    at25N: null,
    at40N: null,
    at65N: null,
    supportFactor: null,
    combustionModified: false,
    sheets: [],
    pricePerM3: 0,
  }
  const ageing: Record<string, number | null> = { lossShare: null, years: null }
  columns.forEach((column, i) => {
    const text = cells[i] ?? ''
    if (!column) return
    switch (column.field) {
      case 'name':
      case 'family':
      case 'said':
        grade[column.field] = text.trim()
        break
      case 'exposures':
        grade['exposures'] = text
          .split(';')
          .map((t) => t.trim())
          .filter((t) => t !== '')
        break
      case 'combustionModified':
        grade['combustionModified'] = /^(yes|y|true|1)$/i.test(text.trim())
        break
      case 'thicknessesMm':
        grade['thicknessesMm'] = list(column, text)
        break
      case 'sheets':
        grade['sheets'] = text
          .split(';')
          .filter((t) => t.trim() !== '')
          .map((t) => {
            const [lengthMm = null, widthMm = null] = t.split(/[x×]/i).map((side) => number(column, side))
            return { lengthMm, widthMm }
          })
        break
      case 'lossShare':
      case 'years':
        ageing[column.field] = number(column, text)
        break
      default: {
        const value = number(column, text)
        // Where a sheet has both units, an empty cell of one does not undo the other.
        if (value !== null || grade[column.field] === undefined) grade[column.field] = value
      }
    }
  })
  return {
    row,
    faults,
    grade: {
      ...grade,
      id: idOfName(String(grade['name'] ?? '')),
      ageing: ageing['lossShare'] === null && ageing['years'] === null ? null : ageing,
    },
  }
}
