import path from 'node:path'
import express, { type Express } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { bodyLimit } from './http/body-limit.ts'
import { lastResort, sendProblem, unknownRoute } from './http/problem.ts'
import { requestLine } from './http/request-line.ts'
import type { JobsRepository } from './jobs/repository.ts'
import { jobRoutes } from './jobs/routes.ts'
import type { LayPool } from './lays/routes.ts'
import type { ShopRepository } from './shop/repository.ts'
import { shopRoutes } from './shop/routes.ts'
import type { CuttingTable } from './table/driver.ts'
import { tableRoutes } from './table/routes.ts'

export interface AppParts {
  readonly jobs: JobsRepository
  readonly shop: ShopRepository
  readonly lays: LayPool
  readonly table: CuttingTable
  readonly log: Logger
  /** The built interface; null serves the API alone. */
  readonly clientDir: string | null
}

const LARGEST_BODY = 8 * 1024 * 1024

/** The whole HTTP server: API below /api, the built interface everywhere else. */
export function createApp({ jobs, shop, lays, table, log, clientDir }: AppParts): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(requestLine(log))
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          // The solver of the strips is WebAssembly.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          workerSrc: ["'self'", 'blob:'],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  )
  const api = express.Router()
  api.use(bodyLimit(LARGEST_BODY), express.json({ limit: LARGEST_BODY }))
  api.get('/health', (_req, res) => void res.json({ ok: true }))
  api.use('/jobs', jobRoutes(jobs))
  api.use('/shop', shopRoutes(shop))
  api.use('/lays', lays.router)
  api.use('/table', tableRoutes(table))
  api.use(unknownRoute)
  app.use('/api', api)
  if (clientDir !== null) {
    app.use('/assets', express.static(path.join(clientDir, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }))
    app.use(express.static(clientDir, { index: false }))
    app.get('/{*page}', (req, res) => {
      if (path.extname(req.path) !== '') return sendProblem(res, 'not-found', { detail: req.path })
      res.sendFile('index.html', { root: clientDir })
    })
  }
  app.use(lastResort(log))
  return app
}
