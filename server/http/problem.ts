import type { ErrorRequestHandler, RequestHandler, Response } from 'express'
import type { Logger } from 'pino'
import type { Fault } from '../../contract/index.ts'

/** What can go wrong with a request, each with its status. `type` of the document is a stable name, not an address. */
const PROBLEMS = {
  'not-found': { status: 404, title: 'There is no such thing here' },
  'bad-request': { status: 400, title: 'The request cannot be understood' },
  'bad-document': { status: 422, title: 'The document is not sound' },
  'newer-revision': { status: 409, title: 'Somebody saved this job in between' },
  'in-use': { status: 409, title: 'Something else still needs it' },
  'short-of-stock': { status: 409, title: 'There is not enough of it' },
  'sign-in': { status: 401, title: 'Say the passphrase first' },
  'not-allowed': { status: 403, title: 'This is not allowed here' },
  'too-many-tries': { status: 429, title: 'Too many tries' },
  'too-large': { status: 413, title: 'The request is too large' },
  'no-lay': { status: 422, title: 'No lay exists within this cloth' },
  busy: { status: 503, title: 'Too many lays are being planned' },
  internal: { status: 500, title: 'Something went wrong in the server' },
} as const
export type ProblemName = keyof typeof PROBLEMS

export interface ProblemData {
  readonly detail?: string
  readonly faults?: readonly Fault[]
  readonly [key: string]: unknown
}

/** Answers with an RFC 9457 problem document. */
export function sendProblem(res: Response, name: ProblemName, data: ProblemData = {}): void {
  const { status, title } = PROBLEMS[name]
  res.status(status).type('application/problem+json').send(JSON.stringify({ type: `urn:loft-seam:problem:${name}`, title, status, ...data }))
}

export const unknownRoute: RequestHandler = (req, res) => sendProblem(res, 'not-found', { detail: `${req.method} ${req.path}` })

/** Parser errors are the caller's; everything else is ours, logged with its cause and not shown. */
export const lastResort =
  (log: Logger): ErrorRequestHandler =>
  (error, _req, res, next) => {
    if (res.headersSent) return next(error)
    if (error?.type === 'entity.too.large') return sendProblem(res, 'too-large', { detail: `At most ${error.limit} bytes are read.` })
    if (error?.type === 'entity.parse.failed') return sendProblem(res, 'bad-request', { detail: 'The body is not JSON.' })
    if (error?.status === 404) return sendProblem(res, 'not-found')
    if (typeof error?.status === 'number' && error.status < 500) return sendProblem(res, 'bad-request', { detail: String(error.message) })
    log.error({ err: error }, 'request failed')
    sendProblem(res, 'internal', { detail: 'Nothing was saved by this request. The log of the server has the cause.' })
  }
