import { defineStore, storeToRefs } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Job, Lay, Placement } from '../../contract/index.ts'
import type { ClothLay, Shortfall } from '../../core/cloth/index.ts'
import { held } from '../../core/keyed/index.ts'
import { acceptLay, isShorter, placementKey, withPlacement, type Bound, type LayFailure } from '../../core/lay/index.ts'
import { inHandOf, problemKey, takenBy } from '../../core/what-if/index.ts'
import { useJob } from './job.ts'
import type { Task } from '../workers/task.ts'
import { laneCount, searchInLanes } from './lay-lanes.ts'
import { useRole } from './role.ts'

const FIRST_LAY_SECONDS = 1.5
const AFTER_TYPING_MS = 250
/** Lays of pieces as they were before, for undo. */
const MOST_REMEMBERED = 20

/**
 * The lays of the open job, one for each cloth: planned anew in workers whenever their pieces change, searched on when
 * asked, changed by hand.
 */
export const useLay = defineStore('lay', () => {
  const jobs = useJob()
  const { mayChange } = storeToRefs(useRole())
  const found = shallowRef<ReadonlyMap<string, FoundLay>>(new Map())
  const failures = shallowRef<ReadonlyMap<string, { readonly why: LayFailure; readonly shortfall: Shortfall | null }>>(
    new Map(),
  )
  const running = ref(false)
  const seconds = ref(0)
  const wanted = ref(0)
  let search: Task | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  /** What is cut from each cloth, and the key of its pieces. */
  const cloths = computed(() =>
    jobs.plan?.kind === 'worked' ? jobs.plan.cloth.lays.map((own) => ({ ...own, key: problemKey(own.problem) })) : [],
  )
  const index = computed(() => Math.min(wanted.value, Math.max(0, cloths.value.length - 1)))
  const chosen = computed(() => cloths.value[index.value] ?? null)
  const keptFor = (own: KeyedLay): KeptLay | null => {
    const kept = jobs.whole && held(jobs.whole.lays, own.cloth.id)
    return kept?.problemKey === own.key ? kept : null
  }
  /** A lay changed by hand or shared with other tickets; else the shorter of the kept lay and the one just found, for these very pieces. */
  function bestFor(own: KeyedLay): Lay | null {
    const [kept, fresh] = [keptFor(own), found.value.get(own.key)?.lay ?? null]
    if (!kept || !fresh || kept.byHand || kept.joint) return kept?.lay ?? fresh
    return isShorter(fresh, kept.lay) ? fresh : kept.lay
  }
  const all = computed(() => cloths.value.map(bestFor))
  /** How long the cloth of each lay is, mm, and which share of it the ticket pays for; null while there is no lay. */
  const taken = computed(() =>
    cloths.value.map((own, i) => {
      const [kept, best] = [keptFor(own), all.value[i] ?? null]
      return kept && best === kept.lay ? takenBy(kept) : best && { laidMm: best.length, share: 1 }
    }),
  )
  /** The best lay of a cloth, by its id; null while it has none. */
  const of = (clothId: string): Lay | null => all.value[cloths.value.findIndex((c) => c.cloth.id === clothId)] ?? null
  const current = computed(() => all.value[index.value] ?? null)
  const failed = computed(() => (chosen.value ? (failures.value.get(chosen.value.key) ?? null) : null))
  const failure = computed(() => failed.value?.why ?? null)
  /** What is missing of a cloth in hand. */
  const shortfall = computed(() => failed.value?.shortfall ?? null)
  const kept = computed(() => chosen.value && keptFor(chosen.value))
  const isKept = computed(
    () =>
      kept.value !== null &&
      (kept.value.byHand || kept.value.joint !== null || kept.value.lay.length <= (current.value?.length ?? Infinity)),
  )
  const byHand = computed(() => kept.value?.byHand ?? false)
  const locked = computed<ReadonlySet<string>>(() => new Set(kept.value?.locked))
  /**
   * What is wrong with a lay changed by hand: overlaps, phases, the cloth's edges. The planner's own lays are sound.
   */
  const faults = computed(() =>
    byHand.value && chosen.value && current.value ? acceptLay(chosen.value.problem, current.value) : [],
  )

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
    if (next) searchFor(next, FIRST_LAY_SECONDS, 1, 1)
  }

  /**
   * The best lay found stays with the job as its working lay, so that no figure moves by itself: a longer one of the
   * planner's gives way to it, unless the job is quoted or ordered as it lies.
   */
  function settle(): void {
    if (!mayChange.value || !jobs.whole) return
    const { given, orderedOn } = jobs.whole.terms
    const isFrozen = given !== null || orderedOn !== null
    const working = cloths.value.flatMap((own) => {
      const [kept, fresh] = [keptFor(own), found.value.get(own.key)?.lay]
      const isBetter = !kept || (!kept.byHand && !kept.joint && !isFrozen && fresh && isShorter(fresh, kept.lay))
      return fresh && isBetter ? [[own.cloth.id, keptAs(own, fresh, false, [])] as const] : []
    })
    if (working.length > 0)
      jobs.keepWorkedOut('the working lay', (job) => ({
        ...job,
        lays: { ...job.lays, ...Object.fromEntries(working) },
      }))
  }

  /** Searches on for so many seconds on all cores; each better lay shows at once. */
  function searchOn(forSeconds: number, seed: number): void {
    if (chosen.value) searchFor(chosen.value, forSeconds, seed, laneCount())
  }

  function searchFor(own: KeyedLay, forSeconds: number, seed: number, lanes: number): void {
    stop()
    running.value = true
    search = searchInLanes(
      {
        problem: own.problem,
        seed,
        seconds: forSeconds,
        locked: NOTHING_LOCKED,
        inHand: jobs.whole && inHandOf(jobs.whole, own),
      },
      lanes,
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
    let best: Lay | null = null
    search = searchInLanes(
      { problem: own.problem, seed: 1, seconds: forSeconds, locked: { lay: from, keys }, inHand: null },
      laneCount(),
      {
        onBetter: ({ lay }, after) => {
          seconds.value = after
          if (isShorter({ ...lay, seconds: after }, best)) best = { ...lay, seconds: Number(after.toFixed(2)) }
        },
        onEnd: (why) => {
          stop()
          if (why) failures.value = new Map(failures.value).set(own.key, { why, shortfall: null })
          else if (best) keepAs('Laid round the locked pieces', own, best, true, keys)
        },
      },
    )
  }

  const remember = (key: string, lay: FoundLay) =>
    (found.value = new Map([...found.value].slice(-MOST_REMEMBERED)).set(key, lay))

  function stop(): void {
    search?.stop()
    search = null
    running.value = false
  }

  const keepAs = (
    says: string,
    own: KeyedLay,
    lay: Lay,
    isByHand: boolean,
    keys: readonly string[],
    key: string | null = null,
  ) =>
    jobs.edit(
      { says, apply: (job) => ({ ...job, lays: { ...job.lays, [own.cloth.id]: keptAs(own, lay, isByHand, keys) } }) },
      key,
    )

  function keep(): void {
    if (chosen.value && current.value)
      keepAs('Keep the lay', chosen.value, current.value, byHand.value, [...locked.value])
  }

  /** Puts one piece elsewhere; moves with the same key are one step to undo. */
  function move(place: Placement, says: string, key: string | null = null): void {
    const [own, lay] = [chosen.value, current.value]
    if (own && lay) keepAs(says, own, withPlacement(own.problem, lay, place), true, [...locked.value], key)
  }

  function toggleLock(place: Placement): void {
    const [own, lay, key] = [chosen.value, current.value, placementKey(place)]
    const isLocked = locked.value.has(key)
    if (own && lay)
      keepAs(
        isLocked ? 'Unlock a piece' : 'Lock a piece',
        own,
        lay,
        true,
        isLocked ? [...locked.value].filter((k) => k !== key) : [...locked.value, key],
      )
  }

  /** Back to what the planner found. */
  function forgetHand(): void {
    const own = chosen.value
    if (!own) return
    jobs.edit({
      says: "Back to the planner's lay",
      apply: (job) => ({
        ...job,
        lays: Object.fromEntries(Object.entries(job.lays).filter(([id]) => id !== own.cloth.id)),
      }),
    })
    if (!found.value.has(own.key)) searchNext()
  }

  /** What proves the bound of the lay that is shown, where that was found here. */
  const boundName = computed(() => {
    const fresh = chosen.value && found.value.get(chosen.value.key)
    return fresh && current.value && fresh.lay.bound >= current.value.bound ? fresh.boundName : null
  })

  return {
    cloths,
    chosen,
    boundName,
    index,
    wanted,
    all,
    taken,
    of,
    current,
    failure,
    shortfall,
    faults,
    byHand,
    locked,
    running,
    seconds,
    kept,
    isKept,
    search: searchOn,
    complete,
    stop,
    keep,
    move,
    toggleLock,
    forgetHand,
  }
})

const keptAs = (own: KeyedLay, lay: Lay, byHand: boolean, locked: readonly string[]): KeptLay => ({
  problemKey: own.key,
  lay,
  byHand,
  locked: [...locked],
  joint: null,
})

const NOTHING_LOCKED = { lay: { placements: [], offsets: {} }, keys: [] }

interface FoundLay {
  readonly lay: Lay
  readonly boundName: Bound['name']
}

type KeyedLay = ClothLay & { readonly key: string }
type KeptLay = Job['lays'][string]
