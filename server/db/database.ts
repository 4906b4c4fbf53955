import { existsSync, mkdirSync, readdirSync, statSync } from 'node:fs'
import path from 'node:path'
import { createClient, type Client, type InValue } from '@libsql/client'
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql'
import { migrate } from 'drizzle-orm/libsql/migrator'
import * as tables from './tables.ts'

export interface Database {
  readonly orm: LibSQLDatabase<typeof tables>
  /**
   * Runs writes one after the other. SQLite takes one writer at a time, and the driver opens a
   * connection for each transaction, so that unqueued writers would meet "database is locked".
   */
  readonly write: <T>(work: () => Promise<T>) => Promise<T>
  /** One statement as it is, for what the mapper does not know. */
  readonly run: (sql: string, args: InValue[]) => Promise<void>
  /** Everything gives way to what another file with the same tables holds; all of it or nothing. */
  readonly replaceWith: (file: string) => Promise<void>
  readonly close: () => Promise<void>
}

/** Backups lie beside their database, each database's by themselves: `shop.db` has `shop-backups`. */
export const backupFolderOf = (file: string): string => path.join(path.dirname(path.resolve(file)), `${path.basename(file, path.extname(file))}-backups`)

/** How often what stands in the log beside the file is brought into the file itself. */
const INTO_THE_FILE_MS = 60_000

/**
 * Opens (or makes) the database file, in WAL mode, and brings its tables up to date. Every minute, and when it closes,
 * all that was written stands in the file itself, so that the file copied alone is the whole shop.
 * @throws Error in words where the file is damaged, or empty beside backups.
 */
export async function openDatabase(file: string, migrations: string): Promise<Database> {
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true })
  notEmptiedOrThrow(path.resolve(file))
  const client: Client = createClient({ url: `file:${path.resolve(file)}` })
  await soundOrThrow(client, file)
  await client.execute('PRAGMA journal_mode = WAL')
  await client.execute('PRAGMA synchronous = FULL')
  const orm = drizzle(client, { schema: tables })
  await migrate(orm, { migrationsFolder: migrations })
  let last: Promise<unknown> = Promise.resolve()
  const write = <T>(work: () => Promise<T>): Promise<T> => {
    const turn = last.then(work, work)
    last = turn.catch(() => undefined)
    return turn
  }
  const intoTheFile = async () => void (await client.execute('PRAGMA wal_checkpoint(TRUNCATE)'))
  const timer = setInterval(() => void write(intoTheFile).catch((error: unknown) => process.emitWarning(`the log was not brought into the database file: ${String(error)}`)), INTO_THE_FILE_MS)
  timer.unref()
  return {
    orm,
    write,
    run: async (sql, args) => void (await client.execute({ sql, args })),
    replaceWith: (other) => write(() => replaceAll(client, other)),
    close: async () => {
      clearInterval(timer)
      // What cannot be brought in now stands in the log, and is read from there at the next start.
      await write(intoTheFile).catch(() => undefined)
      client.close()
    },
  }
}

/** @throws Error in words when the file is there with nothing in it, while its backups hold a shop. */
function notEmptiedOrThrow(file: string): void {
  const holds = (f: string) => existsSync(f) && statSync(f).size > 0
  const backups = backupFolderOf(file)
  const kept = existsSync(backups) ? readdirSync(backups).filter((n) => n.endsWith('.db')).length : 0
  if (existsSync(file) && !holds(file) && !holds(`${file}-wal`) && kept > 0)
    throw new Error(`The database file ${file} is empty, and yet there are ${kept} backups of it. It was not touched: put a copy from ${backups} in its place, or take the empty file away to begin a new shop.`)
}

/** @throws Error in words when the file is damaged, before anything is written to it. */
async function soundOrThrow(client: Client, file: string): Promise<void> {
  const says = await client.execute('PRAGMA quick_check').then(
    (r) => String(r.rows[0]?.[0]),
    (error: unknown) => String(error instanceof Error ? error.message : error),
  )
  if (says !== 'ok') throw new Error(`The database file ${file} is damaged (${says.slice(0, 120)}). It was not touched: put a copy from ${backupFolderOf(file)} in its place.`)
}

/** Copies every table of the other file over, in one transaction. Children before parents as they go, after them as they come. */
async function replaceAll(client: Client, other: string): Promise<void> {
  const names = ['jobs', 'job_revisions', 'grades', 'cloths', 'foam_stock', 'trims', 'stock_moves', 'photos', 'shop', 'access']
  const out = names.toReversed().map((n) => `DELETE FROM main.${n};`)
  const columns = async (n: string) => (await client.execute(`PRAGMA table_info(${n})`)).rows.map((r) => `"${String(r['name'])}"`).join(', ')
  const into = await Promise.all(names.map(async (n) => `INSERT INTO main.${n} (${await columns(n)}) SELECT ${await columns(n)} FROM other.${n};`))
  await client.execute({ sql: 'ATTACH DATABASE ? AS other', args: [path.resolve(other)] })
  try {
    await client.executeMultiple(`BEGIN IMMEDIATE; ${[...out, ...into].join(' ')} COMMIT;`)
  } catch (error) {
    await client.execute('ROLLBACK').catch(() => undefined)
    throw error
  } finally {
    await client.execute('DETACH DATABASE other')
  }
}
