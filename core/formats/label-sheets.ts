import { PAGES, type Page } from './template-tiles.ts'

/** A sheet of gummed labels, by its measures alone: so many across and down, from the top left corner. */
export interface LabelSheet {
  readonly id: string
  readonly page: Page
  readonly across: number
  readonly down: number
  readonly widthMm: number
  readonly heightMm: number
  /** To the first label's corner. */
  readonly leftMm: number
  readonly topMm: number
  /** From one label's left to the next one's, and top to top. */
  readonly pitchAcrossMm: number
  readonly pitchDownMm: number
}

const page = (name: string): Page => PAGES.find((p) => p.name === name)!
const INCH = 25.4

/** Centred on the page, labels touching but for a gap between columns. */
function centred(
  name: string,
  across: number,
  down: number,
  size: readonly [number, number],
  gapMm: number,
): LabelSheet {
  const on = page(name)
  const [widthMm, heightMm] = size
  return {
    id: `${name}-${across}x${down}`,
    page: on,
    across,
    down,
    widthMm,
    heightMm,
    leftMm: (on.widthMm - across * widthMm - (across - 1) * gapMm) / 2,
    topMm: (on.heightMm - down * heightMm) / 2,
    pitchAcrossMm: widthMm + gapMm,
    pitchDownMm: heightMm,
  }
}

/** Sizes that stationers of both worlds keep. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  centred('A4', 2, 4, [99.1, 67.7], 2.5),
  centred('A4', 2, 7, [99.1, 38.1], 2.5),
  centred('A4', 3, 7, [63.5, 38.1], 2.5),
  centred('A4', 3, 8, [70, 37], 0),
  centred('Letter', 2, 3, [4 * INCH, (10 / 3) * INCH], 0.19 * INCH),
  centred('Letter', 2, 5, [4 * INCH, 2 * INCH], 0.19 * INCH),
  centred('Letter', 3, 10, [2.625 * INCH, INCH], 0.125 * INCH),
]

/** How many labels a sheet has. */
export const labelsOn = ({ across, down }: LabelSheet): number => across * down

/** Left and top of a label on its page, counted row by row from 0, mm from the top left corner. */
export const labelAt = (sheet: LabelSheet, index: number): { readonly leftMm: number; readonly topMm: number } => ({
  leftMm: sheet.leftMm + (index % sheet.across) * sheet.pitchAcrossMm,
  topMm: sheet.topMm + Math.floor(index / sheet.across) * sheet.pitchDownMm,
})
