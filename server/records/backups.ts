import { copyFileSync, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs'
import path from 'node:path'
import { type Backup, type BackupContents } from '../../contract/index.ts'
import { backupFolderOf, openDatabase, type Database } from '../db/index.ts'
import type { WorkerPool } from '../workers/pool.ts'
import { isBackupDue, spentBackups } from './kept-backups.ts'
import { lookInto } from './look-into.ts'
import type { RecordsAnswer, RecordsTask } from './records-worker.ts'

export interface Backups {
  readonly list: () => readonly Backup[]
  readonly make: (kind: Backup['kind']) => Promise<Backup>
  readonly look: (name: string) => Promise<BackupContents | null>
  /** Puts a backup in the place of everything; what was there is backed up first. */
  readonly restore: (name: string) => Promise<RestoreOutcome>
  /** Makes one when the last is an hour old and something was saved since, and looks again every few minutes. */
  readonly startClock: () => void
  readonly stop: () => void
}

export type RestoreOutcome =
  | { readonly kind: 'restored'; readonly before: Backup }
  | { readonly kind: 'unknown' }
  | { readonly kind: 'refused'; readonly why: string }

export interface BackupOptions {
  readonly migrations: string
  readonly records: WorkerPool<RecordsTask, RecordsAnswer>
  readonly now: () => Date
}

const NAME =
  /^loft-seam-(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d-\d{3}Z)(?:-(timed|manual|before-restore|before-import|before-migration))?\.db$/
const ASK_AGAIN_MS = 10 * 60_000
const COPYING_MS = 10 * 60_000

/** The name of a backup of this moment. */
export const backupName = (kind: Backup['kind'], now: Date): string =>
  `loft-seam-${now.toISOString().replaceAll(/[:.]/g, '-')}-${kind}.db`

/** Dated copies beside the database, made by SQLite itself while it runs. */
export function backupsOf(database: Database, { migrations, records, now }: BackupOptions): Backups {
  const folder = backupFolderOf(database.file)
  const looks = new Map<string, Promise<BackupContents>>()
  const fileOf = (name: string): string | null => (list().some((b) => b.name === name) ? path.join(folder, name) : null)
  let timer: ReturnType<typeof setInterval> | undefined
  let making: Promise<unknown> = Promise.resolve()

  function list(): readonly Backup[] {
    if (!existsSync(folder)) return []
    return readdirSync(folder)
      .flatMap((name) => backupOf(folder, name))
      .toSorted((a, b) => b.savedAt.localeCompare(a.savedAt))
  }
  function make(kind: Backup['kind']): Promise<Backup> {
    const made = making.then(async () => {
      mkdirSync(folder, { recursive: true, mode: 0o700 })
      const name = backupName(kind, now())
      await records.run(
        { do: 'copy', databaseFile: database.file, into: path.join(folder, name) },
        { deadlineMs: COPYING_MS },
      )
      for (const old of spentBackups(list(), now())) if (old.name !== name) rmSync(path.join(folder, old.name))
      return list().find((b) => b.name === name)!
    })
    making = made.catch(() => undefined)
    return made
  }
  /** A backup never changes: what was found in it once is known. */
  async function look(name: string): Promise<BackupContents | null> {
    const file = fileOf(name)
    if (!file) return null
    const { size, mtimeMs } = statSync(file)
    const key = `${name} ${size} ${mtimeMs}`
    const known = looks.get(key) ?? lookInto(file, migrations)
    looks.set(key, known)
    return known
  }
  async function restore(name: string): Promise<RestoreOutcome> {
    const file = fileOf(name)
    const contents = await look(name)
    if (!file || !contents) return { kind: 'unknown' }
    if (contents.kind === 'damaged')
      return { kind: 'refused', why: `This backup is damaged: ${contents.why}. Nothing was changed; try an older one.` }
    if (contents.newer)
      return {
        kind: 'refused',
        why: 'This backup was written by a newer release of the program. Nothing was changed; update, then restore it.',
      }
    const before = await make('before-restore')
    const copy = `${file}.restoring`
    try {
      copyFileSync(file, copy)
      // A copy of before is brought to the tables of this release; the backup itself stays as it is.
      await (await openDatabase(copy, migrations)).close()
      const task = { do: 'replace', databaseFile: database.file, other: copy, at: now().toISOString() } as const
      await database.write(() => records.run(task, { deadlineMs: COPYING_MS }))
    } finally {
      for (const end of ['', '-wal', '-shm']) rmSync(`${copy}${end}`, { force: true })
    }
    return { kind: 'restored', before }
  }
  async function byTheClock(): Promise<void> {
    const backups = list()
    const last = backups.find((b) => b.kind === 'timed' && Date.parse(b.savedAt) <= now().getTime())
    if (!isBackupDue(backups, now())) return
    if (last && database.lastWriteMs() < Date.parse(last.savedAt)) return
    await make('timed')
  }
  return {
    list,
    make,
    look,
    restore,
    startClock: () => {
      const go = () =>
        void byTheClock().catch((error: unknown) => process.emitWarning(`the backup failed: ${String(error)}`))
      go()
      timer = setInterval(go, ASK_AGAIN_MS)
      timer.unref()
    },
    stop: () => clearInterval(timer),
  }
}

/** `loft-seam-2026-03-02T09-15-00-000Z-manual.db` as a backup; older releases named no kind. An empty file is none. */
function backupOf(folder: string, name: string): readonly Backup[] {
  const found = NAME.exec(name)
  if (!found) return []
  const bytes = statSync(path.join(folder, name)).size
  const savedAt = found[1]!.replace(/T(\d\d)-(\d\d)-(\d\d)-(\d+)Z/, 'T$1:$2:$3.$4Z')
  return bytes > 0 ? [{ name, savedAt, bytes, kind: (found[2] ?? 'timed') as Backup['kind'] }] : []
}
