import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useJob } from './job.ts'

/** Which of a job's designs of cushion the stations show. */
export const useDesign = defineStore('design', () => {
  const jobs = useJob()
  const wanted = ref(0)
  const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
  const index = computed(() => Math.min(wanted.value, (plan.value?.designs.length ?? 1) - 1))
  const chosen = computed(() => plan.value?.designs[index.value] ?? null)
  return { wanted, index, chosen }
})
