import { createClient } from '@libsql/client'
import { jobsHere, readParts } from './archive-parts.ts'
import type { ArchivedRevision } from './archive-read.ts'

export interface Found {
  readonly shopName: string
  readonly savedAt: string
  readonly jobs: number
  /** Not here at all; here, but saved later in the archive. */
  readonly newJobs: number
  readonly newerJobs: number
  readonly photos: number
  readonly things: number
}

/** Reads the whole archive and says what taking it in would do; changes nothing. */
export async function lookIntoArchive(databaseFile: string, file: string): Promise<Found> {
  const client = createClient({ url: `file:${databaseFile}` })
  try {
    const here = await jobsHere(client)
    const newest = new Map<string, string>()
    let [pictures, things] = [0, 0]
    const manifest = await readParts(file, {
      job: ({ id, revisions }) => {
        newest.set(id, newestOf(revisions, newest.get(id) ?? ''))
      },
      photo: () => void pictures++,
      list: async (table, list) => {
        if (table === 'stock_moves') return
        const ids = new Set((await client.execute(`SELECT id FROM ${table}`)).rows.map((r) => String(r['id'])))
        things += list.filter((x) => !ids.has(x.id)).length
      },
    })
    const isNewer = ([id, savedAt]: [string, string]) => here.has(id) && here.get(id)! < savedAt
    return {
      shopName: manifest.shopName,
      savedAt: manifest.savedAt,
      jobs: newest.size,
      newJobs: [...newest.keys()].filter((id) => !here.has(id)).length,
      newerJobs: [...newest].filter(isNewer).length,
      photos: pictures,
      things,
    }
  } finally {
    client.close()
  }
}

const newestOf = (revisions: readonly ArchivedRevision[], before: string): string =>
  revisions.reduce((newest, r) => (r.savedAt > newest ? r.savedAt : newest), before)
