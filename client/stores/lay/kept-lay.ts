import type { Job, Lay } from '../../../contract/index.ts'
import type { ClothLay } from '../../../core/cloth/index.ts'
import { held } from '../../../core/keyed/index.ts'
import type { Bound } from '../../../core/lay/index.ts'

/** What is cut from a cloth, and the key of its pieces. */
export type KeyedLay = ClothLay & { readonly key: string }

/** A lay as it stands in the job. */
export type KeptLay = Job['lays'][string]

/** A lay that was found here, and what proves its bound. */
export interface FoundLay {
  readonly lay: Lay
  readonly boundName: Bound['name']
}

/** What is kept for these very pieces; null where they were others. */
export function keptFor(job: Job | null, own: KeyedLay): KeptLay | null {
  const kept = job && held(job.lays, own.cloth.id)
  return kept?.problemKey === own.key ? kept : null
}
