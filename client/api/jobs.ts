import { z } from 'zod'
import { JobSummary, LONGEST_REASON, readJob, RevisionSummary, StoredJob, type Job } from '../../contract/index.ts'
import { ApiError, fetchJson, known, newAct } from './http.ts'

export const listJobs = async (): Promise<JobSummary[]> => known(z.array(JobSummary), await fetchJson('/api/jobs'))
/** Without what the shelf does not show: work left, needs and logs are empty. */
export const listShelf = async (): Promise<JobSummary[]> =>
  known(z.array(JobSummary), await fetchJson('/api/jobs?for=shelf'))

export const openJob = async (id: string): Promise<StoredJob> =>
  storedJob(await fetchJson(`/api/jobs/${encodeURIComponent(id)}`))

export const listRevisions = async (id: string): Promise<RevisionSummary[]> =>
  known(z.array(RevisionSummary), await fetchJson(`/api/jobs/${id}/revisions`))

export const openRevision = async (id: string, revision: number): Promise<StoredJob> =>
  storedJob(await fetchJson(`/api/jobs/${id}/revisions/${revision}`))

/** Starts a job from any document; the server says what is wrong with a foreign one. */
export const createJob = async (job: unknown, reason: string): Promise<StoredJob> =>
  storedJob(await fetchJson('/api/jobs', { method: 'POST', body: { job, reason: inHistory(reason) }, act: newAct() }))

/** The same under an id of one's own, tried once: whoever calls keeps it and tries again. */
export const createJobAs = async (id: string, job: Job, reason: string): Promise<StoredJob> =>
  storedJob(
    await fetchJson('/api/jobs', { method: 'POST', body: { job, reason: inHistory(reason) }, act: id, tries: 1 }),
  )

export type SaveAnswer =
  | { readonly kind: 'saved'; readonly stored: StoredJob }
  | {
      readonly kind: 'conflict'
      readonly theirs: StoredJob
      /** This very save had arrived before, though its answer was lost. */
      readonly hadArrived: boolean
    }

/** Saves a job over the revision it was made on; a clash is an answer, not a fault. @throws ApiError where it is refused or lost. */
export async function saveJob(id: string, job: Job, baseRevision: number, reason: string): Promise<SaveAnswer> {
  try {
    return {
      kind: 'saved',
      stored: storedJob(
        await fetchJson(`/api/jobs/${id}`, { method: 'PUT', body: { job, baseRevision, reason: inHistory(reason) } }),
      ),
    }
  } catch (cause) {
    if (!(cause instanceof ApiError && cause.problem?.status === 409)) throw cause
    const { theirs, arrived } = cause.problem
    return { kind: 'conflict', theirs: storedJob(theirs), hadArrived: typeof arrived === 'number' }
  }
}

const MOST_TRIES = 6

/**
 * Changes a job that is not the open one, on top of whatever is saved of it: a save that came in between is read, and
 * the change made once more on that. @throws ApiError when others save faster than this, or it cannot be saved at all.
 */
export async function amendJob(id: string, change: (job: Job) => Job, reason: string): Promise<StoredJob> {
  let stored = await openJob(id)
  for (let i = 0; i < MOST_TRIES; i++) {
    const answer = await saveJob(id, change(stored.job), stored.revision, reason)
    if (answer.kind === 'saved') return answer.stored
    stored = answer.theirs
  }
  throw new ApiError(null, 'Somebody saves this job again and again: try once more in a moment.')
}

/** What was changed, cut short where a line changed much: a save never fails by its words. */
const inHistory = (says: string): string =>
  says.length <= LONGEST_REASON ? says : `${says.slice(0, LONGEST_REASON - 1).replace(/[\uD800-\uDBFF]$/, '')}…`

/** A job of the server; one of a newer release is refused in words. */
function storedJob(answer: unknown): StoredJob {
  const read = StoredJob.safeParse(answer)
  if (read.success) return read.data
  const job = readJob((answer as { job?: unknown } | null)?.job)
  if (job.ok) return known(StoredJob, answer)
  throw new ApiError(null, `This job cannot be opened here: it ${job.faults[0]!.message}. Reload the page.`)
}
