import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'
import { z } from 'zod'
import { access, type Database } from '../db/index.ts'

const derive = promisify(scrypt) as (secret: string, salt: Buffer, length: number, options: { N: number; r: number; p: number; maxmem: number }) => Promise<Buffer>

export type Role = 'maker' | 'viewer'

const Hash = z.strictObject({ n: z.int(), salt: z.string(), hash: z.string() })
const Document = z.strictObject({ maker: Hash.nullable(), viewer: Hash.nullable() })
type Document = z.infer<typeof Document>

const COST = 2 ** 15
const LENGTH = 32
const LEAST_MEMORY = 64 * 1024 * 1024

export interface Passphrases {
  readonly has: () => Promise<Record<Role, boolean>>
  readonly set: (role: Role, passphrase: string | null) => Promise<void>
  /** The role a passphrase opens; null for a wrong one. */
  readonly roleOf: (passphrase: string) => Promise<Role | null>
}

/** Passphrases by role, kept as salted scrypt hashes. */
export function passphrasesOf({ orm, write }: Database): Passphrases {
  const read = async (): Promise<Document> => {
    const [row] = await orm.select().from(access)
    return row ? Document.parse(JSON.parse(row.document)) : { maker: null, viewer: null }
  }
  return {
    has: async () => {
      const { maker, viewer } = await read()
      return { maker: maker !== null, viewer: viewer !== null }
    },
    set: async (role, passphrase) => {
      const hash = passphrase === null ? null : await hashOf(passphrase)
      await write(async () => {
        const document = JSON.stringify({ ...(await read()), [role]: hash })
        await orm.insert(access).values({ id: 1, document }).onConflictDoUpdate({ target: access.id, set: { document } })
      })
    },
    roleOf: async (passphrase) => {
      const { maker, viewer } = await read()
      // Both are tried whatever the first says, so that the time tells nothing.
      const [isMaker, isViewer] = [await matches(passphrase, maker), await matches(passphrase, viewer)]
      return isMaker ? 'maker' : isViewer ? 'viewer' : null
    },
  }
}

async function hashOf(passphrase: string): Promise<z.infer<typeof Hash>> {
  const salt = randomBytes(16)
  return { n: COST, salt: salt.toString('base64'), hash: (await derive(passphrase, salt, LENGTH, { N: COST, r: 8, p: 1, maxmem: LEAST_MEMORY })).toString('base64') }
}

async function matches(passphrase: string, kept: z.infer<typeof Hash> | null): Promise<boolean> {
  const { n, salt, hash } = kept ?? (await NOBODY)
  const found = await derive(passphrase, Buffer.from(salt, 'base64'), LENGTH, { N: n, r: 8, p: 1, maxmem: LEAST_MEMORY })
  return timingSafeEqual(found, Buffer.from(hash, 'base64')) && kept !== null
}

const NOBODY = hashOf(randomBytes(16).toString('base64'))
