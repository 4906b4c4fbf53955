import { networkInterfaces } from 'node:os'
import { Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import { readWith, SetPassphrases, SignIn, type AccessState } from '../../contract/index.ts'
import { sendProblem } from '../http/problem.ts'
import { parseCookie, setCookie } from './cookie.ts'
import { roleOf, signedIn, type Reach } from './guard.ts'
import type { Passphrases } from './passphrases.ts'
import type { Sessions } from './sessions.ts'

/** Ten wrong passphrases in a quarter of an hour from one address. */
const TRIES = { limit: 10, windowMs: 15 * 60_000 }

export interface AccessParts {
  readonly reach: Reach
  readonly passphrases: Passphrases
  readonly sessions: Sessions
}

/** The door: who is in, signing in and out, and the passphrases themselves. */
export function accessRoutes({ reach, passphrases, sessions }: AccessParts): Router {
  const router = Router()
  const slow = rateLimit({ ...TRIES, skipSuccessfulRequests: true, standardHeaders: 'draft-8', legacyHeaders: false, handler: (_req, res) => sendProblem(res, 'too-many-tries', { detail: 'Wait a quarter of an hour, then try again.' }) })

  router.get('/', async (req, res) => {
    const state: AccessState = { network: reach === 'network', role: roleOf(reach, sessions, req), hasPassphrase: await passphrases.has(), addresses: reach === 'network' ? addressesAt(req.socket.localPort ?? 0, req.secure) : [] }
    res.set('cache-control', 'no-store').json(state)
  })

  router.post('/in', slow, async (req, res) => {
    const body = readWith(SignIn, req.body)
    const role = body.ok ? await passphrases.roleOf(body.value.passphrase) : null
    if (role === null) return sendProblem(res, 'sign-in', { detail: 'This passphrase opens nothing here.' })
    sessions.close(parseCookie(req))
    setCookie(req, res, sessions.open(role))
    res.json({ role })
  })

  router.post('/out', (req, res) => {
    sessions.close(parseCookie(req))
    setCookie(req, res, null)
    res.status(204).end()
  })

  router.put('/passphrases', signedIn(reach, sessions), async (req, res) => {
    const body = readWith(SetPassphrases, req.body)
    if (!body.ok) return sendProblem(res, 'bad-document', { detail: `${body.faults[0]!.path} ${body.faults[0]!.message}`, faults: body.faults })
    const { maker, viewer } = body.value
    if (maker !== undefined) await passphrases.set('maker', maker)
    if (viewer !== undefined) await passphrases.set('viewer', viewer)
    // A new passphrase ends every session that the old one opened.
    sessions.closeAll()
    if (reach === 'network') setCookie(req, res, sessions.open('maker'))
    res.json({ hasPassphrase: await passphrases.has() })
  })
  return router
}

/** Where other machines of the network find this one. */
function addressesAt(port: number, isSecure: boolean): string[] {
  const own = Object.values(networkInterfaces()).flatMap((list) => list ?? [])
  return own.filter((a) => a.family === 'IPv4' && !a.internal).map((a) => `${isSecure ? 'https' : 'http'}://${a.address}:${port}`)
}
