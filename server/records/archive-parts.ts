import type { Client } from '@libsql/client'
import { imageType } from '../photos/image-type.ts'
import {
  archivedJob,
  archivedList,
  archivedPhoto,
  ArchiveFault,
  readArchive,
  type ArchivedJob,
  type ArchivedPhoto,
} from './archive-read.ts'

export interface Thing {
  readonly id: string
}

export interface Visits {
  readonly job: (job: ArchivedJob) => Promise<void> | void
  readonly photo: (photo: ArchivedPhoto, bytes: Buffer) => Promise<void> | void
  readonly list: (table: string, things: readonly Thing[]) => Promise<void> | void
}

/** Visits what an archive holds; a picture comes right after what is said of it. */
export function readParts(file: string, visits: Visits, told?: (share: number) => void) {
  const now = new Date()
  let said: { readonly name: string; readonly photo: ArchivedPhoto } | null = null
  return readArchive(
    file,
    async (name, bytes) => {
      const stem = name.replace(/\.\w+$/, '')
      if (name.startsWith('jobs/')) return visits.job(archivedJob(name, bytes, now))
      if (/^photos\/.*\.json$/.test(name)) {
        said = { name: stem, photo: archivedPhoto(name, bytes) }
      } else if (name.startsWith('photos/')) {
        if (said?.name !== stem || imageType(bytes) === null)
          throw new ArchiveFault(`${name} is no picture. Nothing was changed.`)
        await visits.photo(said.photo, bytes)
      } else {
        const list = archivedList(name, bytes)
        if (list) await visits.list(list.table, list.things)
      }
    },
    told,
  )
}

/** When each job of this shop was saved last, by its id. */
export async function jobsHere(client: Client): Promise<ReadonlyMap<string, string>> {
  const { rows } = await client.execute('SELECT id, saved_at FROM jobs')
  return new Map(rows.map((r) => [String(r['id']), String(r['saved_at'])]))
}
