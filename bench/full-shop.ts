import path from 'node:path'
import { randomUUID } from 'node:crypto'
import { jobCard } from '../core/card/index.ts'
import { demoJobs } from '../core/demo/index.ts'
import { jobRevisions, jobs, openDatabase } from '../server/db/index.ts'

/** Fills a database with so many jobs, their cards worked out, as a shop of some years has them. */
export async function fillShop(root: string, file: string, count: number): Promise<readonly string[]> {
  const database = await openDatabase(file, path.join(root, 'server/db/migrations'))
  const made = demoJobs().map((job) => ({ job, document: JSON.stringify(job), card: JSON.stringify(jobCard(job)) }))
  const ids: string[] = []
  for (let from = 0; from < count; from += 100) {
    const rows = Array.from({ length: Math.min(100, count - from) }, (_, i) => {
      const { job, document, card } = made[(from + i) % made.length]!
      const id = randomUUID()
      ids.push(id)
      const ticket = `J-${String(from + i).padStart(5, '0')}`
      const savedAt = new Date(Date.UTC(2026, 0, 1) + (from + i) * 60_000).toISOString()
      return { id, ticket, title: job.title, customer: job.customer, revision: 1, savedAt, document, card }
    })
    await database.orm.insert(jobs).values(rows)
    await database.orm
      .insert(jobRevisions)
      .values(rows.map(({ id, savedAt, document }) => ({ jobId: id, revision: 1, savedAt, reason: 'bench', document })))
  }
  await database.close()
  return ids
}
