export { writeCsv, type CsvManner, type Table } from './csv.ts'
export { quoteTable } from './quote-table.ts'
export { shelfCsv, trimsCsv } from './shop-csv.ts'
import { err, type Result } from '../result/index.ts'
import { tracedOutline, type OutlineFault, type TracedOutline } from './outline-file.ts'
import { readDxf } from './read-dxf.ts'
export { dxfDanger } from './dxf-guard.ts'
import type { SheetLabel } from './label-pdf.ts'
import type { LabelSheet } from './label-sheets.ts'
import type { LayDrawing } from './lay-drawing.ts'
import type { Template } from './template-pdf.ts'
import type { Page } from './template-tiles.ts'
import { readSvg } from './read-svg.ts'

/** An outline from a drawing, by the ending of its file name. */
export function readOutlineFile(name: string, text: string): Result<TracedOutline, OutlineFault> {
  const read = /\.dxf$/i.test(name)
    ? readDxf(text)
    : /\.svg$/i.test(name)
      ? readSvg(text)
      : err<OutlineFault>({ code: 'unknown-kind', name })
  return read.ok ? tracedOutline(read.value) : read
}

export { idOfName, readCatalogue, writeCatalogue, type CatalogueFile, type CatalogueRow } from './foam-csv.ts'
export { foamOrderCsv } from './foam-order-csv.ts'
export { outlineFaultWords } from './fault-words.ts'
export type { OutlineFault, TracedOutline } from './outline-file.ts'
/** A paper template at true size as a PDF; the writer is fetched when it is first wanted. */
export const templatePdf = async (template: Template, page: Page): Promise<Uint8Array> =>
  (await import('./template-pdf.ts')).templatePdf(template, page)

export type { Template }
export { fewestPages, PAGES, type Page } from './template-tiles.ts'
export { LABEL_SHEETS, labelsOn, type LabelSheet } from './label-sheets.ts'
/** Labels on sheets of gummed paper as a PDF. */
export const labelPdf = async (
  labels: readonly SheetLabel[],
  sheet: LabelSheet,
  firstFree: number,
): Promise<Uint8Array> => (await import('./label-pdf.ts')).labelPdf(labels, sheet, firstFree)
export type { SheetLabel }
export { cutListCsv } from './cut-list-csv.ts'
export { layDrawing, type LayDrawing } from './lay-drawing.ts'
export { laySvg } from './lay-svg.ts'
/** A lay as DXF, and as PDF to look at or at true size; their writers are fetched when they are first wanted. */
export const layDxf = async (drawing: LayDrawing): Promise<string> => (await import('./lay-dxf.ts')).layDxf(drawing)
export const layPagePdf = async (drawing: LayDrawing, page: Page): Promise<Uint8Array> =>
  (await import('./lay-pdf.ts')).layPagePdf(drawing, page)
export const layRollPdf = async (drawing: LayDrawing): Promise<Uint8Array> =>
  (await import('./lay-pdf.ts')).layRollPdf(drawing)
