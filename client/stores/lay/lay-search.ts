import { storeToRefs } from 'pinia'
import { computed, ref, shallowRef, watch, type ShallowRef } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import { withMatesTogether, type Shortfall } from '../../../core/cloth/index.ts'
import { isShorter, type LayFailure } from '../../../core/lay/index.ts'
import { inHandOf } from '../../../core/what-if/index.ts'
import type { SearchTime } from '../../workers/search-time.ts'
import type { Task } from '../../workers/task.ts'
import type { useJob } from '../job.ts'
import { searchInLanes, type Where } from '../lay-lanes.ts'
import { useRole } from '../role.ts'
import { useSearchers } from '../searchers.ts'
import type { FoundLay, KeyedLay } from './kept-lay.ts'
import { layRoundLocked } from './round-locked.ts'
import type { ShownLay } from './shown-lay.ts'
import { workingLays } from './working-lays.ts'

/**
 * A first lay shows at once and gets better while it is looked at, longest where much is to be found; a new worker finds
 * little in its first second.
 */
const FIRST_LAY = { seconds: 6, settlesAfter: 3 }
const AFTER_TYPING_MS = 250
/** Lays of pieces as they were before, for undo. */
const MOST_REMEMBERED = 20
const NOTHING_LOCKED = { lay: { placements: [], offsets: {} }, keys: [] }

/** Searches in workers: by itself for what has no lay yet, on when asked, round what is locked. */
export function useLaySearch(
  jobs: ReturnType<typeof useJob>,
  found: ShallowRef<ReadonlyMap<string, FoundLay>>,
  { cloths, chosen, index, current, locked, bestFor }: ShownLay,
  keepByHand: (says: string, own: KeyedLay, lay: Lay, keys: readonly string[]) => void,
) {
  const { mayChange } = storeToRefs(useRole())
  const searchers = useSearchers()
  const failures = shallowRef<ReadonlyMap<string, { readonly why: LayFailure; readonly shortfall: Shortfall | null }>>(
    new Map(),
  )
  const running = ref(false)
  const seconds = ref(0)
  let search: Task | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  const failed = computed(() => (chosen.value ? (failures.value.get(chosen.value.key) ?? null) : null))
  const failure = computed(() => failed.value?.why ?? null)
  /** What is missing of a cloth in hand. */
  const shortfall = computed(() => failed.value?.shortfall ?? null)

  watch(
    () => cloths.value.map((c) => c.key).join(),
    () => {
      stop()
      failures.value = new Map()
      clearTimeout(timer)
      timer = setTimeout(() => {
        settle()
        searchNext()
      }, AFTER_TYPING_MS)
    },
    { immediate: true },
  )

  // A cloth that is turned to while nothing is searched gets its first lay then.
  watch(index, () => !running.value && searchNext())

  /** A first lay of every cloth that has none, one after the other, the chosen one first. */
  function searchNext(): void {
    const waiting = cloths.value.filter((own) => !bestFor(own) && !failures.value.has(own.key))
    const next = waiting.find((own) => own.key === chosen.value?.key) ?? waiting[0]
    if (next) searchFor(next, FIRST_LAY, 1, { lanes: 1, onOthers: false })
  }

  /**
   * The best lay found stays with the job as its working lay, so that no figure moves by itself: a longer one of the
   * planner's gives way to it, unless the job is quoted or ordered as it lies.
   */
  function settle(): void {
    if (!mayChange.value || !jobs.whole) return
    const working = workingLays(jobs.whole, cloths.value, found.value)
    if (working.length > 0)
      jobs.keepWorkedOut('the working lay', (job) => ({
        ...job,
        lays: { ...job.lays, ...Object.fromEntries(working) },
      }))
  }

  /** Goes on from the best lay for so many seconds on all cores; each better lay shows at once. */
  function searchOn(forSeconds: number, seed: number): void {
    if (chosen.value)
      searchFor(chosen.value, { seconds: forSeconds }, seed, searchers.everywhere(), bestFor(chosen.value))
  }

  function searchFor(own: KeyedLay, time: SearchTime, seed: number, where: Where, from: Lay | null = null): void {
    stop()
    running.value = true
    search = searchInLanes(
      {
        problem: own.problem,
        seed,
        ...time,
        locked: NOTHING_LOCKED,
        inHand: jobs.whole && inHandOf(jobs.whole, own),
        ...(from ? { from } : {}),
      },
      where,
      {
        onBetter: ({ lay, bound }, after) => {
          seconds.value = after
          const [fresh, before] = [{ ...lay, seconds: Number(after.toFixed(2)) }, found.value.get(own.key)?.lay]
          // Another lane may know the better bound of the same lay.
          const knowsMore = before !== undefined && !isShorter(before, fresh) && fresh.bound > before.bound
          if (isShorter(fresh, before) || knowsMore) remember(own.key, { lay: fresh, boundName: bound.name })
        },
        onEnd: (why, shortfall) => {
          if (why) failures.value = new Map(failures.value).set(own.key, { why, shortfall })
          stop()
          bringMatesTogether(own)
          settle()
          searchNext()
        },
      },
    )
  }

  /** Lays all that is not locked anew round what is; the best of it takes the place of the lay changed by hand. */
  function complete(forSeconds: number): void {
    const [own, from] = [chosen.value, current.value]
    if (!own || !from) return
    stop()
    running.value = true
    const keys = [...locked.value]
    search = layRoundLocked(own, {
      from,
      keys,
      seconds: forSeconds,
      where: searchers.everywhere(),
      onSeconds: (after) => (seconds.value = after),
      onEnd: (best, why) => {
        stop()
        if (why) failures.value = new Map(failures.value).set(own.key, { why, shortfall: null })
        else if (best) keepByHand('Laid round the locked pieces', own, best, keys)
      },
    })
  }

  function bringMatesTogether(own: KeyedLay): void {
    const known = found.value.get(own.key)
    if (known) remember(own.key, { ...known, lay: withMatesTogether(own, known.lay) })
  }

  const remember = (key: string, lay: FoundLay) =>
    (found.value = new Map([...found.value].slice(-MOST_REMEMBERED)).set(key, lay))

  function stop(): void {
    search?.stop()
    search = null
    running.value = false
  }

  return { failure, shortfall, running, seconds, searchNext, searchOn, complete, stop }
}
