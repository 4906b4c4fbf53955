import { at, boxOf, edgeLength, isInside, onEdge, turnedBy, type Box, type Outline } from '../outline/index.ts'

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

/** A drawing is tried at so many turns of half a circle. */
const TURNS = 36

/**
 * How far a drawing is turned, counter-clockwise, to take the fewest pages, and these pages. Where no turn saves one it
 * stays as it is, and a quarter turn is taken before one askew.
 */
export function fewestPages(
  { foot, top }: { readonly foot: Outline; readonly top: Outline | null },
  page: Page,
): { readonly angleRad: number; readonly tiling: Tiling } {
  const outlines = top ? [foot, top] : [foot]
  const turns = Array.from({ length: TURNS }, (_, i) => (i * Math.PI) / TURNS)
  const tilings = [0, Math.PI / 2, ...turns].map((angleRad) => ({
    angleRad,
    tiling: tileTemplate(angleRad === 0 ? outlines : outlines.map((o) => turnedBy(o, angleRad)), page),
  }))
  return tilings.reduce((best, t) => (t.tiling.tiles.length < best.tiling.tiles.length ? t : best))
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
  const crossed = tilesOn(outlines, tiles)
  return { page, columns, rows, tiles: tiles.filter((t) => crossed.has(t) || isWithin(outlines, t.window)) }
}

/** Tiles that some stretch of an outline runs through, looked at every few millimetres. */
function tilesOn(outlines: readonly Outline[], tiles: readonly Tile[]): ReadonlySet<Tile> {
  const on = new Set<Tile>()
  for (const outline of outlines)
    for (const i of outline.keys()) {
      const steps = Math.ceil(edgeLength(outline, i) / 3)
      for (let k = 0; k <= steps; k++) {
        const { x, y } = onEdge(outline, i, k / steps)
        for (const t of tiles) {
          const { minX, minY, maxX, maxY } = t.window
          if (x >= minX && x <= maxX && y >= minY && y <= maxY) on.add(t)
        }
      }
    }
  return on
}

/** A page that lies wholly outside shows nothing and is not printed; one inside holds its neighbours together. */
function isWithin(outlines: readonly Outline[], { minX, minY, maxX, maxY }: Box): boolean {
  const corners = [at(minX, minY), at(maxX, minY), at(maxX, maxY), at(minX, maxY)]
  return outlines.some((o) => corners.some((c) => isInside(o, c)))
}

const letters = (i: number): string =>
  i < 26 ? String.fromCharCode(65 + i) : letters(Math.floor(i / 26) - 1) + letters(i % 26)
