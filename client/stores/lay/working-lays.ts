import type { Job } from '../../../contract/index.ts'
import { isShorter } from '../../../core/lay/index.ts'
import { keptLay } from '../../../core/what-if/index.ts'
import { keptFor, type FoundLay, type KeptLay, type KeyedLay } from './kept-lay.ts'

/** Quoted or ordered as it lies: nothing changes its lays by itself. */
export const staysAsItLies = ({ terms }: Job): boolean => terms.given !== null || terms.orderedOn !== null

/**
 * Which lays just found take their place in the job as its working lays, by cloth: where it has none, or a longer one of
 * the planner's, unless the job is quoted or ordered as it lies.
 */
export function workingLays(
  job: Job,
  cloths: readonly KeyedLay[],
  found: ReadonlyMap<string, FoundLay>,
): readonly (readonly [clothId: string, lay: KeptLay])[] {
  const isFrozen = staysAsItLies(job)
  return cloths.flatMap((own) => {
    const [kept, fresh] = [keptFor(job, own), found.get(own.key)?.lay]
    const isBetter = !kept || (!kept.byHand && !kept.joint && !isFrozen && fresh && isShorter(fresh, kept.lay))
    return fresh && isBetter ? [[own.cloth.id, keptLay(own.key, fresh)] as const] : []
  })
}
