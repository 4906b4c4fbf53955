import type { Lay, Placement } from '../../../contract/index.ts'
import { placementKey, withPlacement } from '../../../core/lay/index.ts'
import type { useJob } from '../job.ts'
import { keptLay } from '../../../core/what-if/index.ts'
import type { KeyedLay } from './kept-lay.ts'
import type { ShownLay } from './shown-lay.ts'

/** What a hand does to the lay that is shown: keep it, move, lock, go back to the planner's. */
export function useLayByHand(jobs: ReturnType<typeof useJob>, { chosen, current, byHand, locked }: ShownLay) {
  const keepAs = (
    says: string,
    own: KeyedLay,
    lay: Lay,
    isByHand: boolean,
    keys: readonly string[],
    key: string | null = null,
  ) =>
    jobs.edit(
      {
        says,
        apply: (job) => ({ ...job, lays: { ...job.lays, [own.cloth.id]: keptLay(own.key, lay, isByHand, keys) } }),
      },
      key,
    )

  function keep(): void {
    if (chosen.value && current.value)
      keepAs('Keep the lay', chosen.value, current.value, byHand.value, [...locked.value])
  }

  /** Takes another lay of the same pieces in place of the planner's. */
  function takeInstead(says: string, lay: Lay): void {
    if (chosen.value) keepAs(says, chosen.value, lay, true, [])
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
  }

  return { keepAs, keep, takeInstead, move, toggleLock, forgetHand }
}
