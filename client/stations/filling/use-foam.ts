import { computed } from 'vue'
import type { FoamFilling } from '../../../contract/index.ts'
import type { FoamPlan } from '../../../core/filling/index.ts'
import { setFoam } from '../../../core/job/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'

/**
 * The open job's foam and the plan of the design that is shown. Only for pages that stand while the job is filled with
 * foam.
 */
export function useFoam() {
  const jobs = useJob()
  const design = useDesign()
  return {
    jobs,
    foam: computed(() => jobs.job!.filling as FoamFilling),
    plan: computed(() => design.chosen!.filling as FoamPlan),
    change: (says: string, with_: (foam: FoamFilling) => FoamFilling, key: string | null = null) =>
      jobs.edit(setFoam(says, with_), key),
  }
}
