import { chmodSync, existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { z } from 'zod'

export const Hash = z.strictObject({ n: z.int(), salt: z.string(), hash: z.string() })
export type Hash = z.infer<typeof Hash>

const Credentials = z.strictObject({
  maker: Hash.nullable(),
  viewer: Hash.nullable(),
  /** Whether nobody is asked on the machine of the shop itself, though there is a passphrase. */
  openHere: z.boolean().default(false),
})
export type Credentials = z.infer<typeof Credentials>

export interface CredentialStore {
  readonly read: () => Credentials
  readonly change: (to: Partial<Credentials>) => void
}

/** The file of a database's passphrases: `shop.db` has `shop-access.json`. */
export const accessFileOf = (databaseFile: string): string => {
  const file = path.resolve(databaseFile)
  return path.join(path.dirname(file), `${path.basename(file, path.extname(file))}-access.json`)
}

/**
 * Who may come in, kept in a file beside the database and in none of its copies: a backup, a restore or an archive
 * never brings an old passphrase back. `before` is what an older release kept in the database.
 * @throws Error in words when the file cannot be read.
 */
export function credentialStore(file: string, before: unknown): CredentialStore {
  let now = existsSync(file) ? readFile(file) : Credentials.parse({ maker: null, viewer: null })
  const keep = (next: Credentials) => {
    writeFileSync(`${file}.partial`, `${JSON.stringify(next)}\n`, { mode: 0o600, flush: true })
    renameSync(`${file}.partial`, file)
    now = next
  }
  if (existsSync(file)) chmodSync(file, 0o600)
  else if (before) keep(Credentials.parse(before))
  return { read: () => now, change: (to) => keep({ ...now, ...to }) }
}

function readFile(file: string): Credentials {
  try {
    return Credentials.parse(JSON.parse(readFileSync(file, 'utf8')))
  } catch (error) {
    throw new Error(
      `The file of the passphrases, ${file}, cannot be read. Take it away to begin without passphrases; nothing else is in it.`,
      { cause: error },
    )
  }
}
