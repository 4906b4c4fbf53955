import type { ClothPlan } from '../cloth/index.ts'
import type { Allowances, Check, Cover } from '../cover/index.ts'
import type { CuttingPlan, FillingPlan } from '../filling/index.ts'
import type { Cushions, Design } from '../seat/index.ts'
import type { Warning } from '../warnings/index.ts'
import type { CutLine } from './cut-line.ts'

/** One design of cushion worked out: its filling, its cover, and whether the cover can be sewn. */
export interface DesignPlan {
  readonly design: Design
  readonly filling: FillingPlan
  readonly cover: Cover
  readonly checks: readonly Check[]
  /** The inner cover, where one is wanted; loose fibre always has one. */
  readonly liner: Cover | null
  /** The back of a hinged pair is a block of its own. */
  readonly backFilling: FillingPlan | null
}

/** Everything that follows from a job but the lay, which takes a search. */
export interface WorkedPlan {
  readonly kind: 'worked'
  readonly cushions: Cushions
  readonly allowances: Allowances
  readonly designs: readonly DesignPlan[]
  /** How the foam is cut; null where the cushions are filled with loose fibre. */
  readonly cutting: CuttingPlan | null
  readonly cloth: ClothPlan
  readonly cutList: readonly CutLine[]
  readonly warnings: readonly Warning[]
}

/** A seat on which nothing can be sewn; the warnings say why. Without cushions it has no outline at all. */
export interface UnworkablePlan {
  readonly kind: 'unworkable'
  readonly cushions: Cushions | null
  readonly warnings: readonly Warning[]
}

export type Plan = WorkedPlan | UnworkablePlan
