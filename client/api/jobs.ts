import { z } from 'zod'
import { JobSummary, RevisionSummary, StoredJob, type Job } from '../../contract/index.ts'
import { ApiError, fetchJson } from './http.ts'

export const listJobs = async (): Promise<JobSummary[]> => z.array(JobSummary).parse(await fetchJson('/api/jobs'))
/** Without what the shelf does not show: work left, needs and logs are empty. */
export const listShelf = async (): Promise<JobSummary[]> => z.array(JobSummary).parse(await fetchJson('/api/jobs?for=shelf'))
export const openJob = async (id: string): Promise<StoredJob> => StoredJob.parse(await fetchJson(`/api/jobs/${encodeURIComponent(id)}`))
export const listRevisions = async (id: string): Promise<RevisionSummary[]> => z.array(RevisionSummary).parse(await fetchJson(`/api/jobs/${id}/revisions`))
export const openRevision = async (id: string, revision: number): Promise<StoredJob> => StoredJob.parse(await fetchJson(`/api/jobs/${id}/revisions/${revision}`))

/** Starts a job from any document; the server says what is wrong with a foreign one. */
export const createJob = async (job: unknown, reason: string): Promise<StoredJob> => StoredJob.parse(await fetchJson('/api/jobs', { method: 'POST', body: { job, reason } }))

export type SaveAnswer = { readonly kind: 'saved'; readonly stored: StoredJob } | { readonly kind: 'conflict'; readonly theirs: StoredJob }

export async function saveJob(id: string, job: Job, baseRevision: number, reason: string): Promise<SaveAnswer> {
  try {
    return { kind: 'saved', stored: StoredJob.parse(await fetchJson(`/api/jobs/${id}`, { method: 'PUT', body: { job, baseRevision, reason } })) }
  } catch (cause) {
    if (cause instanceof ApiError && cause.problem?.status === 409) return { kind: 'conflict', theirs: StoredJob.parse(cause.problem['theirs']) }
    throw cause
  }
}
