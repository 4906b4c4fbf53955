import { randomUUID } from 'node:crypto'
import { and, asc, desc, eq, sql } from 'drizzle-orm'
import { CARD_VERSION, readJob, type Job, type JobCard, type JobSummary, type RevisionSummary, type StoredJob } from '../../contract/index.ts'
import { jobCard } from '../../core/card/index.ts'
import { jobRevisions, jobs, type Database } from '../db/index.ts'

export type SaveOutcome =
  | { readonly kind: 'saved'; readonly stored: StoredJob }
  | { readonly kind: 'unknown' }
  /** Somebody saved in between; their revision comes back so that the maker can choose. */
  | { readonly kind: 'conflict'; readonly theirs: StoredJob }

export interface JobsRepository {
  /** Every job with its card; for the shelf without what only the days, the stock and the learning need. */
  readonly list: (forShelf?: boolean) => Promise<readonly JobSummary[]>
  readonly find: (id: string) => Promise<StoredJob | null>
  readonly create: (job: Job, reason: string) => Promise<StoredJob>
  /** Many at once, all or none; their ids in the same order. */
  readonly createMany: (jobs: readonly Job[]) => Promise<readonly string[]>
  readonly save: (id: string, job: Job, baseRevision: number, reason: string) => Promise<SaveOutcome>
  readonly revisions: (id: string) => Promise<readonly RevisionSummary[]>
  readonly findRevision: (id: string, revision: number) => Promise<StoredJob | null>
}

/** Jobs and all their revisions. A save is acknowledged only once it is on disk. */
export function jobsRepository({ orm, write }: Database, now: () => Date): JobsRepository {
  const find = async (id: string): Promise<StoredJob | null> => {
    const [row] = await orm.select().from(jobs).where(eq(jobs.id, id))
    return row ? stored(row.id, row) : null
  }
  /** A card of an older release is written anew; the job stays as it is. */
  async function renewCard(id: string): Promise<JobCard> {
    const card = jobCard((await find(id))!.job)
    await write(() => orm.update(jobs).set({ card: JSON.stringify(card) }).where(eq(jobs.id, id)))
    return card
  }
  return {
    find,
    list: async (forShelf = false) => {
      const card = forShelf ? SHELF_CARD : jobs.card
      const rows = await orm.select({ id: jobs.id, ticket: jobs.ticket, title: jobs.title, customer: jobs.customer, revision: jobs.revision, savedAt: jobs.savedAt, card }).from(jobs).orderBy(asc(jobs.ticket), desc(jobs.savedAt))
      return Promise.all(rows.map(async (row) => ({ ...row, card: presentCard(row.card) ?? (await renewCard(row.id)) })))
    },
    create: (job, reason) =>
      write(async () => {
        const row = { ...rowOf(job), id: randomUUID(), revision: 1, savedAt: now().toISOString() }
        await orm.batch([orm.insert(jobs).values(row), orm.insert(jobRevisions).values(revisionOf(row.id, row, reason))])
        return stored(row.id, row)
      }),
    createMany: (list) =>
      write(async () => {
        const rows = list.map((job) => ({ ...rowOf(job), id: randomUUID(), revision: 1, savedAt: now().toISOString() }))
        const [first, ...others] = rows.flatMap((row) => [orm.insert(jobs).values(row), orm.insert(jobRevisions).values(revisionOf(row.id, row, 'opened'))])
        if (first) await orm.batch([first, ...others])
        return rows.map((row) => row.id)
      }),
    save: (id, job, baseRevision, reason) =>
      write(async () => {
        const before = await find(id)
        if (!before) return { kind: 'unknown' }
        if (before.revision !== baseRevision) return { kind: 'conflict', theirs: before }
        const row = { ...rowOf(job), revision: baseRevision + 1, savedAt: now().toISOString() }
        await orm.batch([
          orm.update(jobs).set(row).where(and(eq(jobs.id, id), eq(jobs.revision, baseRevision))),
          orm.insert(jobRevisions).values(revisionOf(id, row, reason)),
        ])
        return { kind: 'saved', stored: stored(id, row) }
      }),
    revisions: (id) =>
      orm.select({ revision: jobRevisions.revision, savedAt: jobRevisions.savedAt, reason: jobRevisions.reason }).from(jobRevisions).where(eq(jobRevisions.jobId, id)).orderBy(desc(jobRevisions.revision)),
    findRevision: async (id, revision) => {
      const [row] = await orm.select().from(jobRevisions).where(and(eq(jobRevisions.jobId, id), eq(jobRevisions.revision, revision)))
      return row ? stored(id, row) : null
    },
  }
}

const rowOf = (job: Job) => ({ ticket: job.ticket, title: job.title, customer: job.customer, document: JSON.stringify(job), card: JSON.stringify(jobCard(job)) })

const revisionOf = (jobId: string, { revision, savedAt, document }: { revision: number; savedAt: string; document: string }, reason: string) => ({ jobId, revision, savedAt, reason, document })

/** SQLite empties the long lists of a card before they are read. */
const SHELF_CARD = sql<string | null>`json_set(${jobs.card}, '$.left', json('[]'), '$.needs', json('{"trims":[],"cloths":[]}'), '$.fits', json('[]'), '$.times', json('[]'), '$.used', json('[]'))`

/** The card as kept, where this release wrote it: its version says so, and thousands are read at once. */
function presentCard(text: string | null): JobCard | null {
  const card = text === null ? null : (JSON.parse(text) as JobCard)
  return card?.version === CARD_VERSION ? card : null
}

/** @throws Error when the database holds a document that no release has written. */
function stored(id: string, row: { revision: number; savedAt: string; document: string }): StoredJob {
  const read = readJob(JSON.parse(row.document))
  if (!read.ok) throw new Error(`job ${id}, revision ${row.revision}: ${read.faults[0]!.path} ${read.faults[0]!.message}`)
  return { id, revision: row.revision, savedAt: row.savedAt, job: read.value }
}
