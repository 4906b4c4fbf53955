import { accessSync, constants, existsSync, mkdirSync, readdirSync, statSync } from 'node:fs'
import path from 'node:path'
import type { Client } from '@libsql/client'
import { causeOf } from './cause.ts'

/** Backups lie beside their database, each database's by themselves: `shop.db` has `shop-backups`. */
export const backupFolderOf = (file: string): string =>
  path.join(path.dirname(path.resolve(file)), `${path.basename(file, path.extname(file))}-backups`)

/** @throws Error in words where the folder cannot be made or written, or the file is emptied or may not be written. */
export function startableOrThrow(file: string): void {
  writableOrThrow(file)
  notEmptiedOrThrow(file)
}

function writableOrThrow(file: string): void {
  const folder = path.dirname(file)
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    accessSync(folder, constants.W_OK | constants.X_OK)
    if (existsSync(file)) accessSync(file, constants.R_OK | constants.W_OK)
  } catch (error) {
    throw new Error(`${causeOf(error)?.says ?? String(error)} (${file})`, { cause: error })
  }
}

/** The file is there with nothing in it, while its backups hold a shop. */
function notEmptiedOrThrow(file: string): void {
  const holds = (f: string) => existsSync(f) && statSync(f).size > 0
  const backups = backupFolderOf(file)
  const kept = existsSync(backups) ? readdirSync(backups).filter((n) => n.endsWith('.db')).length : 0
  if (existsSync(file) && !holds(file) && !holds(`${file}-wal`) && kept > 0)
    throw new Error(
      `The database file ${file} is empty, and yet there are ${kept} backups of it. It was not touched: put a copy from ${backups} in its place, or take the empty file away to begin a new shop.`,
    )
}

/** @throws Error in words when the file is damaged, before anything is written to it. */
export async function soundOrThrow(client: Client, file: string): Promise<void> {
  const says = await client.execute('PRAGMA quick_check').then(
    (r) => String(r.rows[0]?.[0]),
    (error: unknown) => {
      const cause = causeOf(error)
      if (cause && cause.kind !== 'damaged') throw new Error(`${cause.says} (${file})`, { cause: error })
      return String(error instanceof Error ? error.message : error)
    },
  )
  if (says !== 'ok')
    throw new Error(
      `The database file ${file} is damaged (${says.slice(0, 120)}). It was not touched: put a copy from ${backupFolderOf(file)} in its place.`,
    )
}
