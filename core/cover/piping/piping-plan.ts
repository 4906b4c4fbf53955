import type { Piping } from '../../../contract/index.ts'
import type { Figure } from '../../working/index.ts'
import type { Panel } from '../panel.ts'
import type { SeamPair } from '../seam.ts'

export type PipingChoice = Exclude<Piping, { kind: 'none' }>

/** Runs of one length on one cushion: closed loops, or open stretches that run off into the seam. */
export interface PipingGroup {
  readonly count: number
  readonly isClosed: boolean
  /** What is cut for one run. */
  readonly length: Figure
  /** The panel whose edge it follows. */
  readonly panel: Panel
}

export interface PipingPlan {
  readonly choice: PipingChoice
  readonly groups: readonly PipingGroup[]
  /** Every stretch of seam that is piped: its first side lies on the plate. */
  readonly pairs: readonly SeamPair[]
  /** Null for ready-made piping, which needs no strips. */
  readonly stripWidth: Figure | null
  /** Piping on one cushion. */
  readonly perCushion: Figure
  /** Cord to buy for one cushion; null for flat piping. */
  readonly cord: Figure | null
}
