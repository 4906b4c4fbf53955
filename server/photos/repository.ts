import { randomUUID } from 'node:crypto'
import { setImmediate as breath } from 'node:timers/promises'
import { and, count, eq, isNull } from 'drizzle-orm'
import { jobRevisions, jobs, photos, type Database } from '../db/index.ts'
import { documentOf } from '../jobs/history.ts'
import type { Picture } from './picture.ts'

export type KeepOutcome =
  { readonly kind: 'kept'; readonly id: string } | { readonly kind: 'no-job' } | { readonly kind: 'too-many' }

/** Pictures of one job, those among them that only its history still shows. */
export const MOST_KEPT = 200

export interface PhotosRepository {
  /** Keeps a picture under an id of its own, or once under one that was given. */
  readonly keep: (jobId: string, picture: Picture, id?: string) => Promise<KeepOutcome>
  readonly find: (id: string) => Promise<{ readonly type: string; readonly bytes: Buffer } | null>
  /**
   * Takes a picture out that no revision of its job shows; any other one stays, since undo or the history may bring it
   * back.
   */
  readonly remove: (id: string) => Promise<void>
}

/** Photos as they are kept: by id, never changed. */
export function photosRepository({ orm, write }: Database, now: () => Date): PhotosRepository {
  async function isShown(jobId: string, id: string): Promise<boolean> {
    const rows = await orm.select().from(jobRevisions).where(eq(jobRevisions.jobId, jobId))
    for (const [i, row] of rows.entries()) {
      if ((await documentOf(orm, row)).includes(id)) return true
      if (i % 50 === 49) await breath()
    }
    return false
  }
  return {
    keep: (jobId, { type, bytes }, id = randomUUID()) =>
      write(async () => {
        const at = and(eq(jobs.id, jobId), isNull(jobs.comingWith))
        if ((await orm.select({ id: jobs.id }).from(jobs).where(at)).length === 0) return { kind: 'no-job' }
        const [before] = await orm.select({ id: photos.id }).from(photos).where(eq(photos.id, id))
        if (before) return { kind: 'kept', id }
        const [held] = await orm.select({ n: count() }).from(photos).where(eq(photos.jobId, jobId))
        if ((held?.n ?? 0) >= MOST_KEPT) return { kind: 'too-many' }
        await orm.insert(photos).values({ id, jobId, takenAt: now().toISOString(), type, bytes })
        return { kind: 'kept', id }
      }),
    find: async (id) => {
      const [row] = await orm.select({ type: photos.type, bytes: photos.bytes }).from(photos).where(eq(photos.id, id))
      // The driver hands blobs out as array buffers.
      return row ? { type: row.type, bytes: Buffer.from(row.bytes) } : null
    },
    remove: async (id) => {
      const [photo] = await orm.select({ jobId: photos.jobId }).from(photos).where(eq(photos.id, id))
      if (!photo || (await isShown(photo.jobId, id))) return
      await write(async () => {
        await orm.delete(photos).where(eq(photos.id, id))
      })
    },
  }
}
