import type { Job } from '../../../../contract/index.ts'
import type { WorkedPlan } from '../../../../core/planned/index.ts'
import type { DesignPlan } from '../../../../core/planned/index.ts'

/** A cushion where it will stand: moved and turned on the seat. */
export interface Standing {
  readonly cushion: number
  readonly design: DesignPlan
  readonly x: number
  readonly y: number
  readonly angleRad: number
}

const APART_MM = 60

/** Every cushion of a job as it will sit: on its seat, or side by side where they are single. */
export function standing(job: Job, plan: WorkedPlan): readonly Standing[] {
  const { inOrder } = plan.cushions
  const isSingles = job.seat.division.kind === 'singles'
  let left = 0
  return inOrder.map(({ design, place, leftMm }, cushion) => {
    const own = plan.designs[design]!
    const width = own.cover.solid.width.value
    if (!isSingles)
      return { cushion, design: own, x: place?.x ?? leftMm, y: place?.y ?? 0, angleRad: place?.angleRad ?? 0 }
    const at = { cushion, design: own, x: left, y: 0, angleRad: 0 }
    left += width + APART_MM
    return at
  })
}
