import { chmodSync, existsSync, statSync } from 'node:fs'
import path from 'node:path'
import { createClient, type Client } from '@libsql/client'
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql'
import { readMigrationFiles } from 'drizzle-orm/migrator'
import { migrate } from 'drizzle-orm/libsql/migrator'
import { soundOrThrow, startableOrThrow } from './start-checks.ts'
import * as tables from './tables.ts'
import { setUnreadableAside } from './unreadable.ts'
import { writeQueue } from './write-queue.ts'

export interface Database {
  readonly file: string
  readonly orm: LibSQLDatabase<typeof tables>
  /**
   * Runs writes one after the other, each waiting its turn and for a lock elsewhere; a work may be tried more than
   * once.
   */
  readonly write: <T>(work: () => Promise<T>) => Promise<T>
  /** The same for a write that is nobody's work: it counts for no backup. */
  readonly quietly: <T>(work: () => Promise<T>) => Promise<T>
  /** When something was written last, by the clock of this machine. */
  readonly lastWriteMs: () => number
  /** What this start found unreadable and set aside, in words. */
  readonly aside: readonly string[]
  readonly close: () => Promise<void>
}

export interface OpenOptions {
  /** Called before the tables of an older release are changed. */
  readonly beforeMigration?: (file: string) => Promise<void>
}

/** How often what stands in the log beside the file is brought into the file itself. */
const INTO_THE_FILE_MS = 60_000

/**
 * Opens (or makes) the database file, in WAL mode, and brings its tables up to date. Every minute, and when it closes,
 * all that was written stands in the file itself, so that the file copied alone is the whole shop.
 * @throws Error in words where the file is damaged, empty beside backups, or may not be written.
 */
export async function openDatabase(name: string, migrations: string, options: OpenOptions = {}): Promise<Database> {
  const file = path.resolve(name)
  startableOrThrow(file)
  const client: Client = createClient({ url: `file:${file}` })
  try {
    await soundOrThrow(client, file)
    await client.execute('PRAGMA journal_mode = WAL')
    const orm = drizzle(client, { schema: tables })
    const behind = await changesBehind(client, migrations)
    if (behind < 0)
      throw new Error(
        `The database file ${file} was written by a newer release. It was not touched: update this program, then start it again.`,
      )
    if (behind > 0) await options.beforeMigration?.(file)
    await migrate(orm, { migrationsFolder: migrations })
    for (const end of ['', '-wal', '-shm']) if (existsSync(file + end)) chmodSync(file + end, 0o600)
    const aside = await setUnreadableAside(client, new Date())
    return opened(file, client, orm, aside)
  } catch (error) {
    client.close()
    throw error
  }
}

function opened(file: string, client: Client, orm: Database['orm'], aside: readonly string[]): Database {
  const queue = writeQueue(() => client.reconnect())
  let lastWriteMs = statSync(file).mtimeMs
  const write: Database['write'] = (work) =>
    queue(async () => {
      lastWriteMs = Date.now()
      return work()
    })
  const intoTheFile = async () => void (await client.execute('PRAGMA wal_checkpoint(TRUNCATE)'))
  const timer = setInterval(
    () =>
      void queue(intoTheFile).catch((error: unknown) =>
        process.emitWarning(`the log was not brought into the database file: ${String(error)}`),
      ),
    INTO_THE_FILE_MS,
  )
  timer.unref()
  return {
    file,
    orm,
    write,
    quietly: queue,
    lastWriteMs: () => lastWriteMs,
    aside,
    close: async () => {
      clearInterval(timer)
      // What cannot be brought in now stands in the log, and is read from there at the next start.
      await queue(intoTheFile).catch(() => undefined)
      client.close()
    },
  }
}

/**
 * How many changes to its tables this release knows beyond those it has; fewer than none for a file of a newer one. A
 * new file is behind nothing.
 */
async function changesBehind(client: Client, migrations: string): Promise<number> {
  const { rows } = await client.execute("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'")
  if (rows.length === 0) return 0
  const done = await client.execute('SELECT count(*) FROM __drizzle_migrations')
  return readMigrationFiles({ migrationsFolder: migrations }).length - Number(done.rows[0]![0])
}
