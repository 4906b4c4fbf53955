import type { Job } from '../../contract/index.ts'
import { useJob } from '../stores/job.ts'

/** A job on the page as if it had been opened. */
export const showJob = (job: Job): void =>
  useJob().show({ id: 'shown', revision: 1, savedAt: '2026-03-02T09:00:00.000Z', job })
