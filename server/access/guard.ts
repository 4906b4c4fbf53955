import type { Request, RequestHandler } from 'express'
import type { Role } from '../../contract/index.ts'
import { sendProblem } from '../http/problem.ts'
import { parseCookie } from './cookie.ts'
import type { CredentialStore } from './credentials.ts'
import { isLoopback, isOwnName } from './own-names.ts'
import type { Session, Sessions } from './sessions.ts'

/** On this machine alone, or open to the network behind a passphrase. */
export type Reach = 'here' | 'network'

export interface Access {
  readonly reach: Reach
  /** Whether a passphrase is wanted: always on the network; here once one is set, unless the owner says otherwise. */
  readonly isAsked: () => boolean
  readonly session: (req: Request) => Session | null
  /** Who a request comes from; null before a passphrase that is wanted was said. */
  readonly roleOf: (req: Request) => Role | null
  /** Whose request it is, for what one may do at once. */
  readonly sessionOf: (req: Request) => string
  /** Names that the shop answers to besides its own. */
  readonly names: readonly string[]
}

export function accessOf(
  reach: Reach,
  credentials: CredentialStore,
  sessions: Sessions,
  names: readonly string[] = [],
): Access {
  const isAsked = () => {
    const { maker, openHere } = credentials.read()
    return reach === 'network' || (maker !== null && !openHere)
  }
  const session = (req: Request) => sessions.of(parseCookie(req))
  return {
    reach,
    names,
    isAsked,
    session,
    roleOf: (req) => (isAsked() ? (session(req)?.role ?? null) : 'maker'),
    sessionOf: (req) => session(req)?.id ?? 'here',
  }
}

/**
 * A page of another site may have this browser send requests: those are refused, and so is a foreign name for this
 * machine.
 */
export function sameOrigin({ reach, names }: Access): RequestHandler {
  return (req, res, next) => {
    const host = (req.headers.host ?? '').replace(/:\d+$/, '').replace(/^\[|\]$/g, '')
    if (reach === 'here' && !isLoopback(host))
      return sendProblem(res, 'not-allowed', {
        detail: `This shop is open on its own machine alone, not as ${host || 'an unnamed host'}.`,
      })
    if (reach === 'network' && !isOwnName(host, names))
      return sendProblem(res, 'not-allowed', {
        detail: `This shop does not go by the name ${host || 'of nobody'}: use its address, or start it with SHOP_NAMES=${host}.`,
      })
    if (isReading(req)) return next()
    const { origin } = req.headers
    if (origin !== undefined && hostOf(origin) !== req.headers.host)
      return sendProblem(res, 'not-allowed', { detail: 'The request comes from a page of another site.' })
    const site = req.headers['sec-fetch-site']
    if (site !== undefined && site !== 'same-origin' && site !== 'none')
      return sendProblem(res, 'not-allowed', { detail: 'The request comes from a page of another site.' })
    if (reach === 'network' && origin === undefined && req.headers['x-page'] === undefined)
      return sendProblem(res, 'not-allowed', { detail: 'The request does not say which page it comes from.' })
    next()
  }
}

/** Viewers read, makers change; nobody else gets beyond the door. */
export const signedIn =
  (access: Access, refused: (req: Request, role: Role) => void = () => undefined): RequestHandler =>
  (req, res, next) => {
    const role = access.roleOf(req)
    if (role === null) return sendProblem(res, 'sign-in', { detail: 'Say the passphrase of the shop to come in.' })
    if (role === 'viewer' && !isReading(req)) {
      refused(req, role)
      return sendProblem(res, 'not-allowed', {
        detail: 'You are here to look: changes want the passphrase of a maker.',
      })
    }
    next()
  }

/** What a viewer may not even read: everything at once, and who else is here. */
export const makersOnly =
  (access: Access, refused: (req: Request, role: Role) => void = () => undefined): RequestHandler =>
  (req, res, next) => {
    const role = access.roleOf(req)
    if (role === 'maker') return next()
    if (role) refused(req, role)
    sendProblem(res, 'not-allowed', { detail: 'This is for makers: say the passphrase of a maker.' })
  }

const isReading = (req: Request): boolean => req.method === 'GET' || req.method === 'HEAD'

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host
  } catch {
    return null
  }
}
