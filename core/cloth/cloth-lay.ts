import type { Cloth, LayProblem } from '../../contract/index.ts'
import type { Panel } from '../cover/index.ts'
import type { Outline } from '../outline/index.ts'
import type { FoldFault } from './folded/fold-fault.ts'
import type { NotFollowing } from './follow.ts'
import type { PieceOf } from './piece-id.ts'
import type { PipingStrips } from './piping-strips.ts'

/**
 * From cloth that lies flat; through both layers of folded cloth, two that are wanted or one and a spare; or half of it
 * on the fold.
 */
export type CutWay = 'flat' | 'two-at-once' | 'one-spare' | 'on-the-fold'

/** A piece of the lay, and what it is: a panel of one cushion, or a strip of piping. */
export interface LaidPiece {
  readonly id: string
  readonly name: string
  readonly qty: number
  readonly cut: Outline
  /** Null for a strip of piping, which belongs to no cushion yet. */
  readonly of: (Omit<PieceOf, 'panel'> & { readonly panel: Panel }) | null
  readonly matched: boolean
  readonly way: CutWay
  /** What comes from the layer below, where that is another piece. */
  readonly alsoOf?: LaidPiece['of']
  /** Of which ticket, where several are cut together. */
  readonly ticket?: string
}

/** What is cut from one cloth. */
export interface ClothLay {
  /** As it is bought or kept. */
  readonly cloth: Cloth
  /** As it lies on the table: shrunk, where it is washed first, and half as wide where it lies folded. */
  readonly laidOn: Cloth
  readonly isFolded: boolean
  readonly pieces: readonly LaidPiece[]
  readonly problem: LayProblem
  readonly usableMm: number
}

export interface ClothPlan {
  /** The cloths of the faces first; each only where something is cut from it. */
  readonly lays: readonly ClothLay[]
  /** How the piping of each design, of all parts in order, is split into strips. */
  readonly strips: readonly (readonly PipingStrips[])[]
  /** Cloths that were to be cut folded and are not. */
  readonly notFolded: readonly { readonly cloth: string; readonly because: FoldFault }[]
  /** Parts that cannot follow the stripes of the part they are meant to. */
  readonly loose: readonly { readonly part: string; readonly leader: string; readonly because: NotFollowing }[]
}
