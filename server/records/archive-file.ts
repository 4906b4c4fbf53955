import { createHash } from 'node:crypto'
import { promisify } from 'node:util'
import { open as openZipCallback, type Entry, type Options, type ZipFile } from 'yauzl'
import { ArchiveFault, CUT_OFF } from './archive-fault.ts'

const openZip = promisify<string, Options, ZipFile>(openZipCallback)

/** Limits of an archive, the same for what is written and what is read. */
const LARGEST_TEXT = 16 * 1024 * 1024
const LARGEST_PHOTO = 3 * 1024 * 1024
const MOST_ENTRIES = 200_000
const LARGEST_IN_ALL = 8 * 1024 * 1024 * 1024
/** Text of the same job over and over packs a hundredfold; what packs better than this was made to harm. */
const HIGHEST_RATIO = 1100

export interface ZipEntries {
  readonly names: readonly string[]
  /** The bytes of one file, and the sum over them. */
  readonly read: (name: string) => Promise<{ readonly bytes: Buffer; readonly sha256: string }>
  readonly close: () => void
}

/** Opens a zip file whose entries are within the limits. @throws ArchiveFault in words where they are not. */
export async function openEntries(file: string): Promise<ZipEntries> {
  const options: Options = { lazyEntries: true, autoClose: false }
  const zip = await openZip(file, options).catch(() => Promise.reject(new ArchiveFault(CUT_OFF)))
  try {
    const entries = await entriesOf(zip)
    return { names: [...entries.keys()], read: (name) => bytesOf(zip, entries.get(name)!), close: () => zip.close() }
  } catch (error) {
    zip.close()
    throw error
  }
}

async function entriesOf(zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  if (zip.entryCount > MOST_ENTRIES)
    throw new ArchiveFault(`It holds more than ${MOST_ENTRIES} files. Nothing was changed.`)
  const entries = new Map<string, Entry>()
  let inAll = 0
  await new Promise<void>((resolve, reject) => {
    const refuse = (says: string) => reject(new ArchiveFault(says))
    zip.on('entry', (entry: Entry) => {
      const { fileName, uncompressedSize, compressedSize } = entry
      inAll += uncompressedSize
      if (entries.has(fileName)) return refuse(`It holds ${fileName} twice. Nothing was changed.`)
      if (uncompressedSize > (fileName.endsWith('.bin') ? LARGEST_PHOTO : LARGEST_TEXT) || inAll > LARGEST_IN_ALL)
        return refuse(`${fileName} is larger than anything this program writes. Nothing was changed.`)
      if (uncompressedSize > HIGHEST_RATIO * (compressedSize + 64))
        return refuse(`${fileName} is packed in a way this program does not write. Nothing was changed.`)
      entries.set(fileName, entry)
      zip.readEntry()
    })
    zip.once('end', resolve)
    zip.once('error', () => refuse(CUT_OFF))
    zip.readEntry()
  })
  return entries
}

function bytesOf(zip: ZipFile, entry: Entry): ReturnType<ZipEntries['read']> {
  return new Promise((resolve, reject) => {
    const cutOff = () => reject(new ArchiveFault(`${CUT_OFF} (${entry.fileName})`))
    zip.openReadStream(entry, (error, stream) => {
      if (error || !stream) return cutOff()
      const sum = createHash('sha256')
      const parts: Buffer[] = []
      stream.on('data', (part: Buffer) => {
        sum.update(part)
        parts.push(part)
      })
      stream.once('end', () => resolve({ bytes: Buffer.concat(parts), sha256: sum.digest('hex') }))
      stream.once('error', cutOff)
    })
  })
}
