import { and, asc, eq, isNull, sql } from 'drizzle-orm'
import { jobRevisions, type Database } from '../db/index.ts'
import { A_CHAPTER, chapterOf, packed, unpacked } from './packing.ts'

type Orm = Database['orm']
type Revision = typeof jobRevisions.$inferSelect

const at = (jobId: string, revision: number) => and(eq(jobRevisions.jobId, jobId), eq(jobRevisions.revision, revision))

/** The text of a revision, whole or packed. */
export async function documentOf(orm: Orm, row: Revision): Promise<string> {
  if (row.packed === null || row.packedOn === null) return row.document
  const [on] = await orm.select().from(jobRevisions).where(at(row.jobId, row.packedOn))
  if (!on) throw new Error(`revision ${row.packedOn} of job ${row.jobId} is missing: ${row.revision} is packed on it`)
  return unpacked(new Uint8Array(row.packed), on.document)
}

/** The statement that packs an older revision, or none where it begins a chapter or its chapter has no beginning. */
export async function packing(orm: Orm, jobId: string, revision: number) {
  const begins = chapterOf(revision)
  if (begins === revision) return []
  const [row] = await orm.select().from(jobRevisions).where(at(jobId, revision))
  const [on] = await orm.select().from(jobRevisions).where(at(jobId, begins))
  if (!row || row.packed !== null || !on || on.packed !== null) return []
  return [
    orm
      .update(jobRevisions)
      .set({ document: '', packed: packed(row.document, on.document), packedOn: begins })
      .where(at(jobId, revision)),
  ]
}

/** Packs what an older release or an archive left whole, a portion at a time; true while there is more. */
export async function packSome({ orm, write }: Database, most: number): Promise<boolean> {
  const rows = await orm
    .select({ jobId: jobRevisions.jobId, revision: jobRevisions.revision })
    .from(jobRevisions)
    .where(and(isNull(jobRevisions.packed), HAS_A_CHAPTER, IS_NOT_THE_NEWEST))
    .orderBy(asc(jobRevisions.jobId), asc(jobRevisions.revision))
    .limit(most)
  for (const { jobId, revision } of rows)
    await write(async () => {
      const [first, ...others] = await packing(orm, jobId, revision)
      if (first) await orm.batch([first, ...others])
    })
  return rows.length === most
}

const BEGINS = sql`(${jobRevisions.revision} - ((${jobRevisions.revision} - 1) % ${sql.raw(String(A_CHAPTER))}))`
const HAS_A_CHAPTER = sql`${jobRevisions.revision} <> ${BEGINS} AND EXISTS (
  SELECT 1 FROM job_revisions o WHERE o.job_id = ${jobRevisions.jobId} AND o.revision = ${BEGINS} AND o.packed IS NULL)`
const IS_NOT_THE_NEWEST = sql`${jobRevisions.revision} < (SELECT revision FROM jobs j WHERE j.id = ${jobRevisions.jobId})`

/** What the history of all jobs takes in the file, in bytes. */
export async function historyBytes({ orm }: Database): Promise<{ readonly revisions: number; readonly bytes: number }> {
  const [sums] = await orm
    .select({
      revisions: sql<number>`count(*)`,
      bytes: sql<number>`coalesce(sum(length(${jobRevisions.document}) + coalesce(length(${jobRevisions.packed}), 0)), 0)`,
    })
    .from(jobRevisions)
  return sums ?? { revisions: 0, bytes: 0 }
}
