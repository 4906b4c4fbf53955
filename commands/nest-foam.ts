import type { Job } from '../contract/index.ts'
import { nestGroup } from '../core/filling/index.ts'
import { planJob } from '../core/plan/index.ts'
import type { Plan } from '../core/planned/index.ts'

/**
 * The plan with its foam nested as true shapes, as the interface would keep it; what has no place stays counted in
 * rows.
 */
export function withFoamNested(job: Job, plan: Plan, seconds: number): Plan {
  if (plan.kind !== 'worked' || !plan.cutting || plan.cutting.cutting.supply === 'cut-to-size') return plan
  const { groups, cutting, nestKey } = plan.cutting
  const share = (seconds * 1000) / Math.max(1, groups.length)
  const nests = groups.map(({ group }) => {
    const started = performance.now()
    return nestGroup(group, cutting, 1, (part) => performance.now() - started > share * part)
  })
  if (nests.some((n) => n.left.length > 0)) return plan
  const nest = { key: nestKey, lays: nests.flatMap((n) => n.lays) }
  return planJob({ ...job, cutting: { ...job.cutting, nest } })
}
