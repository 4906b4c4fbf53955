import { z } from 'zod'

/** A dated copy of the whole database, in the folder beside it. */
export const Backup = z.strictObject({ name: z.string(), savedAt: z.iso.datetime(), bytes: z.int() })
export type Backup = z.infer<typeof Backup>

/** What a backup holds, as found by opening it apart from the shop. */
export const BackupContents = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('sound'), shopName: z.string(), jobs: z.int(), revisions: z.int(), cloths: z.int(), photos: z.int(), newestSave: z.string().nullable(), newer: z.boolean().describe('written by a newer release') }),
  z.strictObject({ kind: z.literal('damaged'), why: z.string() }),
])
export type BackupContents = z.infer<typeof BackupContents>

export const ARCHIVE_FORMAT = 'loft-seam/archive'
export const ARCHIVE_VERSION = 1

/** The table of contents of an archive, with a sum over each of its files. */
export const ArchiveManifest = z.strictObject({ format: z.literal(ARCHIVE_FORMAT), version: z.literal(ARCHIVE_VERSION), shopName: z.string(), savedAt: z.iso.datetime(), files: z.record(z.string(), z.string().regex(/^[0-9a-f]{64}$/)) })
export type ArchiveManifest = z.infer<typeof ArchiveManifest>

/** What taking an archive in would do. */
export const ArchiveLook = z.strictObject({ token: z.string(), shopName: z.string(), savedAt: z.string(), jobs: z.int(), newJobs: z.int(), newerJobs: z.int(), photos: z.int(), things: z.int().describe('cloths, grades, foam and trims that are not here yet') })
export type ArchiveLook = z.infer<typeof ArchiveLook>

export const AccessState = z.strictObject({
  /** Whether the shop is open to the network, where a passphrase is wanted. */
  network: z.boolean(),
  role: z.enum(['maker', 'viewer']).nullable(),
  hasPassphrase: z.strictObject({ maker: z.boolean(), viewer: z.boolean() }),
  addresses: z.array(z.string()).describe('where phones on the same network find the shop'),
})
export type AccessState = z.infer<typeof AccessState>

export const LEAST_PASSPHRASE = 10
const Passphrase = z.string().min(LEAST_PASSPHRASE, `is too short: ${LEAST_PASSPHRASE} characters at least, a few words are best`).max(200)
export const SetPassphrases = z.strictObject({ maker: Passphrase.optional(), viewer: Passphrase.nullable().optional() })
export const SignIn = z.strictObject({ passphrase: z.string().min(1).max(200) })
