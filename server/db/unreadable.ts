import { isUtf8 } from 'node:buffer'
import { randomUUID } from 'node:crypto'
import type { Client, InStatement } from '@libsql/client'

/** The driver takes the whole program down on text that is no text: so none is left where it is read. */
const TEXTS: Readonly<Record<string, { readonly name: string; readonly columns: readonly string[] }>> = {
  jobs: { name: 'ticket', columns: ['id', 'ticket', 'title', 'customer', 'saved_at', 'document', 'card'] },
  job_revisions: { name: 'job_id', columns: ['job_id', 'saved_at', 'reason', 'document'] },
  grades: { name: 'id', columns: ['id', 'document'] },
  cloths: { name: 'id', columns: ['id', 'document'] },
  foam_stock: { name: 'id', columns: ['id', 'document'] },
  trims: { name: 'id', columns: ['id', 'document'] },
  stock_moves: { name: 'id', columns: ['id', 'at', 'job_id', 'document'] },
  shop: { name: 'id', columns: ['document'] },
  photos: { name: 'id', columns: ['id', 'job_id', 'taken_at', 'type'] },
}
const AT_ONCE = 400

/**
 * Takes rows whose text is not valid UTF-8 out of their tables, and keeps their bytes. A job goes on with its newest
 * readable revision; where it has none, its readable rows go out of the way with it. Nothing is thrown away.
 */
export async function setUnreadableAside(client: Client, now: Date): Promise<readonly string[]> {
  const told: string[] = []
  // Revisions first, so that what a job falls back on is readable.
  for (const table of ['job_revisions', ...Object.keys(TEXTS).filter((t) => t !== 'job_revisions')])
    for (const row of await brokenRows(client, table)) {
      await setAside(client, table, row, now)
      told.push(`${row.name} (${table}): ${row.why}`)
    }
  return told
}

interface Broken {
  readonly rowid: number
  readonly name: string
  readonly why: string
  /** The id itself is no text: nothing can refer to the row. */
  readonly isNameless: boolean
  readonly bytes: Buffer
}

async function brokenRows(client: Client, table: string): Promise<readonly Broken[]> {
  const { name, columns } = TEXTS[table]!
  const blobs = columns.map((c) => `CAST(${c} AS BLOB) AS ${c}`).join(', ')
  const found: Broken[] = []
  for (let after = -1; ;) {
    const { rows } = await client.execute({
      sql: `SELECT rowid AS row_number, ${blobs} FROM ${table} WHERE rowid > ? ORDER BY rowid LIMIT ${AT_ONCE}`,
      args: [after],
    })
    for (const row of rows) {
      const bytesOf = (column: string) => Buffer.from((row[column] as ArrayBuffer | null) ?? new ArrayBuffer(0))
      const broken = columns.filter((c) => !isUtf8(bytesOf(c)))
      if (broken.length > 0)
        found.push({
          rowid: Number(row['row_number']),
          name: bytesOf(name).toString('utf8').slice(0, 80),
          why: `text that is not valid in ${broken.join(', ')}`,
          isNameless: broken.includes('id'),
          bytes: bytesOf(broken.at(-1)!),
        })
    }
    if (rows.length < AT_ONCE) return found
    after = Number(rows.at(-1)!['row_number'])
  }
}

async function setAside(client: Client, table: string, row: Broken, now: Date): Promise<void> {
  const { rowid, name, why, bytes } = row
  const keep: InStatement = {
    sql: 'INSERT INTO set_aside (id, at, stood_in, name, why, bytes) VALUES (?, ?, ?, ?, ?, ?)',
    args: [randomUUID(), now.toISOString(), table, name, why, bytes],
  }
  await client.batch(
    [keep, ...(table === 'jobs' && !row.isNameless ? [rebuiltJob(rowid)] : [outOf(table, rowid)])],
    'write',
  )
}

const outOf = (table: string, rowid: number): InStatement => ({
  sql: `DELETE FROM ${table} WHERE rowid = ?`,
  args: [rowid],
})

/** The job's names and document as its newest readable revision has them; without one the job is out of sight. */
function rebuiltJob(rowid: number): InStatement {
  const newest = (what: string) =>
    `(SELECT ${what} FROM job_revisions r WHERE r.job_id = jobs.id AND r.packed IS NULL ORDER BY r.revision DESC LIMIT 1)`
  const named = (what: string) => `${what} = coalesce(${newest(`document ->> '$.${what}'`)}, '')`
  return {
    sql: `UPDATE jobs SET card = NULL, coming_with = CASE WHEN ${newest('1')} IS NULL THEN '${SET_ASIDE}' ELSE coming_with END,
      saved_at = coalesce(${newest('saved_at')}, ''), document = coalesce(${newest('document')}, '{}'),
      ${named('ticket')}, ${named('title')}, ${named('customer')} WHERE rowid = ?`,
    args: [rowid],
  }
}

/** Such a job is shown nowhere, like one that is still coming. */
export const SET_ASIDE = 'set aside'
