import { createHash } from 'node:crypto'
import { promisify } from 'node:util'
import { open as openZipCallback, type Entry, type Options, type ZipFile } from 'yauzl'
import { z } from 'zod'
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, ArchiveManifest, Cloth, FoamStock, Grade, migrateCloth, migrateGrade, readJob, StockMove, Trim } from '../../contract/index.ts'

const openZip = promisify<string, Options, ZipFile>(openZipCallback)

export const ArchivedJob = z.strictObject({ id: z.uuid(), revisions: z.array(z.strictObject({ revision: z.int().min(1), savedAt: z.iso.datetime(), reason: z.string().max(200), job: z.unknown() })).min(1) })
export type ArchivedJob = z.infer<typeof ArchivedJob>
export const ArchivedPhoto = z.strictObject({ id: z.uuid(), jobId: z.string(), takenAt: z.string(), type: z.enum(['image/jpeg', 'image/png', 'image/webp']) })

/** What went wrong with an archive, in words. */
export class ArchiveFault extends Error {}

const CUT_OFF = 'The archive is cut off or damaged. Nothing was changed; copy it once more from where it was saved.'
/** One file of an archive; a job with a long history is large. */
const LARGEST_ENTRY = 64 * 1024 * 1024

/** Reads an archive file by file; each is held against its sum. */
export async function readArchive(file: string, visit: (name: string, bytes: Buffer) => Promise<void> | void, told: (share: number) => void = () => undefined): Promise<ArchiveManifest> {
  const entries = await entriesOf(file)
  const manifestEntry = entries.find((e) => e.fileName === 'manifest.json')
  if (!manifestEntry) throw new ArchiveFault('This file is no archive of this program: it has no table of contents.')
  const zip = await openZip(file, { lazyEntries: true, autoClose: false }).catch(() => Promise.reject(new ArchiveFault(CUT_OFF)))
  try {
    const manifest = parseManifest(await bytesOf(zip, manifestEntry))
    const listed = entries.filter((e) => e.fileName !== 'manifest.json')
    const missing = Object.keys(manifest.files).filter((name) => !listed.some((e) => e.fileName === name))
    if (missing.length > 0) throw new ArchiveFault(CUT_OFF)
    for (const [i, entry] of listed.entries()) {
      const bytes = await bytesOf(zip, entry)
      if (createHash('sha256').update(bytes).digest('hex') !== manifest.files[entry.fileName]) throw new ArchiveFault(`${CUT_OFF} (${entry.fileName})`)
      await visit(entry.fileName, bytes)
      told((i + 1) / listed.length)
    }
    return manifest
  } finally {
    zip.close()
  }
}

function parseManifest(bytes: Buffer): ArchiveManifest {
  const document = json(bytes, 'manifest.json') as { format?: unknown; version?: unknown }
  if (document?.format !== ARCHIVE_FORMAT) throw new ArchiveFault('This file is no archive of this program.')
  if (typeof document.version === 'number' && document.version > ARCHIVE_VERSION) throw new ArchiveFault('This archive was written by a newer release: update, then take it in.')
  const read = ArchiveManifest.safeParse(document)
  if (!read.success) throw new ArchiveFault(`The table of contents is not sound: ${read.error.issues[0]!.message}.`)
  return read.data
}

async function entriesOf(file: string): Promise<readonly Entry[]> {
  const zip = await openZip(file, { lazyEntries: false, autoClose: true }).catch(() => Promise.reject(new ArchiveFault(CUT_OFF)))
  const entries: Entry[] = []
  zip.on('entry', (e: Entry) => entries.push(e))
  await new Promise<void>((resolve, reject) => {
    zip.once('end', resolve)
    zip.once('error', () => reject(new ArchiveFault(CUT_OFF)))
  })
  return entries
}

function bytesOf(zip: ZipFile, entry: Entry): Promise<Buffer> {
  if (entry.uncompressedSize > LARGEST_ENTRY) return Promise.reject(new ArchiveFault(`${entry.fileName} is larger than anything this program writes.`))
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) => {
      if (error || !stream) return reject(new ArchiveFault(CUT_OFF))
      const parts: Buffer[] = []
      stream.on('data', (part: Buffer) => parts.push(part))
      stream.once('end', () => resolve(Buffer.concat(parts)))
      stream.once('error', () => reject(new ArchiveFault(CUT_OFF)))
    })
  })
}

function json(bytes: Buffer, name: string): unknown {
  try {
    return JSON.parse(bytes.toString('utf8'))
  } catch {
    throw new ArchiveFault(`${name} is not JSON. Nothing was changed.`)
  }
}

const refuse = (name: string, says: string): never => {
  throw new ArchiveFault(`${name}: ${says}. Nothing was changed.`)
}

/** A job of an archive, its every revision read as this release reads jobs. */
export function archivedJob(name: string, bytes: Buffer): ArchivedJob {
  const read = ArchivedJob.safeParse(json(bytes, name))
  if (!read.success) return refuse(name, read.error.issues[0]!.message)
  const revisions = read.data.revisions.map((r) => {
    const job = readJob(r.job)
    return job.ok ? { ...r, job: job.value } : refuse(name, `revision ${r.revision}, ${job.faults[0]!.path} ${job.faults[0]!.message}`)
  })
  return { id: read.data.id, revisions }
}

const LIST_READERS = {
  'shop/grades.json': (d: unknown) => Grade.parse(migrateGrade(d)),
  'shop/cloths.json': (d: unknown) => Cloth.parse(migrateCloth(d)),
  'shop/foam-stock.json': (d: unknown) => FoamStock.parse(d),
  'shop/trims.json': (d: unknown) => Trim.parse(d),
  'shop/stock-moves.json': (d: unknown) => StockMove.parse(d),
} as const
export type ListName = keyof typeof LIST_READERS

/** A list of the shop, or null for a file that is none. */
export function archivedList(name: string, bytes: Buffer): readonly { readonly id: string }[] | null {
  if (!(name in LIST_READERS)) return null
  const list = json(bytes, name)
  if (!Array.isArray(list)) return refuse(name, 'is no list')
  try {
    const read: (d: unknown) => { readonly id: string } = LIST_READERS[name as ListName]
    return list.map((d) => read(d))
  } catch (error) {
    return refuse(name, error instanceof z.ZodError ? `${error.issues[0]!.path.join('.')} ${error.issues[0]!.message}` : String(error))
  }
}

export function archivedPhoto(name: string, bytes: Buffer): z.infer<typeof ArchivedPhoto> {
  const read = ArchivedPhoto.safeParse(json(bytes, name))
  return read.success ? read.data : refuse(name, read.error.issues[0]!.message)
}
