import path from 'node:path'
import express, { type Express } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { sameOrigin, signedIn } from './access/guard.ts'
import { accessRoutes, type AccessParts } from './access/routes.ts'
import type { EventHub } from './events/hub.ts'
import { tellSaves } from './events/tell-saves.ts'
import { bodyLimit } from './http/body-limit.ts'
import { lastResort, sendProblem, unknownRoute } from './http/problem.ts'
import { requestLine } from './http/request-line.ts'
import type { JobsRepository } from './jobs/repository.ts'
import { jobRoutes } from './jobs/routes.ts'
import type { LayPool } from './lays/routes.ts'
import type { PhotosRepository } from './photos/repository.ts'
import { photoRoutes } from './photos/routes.ts'
import { recordsRoutes, type RecordsParts } from './records/routes.ts'
import type { ShopRepository } from './shop/repository.ts'
import { shopRoutes } from './shop/routes.ts'
import type { StockRepository } from './stock/repository.ts'
import { stockRoutes } from './stock/routes.ts'
import type { Supplier } from './supplier/driver.ts'
import { supplierRoutes } from './supplier/routes.ts'
import type { CuttingTable } from './table/driver.ts'
import { tableRoutes } from './table/routes.ts'

export interface AppParts {
  readonly jobs: JobsRepository
  readonly shop: ShopRepository
  readonly stock: StockRepository
  readonly photos: PhotosRepository
  readonly records: RecordsParts
  readonly access: AccessParts
  readonly hub: EventHub
  readonly supplier: Supplier
  readonly lays: LayPool
  readonly table: CuttingTable
  readonly log: Logger
  /** The built interface; null serves the API alone. */
  readonly clientDir: string | null
}

const LARGEST_BODY = 8 * 1024 * 1024
/** Nobody has said who they are before this: two passphrases, and no more. */
const LARGEST_BEFORE_SIGN_IN = 1024

/** The whole HTTP server: API below /api, the built interface everywhere else. */
export function createApp(parts: AppParts): Express {
  const { jobs, shop, lays, table, log, clientDir, hub, access } = parts
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
  const json = [bodyLimit(LARGEST_BODY), express.json({ limit: LARGEST_BODY })]
  const few = [bodyLimit(LARGEST_BEFORE_SIGN_IN), express.json({ limit: LARGEST_BEFORE_SIGN_IN })]
  api.use(sameOrigin(access.reach))
  api.get('/health', (_req, res) => void res.json({ ok: true }))
  api.use('/access', few, accessRoutes(access))
  api.use(signedIn(access.reach, access.sessions))
  api.get('/events', hub.listen)
  api.use('/photos', photoRoutes(parts.photos))
  api.use('/records', recordsRoutes(parts.records))
  api.use(json, tellSaves(hub))
  api.use('/jobs', jobRoutes(jobs))
  api.use('/shop', shopRoutes(shop))
  api.use('/lays', lays.router)
  api.use('/table', tableRoutes(table))
  api.use('/stock', stockRoutes(parts.stock))
  api.use('/supplier', supplierRoutes(parts.supplier))
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
