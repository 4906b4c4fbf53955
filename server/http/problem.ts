import type { ErrorRequestHandler, RequestHandler, Response } from 'express'
import type { Logger } from 'pino'
import type { Fault } from '../../contract/index.ts'
import { causeOf } from '../db/index.ts'
import { toldError } from './told-error.ts'
import { OverDeadline } from '../workers/pool.ts'

/** What can go wrong with a request, each with its status. `type` of the document is a stable name, not an address. */
const PROBLEMS = {
  'not-found': { status: 404, title: 'There is no such thing here' },
  'bad-request': { status: 400, title: 'The request cannot be understood' },
  'bad-document': { status: 422, title: 'The document is not sound' },
  'newer-revision': { status: 409, title: 'Somebody saved this in between' },
  'in-use': { status: 409, title: 'Something else still needs it' },
  'short-of-stock': { status: 409, title: 'There is not enough of it' },
  'taken-already': { status: 409, title: 'It was done already' },
  'sign-in': { status: 401, title: 'Say the passphrase first' },
  'not-allowed': { status: 403, title: 'This is not allowed here' },
  'too-many-tries': { status: 429, title: 'Too many tries' },
  'too-large': { status: 413, title: 'The request is too large' },
  'no-lay': { status: 422, title: 'No lay exists within this cloth' },
  'takes-too-long': { status: 422, title: 'It takes too long to work out' },
  busy: { status: 503, title: 'There is too much to do just now' },
  'not-writable': { status: 503, title: 'Nothing can be saved just now' },
  'no-room': { status: 507, title: 'There is no room to save it' },
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
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: `urn:loft-seam:problem:${name}`, title, status, ...data }))
}

/** Refuses a document by its first fault, with the others beside it. */
export const sendFaults = (res: Response, faults: readonly Fault[], name: ProblemName = 'bad-document'): void =>
  sendProblem(res, name, { detail: `${faults[0]!.path} ${faults[0]!.message}`, faults })

export const unknownRoute: RequestHandler = (req, res) =>
  sendProblem(res, 'not-found', { detail: `${req.method} ${req.path}` })

/**
 * Parser errors are the caller's; a disk or database that will not is told with its cure; everything else is ours,
 * logged and not shown.
 */
export const lastResort =
  (log: Logger): ErrorRequestHandler =>
  (error, _req, res, next) => {
    if (res.headersSent) return next(error)
    if (error?.type === 'entity.too.large')
      return sendProblem(res, 'too-large', { detail: `At most ${error.limit} bytes are read.` })
    if (error?.type === 'entity.parse.failed')
      return sendProblem(res, 'bad-request', { detail: 'The body is not JSON.' })
    if (error?.status === 413) return sendProblem(res, 'too-large', { detail: String(error.message) })
    if (error?.status === 404) return sendProblem(res, 'not-found')
    if (typeof error?.status === 'number' && error.status < 500)
      return sendProblem(res, 'bad-request', { detail: String(error.message) })
    if (error instanceof OverDeadline)
      return sendProblem(res, 'takes-too-long', { detail: 'It was given up: ask for less at once.' })
    log.error(toldError(error), 'request failed')
    const cause = causeOf(error)
    if (cause) return sendProblem(res, cause.kind === 'full' ? 'no-room' : 'not-writable', { detail: cause.says })
    sendProblem(res, 'internal', { detail: 'Nothing was saved by this request. The log of the server has the cause.' })
  }
