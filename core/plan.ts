import type { Job } from '../contract/index.ts'
import { clothWarnings, planCloth, type ClothPlan } from './cloth/index.ts'
import { applied, boxed, boxingAsCut, checkCover, coverWarnings, type Allowances, type Check, type Cover } from './cover/index.ts'
import { fillingWarnings, planFilling, type FillingPlan } from './filling/index.ts'
import { cutList, type CutLine } from './lists/index.ts'
import { divideSeat, seatWarnings, type Cushions } from './seat/index.ts'
import type { Warning } from './warning/index.ts'

/** Everything that follows from a job but the lay, which takes a search. */
export interface WorkedPlan {
  readonly kind: 'worked'
  readonly cushions: Cushions
  readonly allowances: Allowances
  readonly filling: FillingPlan
  readonly cover: Cover
  readonly checks: readonly Check[]
  readonly cloth: ClothPlan
  readonly cutList: readonly CutLine[]
  readonly warnings: readonly Warning[]
}

/** A seat on which nothing can be sewn; the warnings say why. */
export interface UnworkablePlan {
  readonly kind: 'unworkable'
  readonly cushions: Cushions
  readonly warnings: readonly Warning[]
}

export type Plan = WorkedPlan | UnworkablePlan

/** From the tape to the pieces, at once. Total: bad sizes give warnings, never exceptions. */
export function planJob(job: Job): Plan {
  const cushions = divideSeat(job.seat)
  const doubts = seatWarnings(job.seat, cushions)
  const allowances = applied(job.allowances)
  const filling = planFilling(job.filling, cushions, allowances.seamMm)
  const { width, depth, thickness } = filling.sizing.cover
  const vanishing = [['width', width], ['depth', depth], ['depth', thickness]] as const
  const vanished = vanishing.find(([, f]) => f.value < LEAST_COVER_MM)
  if (vanished || doubts.some((w) => w.level === 'stop')) {
    const already = doubts.some((w) => w.level === 'stop')
    return { kind: 'unworkable', cushions, warnings: already || !vanished ? doubts : [...doubts, { station: 'measure', level: 'stop', code: 'cushion-vanishes', dimension: vanished[0], left: vanished[1].value }] }
  }
  const cover = boxed({ size: filling.sizing.cover, makeUp: job.makeUp, boxing: boxingAsCut(job), allowances })
  const checks = checkCover(cover, filling.sizing)
  const cloth = planCloth(job.cloth, cover, cushions)
  return {
    kind: 'worked',
    cushions,
    allowances,
    filling,
    cover,
    checks,
    cloth,
    cutList: cutList(filling, cover, cloth, cushions.count, job.units),
    warnings: [
      ...doubts,
      ...fillingWarnings(job.filling, filling, cushions),
      ...coverWarnings(job, cover, filling, checks),
      ...clothWarnings(job, cloth),
      { station: 'lists', level: 'safety', code: 'knives' },
    ],
  }
}

const LEAST_COVER_MM = 3
