import { readFileSync } from 'node:fs'
import path from 'node:path'
import { createClient } from '@libsql/client'
import type { BackupContents } from '../../contract/index.ts'

// Run apart from the shop: `node look-worker FILE MIGRATIONS` prints what the file holds, as JSON.
const [file, migrations] = process.argv.slice(2) as [string, string]
process.stdout.write(JSON.stringify(await look(file, migrations)))

async function look(databaseFile: string, folder: string): Promise<BackupContents> {
  const client = createClient({ url: `file:${path.resolve(databaseFile)}` })
  try {
    const one = async (sql: string) => (await client.execute(sql)).rows[0]?.[0]
    const check = String(await one('PRAGMA quick_check'))
    if (check !== 'ok') return { kind: 'damaged', why: check.slice(0, 200) }
    const has = async (table: string) =>
      (await client.execute({ sql: "SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?", args: [table] }))
        .rows.length > 0
    if (!(await has('jobs')) || !(await has('shop')))
      return { kind: 'damaged', why: 'it is no database of this program' }
    const count = async (table: string) => ((await has(table)) ? Number(await one(`SELECT count(*) FROM ${table}`)) : 0)
    const settings = JSON.parse(String((await one('SELECT document FROM shop')) ?? '{}')) as { shopName?: string }
    const newest = await one('SELECT max(saved_at) FROM jobs')
    const known = (JSON.parse(readFileSync(path.join(folder, 'meta/_journal.json'), 'utf8')) as { entries: unknown[] })
      .entries.length
    return {
      kind: 'sound',
      shopName: settings.shopName ?? '',
      jobs: await count('jobs'),
      revisions: await count('job_revisions'),
      cloths: await count('cloths'),
      photos: await count('photos'),
      newestSave: newest === null || newest === undefined ? null : String(newest),
      newer: (await count('__drizzle_migrations')) > known,
    }
  } catch (error) {
    return { kind: 'damaged', why: error instanceof Error ? error.message.slice(0, 200) : String(error) }
  } finally {
    client.close()
  }
}
