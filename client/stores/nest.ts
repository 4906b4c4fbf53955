import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { setCutting } from '../../core/job/index.ts'
import NestWorker from '../workers/nest.worker.ts?worker'
import type { NestMessage, NestRequest } from '../workers/nest.worker.ts'
import { startTask, type Task } from '../workers/task.ts'
import { useJob } from './job.ts'

const SEARCH_SECONDS = 1.5
const AFTER_TYPING_MS = 300

/** The foam nest of the open job: found anew in a worker whenever its parts change and somebody looks at it. */
export const useNest = defineStore('nest', () => {
  const jobs = useJob()
  const found = shallowRef<(NestMessage & { readonly key: string }) | null>(null)
  const running = ref(false)
  let watchers = 0
  let task: Task | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan.cutting : null))
  const key = computed(() => plan.value?.nestKey ?? '')
  const kept = computed(() => {
    const nest = jobs.whole?.cutting.nest
    return nest?.key === key.value ? nest.lays : null
  })
  const fresh = computed(() => (found.value?.key === key.value ? found.value : null))
  /** The kept nest of these very parts, else the one just found. */
  const lays = computed(() => kept.value ?? fresh.value?.lays ?? [])
  const left = computed(() => (kept.value ? [] : (fresh.value?.left ?? [])))

  watch(key, () => {
    stop()
    if (watchers > 0) later()
  })

  function later(): void {
    clearTimeout(timer)
    if (key.value !== '' && !kept.value && fresh.value === null)
      timer = setTimeout(() => search(SEARCH_SECONDS), AFTER_TYPING_MS)
  }

  /** A drawing that shows the nest says so while it stands. */
  function look(): () => void {
    watchers++
    later()
    return () => void watchers--
  }

  function search(seconds: number): void {
    if (!plan.value) return
    stop()
    const searched = key.value
    running.value = true
    task = startTask<NestRequest, NestMessage>({
      worker: NestWorker,
      ask: { groups: plan.value.groups.map((g) => g.group), cutting: plan.value.cutting, seconds },
      isLast: ({ isDone }) => isDone,
      onMessage: (nest) => (found.value = { ...nest, key: searched }),
      onEnd: stop,
    })
  }

  function stop(): void {
    task?.stop()
    task = null
    running.value = false
  }

  function keep(): void {
    const nest = fresh.value
    if (nest && nest.left.length === 0)
      jobs.edit(setCutting('Keep the nest', { nest: { key: key.value, lays: [...nest.lays] } }))
  }

  const letGo = () => jobs.edit(setCutting('Nest anew', { nest: null }))

  return {
    lays,
    left,
    running,
    isKept: computed(() => kept.value !== null),
    canKeep: computed(() => fresh.value !== null && fresh.value.left.length === 0),
    look,
    search,
    stop,
    keep,
    letGo,
  }
})
