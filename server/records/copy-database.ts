import { chmodSync, closeSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs'
import path from 'node:path'
import { createClient } from '@libsql/client'

/**
 * Copies a database while it is in use: by SQLite itself, under another name until the copy is whole and was looked
 * into. A copy that was cut off is never taken for one.
 * @throws Error when the copy is not sound; nothing is left of it.
 */
export async function copyDatabase(databaseFile: string, into: string): Promise<void> {
  const partial = `${into}.partial`
  rmSync(partial, { force: true })
  try {
    await withClient(databaseFile, (client) => client.execute({ sql: 'VACUUM INTO ?', args: [partial] }))
    chmodSync(partial, 0o600)
    // Who may come in belongs to the shop itself, not to its copies; older releases kept it in the database.
    await withClient(partial, (client) => client.executeMultiple('PRAGMA secure_delete = ON; DELETE FROM access;'))
    const says = await withClient(partial, (client) => client.execute('PRAGMA quick_check'))
    if (says.rows[0]?.[0] !== 'ok') throw new Error(`the copy is not sound: ${String(says.rows[0]?.[0])}`)
    toDisk(partial)
    renameSync(partial, into)
    toDisk(path.dirname(into))
  } finally {
    for (const end of ['', '-wal', '-shm', '-journal']) rmSync(`${partial}${end}`, { force: true })
  }
}

async function withClient<T>(file: string, use: (client: ReturnType<typeof createClient>) => Promise<T>): Promise<T> {
  const client = createClient({ url: `file:${file}` })
  try {
    return await use(client)
  } finally {
    client.close()
  }
}

function toDisk(file: string): void {
  const handle = openSync(file, 'r')
  fsyncSync(handle)
  closeSync(handle)
}
