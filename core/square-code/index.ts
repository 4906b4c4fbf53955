import { create } from 'qrcode'

/** A square code that a phone reads: the dark dots of a grid, row by row from its top left. */
export interface SquareCode {
  readonly dots: readonly { readonly column: number; readonly row: number }[]
  /** Of dots on a side, the quiet edge round it counted. */
  readonly size: number
}

/** Dots left white all round. */
const EDGE = 2

/** The code of a text. */
export function squareCode(text: string): SquareCode {
  const { modules } = create(text, { errorCorrectionLevel: 'M' })
  const all = Array.from({ length: modules.size * modules.size }, (_, i) => i)
  return {
    size: modules.size + 2 * EDGE,
    dots: all
      .filter((i) => modules.data[i])
      .map((i) => ({ column: (i % modules.size) + EDGE, row: Math.floor(i / modules.size) + EDGE })),
  }
}
