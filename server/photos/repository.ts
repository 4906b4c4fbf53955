import { randomUUID } from 'node:crypto'
import { count, eq } from 'drizzle-orm'
import { MOST_PHOTOS } from '../../contract/index.ts'
import { jobs, photos, type Database } from '../db/index.ts'

export type KeepOutcome = { readonly kind: 'kept'; readonly id: string } | { readonly kind: 'no-job' } | { readonly kind: 'too-many' }

export interface PhotosRepository {
  readonly keep: (jobId: string, type: string, bytes: Buffer) => Promise<KeepOutcome>
  readonly find: (id: string) => Promise<{ readonly type: string; readonly bytes: Buffer } | null>
  readonly remove: (id: string) => Promise<void>
}

export function photosRepository({ orm, write }: Database, now: () => Date): PhotosRepository {
  return {
    keep: (jobId, type, bytes) =>
      write(async () => {
        if ((await orm.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId))).length === 0) return { kind: 'no-job' }
        const [held] = await orm.select({ n: count() }).from(photos).where(eq(photos.jobId, jobId))
        if ((held?.n ?? 0) >= MOST_PHOTOS) return { kind: 'too-many' }
        const id = randomUUID()
        await orm.insert(photos).values({ id, jobId, takenAt: now().toISOString(), type, bytes })
        return { kind: 'kept', id }
      }),
    find: async (id) => {
      const [row] = await orm.select({ type: photos.type, bytes: photos.bytes }).from(photos).where(eq(photos.id, id))
      // The driver hands blobs out as array buffers.
      return row ? { type: row.type, bytes: Buffer.from(row.bytes) } : null
    },
    remove: (id) =>
      write(async () => {
        await orm.delete(photos).where(eq(photos.id, id))
      }),
  }
}
