import path from 'node:path'
import express, { type RequestHandler } from 'express'
import { sendProblem } from '../http/problem.ts'
import { pageOf } from './page-of.ts'

/** The built interface; every address without a file of its own is the page, which finds its view itself. */
export function pages(clientDir: string): readonly [RequestHandler, ...RequestHandler[]] {
  const pageAt = pageOf(clientDir)
  const page: RequestHandler = (req, res, next) => {
    if (req.method !== 'GET' && req.method !== 'HEAD') return next()
    if (path.extname(req.path) !== '') return sendProblem(res, 'not-found', { detail: req.path })
    res.set('cache-control', 'no-cache').type('html').send(pageAt(req.path))
  }
  const assets = express.Router()
  assets.use(
    '/assets',
    express.static(path.join(clientDir, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  )
  return [assets, express.static(clientDir, { index: false }), page]
}
