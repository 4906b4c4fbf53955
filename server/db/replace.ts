import path from 'node:path'
import type { Client } from '@libsql/client'

/** Children after their parents. Who may come in, and what was set aside, belong to this file and not to its copies. */
const TABLES = [
  'jobs',
  'job_revisions',
  'grades',
  'cloths',
  'foam_stock',
  'trims',
  'stock_moves',
  'photos',
  'shop',
] as const

/**
 * Everything gives way to what another file with the same tables holds; all of it or nothing. Every job goes on with a
 * revision number above any it ever had here: a page that was open meanwhile can never mistake one for another.
 */
export async function replaceAll(client: Client, other: string, now: Date): Promise<void> {
  const columns = async (table: string) =>
    (await client.execute(`PRAGMA table_info(${table})`)).rows.map((r) => `"${String(r['name'])}"`).join(', ')
  const into = await Promise.all(
    TABLES.map(async (t) => `INSERT INTO main.${t} (${await columns(t)}) SELECT ${await columns(t)} FROM other.${t};`),
  )
  const statements = [
    `ATTACH DATABASE ${quoted(path.resolve(other))} AS other;`,
    'BEGIN IMMEDIATE;',
    RAISE_FLOORS,
    ...TABLES.toReversed().map((t) => `DELETE FROM main.${t};`),
    ...into,
    goOnAboveFloors(now),
    'COMMIT;',
    'DETACH DATABASE other;',
  ]
  try {
    await client.executeMultiple(statements.join('\n'))
  } catch (error) {
    // The other file hangs on the connection: with it goes the connection.
    await client.reconnect()
    throw error
  }
}

const RAISE_FLOORS = `INSERT INTO main.revision_floors (job_id, revision) SELECT id, revision FROM main.jobs WHERE true
  ON CONFLICT (job_id) DO UPDATE SET revision = max(revision, excluded.revision);`

const goOnAboveFloors = (now: Date): string => `
  UPDATE main.jobs SET
    revision = max(revision, coalesce((SELECT f.revision FROM main.revision_floors f WHERE f.job_id = id), 0)) + 1,
    saved_at = ${quoted(now.toISOString())};
  INSERT INTO main.job_revisions (job_id, revision, saved_at, reason, document)
    SELECT id, revision, saved_at, 'put back from a backup', document FROM main.jobs;`

const quoted = (text: string): string => `'${text.replaceAll("'", "''")}'`
