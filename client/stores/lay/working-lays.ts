import type { Job } from '../../../contract/index.ts'
import { isShorter } from '../../../core/lay/index.ts'
import { keptAs, keptFor, type FoundLay, type KeptLay, type KeyedLay } from './kept-lay.ts'

/**
 * Which lays just found take their place in the job as its working lays, by cloth: where it has none, or a longer one of
 * the planner's, unless the job is quoted or ordered as it lies.
 */
export function workingLays(
  job: Job,
  cloths: readonly KeyedLay[],
  found: ReadonlyMap<string, FoundLay>,
): readonly (readonly [clothId: string, lay: KeptLay])[] {
  const { given, orderedOn } = job.terms
  const isFrozen = given !== null || orderedOn !== null
  return cloths.flatMap((own) => {
    const [kept, fresh] = [keptFor(job, own), found.get(own.key)?.lay]
    const isBetter = !kept || (!kept.byHand && !kept.joint && !isFrozen && fresh && isShorter(fresh, kept.lay))
    return fresh && isBetter ? [[own.cloth.id, keptAs(own, fresh, false, [])] as const] : []
  })
}
