import { readJob, type Job } from '../../contract/index.ts'
import { mergeJobs, type MergedJobs } from '../../core/job/index.ts'

/**
 * Two versions of a job put together over what both started from; null where the maker has to choose, or they make no
 * job together.
 */
export function together(base: Job, mine: Job, theirs: Job): MergedJobs | null {
  const merged = mergeJobs(base, mine, theirs)
  const read = readJob(merged.job)
  return read.ok && merged.clashes.length === 0 ? { ...merged, job: read.value } : null
}
