/** A stretch of a panel's finished edge, in mm along the edge as drawn; `from` above `to` runs backwards. */
export interface Stretch {
  readonly panel: string
  readonly edge: string
  readonly from: number
  readonly to: number
}

/** Two stretches sewn to each other: `a.from` meets `b.from`. */
export interface SeamPair {
  readonly a: Stretch
  readonly b: Stretch
}

/**
 * `join` puts flat pieces together, `corner` shuts a corner of a blank, `tuck` folds an edge on
 * itself, `plate` runs on round a piece; `closure` opens again; `final` is shut from outside when
 * the filling is in; `divider` runs across two panels between two pockets.
 */
export type SeamKind = 'join' | 'corner' | 'tuck' | 'plate' | 'closure' | 'final' | 'divider'

export interface Seam {
  readonly letter: string
  readonly name: string
  readonly kind: SeamKind
  /** A zip that shows keeps its two sides so far apart. */
  readonly apartMm?: number
  /** Of a cover in a cover: its lining, or the inner cover that the block is sewn into; left out for the cover itself. */
  readonly layer?: 'lining' | 'inner'
  readonly pairs: readonly SeamPair[]
}

export type SeamDraft = Omit<Seam, 'letter'>

export const stretchLength = (s: Stretch): number => Math.abs(s.to - s.from)

/** How long a seam is. */
export const seamLength = (seam: Pick<Seam, 'pairs'>): number =>
  seam.pairs.reduce((sum, p) => sum + stretchLength(p.a), 0)

/** Where a place on one side of a pair comes to lie on the other side. */
export function partnerPlace(from: Stretch, to: Stretch, place: number): number {
  const share = (place - from.from) / (from.to - from.from)
  return to.from + share * (to.to - to.from)
}

/** A, B, … Z, AA, AB, … in the order of sewing. */
export const lettered = (seams: readonly SeamDraft[]): readonly Seam[] =>
  seams.map((s, n) => ({ letter: seamLetter(n), ...s }))

const seamLetter = (n: number): string =>
  (n < 26 ? '' : seamLetter(Math.floor(n / 26) - 1)) + String.fromCharCode(65 + (n % 26))
