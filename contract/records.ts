import { z } from 'zod'

/** A dated copy of the whole database, in the folder beside it, and what it was made for. */
export const Backup = z.strictObject({
  name: z.string(),
  savedAt: z.iso.datetime(),
  bytes: z.int(),
  kind: z.enum(['timed', 'manual', 'before-restore', 'before-import', 'before-migration']),
})
export type Backup = z.infer<typeof Backup>

/** What a backup holds, as found by opening it apart from the shop. */
export const BackupContents = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('sound'),
    shopName: z.string(),
    jobs: z.int(),
    revisions: z.int(),
    cloths: z.int(),
    photos: z.int(),
    newestSave: z.string().nullable(),
    newer: z.boolean().describe('written by a newer release'),
  }),
  z.strictObject({ kind: z.literal('damaged'), why: z.string() }),
])
export type BackupContents = z.infer<typeof BackupContents>

/** What the history of all jobs takes, and what could not be read at a start and was set aside. */
export const HistorySize = z.strictObject({
  revisions: z.int(),
  bytes: z.int(),
  aside: z.array(z.strictObject({ at: z.string(), name: z.string(), stoodIn: z.string(), why: z.string() })),
})
export type HistorySize = z.infer<typeof HistorySize>

export const ARCHIVE_FORMAT = 'loft-seam/archive'
/** Since version 2 a long history goes on in further files. */
export const ARCHIVE_VERSION = 2

/** The table of contents of an archive, with a sum over each of its files. */
export const ArchiveManifest = z.strictObject({
  format: z.literal(ARCHIVE_FORMAT),
  version: z.union([z.literal(1), z.literal(ARCHIVE_VERSION)]),
  shopName: z.string(),
  savedAt: z.iso.datetime(),
  files: z.record(z.string(), z.string().regex(/^[0-9a-f]{64}$/)),
})
export type ArchiveManifest = z.infer<typeof ArchiveManifest>

/** What taking an archive in would do. */
export const ArchiveLook = z.strictObject({
  token: z.string(),
  shopName: z.string(),
  savedAt: z.string(),
  jobs: z.int(),
  newJobs: z.int(),
  newerJobs: z.int(),
  photos: z.int(),
  things: z.int().describe('cloths, grades, foam and trims that are not here yet'),
})
export type ArchiveLook = z.infer<typeof ArchiveLook>

export const Role = z.enum(['maker', 'viewer'])
export type Role = z.infer<typeof Role>

/** One page, or phone, that is signed in. */
export const SignedIn = z.strictObject({
  id: z.string(),
  role: Role,
  from: z.string(),
  since: z.iso.datetime(),
  last: z.iso.datetime(),
  yours: z.boolean(),
})
export type SignedIn = z.infer<typeof SignedIn>

export const AccessState = z.strictObject({
  /** Whether the shop is open to the network, where a passphrase is wanted. */
  network: z.boolean(),
  asked: z.boolean().describe('whether a passphrase is wanted where this page is'),
  openHere: z.boolean().describe('whether nobody is asked on the machine of the shop itself'),
  role: Role.nullable(),
  hasPassphrase: z.strictObject({ maker: z.boolean(), viewer: z.boolean() }),
  addresses: z.array(z.string()).describe('where phones on the same network find the shop'),
  sessions: z.array(SignedIn).describe('for makers: who is signed in'),
})
export type AccessState = z.infer<typeof AccessState>

export const LEAST_PASSPHRASE = 12
const Passphrase = z
  .string()
  .min(LEAST_PASSPHRASE, `is too short: ${LEAST_PASSPHRASE} characters at least, a few words are best`)
  .max(200)
export const SetPassphrases = z.strictObject({
  maker: Passphrase.optional(),
  viewer: Passphrase.nullable().optional(),
  openHere: z.boolean().optional(),
  current: z.string().max(200).optional().describe('the present passphrase of the makers, where there is one'),
})
export const SignIn = z.strictObject({ passphrase: z.string().min(1).max(200) })
