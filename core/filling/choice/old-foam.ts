import type { Grade, Load, OldBody } from '../../../contract/index.ts'
import { isForceKnown, loadCaseOf, supportOf } from '../model/index.ts'
import { bodySizes } from '../bodies.ts'

/** Above this share of thickness lost for good a foam is done. A rule of thumb of the trade. */
export const MOST_LOST = 0.15

export type OldFoamReason = 'lost' | 'crumbles' | 'smells' | 'on-board'

export interface OldFoamVerdict {
  readonly keep: boolean
  /** Share of the thickness when new that steaming or a rest did not bring back; null where nobody knows the new one. */
  readonly lostShare: number | null
  /** Share of it that came back; null where nobody knows the new one, or measured again. */
  readonly regainedShare: number | null
  readonly reasons: readonly OldFoamReason[]
}

/**
 * Whether an old body may be kept, as it is now. `grade` is what it was found to be by weighing and pressing; without
 * it nobody can say whether it holds.
 */
export function judgeBody(body: OldBody, load: Load, grade: Grade | null): OldFoamVerdict {
  const { thicknessMm } = bodySizes(body)
  const { newMm, recovered, found } = body
  const lostShare = newMm === null ? null : Math.max(0, 1 - thicknessMm / newMm)
  const isOnBoard =
    grade !== null &&
    isForceKnown(grade) &&
    supportOf([{ grade: { ...grade, ageing: { lossShare: 0, years: 1 } }, thicknessMm }], loadCaseOf(load)).fresh
      .standing === 'on-board'
  const reasons: readonly OldFoamReason[] = [
    ...(lostShare !== null && lostShare > MOST_LOST + 1e-9 ? (['lost'] as const) : []),
    ...(body.crumbles ? (['crumbles'] as const) : []),
    ...(body.smells ? (['smells'] as const) : []),
    ...(isOnBoard ? (['on-board'] as const) : []),
  ]
  return {
    keep: reasons.length === 0,
    lostShare,
    regainedShare: newMm === null || !recovered ? null : (recovered.thicknessMm - found.thicknessMm) / newMm,
    reasons,
  }
}
