import { execFile } from 'node:child_process'
import { copyFileSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { BackupContents, type Backup } from '../../contract/index.ts'
import { backupFolderOf, openDatabase, type Database } from '../db/index.ts'

export interface Backups {
  readonly list: () => readonly Backup[]
  readonly make: () => Promise<Backup>
  readonly look: (name: string) => Promise<BackupContents | null>
  /** Puts a backup in the place of everything; what was there is backed up first. */
  readonly restore: (name: string) => Promise<RestoreOutcome>
  /** Makes one now if the last is a day old, and again every day. */
  readonly startDaily: () => void
  readonly stop: () => void
}

export type RestoreOutcome = { readonly kind: 'restored'; readonly before: Backup } | { readonly kind: 'unknown' } | { readonly kind: 'refused'; readonly why: string }

export interface BackupOptions {
  readonly databaseFile: string
  readonly migrations: string
  /** The script that looks into a file in a process of its own. */
  readonly lookWorker: URL
  readonly now: () => Date
}

const NAME = /^loft-seam-[\d-]{10}T[\d-]{8,12}Z\.db$/
const KEPT = 30
const A_DAY_MS = 86_400_000
const ASK_AGAIN_MS = 3_600_000
const LOOK_PATIENCE_MS = 30_000

/** Dated copies beside the database, made by SQLite itself while it runs. */
export function backupsOf(database: Database, { databaseFile, migrations, lookWorker, now }: BackupOptions): Backups {
  const folder = backupFolderOf(databaseFile)
  const fileOf = (name: string): string | null => (NAME.test(name) && list().some((b) => b.name === name) ? path.join(folder, name) : null)
  let timer: ReturnType<typeof setInterval> | undefined

  function list(): readonly Backup[] {
    mkdirSync(folder, { recursive: true })
    const names = readdirSync(folder).filter((n) => NAME.test(n))
    return names.map((name) => ({ name, savedAt: savedAt(name), bytes: statSync(path.join(folder, name)).size })).toSorted((a, b) => b.savedAt.localeCompare(a.savedAt))
  }

  async function make(): Promise<Backup> {
    mkdirSync(folder, { recursive: true })
    const name = `loft-seam-${now().toISOString().replaceAll(/[:.]/g, '-')}.db`
    await database.write(() => database.run('VACUUM INTO ?', [path.join(folder, name)]))
    list().slice(KEPT).forEach((old) => rmSync(path.join(folder, old.name), { force: true }))
    return list().find((b) => b.name === name)!
  }

  async function look(name: string): Promise<BackupContents | null> {
    const file = fileOf(name)
    return file ? lookInto(file, migrations, lookWorker) : null
  }

  async function restore(name: string): Promise<RestoreOutcome> {
    const file = fileOf(name)
    if (!file) return { kind: 'unknown' }
    const contents = await lookInto(file, migrations, lookWorker)
    if (contents.kind === 'damaged') return { kind: 'refused', why: `This backup is damaged: ${contents.why}. Nothing was changed; try an older one.` }
    if (contents.newer) return { kind: 'refused', why: 'This backup was written by a newer release of the program. Nothing was changed; update, then restore it.' }
    const before = await make()
    const copy = `${file}.restoring`
    copyFileSync(file, copy)
    try {
      // A copy of before is brought to the tables of this release; the backup itself stays as it is.
      await (await openDatabase(copy, migrations)).close()
      await database.replaceWith(copy)
    } finally {
      for (const end of ['', '-wal', '-shm']) rmSync(`${copy}${end}`, { force: true })
    }
    return { kind: 'restored', before }
  }

  async function daily(): Promise<void> {
    const [newest] = list()
    if (!newest || now().getTime() - Date.parse(newest.savedAt) >= A_DAY_MS) await make()
  }

  return {
    list,
    make,
    look,
    restore,
    startDaily: () => {
      const go = () => void daily().catch((error: unknown) => process.emitWarning(`the daily backup failed: ${String(error)}`))
      go()
      timer = setInterval(go, ASK_AGAIN_MS)
      timer.unref()
    },
    stop: () => clearInterval(timer),
  }
}

/** `loft-seam-2026-03-02T09-15-00-000Z.db` back to its moment. */
const savedAt = (name: string): string => name.slice('loft-seam-'.length, -3).replace(/T(\d\d)-(\d\d)-(\d\d)-(\d+)Z/, 'T$1:$2:$3.$4Z')

/** Opens a file from outside in a process of its own: a broken one may take that down, not the shop. */
function lookInto(file: string, migrations: string, worker: URL): Promise<BackupContents> {
  const script = fileURLToPath(worker)
  const args = [...(script.endsWith('.ts') ? ['--import', 'tsx'] : []), script, file, migrations]
  return new Promise((resolve) => {
    execFile(process.execPath, args, { timeout: LOOK_PATIENCE_MS }, (error, stdout) => {
      const read = error ? null : BackupContents.safeParse(JSON.parse(stdout || 'null'))
      resolve(read?.success ? read.data : { kind: 'damaged', why: 'it cannot be opened' })
    })
  })
}
