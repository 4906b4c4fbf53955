import { readJob, type Job } from '../../contract/index.ts'
import { mergeJobs, type MergedJobs } from '../../core/job/index.ts'
import { saveJob } from '../api/jobs.ts'
import type { Draft } from './draft.ts'

/**
 * Two versions of a job put together over what both started from; null where the maker has to choose, or they make no
 * job together.
 */
export function together(base: Job, mine: Job, theirs: Job): MergedJobs | null {
  const merged = mergeJobs(base, mine, theirs)
  const read = readJob(merged.job)
  return read.ok && merged.clashes.length === 0 ? { ...merged, job: read.value } : null
}

/**
 * A draft with what it really goes on from. What was sent and not answered is sent once more as it was: the server says
 * whether it had it already, and does nothing twice.
 */
export async function settled(id: string, draft: Draft): Promise<Draft> {
  const { sent } = draft
  if (!sent) return draft
  const answer = await saveJob(id, sent.job, sent.base, 'recovered edit')
  const isThere = answer.kind === 'saved' || answer.hadArrived
  return { job: draft.job, base: isThere ? sent.job : draft.base, sent: null }
}

export const sameJob = (a: Job, b: Job | null): boolean => JSON.stringify(a) === JSON.stringify(b)
