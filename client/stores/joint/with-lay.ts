import type { Job } from '../../../contract/index.ts'
import { held } from '../../../core/keyed/index.ts'

export type KeptLay = Job['lays'][string]

export const withLay =
  (clothId: string, kept: KeptLay) =>
  (job: Job): Job => ({ ...job, lays: { ...job.lays, [clothId]: kept } })

/** Without the lay it shares under this number; a lay of its own, made since, stays. */
export const withoutLay =
  (clothId: string, jointId: string) =>
  (job: Job): Job =>
    held(job.lays, clothId)?.joint?.id === jointId
      ? { ...job, lays: Object.fromEntries(Object.entries(job.lays).filter(([id]) => id !== clothId)) }
      : job
