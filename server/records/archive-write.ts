import { createHash } from 'node:crypto'
import { createWriteStream, rmSync } from 'node:fs'
import { once } from 'node:events'
import { createClient, type InValue, type Transaction } from '@libsql/client'
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate'
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, type ArchiveManifest } from '../../contract/index.ts'
import { unpacked } from '../jobs/packing.ts'
import { LISTS_OF_THE_SHOP } from './archive-lists.ts'
import { readArchive } from './archive-read.ts'

/** A job's history goes on in a further file of the archive beyond so many characters. */
const A_PART = 8_000_000
const ROWS_AT_ONCE = 100

/**
 * Writes everything the shop has, as it stands at one moment, into an archive file, and reads the file back against its
 * sums before it counts as made. @throws Error when it cannot be written or does not read back; the file is gone then.
 */
export async function writeCheckedArchive(databaseFile: string, now: Date, into: string): Promise<void> {
  const client = createClient({ url: `file:${databaseFile}` })
  try {
    const snapshot = await client.transaction('read')
    await writeArchive(snapshot, now, into)
    snapshot.close()
    await readArchive(into, () => undefined)
  } catch (error) {
    rmSync(into, { force: true })
    throw error
  } finally {
    client.close()
  }
}

async function writeArchive(db: Transaction, now: Date, into: string): Promise<void> {
  const file = createWriteStream(into, { mode: 0o600 })
  const failed: Error[] = []
  file.on('error', (error) => failed.push(error))
  const zip = new Zip((error, chunk) => (error ? failed.push(error) : file.write(chunk)))
  const sums: ArchiveManifest['files'] = {}
  const rows = async (sql: string, args: InValue[] = []) => (await db.execute({ sql, args })).rows

  async function put(name: string, bytes: Uint8Array, isPacked = false): Promise<void> {
    sums[name] = createHash('sha256').update(bytes).digest('hex')
    const entry = isPacked ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 })
    zip.add(entry)
    entry.push(bytes, true)
    if (failed[0]) throw failed[0]
    if (file.writableNeedDrain) await Promise.race([once(file, 'drain'), once(file, 'error')])
  }
  const text = (json: string) => new TextEncoder().encode(json)

  const [settings] = await rows('SELECT document FROM shop')
  await put('shop/settings.json', text(String(settings!['document'])))
  for (const { name, table, order } of LISTS_OF_THE_SHOP) {
    const list = await rows(`SELECT document FROM ${table} ORDER BY ${order}`)
    await put(name, text(`[${list.map((r) => String(r['document'])).join(',')}]`))
  }
  for (const { id } of await rows('SELECT id FROM jobs WHERE coming_with IS NULL ORDER BY ticket'))
    await putJob(String(id))
  for (const { id } of await rows('SELECT id FROM photos')) {
    const [photo] = await rows('SELECT job_id, taken_at, type, bytes FROM photos WHERE id = ?', [id!])
    const { job_id: jobId, taken_at: takenAt, type, bytes } = photo!
    await put(`photos/${String(id)}.json`, text(JSON.stringify({ id, jobId, takenAt, type })))
    await put(`photos/${String(id)}.bin`, new Uint8Array(bytes as ArrayBuffer), true)
  }
  const shopName = (JSON.parse(String(settings!['document'])) as { shopName?: string }).shopName ?? ''
  const manifest: ArchiveManifest = {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    shopName,
    savedAt: now.toISOString(),
    files: sums,
  }
  await put('manifest.json', text(JSON.stringify(manifest)))
  zip.end()
  file.end()
  await once(file, 'close')
  if (failed[0]) throw failed[0]

  async function putJob(id: string): Promise<void> {
    let [part, length, parts] = [[] as string[], 0, 0]
    const end = async () => {
      parts++
      await put(
        `jobs/${id}${parts > 1 ? `.${parts}` : ''}.json`,
        text(`{"id":"${id}","revisions":[${part.join(',')}]}`),
      )
      ;[part, length] = [[], 0]
    }
    const chapters = new Map<number, string>()
    for (let after = 0; ;) {
      const some = await rows(
        'SELECT * FROM job_revisions WHERE job_id = ? AND revision > ? ORDER BY revision LIMIT ?',
        [id, after, ROWS_AT_ONCE],
      )
      for (const { revision, saved_at: savedAt, reason, document, packed, packed_on: packedOn } of some) {
        if (packed === null) chapters.set(Number(revision), String(document))
        const job =
          packed === null ? document : unpacked(new Uint8Array(packed as ArrayBuffer), chapters.get(Number(packedOn))!)
        const one = JSON.stringify({ revision, savedAt, reason, job: null }).replace(/null}$/, () => `${String(job)}}`)
        if (length + one.length > A_PART && part.length > 0) await end()
        part.push(one)
        length += one.length
      }
      if (some.length < ROWS_AT_ONCE) return end()
      after = Number(some.at(-1)!['revision'])
    }
  }
}
