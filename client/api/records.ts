import { z } from 'zod'
import { AccessState, ArchiveLook, Backup, BackupContents, HistorySize } from '../../contract/index.ts'
import { forgetKept } from '../offline/kept.ts'
import { fetchJson, known } from './http.ts'

export const listBackups = async (): Promise<readonly Backup[]> =>
  known(z.array(Backup), await fetchJson('/api/records/backups'))
export const makeBackup = async (): Promise<Backup> =>
  known(Backup, await fetchJson('/api/records/backups', { method: 'POST' }))
export const lookIntoBackup = async (name: string): Promise<BackupContents> =>
  known(BackupContents, await fetchJson(`/api/records/backups/${encodeURIComponent(name)}`))
/** Answers with the backup that was made of what was there. */
export const restoreBackup = async (name: string): Promise<Backup> =>
  known(Backup, await fetchJson(`/api/records/backups/${encodeURIComponent(name)}/restore`, { method: 'POST' }))

export const ARCHIVE_ADDRESS = '/api/records/archive'
export const lookIntoArchive = async (file: Blob): Promise<ArchiveLook> =>
  known(ArchiveLook, await fetchJson('/api/records/archive/look', { method: 'POST', file }))
export const takeArchive = async (token: string): Promise<void> =>
  void (await fetchJson(`/api/records/archive/take/${token}`, { method: 'POST' }))

export const accessState = async (): Promise<AccessState> => known(AccessState, await fetchJson('/api/access'))
export const signIn = async (passphrase: string): Promise<void> =>
  void (await fetchJson('/api/access/in', { method: 'POST', body: { passphrase } }))
/** Ends the session of this browser. */
export async function signOut(): Promise<void> {
  await fetchJson('/api/access/out', { method: 'POST' })
  await forgetKept()
}
export const setPassphrases = async (words: {
  readonly maker?: string
  readonly viewer?: string | null
  readonly openHere?: boolean
  readonly current?: string
}): Promise<void> => void (await fetchJson('/api/access/passphrases', { method: 'PUT', body: words }))

export const endSession = async (id: string): Promise<AccessState> =>
  known(AccessState, await fetchJson(`/api/access/sessions/${encodeURIComponent(id)}`, { method: 'DELETE' }))

export const historySize = async (): Promise<HistorySize> => known(HistorySize, await fetchJson('/api/records/history'))

/** Keeps a photo, once under its id. Tried once: whoever calls keeps it and tries again. */
export const sendPhoto = async (jobId: string, photo: Blob, id: string): Promise<void> =>
  void (await fetchJson(`/api/photos/of/${jobId}`, { method: 'POST', file: photo, act: id, tries: 1 }))
export const removePhoto = async (id: string): Promise<void> =>
  void (await fetchJson(`/api/photos/${id}`, { method: 'DELETE' }))
