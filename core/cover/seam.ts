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

/** `join` puts strips together end to end, `plate` runs round a plate, `closure` opens again. */
export type SeamKind = 'join' | 'plate' | 'closure'

export interface Seam {
  readonly letter: string
  readonly name: string
  readonly kind: SeamKind
  readonly pairs: readonly SeamPair[]
}

export const stretchLength = (s: Stretch): number => Math.abs(s.to - s.from)

/** Where a place on one side of a pair comes to lie on the other side. */
export function partnerPlace(from: Stretch, to: Stretch, place: number): number {
  const share = (place - from.from) / (from.to - from.from)
  return to.from + share * (to.to - to.from)
}
