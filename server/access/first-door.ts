import { sql } from 'drizzle-orm'
import type { Logger } from 'pino'
import { LEAST_PASSPHRASE, type Role } from '../../contract/index.ts'
import { access, type Database } from '../db/index.ts'
import { accessFileOf, credentialStore, type CredentialStore } from './credentials.ts'
import type { Reach } from './guard.ts'
import type { Passphrases } from './passphrases.ts'

/** The passphrases; what an older release kept of them in the database moves out of it. */
export async function credentialsOf({ file, orm, write }: Database): Promise<CredentialStore> {
  const [row] = await orm.select().from(access)
  const credentials = credentialStore(accessFileOf(file), row ? JSON.parse(row.document) : null)
  if (row)
    await write(async () => {
      await orm.run(sql`PRAGMA secure_delete = ON`)
      await orm.delete(access)
    })
  return credentials
}

/**
 * Open to the network only behind a passphrase. What the environment says is the first one: it never brings an old one
 * back.
 */
export async function openTheDoor(
  reach: Reach,
  credentials: CredentialStore,
  passphrases: Passphrases,
  given: Readonly<Partial<Record<Role, string>>>,
  log: Logger,
): Promise<void> {
  for (const role of ['maker', 'viewer'] as const) {
    const words = given[role]
    if (words === undefined) continue
    if (words.length < LEAST_PASSPHRASE)
      throw new Error(`The passphrase of the ${role} is too short: ${LEAST_PASSPHRASE} characters at least.`)
    if (credentials.read()[role] !== null) {
      log.warn(`The ${role}'s passphrase of the environment is not used: one is set already. Change it on "Records".`)
      continue
    }
    const doubt = await passphrases.doubtOf(role, words)
    if (doubt) throw new Error(`The passphrase of the ${role} ${doubt}.`)
    await passphrases.set(role, words)
  }
  if (reach === 'network' && !passphrases.has().maker)
    throw new Error(
      `To be open to the network the shop wants a passphrase: set MAKER_PASSPHRASE to ${LEAST_PASSPHRASE} characters or more, or set one on the page "Records" while it is open here alone.`,
    )
}
