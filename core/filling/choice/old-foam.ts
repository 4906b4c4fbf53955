import type { Layer, Load, OldFoam } from '../../../contract/index.ts'
import { loadCaseOf, supportOf } from '../model/index.ts'

/** Above this share of thickness lost for good a foam is done. A rule of thumb of the trade. */
export const MOST_LOST = 0.15

export type OldFoamReason = 'lost' | 'crumbles' | 'smells' | 'on-board'

export interface OldFoamVerdict {
  readonly keep: boolean
  /** Share of the fresh thickness that steaming or a rest did not bring back. */
  readonly lostShare: number
  /** Share of the fresh thickness that came back. */
  readonly regainedShare: number
  readonly reasons: readonly OldFoamReason[]
}

/**
 * Whether old foam may be kept. `grade` is what it was found to be by weighing and pressing; without it
 * nobody can say whether it holds.
 */
export function judgeOldFoam(old: OldFoam, load: Load, grade: Layer['grade'] | null): OldFoamVerdict {
  const lostShare = Math.max(0, 1 - old.restedMm / old.freshMm)
  const isOnBoard =
    grade !== null &&
    supportOf(
      [{ grade: { ...grade, ageing: { lossShare: 0, years: 1 } }, thicknessMm: old.restedMm }],
      loadCaseOf(load),
    ).fresh.standing === 'on-board'
  const reasons: readonly OldFoamReason[] = [
    ...(lostShare > MOST_LOST + 1e-9 ? (['lost'] as const) : []),
    ...(old.crumbles ? (['crumbles'] as const) : []),
    ...(old.smells ? (['smells'] as const) : []),
    ...(isOnBoard ? (['on-board'] as const) : []),
  ]
  return { keep: reasons.length === 0, lostShare, regainedShare: (old.restedMm - old.sunkMm) / old.freshMm, reasons }
}
