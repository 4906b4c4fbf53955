import { createHash } from 'node:crypto'
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate'
import { asc, eq } from 'drizzle-orm'
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, type ArchiveManifest } from '../../contract/index.ts'
import { cloths, foamStock, grades, jobRevisions, jobs, photos, shop, stockMoves, trims, type Database } from '../db/index.ts'

/** Lists of the shop as they lie in an archive. */
export const LISTS = { grades, cloths, 'foam-stock': foamStock, trims } as const

/** Writes everything the shop has into one archive, piece by piece. `drained` holds the writer while the reader is slow. */
export async function writeArchive({ orm }: Database, shopName: string, now: Date, write: (chunk: Uint8Array) => void, drained: () => Promise<void>): Promise<void> {
  const sums: ArchiveManifest['files'] = {}
  const failed: Error[] = []
  const zip = new Zip((error, chunk) => (error ? failed.push(error) : write(chunk)))
  async function put(name: string, bytes: Uint8Array, isPacked = false): Promise<void> {
    sums[name] = createHash('sha256').update(bytes).digest('hex')
    const entry = isPacked ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 })
    zip.add(entry)
    entry.push(bytes, true)
    if (failed[0]) throw failed[0]
    await drained()
  }
  const text = (value: unknown) => new TextEncoder().encode(JSON.stringify(value))
  const document = (row: { document: string }) => JSON.parse(row.document) as unknown

  await put('shop/settings.json', text((await orm.select().from(shop)).map(document)[0]))
  for (const [name, table] of Object.entries(LISTS)) await put(`shop/${name}.json`, text((await orm.select().from(table).orderBy(asc(table.place))).map(document)))
  await put('shop/stock-moves.json', text((await orm.select().from(stockMoves).orderBy(asc(stockMoves.at))).map(document)))
  for (const { id } of await orm.select({ id: jobs.id }).from(jobs)) {
    const revisions = await orm.select().from(jobRevisions).where(eq(jobRevisions.jobId, id)).orderBy(asc(jobRevisions.revision))
    await put(`jobs/${id}.json`, text({ id, revisions: revisions.map((r) => ({ revision: r.revision, savedAt: r.savedAt, reason: r.reason, job: document(r) })) }))
  }
  for (const { id } of await orm.select({ id: photos.id }).from(photos)) {
    const [photo] = await orm.select().from(photos).where(eq(photos.id, id))
    if (!photo) continue
    await put(`photos/${id}.json`, text({ id, jobId: photo.jobId, takenAt: photo.takenAt, type: photo.type }))
    await put(`photos/${id}.bin`, new Uint8Array(photo.bytes), true)
  }
  const manifest: ArchiveManifest = { format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, shopName, savedAt: now.toISOString(), files: sums }
  await put('manifest.json', text(manifest))
  zip.end()
}
