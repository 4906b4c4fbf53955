import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Lay } from '../../contract/index.ts'
import type { LayFailure } from '../../core/lay/index.ts'
import { textKey } from '../../core/text-key/index.ts'
import LayWorker from '../workers/lay.worker.ts?worker'
import type { LayMessage, LayRequest } from '../workers/lay.worker.ts'
import { useJob } from './job.ts'

const FIRST_LAY_SECONDS = 1.5
const AFTER_TYPING_MS = 250

/** The lay of the open job: planned anew in a worker whenever its pieces change, searched on when asked. */
export const useLay = defineStore('lay', () => {
  const jobs = useJob()
  const found = shallowRef<{ readonly key: string; readonly lay: Lay; readonly boundName: string } | null>(null)
  const failure = shallowRef<LayFailure | null>(null)
  const running = ref(false)
  const seconds = ref(0)
  let worker: Worker | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  const problem = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan.cloth.problem : null))
  const key = computed(() => (problem.value ? textKey(JSON.stringify(problem.value)) : ''))
  const kept = computed(() => (jobs.job?.lay?.problemKey === key.value ? jobs.job.lay.lay : null))
  const isKept = computed(() => kept.value !== null && kept.value.length <= (current.value?.length ?? Infinity))
  /** The shorter of the kept lay and the one just found, for these very pieces. */
  const current = computed(() => {
    const fresh = found.value?.key === key.value ? found.value.lay : null
    if (!kept.value || !fresh) return kept.value ?? fresh
    return fresh.length < kept.value.length - 1e-6 ? fresh : kept.value
  })

  watch(key, () => {
    stop()
    failure.value = null
    clearTimeout(timer)
    if (problem.value && !kept.value) timer = setTimeout(() => search(FIRST_LAY_SECONDS, 1), AFTER_TYPING_MS)
  }, { immediate: true })

  /** Searches for so many seconds; each better lay shows at once. */
  function search(forSeconds: number, seed: number): void {
    if (!problem.value) return
    stop()
    const searchedKey = key.value
    running.value = true
    worker = new LayWorker()
    worker.onmessage = ({ data }: MessageEvent<LayMessage>) => {
      if (data.kind === 'failed') {
        failure.value = data.failure
        return stop()
      }
      seconds.value = data.seconds
      const before = found.value?.key === searchedKey ? found.value.lay.length : Infinity
      if (data.found.lay.length < before - 1e-6) found.value = { key: searchedKey, lay: { ...data.found.lay, seconds: Number(data.seconds.toFixed(2)) }, boundName: data.found.bound.name }
      if (data.kind === 'done') stop()
    }
    worker.onerror = () => stop()
    worker.postMessage({ problem: JSON.parse(JSON.stringify(problem.value)), seed, seconds: forSeconds } satisfies LayRequest)
  }

  function stop(): void {
    worker?.terminate()
    worker = null
    running.value = false
  }

  function keep(): void {
    const lay = current.value
    if (lay) jobs.edit({ says: 'Keep the lay', apply: (job) => ({ ...job, lay: { problemKey: key.value, lay } }) })
  }

  return { current, failure, running, seconds, isKept, search, stop, keep, found }
})
