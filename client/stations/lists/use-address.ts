import { computed, onMounted, shallowRef } from 'vue'
import type { AccessState } from '../../../contract/index.ts'
import { accessState } from '../../api/records.ts'
import { useJob } from '../../stores/job.ts'

/**
 * Where a label leads: a station of this job, at an address that phones on the same network reach, where there is one.
 */
export function useAddress() {
  const jobs = useJob()
  const state = shallowRef<AccessState | null>(null)
  onMounted(async () => {
    state.value = await accessState().catch(() => null)
  })
  const base = computed(() => state.value?.addresses[0] ?? window.location.origin)
  const isReachable = computed(() => (state.value?.addresses.length ?? 0) > 0)
  const address = (station: string) => `${base.value}/jobs/${jobs.id}/${station}`
  return { address, isReachable }
}
