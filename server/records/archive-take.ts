import { eq, max } from 'drizzle-orm'
import type { Job } from '../../contract/index.ts'
import { jobCard } from '../../core/card/index.ts'
import { cloths, foamStock, grades, jobRevisions, jobs, photos, stockMoves, trims, type Database } from '../db/index.ts'
import { archivedJob, archivedList, archivedPhoto, ArchiveFault, readArchive, type ArchivedJob, type ListName } from './archive-read.ts'
import { imageType } from '../photos/image-type.ts'

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

const TABLES = { 'shop/grades.json': grades, 'shop/cloths.json': cloths, 'shop/foam-stock.json': foamStock, 'shop/trims.json': trims } as const

/** Reads the whole archive and says what taking it in would do; changes nothing. */
export async function lookIntoArchive({ orm }: Database, file: string): Promise<Found> {
  const here = new Map((await orm.select({ id: jobs.id, savedAt: jobs.savedAt }).from(jobs)).map((j) => [j.id, j.savedAt]))
  let [all, newJobs, newerJobs, pictures, things] = [0, 0, 0, 0, 0]
  const manifest = await readArchive(file, async (name, bytes) => {
    if (name.startsWith('jobs/')) {
      const job = archivedJob(name, bytes)
      all++
      if (!here.has(job.id)) newJobs++
      else if (here.get(job.id)! < newestOf(job).savedAt) newerJobs++
      return
    }
    if (/^photos\/.*\.json$/.test(name)) {
      archivedPhoto(name, bytes)
      pictures++
    } else if (name.startsWith('photos/') && imageType(bytes) === null) throw new ArchiveFault(`${name} is no picture. Nothing was changed.`)
    const list = archivedList(name, bytes)
    const table = TABLES[name as keyof typeof TABLES]
    if (list && table) {
      const ids = new Set((await orm.select({ id: table.id }).from(table)).map((r) => r.id))
      things += list.filter((x) => !ids.has(x.id)).length
    }
  })
  return { shopName: manifest.shopName, savedAt: manifest.savedAt, jobs: all, newJobs, newerJobs, photos: pictures, things }
}

/**
 * Takes in what is not here yet, in one transaction: new jobs with their history, jobs saved later
 * as a new revision on top, things of the shop by their id. What is here is never overwritten.
 */
export async function takeArchive(database: Database, file: string, told: (share: number) => void): Promise<void> {
  await database.write(() =>
    database.orm.transaction(async (tx) => {
      const info = new Map<string, ReturnType<typeof archivedPhoto>>()
      const bodies = new Map<string, Buffer>()
      const keepPhoto = async (id: string): Promise<void> => {
        const [meta, bytes] = [info.get(id), bodies.get(id)]
        if (!meta || !bytes) return
        await tx.insert(photos).values({ ...meta, bytes }).onConflictDoNothing()
        bodies.delete(id)
      }
      await readArchive(
        file,
        async (name, bytes) => {
          const id = name.replace(/^photos\/(.*)\.\w+$/, '$1')
          if (name.startsWith('jobs/')) return takeJob(tx, archivedJob(name, bytes))
          if (/^photos\/.*\.json$/.test(name)) {
            info.set(id, archivedPhoto(name, bytes))
            return keepPhoto(id)
          }
          if (name.startsWith('photos/')) {
            bodies.set(id, bytes)
            return keepPhoto(id)
          }
          const list = archivedList(name, bytes)
          if (list) await takeList(tx, name as ListName, list)
        },
        told,
      )
    }),
  )
}

type Transaction = Parameters<Parameters<Database['orm']['transaction']>[0]>[0]

const newestOf = (job: ArchivedJob) => job.revisions.reduce((a, b) => (b.revision > a.revision ? b : a))

async function takeJob(tx: Transaction, archived: ArchivedJob): Promise<void> {
  const newest = newestOf(archived)
  const job = newest.job as Job
  const row = { ticket: job.ticket, title: job.title, customer: job.customer, savedAt: newest.savedAt, document: JSON.stringify(job), card: JSON.stringify(jobCard(job)) }
  const [here] = await tx.select({ revision: jobs.revision, savedAt: jobs.savedAt }).from(jobs).where(eq(jobs.id, archived.id))
  if (!here) {
    await tx.insert(jobs).values({ ...row, id: archived.id, revision: newest.revision })
    await tx.insert(jobRevisions).values(archived.revisions.map((r) => ({ jobId: archived.id, revision: r.revision, savedAt: r.savedAt, reason: r.reason, document: JSON.stringify(r.job) })))
  } else if (here.savedAt < newest.savedAt) {
    const revision = here.revision + 1
    await tx.update(jobs).set({ ...row, revision }).where(eq(jobs.id, archived.id))
    await tx.insert(jobRevisions).values({ jobId: archived.id, revision, savedAt: newest.savedAt, reason: 'from an archive', document: row.document })
  }
}

async function takeList(tx: Transaction, name: ListName, list: readonly { readonly id: string }[]): Promise<void> {
  if (name === 'shop/stock-moves.json') {
    for (const move of list as readonly { id: string; at: string; jobId: string | null }[]) await tx.insert(stockMoves).values({ id: move.id, at: move.at, jobId: move.jobId, document: JSON.stringify(move) }).onConflictDoNothing()
    return
  }
  const table = TABLES[name]
  const [last] = await tx.select({ place: max(table.place) }).from(table)
  for (const [i, thing] of list.entries()) await tx.insert(table).values({ id: thing.id, place: (last?.place ?? -1) + 1 + i, document: JSON.stringify(thing) }).onConflictDoNothing()
}
