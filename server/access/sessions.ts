import { createHash, randomBytes, randomUUID } from 'node:crypto'
import type { Role, SignedIn } from '../../contract/index.ts'

const A_WEEK_MS = 7 * 86_400_000
const A_DAY_MS = 86_400_000
export const SESSION_MS = A_WEEK_MS

export interface Session {
  readonly id: string
  readonly role: Role
  readonly from: string
  readonly sinceMs: number
  readonly lastMs: number
}

export interface Sessions {
  /** A new session; its token goes into the cookie, only its hash is kept here. */
  readonly open: (role: Role, from: string) => string
  /** The session of a token, which is in use by being asked for. */
  readonly of: (token: string | undefined) => Session | null
  readonly close: (token: string | undefined) => void
  /** Ends a session by its id; false where there is none. */
  readonly end: (id: string) => boolean
  readonly closeAll: () => void
  readonly list: (own: Session | null) => readonly SignedIn[]
}

/**
 * Who is signed in: until the server stops, a week is over, or a day without a sign of them. `ended` is told of each
 * end.
 */
export function sessions(now: () => number, ended: (sessionId: string) => void = () => undefined): Sessions {
  const open = new Map<string, Session>()
  const keyOf = (token: string) => createHash('sha256').update(token).digest('base64')
  const isOver = (s: Session) => now() > s.sinceMs + SESSION_MS || now() > s.lastMs + A_DAY_MS
  function drop(key: string): void {
    const session = open.get(key)
    if (open.delete(key) && session) ended(session.id)
  }
  const clean = () => [...open].forEach(([key, s]) => isOver(s) && drop(key))

  return {
    open: (role, from) => {
      clean()
      const token = randomBytes(32).toString('base64url')
      open.set(keyOf(token), { id: randomUUID(), role, from, sinceMs: now(), lastMs: now() })
      return token
    },
    of: (token) => {
      if (token === undefined) return null
      const key = keyOf(token)
      const found = open.get(key)
      if (!found) return null
      if (isOver(found)) {
        drop(key)
        return null
      }
      const used = { ...found, lastMs: now() }
      open.set(key, used)
      return used
    },
    close: (token) => void (token !== undefined && drop(keyOf(token))),
    end: (id) => {
      const found = [...open].find(([, s]) => s.id === id)
      if (found) drop(found[0])
      return found !== undefined
    },
    closeAll: () => [...open.keys()].forEach(drop),
    list: (own) => {
      clean()
      return [...open.values()].map(({ id, role, from, sinceMs, lastMs }) => ({
        id,
        role,
        from,
        since: new Date(sinceMs).toISOString(),
        last: new Date(lastMs).toISOString(),
        yours: id === own?.id,
      }))
    },
  }
}
