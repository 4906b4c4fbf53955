import { fillsItsBox } from '../../filling/index.ts'
import { isStraight } from '../../outline/index.ts'
import type { Solid } from '../../seat/index.ts'
import type { RefusalReason } from '../refusal.ts'
import { isLevelBox } from './plates.ts'

/** Why a cushion is not a plain upright rectangle; null where it is one. */
export function notABox(solid: Solid): RefusalReason | null {
  const leaning = solid.edges.find((e) => e.leanRad !== 0)
  if (leaning) return { code: 'leaning-side', edge: leaning.name }
  const bowed = solid.outline.findIndex((v) => !isStraight(v.bulge))
  if (bowed >= 0) return { code: 'bowed-edge', edge: solid.edges[bowed]!.name }
  return fillsItsBox(solid.outline) && isLevelBox(solid) ? null : { code: 'not-rectangular' }
}
