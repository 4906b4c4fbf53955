import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { useJob } from '../job.ts'
import type { FoundLay } from './kept-lay.ts'
import { useLayByHand } from './lay-by-hand.ts'
import { useLaySearch } from './lay-search.ts'
import { useShownLay } from './shown-lay.ts'

/**
 * The lays of the open job, one for each cloth: planned anew in workers whenever their pieces change, searched on when
 * asked, changed by hand.
 */
export const useLay = defineStore('lay', () => {
  const jobs = useJob()
  const found = shallowRef<ReadonlyMap<string, FoundLay>>(new Map())
  const shown = useShownLay(jobs, found)
  const hand = useLayByHand(jobs, shown)
  const search = useLaySearch(jobs, found, shown, (says, own, lay, keys) => hand.keepAs(says, own, lay, true, keys))

  function forgetHand(): void {
    hand.forgetHand()
    if (shown.chosen.value && !found.value.has(shown.chosen.value.key)) search.searchNext()
  }

  const { cloths, chosen, boundName, index, wanted, all, taken, of, current, faults, byHand, locked, kept, isKept } =
    shown
  const { failure, shortfall, running, seconds, searchOn, complete, stop } = search
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
    keep: hand.keep,
    takeInstead: hand.takeInstead,
    move: hand.move,
    toggleLock: hand.toggleLock,
    forgetHand,
  }
})
