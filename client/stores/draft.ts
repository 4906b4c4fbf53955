import { readJob, type Job } from '../../contract/index.ts'
import { PAGE_ID } from '../api/http.ts'

/** Edits that the server has not acknowledged, kept in this browser so that a closed tab loses nothing. */
export interface Draft {
  readonly job: Job
  /** What the edits were made on. */
  readonly base: Job
}

/** Each page keeps drafts of its own: two windows on one job never write over each other's. */
const keysOf = (id: string): string => `loft-seam/draft/${id}/`
const ownKey = (id: string): string => keysOf(id) + PAGE_ID

export function keepDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(ownKey(id), JSON.stringify(draft))
  } catch {
    // A full or forbidden store only loses the second net; saving to the server goes on.
  }
}

export const dropDraft = (id: string): void => withStore((store) => store.removeItem(ownKey(id)), undefined)

/** Where pages of this browser keep what they could not save of a job; this page's own comes first, since taking in another writes it anew. */
export const draftsOf = (id: string): readonly string[] =>
  withStore((store) => Object.keys(store).filter((key) => key.startsWith(keysOf(id))).sort((a, b) => Number(b === ownKey(id)) - Number(a === ownKey(id))), [])

/** Takes a draft out of the browser. */
export function takeDraft(key: string): Draft | null {
  const draft = withStore((store) => readDraft(store.getItem(key)), null)
  withStore((store) => store.removeItem(key), undefined)
  return draft
}

function readDraft(text: string | null): Draft | null {
  const kept = JSON.parse(text ?? 'null') as { job?: unknown; base?: unknown } | null
  const [job, base] = [readJob(kept?.job), readJob(kept?.base)]
  return job.ok && base.ok ? { job: job.value, base: base.value } : null
}

/** A forbidden store, or a broken draft, counts as none. */
function withStore<T>(use: (store: Storage) => T, otherwise: T): T {
  try {
    return use(localStorage)
  } catch {
    return otherwise
  }
}
