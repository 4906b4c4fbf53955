import type { TrimUse } from '../../../contract/index.ts'
import type { Figure } from '../../working/index.ts'

export interface BuyLine {
  readonly what: string
  readonly amount: Figure
  /** Null for foam and cloth that lie in the shop already, and for trims that have no price. */
  readonly cost: Figure | null
  readonly from: 'foam' | 'cloth' | 'trims'
  /**
   * What it is on the shelf of trims, and how much of it all cushions take: metres, pieces, kilograms, square metres.
   */
  readonly trim: { readonly use: TrimUse; readonly needs: number } | null
}

/** A line of trims before it has a price; `count` times the amount is needed. */
export interface TrimLine {
  readonly what: string
  readonly amount: Figure
  readonly use: TrimUse | null
  readonly count?: number
}

export interface BuyingList {
  readonly lines: readonly BuyLine[]
  readonly total: Figure
  /** False while the cloth is only known by its lower bound. */
  readonly hasLay: boolean
}

export type MaterialLine = Pick<BuyLine, 'what' | 'amount' | 'cost'>

/** How long the lay of a cloth is: as laid, or at least its lower bound. */
export interface ClothLength {
  readonly laidMm: number | null
  readonly boundMm: number
  /** What the ticket pays of it, where others are cut from it too. */
  readonly share?: number
}
