import { computed } from 'vue'
import type { FoamFilling } from '../../../contract/index.ts'
import { estimateFoam, gradeFromTest, type FoamPlan } from '../../../core/filling/index.ts'
import { setFoam } from '../../../core/job/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'

/**
 * The open job's foam and the plan of the design that is shown. Only for pages that stand while the job is filled with
 * foam.
 */
export function useFoam() {
  const jobs = useJob()
  const design = useDesign()
  const shop = useShop()
  return {
    jobs,
    foam: computed(() => jobs.job!.filling as FoamFilling),
    plan: computed(() => design.chosen!.filling as FoamPlan),
    /** What the old foam was found to be by weighing and pressing; null until it was. */
    testedGrade: computed(() => {
      const { test } = jobs.job!.filling as FoamFilling
      const found = test && estimateFoam(test, shop.lists?.grades ?? [])
      return test && found && typeof found !== 'string' ? gradeFromTest(test, found, 'as tested', 'as-tested') : null
    }),
    change: (says: string, with_: (foam: FoamFilling) => FoamFilling, key: string | null = null) =>
      jobs.edit(setFoam(says, with_), key),
  }
}
