import type { ClothPlan } from '../cloth/index.ts'
import type { PlannedPart, ThingThere } from '../../contract/index.ts'
import type { Allowances, Check, Cover } from '../cover/index.ts'
import type { CuttingPlan, FillingPlan } from '../filling/index.ts'
import type { Cushions, Design } from '../seat/index.ts'
import type { Warning } from '../warnings/index.ts'
import type { CutLine } from './cut-line.ts'

/** One design of cushion worked out: its filling, its cover, and whether the cover can be sewn. */
export interface DesignPlan {
  /** The part that it belongs to. */
  readonly part: PlannedPart
  readonly design: Design
  readonly filling: FillingPlan
  readonly cover: Cover
  readonly checks: readonly Check[]
  /** The inner cover, where one is wanted; loose fibre always has one. */
  readonly liner: Cover | null
  /** The back of a hinged pair is a block of its own. */
  readonly backFilling: FillingPlan | null
}

/** A part of a ticket worked out: its cushions, their fillings and covers. */
export interface WorkedPart {
  readonly kind: 'worked'
  readonly part: PlannedPart
  /** Before the numbers of its cushions: its letter, or nothing where it is the only part. */
  readonly prefix: string
  readonly cushions: Cushions
  readonly allowances: Allowances
  readonly designs: readonly DesignPlan[]
  readonly warnings: readonly Warning[]
}

/** A seat on which nothing can be sewn; the warnings say why. Without cushions it has no outline at all. */
export interface UnworkablePart {
  readonly kind: 'unworkable'
  readonly part: PlannedPart
  readonly cushions: Cushions | null
  readonly warnings: readonly Warning[]
}

export type PartPlan = WorkedPart | UnworkablePart

/** Everything that follows from a ticket but the lays, which take a search. */
export interface WorkedPlan {
  readonly kind: 'worked'
  readonly parts: readonly PartPlan[]
  /** The parts that can be made; the others count nowhere. */
  readonly worked: readonly [WorkedPart, ...WorkedPart[]]
  /** Of all parts that can be made, in order. */
  readonly designs: readonly DesignPlan[]
  /** Those whose cover is made here; a cover that stays is neither cut nor sewn. */
  readonly sewn: readonly DesignPlan[]
  /** How the foam of all parts is cut; null where every cushion is filled with loose fibre. */
  readonly cutting: CuttingPlan | null
  readonly cloth: ClothPlan
  readonly cutList: readonly CutLine[]
  readonly warnings: readonly Warning[]
}

/** A ticket of which no part can be made. */
export interface UnworkablePlan {
  readonly kind: 'unworkable'
  readonly parts: readonly PartPlan[]
  readonly warnings: readonly Warning[]
}

export type Plan = WorkedPlan | UnworkablePlan

/** Whether its cover is made here, or stays. */
export const isSewn = ({ work }: Pick<PlannedPart, 'work'>): boolean => work.kind !== 'filling-only'

/** Whether a thing that is there is used again, as it is or mended: it is not bought. */
export function staysThere({ there }: Pick<PlannedPart, 'there'>, thing: ThingThere): boolean {
  const use = there.things[thing]?.use
  return use === 'keep' || use === 'mend'
}

/** Of all parts that can be made. */
export const cushionCount = ({ worked }: Pick<WorkedPlan, 'worked'>): number =>
  worked.reduce((sum, p) => sum + p.cushions.count, 0)
