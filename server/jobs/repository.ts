import { randomUUID } from 'node:crypto'
import { and, desc, eq, isNull } from 'drizzle-orm'
import { CARD_VERSION, type Job, type JobCard, type RevisionSummary, type StoredJob } from '../../contract/index.ts'
import { plainCard } from '../../core/card/index.ts'
import { jobRevisions, jobs, type Database } from '../db/index.ts'
import { documentOf, packing } from './history.ts'
import { isOfThisRelease, keptJob } from './long-documents.ts'

export type SaveOutcome =
  | { readonly kind: 'saved'; readonly stored: StoredJob }
  | { readonly kind: 'unknown' }
  /** Somebody saved in between; their revision comes back so that the maker can choose. */
  | {
      readonly kind: 'conflict'
      readonly theirs: StoredJob
      /** The revision as which this very save had arrived before, though its answer was lost. */
      readonly arrived: number | null
    }

export interface JobsRepository {
  readonly find: (id: string) => Promise<StoredJob | null>
  /** The same as the text of an answer: a document of this release goes out as it was kept. */
  readonly findText: (id: string) => Promise<string | null>
  /**
   * Starts a job. One that is asked for twice under the same id, because the first answer was lost, is started once.
   */
  readonly create: (job: Job, reason: string, id?: string) => Promise<StoredJob>
  readonly save: (id: string, job: Job, baseRevision: number, reason: string) => Promise<SaveOutcome>
  readonly revisions: (id: string) => Promise<readonly RevisionSummary[]>
  readonly findRevision: (id: string, revision: number) => Promise<StoredJob | null>
  /** The tables were changed round this repository. */
  readonly forget: () => void
}

/** Jobs and all their revisions. A save is acknowledged only once it is on disk; `saved` is told of each. */
export function jobsRepository(
  { orm, write }: Database,
  now: () => Date,
  saved: (row: typeof jobs.$inferSelect) => void = () => undefined,
): JobsRepository {
  /** Answers as they went out, of the jobs that were read last. */
  const texts = new Map<string, string>()
  const newest = new Map<string, number>()
  const rowAt = async (id: string) =>
    (
      await orm
        .select()
        .from(jobs)
        .where(and(eq(jobs.id, id), isNull(jobs.comingWith)))
    )[0]

  /** A save whose answer was lost is sent again as it was. */
  async function arrivedAs(id: string, revision: number, document: string): Promise<number | null> {
    const [row] = await orm
      .select()
      .from(jobRevisions)
      .where(and(eq(jobRevisions.jobId, id), eq(jobRevisions.revision, revision)))
    return row && (await documentOf(orm, row)) === document ? revision : null
  }

  return {
    find: async (id) => {
      const row = await rowAt(id)
      return row ? stored(id, row) : null
    },
    findText: async (id) => {
      const known = texts.get(id)
      if (known !== undefined) return known
      const row = await rowAt(id)
      if (!row) return null
      const text = storedText(id, row)
      if (texts.size >= MOST_TEXTS) texts.delete(texts.keys().next().value!)
      // A save may have come in while it was read: that one's answer is the next to be kept.
      if (row.revision >= (newest.get(id) ?? 0)) texts.set(id, text)
      return text
    },
    create: (job, reason, id = randomUUID()) =>
      write(async () => {
        const before = await rowAt(id)
        if (before) return stored(id, before)
        const row = { ...rowOf(job, null), id, revision: 1, savedAt: now().toISOString(), comingWith: null }
        await orm.batch([orm.insert(jobs).values(row), orm.insert(jobRevisions).values(revisionOf(id, row, reason))])
        saved(row)
        return { id, revision: 1, savedAt: row.savedAt, job }
      }),
    save: (id, job, baseRevision, reason) =>
      write(async () => {
        const before = await rowAt(id)
        if (!before) return { kind: 'unknown' }
        if (before.revision !== baseRevision) {
          const arrived = await arrivedAs(id, baseRevision + 1, JSON.stringify(job))
          return arrived === before.revision
            ? { kind: 'saved', stored: stored(id, before) }
            : { kind: 'conflict', theirs: stored(id, before), arrived }
        }
        const row = { ...rowOf(job, before.card), revision: baseRevision + 1, savedAt: now().toISOString() }
        await orm.batch([
          orm
            .update(jobs)
            .set(row)
            .where(and(eq(jobs.id, id), eq(jobs.revision, baseRevision))),
          orm.insert(jobRevisions).values(revisionOf(id, row, reason)),
          ...(await packing(orm, id, baseRevision)),
        ])
        texts.delete(id)
        newest.set(id, row.revision)
        saved({ ...row, id, comingWith: null })
        return { kind: 'saved', stored: { id, revision: row.revision, savedAt: row.savedAt, job } }
      }),
    revisions: async (id) =>
      (await rowAt(id))
        ? orm
            .select({ revision: jobRevisions.revision, savedAt: jobRevisions.savedAt, reason: jobRevisions.reason })
            .from(jobRevisions)
            .where(eq(jobRevisions.jobId, id))
            .orderBy(desc(jobRevisions.revision))
        : [],
    forget: () => {
      texts.clear()
      newest.clear()
    },
    findRevision: async (id, revision) => {
      const [row] = await orm
        .select()
        .from(jobRevisions)
        .where(and(eq(jobRevisions.jobId, id), eq(jobRevisions.revision, revision)))
      return row ? stored(id, { ...row, document: await documentOf(orm, row) }) : null
    },
  }
}

const rowOf = (job: Job, cardBefore: string | null) => ({
  ticket: job.ticket,
  title: job.title,
  customer: job.customer,
  document: JSON.stringify(job),
  card: JSON.stringify(plainCard(job, 'under-way', presentCard(cardBefore) ?? undefined)),
})

/** A card as kept, where this release wrote it; its version says so. */
export function presentCard(text: string | null): JobCard | null {
  const card = text === null ? null : (JSON.parse(text) as JobCard)
  return card?.version === CARD_VERSION ? card : null
}

const revisionOf = (
  jobId: string,
  { revision, savedAt, document }: { revision: number; savedAt: string; document: string },
  reason: string,
) => ({ jobId, revision, savedAt, reason, document })

const MOST_TEXTS = 500

function storedText(id: string, row: { revision: number; savedAt: string; document: string }): string {
  if (!isOfThisRelease(row.document)) return JSON.stringify(stored(id, row))
  const head = JSON.stringify({ id, revision: row.revision, savedAt: row.savedAt })
  return `${head.slice(0, -1)},"job":${row.document}}`
}

/** @throws Error when the database holds a document that no release has written. */
function stored(id: string, row: { revision: number; savedAt: string; document: string }): StoredJob {
  const read = keptJob(row.document)
  if (!read.ok)
    throw new Error(`job ${id}, revision ${row.revision}: ${read.faults[0]!.path} ${read.faults[0]!.message}`)
  return { id, revision: row.revision, savedAt: row.savedAt, job: read.value }
}
