import {
  clip,
  closePath,
  endPath,
  lineTo,
  moveTo,
  PDFDocument,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  setDashPattern,
  setLineWidth,
  StandardFonts,
  stroke,
  type PDFFont,
  type PDFPage,
} from 'pdf-lib'
import { phrase } from '../language/index.ts'
import { flatten, turnedBy, type Outline, type Point } from '../outline/index.ts'
import { fewestPages, MARGIN_MM, OVERLAP_MM, type Page, type Tile, type Tiling } from './template-tiles.ts'
import { plain, PT } from './pdf-words.ts'

export interface Template {
  readonly title: string
  /** Drawn as a full line: where the cushion stands. */
  readonly foot: Outline
  /** Drawn dashed, for leaning sides. */
  readonly top: Outline | null
  readonly labels: readonly { readonly at: Point; readonly text: string }[]
  /** Said on the first page, one line each. */
  readonly notes: readonly string[]
}

const INK = rgb(0.13, 0.16, 0.17)
const SOFT = rgb(0.45, 0.45, 0.43)
export const TEST_SQUARE_MM = 100

/**
 * A paper template at true size, turned so that it takes few pages: a first page with a square to check the printer's
 * scale and a map of the pages, then the pages, each with marks that lie on each other where pages overlap.
 */
export async function templatePdf(asDrawn: Template, page: Page): Promise<Uint8Array> {
  const pdf = await PDFDocument.create()
  pdf.setTitle(asDrawn.title)
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  const { angleRad, tiling } = fewestPages(asDrawn, page)
  const template = turned(asDrawn, angleRad)
  firstPage(pdf.addPage([page.widthMm * PT, page.heightMm * PT]), font, template, tiling)
  for (const tile of tiling.tiles)
    tilePage(pdf.addPage([page.widthMm * PT, page.heightMm * PT]), font, template, tiling, tile)
  return pdf.save()
}

function turned(template: Template, angleRad: number): Template {
  if (angleRad === 0) return template
  return {
    ...template,
    foot: turnedBy(template.foot, angleRad),
    top: template.top && turnedBy(template.top, angleRad),
    labels: template.labels.map((l) => ({ ...l, at: turnedBy([l.at], angleRad)[0]! })),
    notes: [
      ...template.notes,
      phrase`Drawn turned by ${Math.round((angleRad * 180) / Math.PI)} degrees, to take fewer pages.`,
    ],
  }
}

function firstPage(page: PDFPage, font: PDFFont, template: Template, tiling: Tiling): void {
  const { heightMm } = tiling.page
  const write = (text: string, x: number, yFromTop: number, size: number) =>
    page.drawText(plain(text), { x: x * PT, y: (heightMm - yFromTop) * PT, size, font, color: INK })
  write(template.title, 15, 22, 15)
  write('Print at 100 %, not fitted to the page. Then measure this square: it must be 100 mm each way.', 15, 32, 9.5)
  page.drawRectangle({
    x: 15 * PT,
    y: (heightMm - 38 - TEST_SQUARE_MM) * PT,
    width: TEST_SQUARE_MM * PT,
    height: TEST_SQUARE_MM * PT,
    borderColor: INK,
    borderWidth: 0.7,
  })
  write('100 mm', 15 + TEST_SQUARE_MM / 2 - 6, 38 + TEST_SQUARE_MM + 5, 9)
  write(
    phrase`${tiling.tiles.length} pages, ${tiling.columns} across and ${tiling.rows} up; those wholly outside are left out. Lay the crosses on each other; neighbours overlap by ${OVERLAP_MM} mm.`,
    15,
    154,
    9.5,
  )
  template.notes.forEach((note, i) => write(note, 15, 161 + i * 5, 9.5))
  const top = 166 + template.notes.length * 5
  const scale = Math.min((tiling.page.widthMm - 30) / span(tiling, 'X'), (heightMm - top - 15) / span(tiling, 'Y'))
  const origin = { x: left(tiling, 'X'), y: left(tiling, 'Y') }
  const small = (p: Point): Point => ({ x: 15 + (p.x - origin.x) * scale, y: 12 + (p.y - origin.y) * scale })
  for (const tile of tiling.tiles) {
    const low = small({ x: tile.window.minX, y: tile.window.minY })
    page.drawRectangle({
      x: low.x * PT,
      y: low.y * PT,
      width: (tile.window.maxX - tile.window.minX) * scale * PT,
      height: (tile.window.maxY - tile.window.minY) * scale * PT,
      borderColor: SOFT,
      borderWidth: 0.4,
    })
    page.drawText(tile.label, { x: (low.x + 1.5) * PT, y: (low.y + 1.5) * PT, size: 7, font, color: SOFT })
  }
  line(page, flatten(template.foot, 1).map(small), 0.8, [])
}

const span = (tiling: Tiling, axis: 'X' | 'Y'): number =>
  Math.max(...tiling.tiles.map((t) => t.window[`max${axis}`])) - left(tiling, axis)
const left = (tiling: Tiling, axis: 'X' | 'Y'): number => Math.min(...tiling.tiles.map((t) => t.window[`min${axis}`]))

function tilePage(page: PDFPage, font: PDFFont, template: Template, tiling: Tiling, tile: Tile): void {
  const onPage = (p: Point): Point => ({ x: p.x - tile.window.minX + MARGIN_MM, y: p.y - tile.window.minY + MARGIN_MM })
  const [w, h] = [tile.window.maxX - tile.window.minX, tile.window.maxY - tile.window.minY]
  page.drawRectangle({
    x: MARGIN_MM * PT,
    y: MARGIN_MM * PT,
    width: w * PT,
    height: h * PT,
    borderColor: SOFT,
    borderWidth: 0.3,
  })
  page.pushOperators(pushGraphicsState(), rectangle(MARGIN_MM * PT, MARGIN_MM * PT, w * PT, h * PT), clip(), endPath())
  line(page, flatten(template.foot, 0.05).map(onPage), 0.9, [])
  if (template.top) line(page, flatten(template.top, 0.05).map(onPage), 0.7, [6, 4])
  page.pushOperators(popGraphicsState())
  for (const { at, text } of template.labels) {
    const p = onPage(at)
    if (p.x > MARGIN_MM && p.x < MARGIN_MM + w - 20 && p.y > MARGIN_MM && p.y < MARGIN_MM + h - 5)
      page.drawText(plain(text), { x: p.x * PT, y: p.y * PT, size: 10, font, color: INK })
  }
  for (const mark of overlapMarks(tiling, tile)) cross(page, onPage(mark))
  page.drawText(plain(`${tile.label}   ${template.title}`), {
    x: MARGIN_MM * PT,
    y: (MARGIN_MM - 6) * PT,
    size: 8,
    font,
    color: SOFT,
  })
}

/** Crosses in the middle of each strip that two pages share, a third and two thirds along it. */
export function overlapMarks(tiling: Tiling, tile: Tile): readonly Point[] {
  const { minX, minY, maxX, maxY } = tile.window
  const along = [1 / 3, 2 / 3]
  const level = (y: number) => along.map((s) => ({ x: minX + (maxX - minX) * s, y }))
  const upright = (x: number) => along.map((s) => ({ x, y: minY + (maxY - minY) * s }))
  return [
    ...(tile.column > 0 ? upright(minX + OVERLAP_MM / 2) : []),
    ...(tile.column < tiling.columns - 1 ? upright(maxX - OVERLAP_MM / 2) : []),
    ...(tile.row > 0 ? level(minY + OVERLAP_MM / 2) : []),
    ...(tile.row < tiling.rows - 1 ? level(maxY - OVERLAP_MM / 2) : []),
  ]
}

function cross(page: PDFPage, { x, y }: Point): void {
  for (const [dx, dy] of [
    [4, 0],
    [0, 4],
  ] as const)
    page.drawLine({
      start: { x: (x - dx) * PT, y: (y - dy) * PT },
      end: { x: (x + dx) * PT, y: (y + dy) * PT },
      thickness: 0.4,
      color: SOFT,
    })
}

function line(page: PDFPage, points: readonly Point[], width: number, dash: readonly number[]): void {
  const [first, ...rest] = points
  page.pushOperators(
    setLineWidth(width),
    setDashPattern([...dash], 0),
    moveTo(first!.x * PT, first!.y * PT),
    ...rest.map((p) => lineTo(p.x * PT, p.y * PT)),
    closePath(),
    stroke(),
  )
}
