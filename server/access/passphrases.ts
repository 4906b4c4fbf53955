import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'
import { dictionary } from '@zxcvbn-ts/language-common'
import type { Role } from '../../contract/index.ts'
import { takeTurns } from '../workers/turns.ts'
import type { CredentialStore, Hash } from './credentials.ts'

const derive = promisify(scrypt) as (
  secret: string,
  salt: Buffer,
  length: number,
  options: { N: number; r: number; p: number; maxmem: number },
) => Promise<Buffer>

/** 128 MiB and about half a second a try: hashes are worked out one at a time. */
const COST = 2 ** 17
const LENGTH = 32
const MOST_MEMORY = 192 * 1024 * 1024

export interface Passphrases {
  readonly has: () => Record<Role, boolean>
  /** Why words will not do as the passphrase of a role; null where they will. */
  readonly doubtOf: (role: Role, passphrase: string) => Promise<string | null>
  readonly set: (role: Role, passphrase: string | null) => Promise<void>
  /** The role a passphrase opens; null for a wrong one. */
  readonly roleOf: (passphrase: string) => Promise<Role | null>
}

/** Passphrases by role, kept as salted scrypt hashes. */
export function passphrasesOf(store: CredentialStore): Passphrases {
  const roleOf = async (passphrase: string): Promise<Role | null> => {
    const { maker, viewer } = store.read()
    // Both are tried whatever the first says, so that the time tells nothing.
    const [isMaker, isViewer] = [await matches(passphrase, maker), await matches(passphrase, viewer)]
    return isMaker ? 'maker' : isViewer ? 'viewer' : null
  }
  return {
    has: () => ({ maker: store.read().maker !== null, viewer: store.read().viewer !== null }),
    doubtOf: async (role, passphrase) => {
      if (COMMON.has(passphrase.trim().toLowerCase()))
        return 'is one of the passphrases that everybody tries first: take a few words of your own'
      const opens = await roleOf(passphrase)
      return opens !== null && opens !== role
        ? `is the passphrase of the ${opens} already: each role has its own`
        : null
    },
    set: async (role, passphrase) => store.change({ [role]: passphrase === null ? null : await hashOf(passphrase) }),
    roleOf,
  }
}

const COMMON: ReadonlySet<string> = new Set(dictionary['passwords-common'] as readonly string[])

const turns = takeTurns(1)

async function derived(passphrase: string, salt: Buffer, n: number): Promise<Buffer> {
  const end = await turns.next()
  try {
    return await derive(passphrase, salt, LENGTH, { N: n, r: 8, p: 1, maxmem: MOST_MEMORY })
  } finally {
    end()
  }
}

async function hashOf(passphrase: string): Promise<Hash> {
  const salt = randomBytes(16)
  return { n: COST, salt: salt.toString('base64'), hash: (await derived(passphrase, salt, COST)).toString('base64') }
}

async function matches(passphrase: string, kept: Hash | null): Promise<boolean> {
  const { n, salt, hash } = kept ?? NOBODY
  const found = await derived(passphrase, Buffer.from(salt, 'base64'), n)
  return timingSafeEqual(found, Buffer.from(hash, 'base64')) && kept !== null
}

const NOBODY: Hash = { n: COST, salt: randomBytes(16).toString('base64'), hash: randomBytes(LENGTH).toString('base64') }
