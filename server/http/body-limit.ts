import type { RequestHandler } from 'express'
import { sendProblem } from './problem.ts'

/** Refuses a body that announces itself too large before reading it; the parser's own limit catches the rest. */
export const bodyLimit =
  (mostBytes: number): RequestHandler =>
  (req, res, next) => {
    if (Number(req.headers['content-length'] ?? 0) <= mostBytes) return next()
    res.set('connection', 'close')
    sendProblem(res, 'too-large', { detail: `At most ${mostBytes} bytes are read.` })
  }
