import { listed } from '../../../core/language/index.ts'
import type { LaidPiece } from '../../../core/cloth/index.ts'
import { shortName } from '../../../core/cover/index.ts'

/** A tag on a piece of the lay, in pixels: its words, the size of their letters, how wide it is. */
export interface Tag {
  readonly words: string
  readonly size: number
  readonly wide: number
  readonly isUpright: boolean
}

/** What may stand on a piece, the fullest first: ticket, cushion and panel, or the number of the cushion alone. */
export function labelsOf({ of, ticket }: Pick<LaidPiece, 'of' | 'ticket'>): readonly string[] {
  if (!of) return []
  const number = `${of.part}${of.cushion + 1}`
  return [listed([ticket, number, shortName(of.panel)], ' '), number]
}

/** Sizes of letters, px: from those read at arm's length to those that a narrow strip has room for. */
const SIZES = [13, 11, 9] as const
const LETTER_SHARE = 0.53
const EDGE_PX = 6

/** The fullest tag that stands within a piece of so many pixels, level before upright; null where none does. */
export function tagFor(widePx: number, highPx: number, labels: readonly string[]): Tag | null {
  for (const words of labels)
    for (const size of SIZES) {
      const wide = words.length * size * LETTER_SHARE + EDGE_PX
      const high = size * 1.24
      const isLevel = wide <= widePx && high <= highPx
      if (isLevel || (wide <= highPx && high <= widePx)) return { words, size, wide, isUpright: !isLevel }
    }
  return null
}
