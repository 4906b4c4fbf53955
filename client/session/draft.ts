import { readJob, type Job } from '../../contract/index.ts'
import { PAGE_ID } from '../api/http.ts'
import { dropText, keepText, keptKeys, keptText, type Kept } from '../storage/browser-store.ts'
import { isAlive } from '../storage/page-alive.ts'

/** Edits that the server has not acknowledged, kept in this browser so that a closed tab loses nothing. */
export interface Draft {
  readonly job: Job
  /** What the edits were made on. */
  readonly base: Job
  /** What was sent and not answered, on which revision: the server may have it already. */
  readonly sent: Sent | null
}

export interface Sent {
  readonly job: Job
  readonly base: number
}

/** Each page keeps drafts of its own: two windows on one job never write over each other's. */
const ALL = 'loft-seam/draft/'
const keysOf = (id: string): string => `${ALL}${id}/`
const ownKey = (id: string): string => keysOf(id) + PAGE_ID

/** Keeps a draft; says whether it will outlive the page. */
export const keepDraft = (id: string, draft: Draft): Kept => keepDraftAt(ownKey(id), draft)

export const keepDraftAt = (key: string, draft: Draft): Kept => keepText(key, JSON.stringify(draft))

export const dropDraft = (id: string): void => dropText(ownKey(id))

/**
 * Where pages that are gone keep what they could not save of a job; this page's own comes first, since taking in
 * another writes it anew.
 */
export const draftsOf = (id: string): readonly string[] =>
  keptKeys(keysOf(id))
    .filter((key) => !isAlive(key.slice(keysOf(id).length)))
    .sort((a, b) => Number(b === ownKey(id)) - Number(a === ownKey(id)))

/** Jobs of which this browser keeps something that no open page looks after. */
export const jobsWithDrafts = (): readonly string[] => [
  ...new Set(
    keptKeys(ALL).flatMap((key) => {
      const id = key.slice(ALL.length, key.lastIndexOf('/'))
      return draftsOf(id).includes(key) ? [id] : []
    }),
  ),
]

/** What was left unsaved under a key; null where nothing is, or nothing that can be read. */
export function readDraft(key: string): Draft | null {
  try {
    const kept = JSON.parse(keptText(key) ?? 'null') as { job?: unknown; base?: unknown; sent?: unknown } | null
    const [job, base] = [readJob(kept?.job), readJob(kept?.base)]
    return job.ok && base.ok ? { job: job.value, base: base.value, sent: sentIn(kept?.sent) } : null
  } catch {
    return null
  }
}

/** Takes a draft out of the browser. */
export function takeDraft(key: string): Draft | null {
  const draft = readDraft(key)
  dropText(key)
  return draft
}

function sentIn(kept: unknown): Sent | null {
  const { job, base } = (kept ?? {}) as { job?: unknown; base?: unknown }
  const read = readJob(job)
  return read.ok && typeof base === 'number' ? { job: read.value, base } : null
}
