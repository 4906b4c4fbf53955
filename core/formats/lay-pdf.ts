import { PDFDocument, rgb, StandardFonts, type PDFPage } from 'pdf-lib'
import { phrase } from '../language/index.ts'
import { flatten, type Point } from '../outline/index.ts'
import type { LayDrawing } from './lay-drawing.ts'
import type { Page } from './template-tiles.ts'
import { plain, PT } from './pdf-words.ts'

const INK = rgb(0.13, 0.16, 0.17)
const CHALK = rgb(0.16, 0.38, 0.56)
const MARGIN_MM = 12
const HEAD_MM = 14
/** No PDF page may be longer (14 400 points). */
const LONGEST_PAGE_MM = 5080

/** The lay as a drawing to look at, fitted to one page. */
export async function layPagePdf(drawing: LayDrawing, page: Page): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  const [wide, high] = [page.heightMm, page.widthMm]
  const scale = Math.min((wide - 2 * MARGIN_MM) / drawing.lengthMm, (high - 2 * MARGIN_MM - HEAD_MM) / drawing.widthMm)
  const sheet = pdf.addPage([wide * PT, high * PT])
  // The roll lies from left to right, its left selvedge at the top.
  const put = (p: Point): Point => ({ x: MARGIN_MM + p.y * scale, y: high - MARGIN_MM - HEAD_MM - p.x * scale })
  await draw(pdf, sheet, drawing, put, { textPt: 7, widthPt: 0.6 })
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  sheet.drawText(
    plain(
      phrase`${drawing.title}: ${drawing.clothName}, ${Math.ceil(drawing.lengthMm)} mm along the roll, ${drawing.widthMm} mm wide. Left selvedge at the top, starting end at the left. Not to scale.`,
    ),
    { x: MARGIN_MM * PT, y: (high - MARGIN_MM - 4) * PT, size: 9, font, color: INK },
  )
  return pdf.save()
}

/** The lay at true size on pages as wide as the roll, one after the other along it. */
export async function layRollPdf(drawing: LayDrawing): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  for (let from = 0; from < drawing.lengthMm; from += LONGEST_PAGE_MM) {
    const length = Math.min(LONGEST_PAGE_MM, drawing.lengthMm - from)
    const sheet = pdf.addPage([drawing.widthMm * PT, length * PT])
    await draw(pdf, sheet, drawing, (p) => ({ x: p.x, y: p.y - from }), { textPt: 28, widthPt: 1 })
  }
  return pdf.save()
}

async function draw(
  pdf: PDFDocument,
  sheet: PDFPage,
  { widthMm, lengthMm, pieces }: LayDrawing,
  put: (p: Point) => Point,
  { textPt, widthPt }: { textPt: number; widthPt: number },
): Promise<void> {
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  const line = (
    points: readonly Point[],
    isClosed: boolean,
    thickness: number,
    color = INK,
    dashArray: number[] = [],
  ) =>
    points.forEach((p, i) => {
      if (i === points.length - 1 && !isClosed) return
      const [a, b] = [put(p), put(points[(i + 1) % points.length]!)]
      sheet.drawLine({
        start: { x: a.x * PT, y: a.y * PT },
        end: { x: b.x * PT, y: b.y * PT },
        thickness,
        color,
        dashArray,
      })
    })
  line(
    [
      { x: 0, y: 0 },
      { x: widthMm, y: 0 },
      { x: widthMm, y: lengthMm },
      { x: 0, y: lengthMm },
    ],
    true,
    widthPt / 2,
  )
  for (const piece of pieces) {
    line(flatten(piece.cut, 0.1), true, widthPt)
    if (piece.sew) line(flatten(piece.sew, 0.1), true, widthPt / 2, CHALK, [4, 3])
    for (const notch of piece.notches) line(notch, false, widthPt)
    for (const mark of piece.marks)
      line(
        mark.length === 1
          ? [
              { x: mark[0]!.x - 4, y: mark[0]!.y },
              { x: mark[0]!.x + 4, y: mark[0]!.y },
            ]
          : mark,
        false,
        widthPt / 2,
        CHALK,
      )
    const at = put(piece.middle)
    const name = plain(piece.name)
    sheet.drawText(name, {
      x: at.x * PT - font.widthOfTextAtSize(name, textPt) / 2,
      y: at.y * PT,
      size: textPt,
      font,
      color: INK,
    })
  }
}
