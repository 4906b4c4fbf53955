import { parseCookie } from './cookie.ts'
import type { Request, RequestHandler } from 'express'
import { sendProblem } from '../http/problem.ts'
import type { Role } from './passphrases.ts'
import type { Sessions } from './sessions.ts'

/** On this machine alone, or open to the network behind a passphrase. */
export type Reach = 'here' | 'network'

/** Addresses of this machine itself, to the letter: a name that only begins like one is somebody else's. */
export const isLoopback = (host: string): boolean => host === 'localhost' || host === '::1' || /^127\.\d{1,3}\.\d{1,3}\.\d{1,3}$/.test(host)

/** Who a request comes from: on this machine everybody is a maker. */
export const roleOf = (reach: Reach, sessions: Sessions, req: Request): Role | null => (reach === 'here' ? 'maker' : sessions.roleOf(parseCookie(req)))

/** A page of another site may have this browser send requests: those are refused, and so is a foreign name for this machine. */
export function sameOrigin(reach: Reach): RequestHandler {
  return (req, res, next) => {
    const host = (req.headers.host ?? '').replace(/:\d+$/, '').replace(/^\[|\]$/g, '')
    if (reach === 'here' && !isLoopback(host)) return sendProblem(res, 'not-allowed', { detail: `This shop is open on its own machine alone, not as ${host || 'an unnamed host'}.` })
    if (isReading(req)) return next()
    const { origin } = req.headers
    if (origin !== undefined && hostOf(origin) !== req.headers.host) return sendProblem(res, 'not-allowed', { detail: 'The request comes from a page of another site.' })
    const site = req.headers['sec-fetch-site']
    if (site !== undefined && site !== 'same-origin' && site !== 'none') return sendProblem(res, 'not-allowed', { detail: 'The request comes from a page of another site.' })
    if (reach === 'network' && origin === undefined && req.headers['x-page'] === undefined) return sendProblem(res, 'not-allowed', { detail: 'The request does not say which page it comes from.' })
    next()
  }
}

/** Viewers read, makers change; nobody else gets beyond the door. */
export const signedIn =
  (reach: Reach, sessions: Sessions): RequestHandler =>
  (req, res, next) => {
    const role = roleOf(reach, sessions, req)
    if (role === null) return sendProblem(res, 'sign-in', { detail: 'This shop is on a network: say the passphrase to come in.' })
    if (role === 'viewer' && !isReading(req)) return sendProblem(res, 'not-allowed', { detail: 'You are here to look: changes want the passphrase of a maker.' })
    next()
  }

const isReading = (req: Request): boolean => req.method === 'GET' || req.method === 'HEAD'

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host
  } catch {
    return null
  }
}
