import { Router, type Request, type RequestHandler, type Response } from 'express'
import { rateLimit, type Options } from 'express-rate-limit'
import type { Logger } from 'pino'
import { readWith, SetPassphrases, SignIn, type AccessState, type Role } from '../../contract/index.ts'
import { sendFaults, sendProblem } from '../http/problem.ts'
import { parseCookie, setCookie } from './cookie.ts'
import type { CredentialStore } from './credentials.ts'
import { makersOnly, type Access } from './guard.ts'
import { networkAddresses } from './own-names.ts'
import type { Passphrases } from './passphrases.ts'
import type { Sessions } from './sessions.ts'

/**
 * Wrong passphrases in a quarter of an hour: from one address, and from all together. Who is signed in stays signed in.
 */
const WINDOW_MS = 15 * 60_000
const FROM_ONE = 10
const FROM_ALL = 200

export interface AccessParts {
  readonly access: Access
  readonly credentials: CredentialStore
  readonly passphrases: Passphrases
  readonly sessions: Sessions
  /** Who came in and who was turned away is written down whatever else is. */
  readonly doorLog: Logger
}

/** The door: who is in, signing in and out, and the passphrases themselves. */
export function accessRoutes(parts: AccessParts): Router {
  const { access, passphrases, sessions, doorLog } = parts
  const router = Router()
  const slow: readonly RequestHandler[] = [
    tries({ limit: FROM_ONE }),
    tries({ limit: FROM_ALL, keyGenerator: () => 'all' }),
  ]

  router.get('/', (req, res) => void res.json(stateFor(req, parts)))
  router.post('/in', ...slow, async (req, res) => {
    const body = readWith(SignIn, req.body)
    const role = body.ok ? await passphrases.roleOf(body.value.passphrase) : null
    if (role === null) {
      doorLog.warn({ from: req.ip }, 'wrong passphrase')
      return sendProblem(res, 'sign-in', { detail: 'This passphrase opens nothing here.' })
    }
    sessions.close(parseCookie(req))
    begin(req, res, role)
    doorLog.info({ from: req.ip, role }, 'signed in')
    res.json({ role })
  })
  router.post('/out', (req, res) => {
    sessions.close(parseCookie(req))
    setCookie(req, res, null)
    res.status(204).end()
  })
  router.delete('/sessions/:id', makersOnly(access), (req, res) => {
    if (!sessions.end(String(req.params['id'])))
      return sendProblem(res, 'not-found', { detail: 'Nobody is signed in there any more.' })
    res.json(stateFor(req, parts))
  })
  router.put('/passphrases', makersOnly(access), ...slow, async (req, res) => {
    const body = readWith(SetPassphrases, req.body)
    if (!body.ok) return sendFaults(res, body.faults)
    const { maker, viewer, current, openHere } = body.value
    const has = passphrases.has()
    if (has.maker && (await passphrases.roleOf(current ?? '')) !== 'maker') {
      doorLog.warn({ from: req.ip }, 'wrong passphrase for a change')
      return sendProblem(res, 'not-allowed', { detail: 'The present passphrase of the makers is another one.' })
    }
    for (const [role, words] of [['maker', maker] as const, ['viewer', viewer] as const]) {
      const doubt = words ? await passphrases.doubtOf(role, words) : null
      if (doubt) return sendFaults(res, [{ path: `$.${role}`, message: doubt }])
    }
    if (maker !== undefined && maker === viewer)
      return sendFaults(res, [{ path: '$.viewer', message: 'is the passphrase of the maker: each role has its own' }])
    if (maker !== undefined) await passphrases.set('maker', maker)
    if (viewer !== undefined) await passphrases.set('viewer', viewer)
    if (openHere !== undefined) parts.credentials.change({ openHere })
    // A new passphrase ends every session that the old one opened; who set it stays in.
    if (maker !== undefined || viewer !== undefined) {
      sessions.closeAll()
      begin(req, res, 'maker')
    }
    doorLog.info({ from: req.ip }, 'passphrases changed')
    res.json({ hasPassphrase: passphrases.has() })
  })

  function begin(req: Request, res: Response, role: Role): void {
    setCookie(req, res, sessions.open(role, req.ip ?? ''))
  }
  return router
}

function stateFor(req: Request, { access, credentials, passphrases, sessions }: AccessParts): AccessState {
  const role = access.roleOf(req)
  const isNetwork = access.reach === 'network'
  return {
    network: isNetwork,
    asked: access.isAsked(),
    openHere: credentials.read().openHere,
    role,
    hasPassphrase: passphrases.has(),
    addresses:
      isNetwork && role !== null
        ? networkAddresses().map((a) => `${req.secure ? 'https' : 'http'}://${a}:${req.socket.localPort ?? 0}`)
        : [],
    sessions: role === 'maker' ? [...sessions.list(access.session(req))] : [],
  }
}

const tries = (options: Partial<Options>): RequestHandler =>
  rateLimit({
    windowMs: WINDOW_MS,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_req, res) =>
      sendProblem(res, 'too-many-tries', { detail: 'Wait a quarter of an hour, then try again.' }),
    ...options,
  })
