import { defineStore, storeToRefs } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Searchers } from '../../contract/index.ts'
import { whoSearches } from '../api/lays.ts'
import { laneCount, type Where } from './lay-lanes.ts'
import { useRole } from './role.ts'

/** Other machines that search lays for the shop, as they were when last asked. */
export const useSearchers = defineStore('searchers', () => {
  const { mayChange } = storeToRefs(useRole())
  const known = shallowRef<Searchers>({ queue: 'none', searchers: [] })
  const alike = computed(() => known.value.searchers.filter((s) => s.isAlike))
  /** Machines of another release: left alone. */
  const others = computed(() => known.value.searchers.filter((s) => !s.isAlike))
  const isLost = computed(() => known.value.queue === 'lost')

  async function ask(): Promise<void> {
    known.value = await whoSearches().catch((): Searchers => ({ queue: 'none', searchers: [] }))
  }

  /** Every core of this machine, and other machines where there are some and this page may change the shop. */
  const everywhere = (): Where => ({ lanes: laneCount(), onOthers: mayChange.value && alike.value.length > 0 })

  return { alike, others, isLost, ask, everywhere }
})
