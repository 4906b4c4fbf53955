import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useJob } from './job.ts'

/** Which of a job's designs of cushion the stations show. */
export const useDesign = defineStore('design', () => {
  const jobs = useJob()
  const wanted = ref(0)
  const plan = computed(() => (jobs.part?.kind === 'worked' ? jobs.part : null))
  const index = computed(() => Math.min(wanted.value, (plan.value?.designs.length ?? 1) - 1))
  const chosen = computed(() => plan.value?.designs[index.value] ?? null)
  /** How the piping of the chosen design is split. */
  const strips = computed(() => {
    const whole = jobs.plan?.kind === 'worked' ? jobs.plan : null
    return (whole && chosen.value && whole.cloth.strips[whole.sewn.indexOf(chosen.value)]) ?? []
  })
  return { wanted, index, chosen, strips }
})
