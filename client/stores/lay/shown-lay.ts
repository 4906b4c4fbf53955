import { computed, ref, type ShallowRef } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import { acceptLay, isShorter } from '../../../core/lay/index.ts'
import { problemKey, takenBy } from '../../../core/what-if/index.ts'
import type { useJob } from '../job.ts'
import { keptFor, type FoundLay, type KeyedLay } from './kept-lay.ts'

/** Which lay of each cloth is shown: what the job keeps for its pieces, or what was just found. */
export function useShownLay(
  jobs: ReturnType<typeof useJob>,
  found: Readonly<ShallowRef<ReadonlyMap<string, FoundLay>>>,
) {
  const wanted = ref(0)
  /** What is cut from each cloth, and the key of its pieces. */
  const cloths = computed(() =>
    jobs.plan?.kind === 'worked' ? jobs.plan.cloth.lays.map((own) => ({ ...own, key: problemKey(own.problem) })) : [],
  )
  const index = computed(() => Math.min(wanted.value, Math.max(0, cloths.value.length - 1)))
  const chosen = computed(() => cloths.value[index.value] ?? null)
  /** A lay changed by hand or shared with other tickets; else the shorter of the kept lay and the one just found, for these very pieces. */
  function bestFor(own: KeyedLay): Lay | null {
    const [kept, fresh] = [keptFor(jobs.whole, own), found.value.get(own.key)?.lay ?? null]
    if (!kept || !fresh || kept.byHand || kept.joint) return kept?.lay ?? fresh
    return isShorter(fresh, kept.lay) ? fresh : kept.lay
  }
  const all = computed(() => cloths.value.map(bestFor))
  /** How long the cloth of each lay is, mm, and which share of it the ticket pays for; null while there is no lay. */
  const taken = computed(() =>
    cloths.value.map((own, i) => {
      const [kept, best] = [keptFor(jobs.whole, own), all.value[i] ?? null]
      return kept && best === kept.lay ? takenBy(kept) : best && { laidMm: best.length, share: 1 }
    }),
  )
  /** The best lay of a cloth, by its id; null while it has none. */
  const of = (clothId: string): Lay | null => all.value[cloths.value.findIndex((c) => c.cloth.id === clothId)] ?? null
  const current = computed(() => all.value[index.value] ?? null)
  const kept = computed(() => chosen.value && keptFor(jobs.whole, chosen.value))
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
  /** What proves the bound of the lay that is shown, where that was found here. */
  const boundName = computed(() => {
    const fresh = chosen.value && found.value.get(chosen.value.key)
    return fresh && current.value && fresh.lay.bound >= current.value.bound ? fresh.boundName : null
  })
  return {
    cloths,
    index,
    wanted,
    chosen,
    bestFor,
    all,
    taken,
    of,
    current,
    kept,
    isKept,
    byHand,
    locked,
    faults,
    boundName,
  }
}

export type ShownLay = ReturnType<typeof useShownLay>
