import { z } from 'zod'
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, ArchiveManifest, readJob, type Job } from '../../contract/index.ts'
import { ArchiveFault, CUT_OFF } from './archive-fault.ts'
import { openEntries } from './archive-file.ts'
import { LISTS_OF_THE_SHOP } from './archive-lists.ts'

export { ArchiveFault } from './archive-fault.ts'

/** No job is saved so often; a higher number would leave no room for the next. */
const HIGHEST_REVISION = 1_000_000_000
const EARLIEST = '2000-01-01'

const ArchivedJob = z.strictObject({
  id: z.uuid(),
  revisions: z
    .array(
      z.strictObject({
        revision: z.int().min(1).max(HIGHEST_REVISION),
        savedAt: z.iso.datetime(),
        reason: z.string().max(200),
        job: z.unknown(),
      }),
    )
    .min(1),
})

export interface ArchivedRevision {
  readonly revision: number
  readonly savedAt: string
  readonly reason: string
  readonly job: Job
}
export interface ArchivedJob {
  readonly id: string
  /** Whether it goes on with what an earlier file of the archive began. */
  readonly goesOn: boolean
  readonly revisions: readonly ArchivedRevision[]
}

const ArchivedPhoto = z.strictObject({
  id: z.uuid(),
  jobId: z.string(),
  takenAt: z.string(),
  type: z.enum(['image/jpeg', 'image/png', 'image/webp']),
})
export type ArchivedPhoto = z.infer<typeof ArchivedPhoto>

/**
 * Reads an archive file by file, one at a time in memory; each is held against its sum. @throws ArchiveFault in words.
 */
export async function readArchive(
  file: string,
  visit: (name: string, bytes: Buffer) => Promise<void> | void,
  told: (share: number) => void = () => undefined,
): Promise<ArchiveManifest> {
  const zip = await openEntries(file)
  try {
    if (!zip.names.includes('manifest.json'))
      throw new ArchiveFault('This file is no archive of this program: it has no table of contents.')
    const manifest = parseManifest((await zip.read('manifest.json')).bytes)
    const sums = new Map(Object.entries(manifest.files))
    const listed = zip.names.filter((name) => name !== 'manifest.json')
    if (listed.length !== sums.size || listed.some((name) => !sums.has(name))) throw new ArchiveFault(CUT_OFF)
    for (const [i, name] of listed.entries()) {
      const { bytes, sha256 } = await zip.read(name)
      if (sha256 !== sums.get(name)) throw new ArchiveFault(`${CUT_OFF} (${name})`)
      await visit(name, bytes)
      told((i + 1) / listed.length)
    }
    return manifest
  } finally {
    zip.close()
  }
}

function parseManifest(bytes: Buffer): ArchiveManifest {
  const document = json(bytes, 'manifest.json') as { format?: unknown; version?: unknown } | null
  if (document?.format !== ARCHIVE_FORMAT) throw new ArchiveFault('This file is no archive of this program.')
  if (typeof document.version === 'number' && document.version > ARCHIVE_VERSION)
    throw new ArchiveFault('This archive was written by a newer release: update, then take it in.')
  const read = ArchiveManifest.safeParse(document)
  if (!read.success) throw new ArchiveFault(`The table of contents is not sound: ${read.error.issues[0]!.message}.`)
  return read.data
}

/** A job of an archive, or a further part of its history, each revision read as this release reads jobs. */
export function archivedJob(name: string, bytes: Buffer, now: Date): ArchivedJob {
  const read = ArchivedJob.safeParse(json(bytes, name))
  if (!read.success) return refuse(name, read.error.issues[0]!.message)
  const revisions = read.data.revisions.map((r) => {
    const job = readJob(r.job)
    return job.ok
      ? { ...r, savedAt: withinTime(r.savedAt, now), job: job.value }
      : refuse(name, `revision ${r.revision}, ${job.faults[0]!.path} ${job.faults[0]!.message}`)
  })
  return { id: read.data.id, goesOn: /\.\d+\.json$/.test(name), revisions }
}

/** A clock that was wrong elsewhere must not make a job the newest for ever. */
function withinTime(savedAt: string, now: Date): string {
  const latest = now.toISOString()
  return savedAt > latest || savedAt < EARLIEST ? latest : savedAt
}

/** A list of the shop, or null for a file that is none. */
export function archivedList(
  name: string,
  bytes: Buffer,
): { readonly table: string; readonly things: readonly { readonly id: string }[] } | null {
  const list = LISTS_OF_THE_SHOP.find((l) => l.name === name)
  if (!list) return null
  const things = json(bytes, name)
  if (!Array.isArray(things)) return refuse(name, 'is no list')
  try {
    return { table: list.table, things: things.map((d) => list.read(d)) }
  } catch (error) {
    return refuse(
      name,
      error instanceof z.ZodError ? `${error.issues[0]!.path.join('.')} ${error.issues[0]!.message}` : String(error),
    )
  }
}

/** What an archive says of a photo. @throws ArchiveFault in words where it is no such document. */
export function archivedPhoto(name: string, bytes: Buffer): ArchivedPhoto {
  const read = ArchivedPhoto.safeParse(json(bytes, name))
  return read.success ? read.data : refuse(name, read.error.issues[0]!.message)
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
