import { useNow } from '@vueuse/core'
import { usePreference } from '../../storage/preference.ts'
import { computed } from 'vue'
import type { StepRecord } from '../../../contract/index.ts'
import {
  openGate,
  progressOf,
  ratesAtBench,
  recordOf,
  setRecord,
  stepMinutes,
  totalMinutes,
  workedSeconds,
  workOrder,
  type Step,
} from '../../../core/making/index.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'

/** The work order of the open job with its records, as every page of the station sees it. */
export function useWorkOrder() {
  const jobs = useJob()
  const shop = useShop()
  const maker = usePreference<string>('loft-seam/maker', '')
  const now = useNow({ interval: 1000 })
  const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
  const steps = computed(() => (plan.value ? workOrder(jobs.whole!, plan.value) : []))
  const rates = computed(() => ratesAtBench(shop.workshop, maker.value))
  const rows = computed(() => {
    const held = openGate(steps.value, jobs.whole!)
    return steps.value.map((step, i) => ({
      step,
      record: recordOf(jobs.whole!, step.id),
      minutes: stepMinutes(step, rates.value),
      isHeld: held !== null && i > held,
      heldBy: held === null ? null : steps.value[held]!,
    }))
  })
  const progress = computed(() => progressOf(steps.value, jobs.whole!))
  const planned = computed(() => totalMinutes(steps.value, rates.value))
  const workedMin = computed(
    () => rows.value.reduce((sum, r) => sum + workedSeconds(r.record, now.value.getTime()), 0) / 60,
  )
  const change = (step: Step, says: string, to: (r: StepRecord) => StepRecord) => jobs.edit(setRecord(step, says, to))
  return { jobs, shop, plan, maker, now, steps, rates, rows, progress, planned, workedMin, change }
}

export type StepRow = ReturnType<typeof useWorkOrder>['rows']['value'][number]
