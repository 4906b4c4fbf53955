import { createHash, randomBytes } from 'node:crypto'
import type { Role } from './passphrases.ts'

const A_WEEK_MS = 7 * 86_400_000
export const SESSION_MS = A_WEEK_MS

export interface Sessions {
  /** A new session; its token goes into the cookie, only its hash is kept here. */
  readonly open: (role: Role) => string
  readonly roleOf: (token: string | undefined) => Role | null
  readonly close: (token: string | undefined) => void
  readonly closeAll: () => void
}

/** Who is signed in, until the server stops or a week is over. */
export function sessions(now: () => number): Sessions {
  const open = new Map<string, { readonly role: Role; readonly until: number }>()
  const keyOf = (token: string) => createHash('sha256').update(token).digest('base64')
  return {
    open: (role) => {
      const token = randomBytes(32).toString('base64url')
      for (const [key, s] of open) if (s.until < now()) open.delete(key)
      open.set(keyOf(token), { role, until: now() + SESSION_MS })
      return token
    },
    roleOf: (token) => {
      const found = token === undefined ? undefined : open.get(keyOf(token))
      return found && found.until >= now() ? found.role : null
    },
    close: (token) => void (token !== undefined && open.delete(keyOf(token))),
    closeAll: () => open.clear(),
  }
}
