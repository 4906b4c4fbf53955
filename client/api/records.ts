import { z } from 'zod'
import { AccessState, ArchiveLook, Backup, BackupContents } from '../../contract/index.ts'
import { fetchJson } from './http.ts'

export const listBackups = async (): Promise<readonly Backup[]> => z.array(Backup).parse(await fetchJson('/api/records/backups'))
export const makeBackup = async (): Promise<Backup> => Backup.parse(await fetchJson('/api/records/backups', { method: 'POST' }))
export const lookIntoBackup = async (name: string): Promise<BackupContents> => BackupContents.parse(await fetchJson(`/api/records/backups/${encodeURIComponent(name)}`))
/** Answers with the backup that was made of what was there. */
export const restoreBackup = async (name: string): Promise<Backup> => Backup.parse(await fetchJson(`/api/records/backups/${encodeURIComponent(name)}/restore`, { method: 'POST' }))

export const ARCHIVE_ADDRESS = '/api/records/archive'
export const lookIntoArchive = async (file: Blob): Promise<ArchiveLook> => ArchiveLook.parse(await fetchJson('/api/records/archive/look', { method: 'POST', file }))
export const takeArchive = async (token: string): Promise<void> => void (await fetchJson(`/api/records/archive/take/${token}`, { method: 'POST' }))

export const accessState = async (): Promise<AccessState> => AccessState.parse(await fetchJson('/api/access'))
export const signIn = async (passphrase: string): Promise<void> => void (await fetchJson('/api/access/in', { method: 'POST', body: { passphrase } }))
export const signOut = async (): Promise<void> => void (await fetchJson('/api/access/out', { method: 'POST' }))
export const setPassphrases = async (words: { maker?: string; viewer?: string | null }): Promise<void> => void (await fetchJson('/api/access/passphrases', { method: 'PUT', body: words }))

export const sendPhoto = async (jobId: string, photo: Blob): Promise<string> => z.object({ id: z.string() }).parse(await fetchJson(`/api/photos/of/${jobId}`, { method: 'POST', file: photo })).id
export const removePhoto = async (id: string): Promise<void> => void (await fetchJson(`/api/photos/${id}`, { method: 'DELETE' }))
