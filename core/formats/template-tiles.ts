import { at, boxOf, edgeLength, isInside, onEdge, type Box, type Outline } from '../outline/index.ts'

export interface Page {
  readonly name: string
  readonly widthMm: number
  readonly heightMm: number
}

export const PAGES: readonly Page[] = [
  { name: 'A4', widthMm: 210, heightMm: 297 },
  { name: 'A3', widthMm: 297, heightMm: 420 },
  { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
]

/** Left blank all round, for printers that cannot reach the edge. */
export const MARGIN_MM = 12
/** Neighbouring pages share this strip. */
export const OVERLAP_MM = 15

/** One page of a template: the part of the drawing it shows, in mm of the drawing. */
export interface Tile {
  readonly column: number
  readonly row: number
  /** `B3`: column letter, row number, from the lower left. */
  readonly label: string
  readonly window: Box
}

export interface Tiling {
  readonly page: Page
  readonly columns: number
  readonly rows: number
  readonly tiles: readonly Tile[]
}

/** Cuts a drawing into the pages it needs at true size, each overlapping its neighbours. */
export function tileTemplate(outlines: readonly Outline[], page: Page): Tiling {
  const boxes = outlines.map(boxOf)
  const box: Box = {
    minX: Math.min(...boxes.map((b) => b.minX)),
    minY: Math.min(...boxes.map((b) => b.minY)),
    maxX: Math.max(...boxes.map((b) => b.maxX)),
    maxY: Math.max(...boxes.map((b) => b.maxY)),
  }
  const [w, h] = [page.widthMm - 2 * MARGIN_MM, page.heightMm - 2 * MARGIN_MM]
  const count = (length: number, window: number) =>
    Math.max(1, Math.ceil((length - OVERLAP_MM) / (window - OVERLAP_MM)))
  const [columns, rows] = [count(box.maxX - box.minX, w), count(box.maxY - box.minY, h)]
  const tiles = Array.from({ length: columns * rows }, (_, i): Tile => {
    const [column, row] = [i % columns, Math.floor(i / columns)]
    const [x, y] = [box.minX + column * (w - OVERLAP_MM), box.minY + row * (h - OVERLAP_MM)]
    return {
      column,
      row,
      label: `${letters(column)}${row + 1}`,
      window: { minX: x, minY: y, maxX: x + w, maxY: y + h },
    }
  })
  return { page, columns, rows, tiles: tiles.filter((t) => shows(outlines, t.window)) }
}

/**
 * A page that lies wholly outside shows nothing and is not printed; one wholly inside holds its neighbours together.
 */
function shows(outlines: readonly Outline[], window: Box): boolean {
  const corners = [
    at(window.minX, window.minY),
    at(window.maxX, window.minY),
    at(window.maxX, window.maxY),
    at(window.minX, window.maxY),
  ]
  return outlines.some((o) => corners.some((c) => isInside(o, c)) || crossesWindow(o, window))
}

/** Whether some stretch of the outline runs through the window, looked at every few millimetres. */
function crossesWindow(outline: Outline, { minX, minY, maxX, maxY }: Box): boolean {
  return outline.some((_, i) => {
    const steps = Math.ceil(edgeLength(outline, i) / 3)
    return Array.from({ length: steps + 1 }, (__, k) => onEdge(outline, i, k / steps)).some(
      (p) => p.x >= minX && p.x <= maxX && p.y >= minY && p.y <= maxY,
    )
  })
}

const letters = (i: number): string =>
  i < 26 ? String.fromCharCode(65 + i) : letters(Math.floor(i / 26) - 1) + letters(i % 26)
