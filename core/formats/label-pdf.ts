import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib'
import { squareCode } from '../square-code/index.ts'
import { labelAt, labelsOn, type LabelSheet } from './label-sheets.ts'
import { plain, PT } from './pdf-words.ts'

/** What stands on one label: a line in bold, lines below it, and the code that leads back to the job. */
export interface SheetLabel {
  readonly head: string
  readonly lines: readonly string[]
  readonly address: string
}

const INK = rgb(0.1, 0.12, 0.13)
/** Free inside a label's edge: printers draw paper in a little askew. */
const EDGE_MM = 3
const GAP_MM = 2
/** The code is no larger than this, and no more than this share of the label's height. */
const CODE_MM = 22
/** Sizes of letters, pt, from the one that is tried first to the smallest that can be read. */
const SIZES = [11, 10, 9, 8, 7, 6, 5] as const
const LEADING = 1.18

/**
 * Labels on sheets of gummed paper, row by row. `firstFree` labels of the first sheet are used up already. Letters are
 * as large as lets all words stand on the label; what cannot stand even in the smallest is left off from the last line.
 */
export async function labelPdf(
  labels: readonly SheetLabel[],
  sheet: LabelSheet,
  firstFree: number,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  const fonts = {
    bold: await pdf.embedFont(StandardFonts.HelveticaBold),
    plain: await pdf.embedFont(StandardFonts.Helvetica),
  }
  const pages = new Map<number, PDFPage>()
  labels.forEach((label, i) => {
    const place = firstFree + i
    const number = Math.floor(place / labelsOn(sheet))
    const { widthMm, heightMm } = sheet.page
    if (!pages.has(number)) pages.set(number, pdf.addPage([widthMm * PT, heightMm * PT]))
    drawLabel(pages.get(number)!, fonts, label, sheet, labelAt(sheet, place % labelsOn(sheet)))
  })
  return pdf.save()
}

type Fonts = Readonly<Record<'bold' | 'plain', PDFFont>>

function drawLabel(
  page: PDFPage,
  fonts: Fonts,
  { head, lines, address }: SheetLabel,
  sheet: LabelSheet,
  { leftMm, topMm }: { readonly leftMm: number; readonly topMm: number },
): void {
  const highMm = sheet.heightMm - 2 * EDGE_MM
  const codeMm = Math.min(CODE_MM, highMm)
  const wordsMm = sheet.widthMm - 2 * EDGE_MM - codeMm - GAP_MM
  drawCode(page, sheet, address, { leftMm: leftMm + sheet.widthMm - EDGE_MM - codeMm, topMm: topMm + EDGE_MM }, codeMm)
  const { size, rows } = fitted(fonts, head, lines, wordsMm * PT, highMm * PT)
  rows.forEach(({ text, font }, i) =>
    page.drawText(text, {
      x: (leftMm + EDGE_MM) * PT,
      y: (sheet.page.heightMm - topMm - EDGE_MM) * PT - size * (i * LEADING + 0.8),
      size,
      font,
      color: INK,
    }),
  )
}

interface Row {
  readonly text: string
  readonly font: PDFFont
}

function fitted(fonts: Fonts, head: string, lines: readonly string[], widthPt: number, heightPt: number) {
  const broken = (size: number): readonly Row[] => [
    ...wrapped(fonts.bold, plain(head), size, widthPt).map((text) => ({ text, font: fonts.bold })),
    ...lines
      .filter((l) => l !== '')
      .flatMap((l) => wrapped(fonts.plain, plain(l), size, widthPt).map((text) => ({ text, font: fonts.plain }))),
  ]
  const most = (size: number) => Math.floor(heightPt / (size * LEADING))
  const size = SIZES.find((s) => broken(s).length <= most(s)) ?? SIZES.at(-1)!
  return { size, rows: broken(size).slice(0, most(size)) }
}

/** Broken between words; a word that is wider than the label is broken where it must be. */
function wrapped(font: PDFFont, text: string, size: number, widthPt: number): readonly string[] {
  const fits = (line: string) => font.widthOfTextAtSize(line, size) <= widthPt
  return text.split(' ').reduce<string[]>((rows, word) => {
    const last = rows.at(-1)
    if (last !== undefined && fits(`${last} ${word}`)) return [...rows.slice(0, -1), `${last} ${word}`]
    const pieces = [...word].reduce<string[]>((parts, letter) => {
      const part = parts.at(-1)
      return part !== undefined && fits(part + letter) ? [...parts.slice(0, -1), part + letter] : [...parts, letter]
    }, [])
    return [...rows, ...pieces]
  }, [])
}

function drawCode(
  page: PDFPage,
  sheet: LabelSheet,
  text: string,
  { leftMm, topMm }: { readonly leftMm: number; readonly topMm: number },
  sideMm: number,
): void {
  const { dots, size } = squareCode(text)
  const dotMm = sideMm / size
  for (const { column, row } of dots)
    page.drawRectangle({
      x: (leftMm + column * dotMm) * PT,
      y: (sheet.page.heightMm - topMm - (row + 1) * dotMm) * PT,
      width: dotMm * PT,
      height: dotMm * PT,
      color: INK,
    })
}
