import { readJob, type Job } from '../../contract/index.ts'

/** Edits that the server has not acknowledged, kept in this browser so that a closed tab loses nothing. */
export interface Draft {
  readonly job: Job
  readonly baseRevision: number
}

const key = (id: string): string => `loft-seam/draft/${id}`

export function keepDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(draft))
  } catch {
    // A full or forbidden store only loses the second net; saving to the server goes on.
  }
}

export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(key(id))
  } catch {
    // As above.
  }
}

export function findDraft(id: string): Draft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key(id)) ?? 'null') as { job?: unknown; baseRevision?: unknown } | null
    const read = readJob(kept?.job)
    return read.ok && typeof kept?.baseRevision === 'number' ? { job: read.value, baseRevision: kept.baseRevision } : null
  } catch {
    return null
  }
}
