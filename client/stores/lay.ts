import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Lay } from '../../contract/index.ts'
import type { ClothLay } from '../../core/cloth/index.ts'
import type { LayFailure } from '../../core/lay/index.ts'
import { textKey } from '../../core/text-key/index.ts'
import LayWorker from '../workers/lay.worker.ts?worker'
import type { LayMessage, LayRequest } from '../workers/lay.worker.ts'
import { useJob } from './job.ts'

const FIRST_LAY_SECONDS = 1.5
const AFTER_TYPING_MS = 250
/** Lays of pieces as they were before, for undo. */
const MOST_REMEMBERED = 20

/** The lays of the open job, one for each cloth: planned anew in a worker whenever their pieces change, searched on when asked. */
export const useLay = defineStore('lay', () => {
  const jobs = useJob()
  const found = shallowRef<ReadonlyMap<string, FoundLay>>(new Map())
  const failures = shallowRef<ReadonlyMap<string, LayFailure>>(new Map())
  const running = ref(false)
  const seconds = ref(0)
  const wanted = ref(0)
  let worker: Worker | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  /** What is cut from each cloth, and the key of its pieces. */
  const cloths = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan.cloth.lays.map((own) => ({ ...own, key: textKey(JSON.stringify(own.problem)) })) : []))
  const index = computed(() => Math.min(wanted.value, Math.max(0, cloths.value.length - 1)))
  const chosen = computed(() => cloths.value[index.value] ?? null)
  const keptFor = (own: KeyedLay): Lay | null => {
    const kept = jobs.job?.lays[own.cloth.id]
    return kept?.problemKey === own.key ? kept.lay : null
  }
  /** The shorter of the kept lay and the one just found, for these very pieces. */
  function bestFor(own: KeyedLay): Lay | null {
    const [kept, fresh] = [keptFor(own), found.value.get(own.key)?.lay ?? null]
    if (!kept || !fresh) return kept ?? fresh
    return fresh.length < kept.length - 1e-6 ? fresh : kept
  }
  const all = computed(() => cloths.value.map(bestFor))
  /** The best lay of a cloth, by its id; null while it has none. */
  const of = (clothId: string): Lay | null => all.value[cloths.value.findIndex((c) => c.cloth.id === clothId)] ?? null
  const current = computed(() => all.value[index.value] ?? null)
  const failure = computed(() => (chosen.value ? (failures.value.get(chosen.value.key) ?? null) : null))
  const isKept = computed(() => {
    const kept = chosen.value && keptFor(chosen.value)
    return kept !== null && kept.length <= (current.value?.length ?? Infinity)
  })

  watch(
    () => cloths.value.map((c) => c.key).join(),
    () => {
      stop()
      failures.value = new Map()
      clearTimeout(timer)
      timer = setTimeout(searchNext, AFTER_TYPING_MS)
    },
    { immediate: true },
  )

  // A cloth that is turned to while nothing is searched gets its first lay then.
  watch(index, () => !running.value && searchNext())

  /** A first lay of every cloth that has none, one after the other, the chosen one first. */
  function searchNext(): void {
    const waiting = cloths.value.filter((own) => !bestFor(own) && !failures.value.has(own.key))
    const next = waiting.find((own) => own.key === chosen.value?.key) ?? waiting[0]
    if (next) searchFor(next, FIRST_LAY_SECONDS, 1)
  }

  /** Searches on for so many seconds; each better lay shows at once. */
  function search(forSeconds: number, seed: number): void {
    if (chosen.value) searchFor(chosen.value, forSeconds, seed)
  }

  function searchFor({ key, problem }: KeyedLay, forSeconds: number, seed: number): void {
    stop()
    running.value = true
    worker = new LayWorker()
    worker.onmessage = ({ data }: MessageEvent<LayMessage>) => {
      if (data.kind === 'failed') {
        failures.value = new Map(failures.value).set(key, data.failure)
        return end()
      }
      seconds.value = data.seconds
      const before = found.value.get(key)?.lay.length ?? Infinity
      if (data.found.lay.length < before - 1e-6) found.value = new Map([...found.value].slice(-MOST_REMEMBERED)).set(key, { lay: { ...data.found.lay, seconds: Number(data.seconds.toFixed(2)) }, boundName: data.found.bound.name })
      if (data.kind === 'done') end()
    }
    worker.onerror = () => stop()
    worker.postMessage({ problem: JSON.parse(JSON.stringify(problem)), seed, seconds: forSeconds } satisfies LayRequest)
  }

  function end(): void {
    stop()
    searchNext()
  }

  function stop(): void {
    worker?.terminate()
    worker = null
    running.value = false
  }

  function keep(): void {
    const [own, lay] = [chosen.value, current.value]
    if (own && lay) jobs.edit({ says: 'Keep the lay', apply: (job) => ({ ...job, lays: { ...job.lays, [own.cloth.id]: { problemKey: own.key, lay } } }) })
  }

  return { cloths, chosen, index, wanted, all, of, current, failure, running, seconds, isKept, search, stop, keep }
})

interface FoundLay {
  readonly lay: Lay
  readonly boundName: string
}

type KeyedLay = ClothLay & { readonly key: string }
