import { mkdirSync } from 'node:fs'
import path from 'node:path'
import { createClient, type Client } from '@libsql/client'
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
  readonly close: () => Promise<void>
}

/** Opens (or makes) the database file, in WAL mode, and brings its tables up to date. */
export async function openDatabase(file: string, migrations: string): Promise<Database> {
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true })
  const client: Client = createClient({ url: `file:${path.resolve(file)}` })
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
  return {
    orm,
    write,
    close: async () => {
      await last
      client.close()
    },
  }
}
