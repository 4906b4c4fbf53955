import { readJob, type Job, type JobSummary, type StoredJob } from '../../contract/index.ts'
import { isLost, newAct } from '../api/http.ts'
import { createJobAs, listShelf, openJob, saveJob, type SaveAnswer } from '../api/jobs.ts'
import { nextTicket } from './next-ticket.ts'
import { dropText, keepText, keptKeys, keptText } from '../storage/browser-store.ts'
import { sameJob } from './same-job.ts'

/*
 * Tickets that were begun while the shop could not be reached. They have their id from the start, are kept in this
 * browser as revision 0, and go to the shop once it answers; a number that was given away meanwhile is changed then.
 */

const ALL = 'loft-seam/begun/'

interface Begun {
  readonly job: Job
  readonly says: string
  readonly at: string
}

/** Starts a ticket, in the shop or, without a network, in this browser. Its id. @throws ApiError when it is refused. */
export async function beginTicket(job: Job, says: string): Promise<string> {
  const id = newAct()
  try {
    await createJobAs(id, job, says)
  } catch (cause) {
    const begun: Begun = { job, says, at: new Date().toISOString() }
    if (!isLost(cause) || keepText(ALL + id, JSON.stringify(begun)) !== 'in-browser') throw cause
  }
  return id
}

export const begunIds = (): readonly string[] => keptKeys(ALL).map((key) => key.slice(ALL.length))

/** As the shelf shows them, planned here. */
export async function begunTickets(): Promise<readonly JobSummary[]> {
  const ids = begunIds()
  if (ids.length === 0) return []
  const { jobCard } = await import('../../core/card/index.ts')
  return ids.flatMap((id) => {
    const begun = readBegun(id)
    if (!begun) return []
    const { ticket, title, customer } = begun.job
    return [{ id, ticket, title, customer, revision: 0, savedAt: begun.at, card: jobCard(begun.job) }]
  })
}

/** A job of the shop; one that was begun here goes there first, or is opened from this browser. */
export async function openOrBegin(id: string): Promise<StoredJob> {
  const begun = readBegun(id)
  if (!begun) return openJob(id)
  return sendBegun(id).catch(() => ({ id, revision: 0, savedAt: begun.at, job: begun.job }))
}

/** Saves a job on top of what the edit was made on; what was made on revision 0 is begun in the shop first. */
export async function saveOrBegin(id: string, job: Job, base: number, says: string): Promise<SaveAnswer> {
  if (base > 0) return saveJob(id, job, base, says)
  const stored = await sendBegun(id)
  return sameJob(stored.job, job) ? { kind: 'saved', stored } : { kind: 'conflict', theirs: stored, hadArrived: false }
}

/** Begins a kept ticket in the shop, once however often it is asked for. */
export async function sendBegun(id: string): Promise<StoredJob> {
  const begun = readBegun(id)
  if (!begun) return openJob(id)
  const stored = await createJobAs(id, await numbered(id, begun.job), begun.says)
  dropText(ALL + id)
  return stored
}

/** With the next free number, where another ticket of the shop has this one's. */
async function numbered(id: string, job: Job): Promise<Job> {
  const others = (await listShelf()).filter((j) => j.id !== id)
  return others.some((j) => j.ticket === job.ticket) ? { ...job, ticket: nextTicket(others) } : job
}

function readBegun(id: string): Begun | null {
  try {
    const kept = JSON.parse(keptText(ALL + id) ?? 'null') as Partial<Record<keyof Begun, unknown>> | null
    const job = readJob(kept?.job)
    return job.ok && kept ? { job: job.value, says: String(kept.says), at: String(kept.at) } : null
  } catch {
    return null
  }
}
