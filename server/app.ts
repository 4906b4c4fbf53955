import compression from 'compression'
import express, { type Express } from 'express'
import type { Logger } from 'pino'
import { sameOrigin, signedIn } from './access/guard.ts'
import { accessRoutes, type AccessParts } from './access/routes.ts'
import type { Database } from './db/index.ts'
import type { EventHub } from './events/hub.ts'
import { tellSaves } from './events/tell-saves.ts'
import { health } from './http/health.ts'
import { jsonBody } from './http/json-body.ts'
import { isPrivate, permissions, policy } from './http/policy.ts'
import { lastResort, unknownRoute } from './http/problem.ts'
import { requestLine } from './http/request-line.ts'
import { sessionCap } from './http/session-cap.ts'
import type { JobReader } from './jobs/long-documents.ts'
import type { JobsRepository } from './jobs/repository.ts'
import { jobRoutes } from './jobs/routes.ts'
import type { Summaries } from './jobs/summaries.ts'
import type { LayPool } from './lays/routes.ts'
import { pages } from './pages/index.ts'
import type { PhotosRepository } from './photos/repository.ts'
import { photoRoutes } from './photos/routes.ts'
import type { RecordsParts } from './records/parts.ts'
import { recordsRoutes } from './records/routes.ts'
import type { ShopRepository } from './shop/repository.ts'
import { shopRoutes } from './shop/routes.ts'
import type { StockRepository } from './stock/repository.ts'
import { stockRoutes } from './stock/routes.ts'
import type { Supplier } from './supplier/driver.ts'
import { supplierRoutes } from './supplier/routes.ts'
import type { CuttingTable } from './table/driver.ts'
import { tableRoutes } from './table/routes.ts'

export interface AppParts {
  readonly database: Database
  readonly jobs: JobsRepository
  readonly summaries: Summaries
  readonly reader: JobReader
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
  readonly now: () => Date
  /** The built interface; null serves the API alone. */
  readonly clientDir: string | null
  /** Addresses of proxies that may say who asks and how. */
  readonly trustedProxies?: readonly string[]
}

const KB = 1024
const MB = 1024 * KB
/** Nobody has said who they are before this: two passphrases, and no more. */
const BEFORE_SIGN_IN = { bytes: KB, values: 20 }
const LIMITS = {
  jobs: { bytes: 2 * MB, values: 60_000 },
  shop: { bytes: MB, values: 30_000 },
  stock: { bytes: MB, values: 30_000 },
  supplier: { bytes: 128 * KB, values: 3000 },
  table: { bytes: 8 * MB, values: 20 },
} as const
/** Requests of one session under way at once: a page asks for some at once, nobody for more. */
const MOST_AT_ONCE = 120

/** The whole HTTP server: API below /api, the built interface everywhere else. */
export function createApp(parts: AppParts): Express {
  const { jobs, shop, lays, table, log, clientDir, hub, database, now } = parts
  const { access, doorLog } = parts.access
  const refused: Parameters<typeof signedIn>[1] = (req, role) =>
    doorLog.warn({ from: req.ip, role, path: req.path, method: req.method }, 'refused to a viewer')
  const app = express()
  app.disable('x-powered-by')
  app.disable('etag')
  if (parts.trustedProxies?.length) app.set('trust proxy', [...parts.trustedProxies])
  app.use(requestLine(log), policy, permissions)

  const api = express.Router()
  api.use(isPrivate, sameOrigin(access))
  api.get('/health', health(database, now))
  api.use('/access', ...jsonBody(BEFORE_SIGN_IN), accessRoutes(parts.access))
  api.use(signedIn(access, refused))
  api.get('/events', (req, res) => hub.listen(access.sessionOf(req), req, res))
  api.use(sessionCap(access, MOST_AT_ONCE))
  api.use('/records', recordsRoutes(parts.records))
  api.use('/photos', photoRoutes(parts.photos))
  api.use('/lays', lays.router(access))
  // Streams, pictures and archives have gone out by now: they gain nothing by it.
  api.use(compression(), tellSaves(hub))
  api.use('/jobs', ...jsonBody(LIMITS.jobs), jobRoutes(jobs, parts.summaries, parts.reader))
  api.use('/shop', ...jsonBody(LIMITS.shop), shopRoutes(shop))
  api.use('/stock', ...jsonBody(LIMITS.stock), stockRoutes(parts.stock))
  api.use('/table', ...jsonBody(LIMITS.table), tableRoutes(table))
  api.use('/supplier', ...jsonBody(LIMITS.supplier), supplierRoutes(parts.supplier))
  api.use(unknownRoute)
  app.use('/api', api)

  if (clientDir !== null) app.use(compression(), ...pages(clientDir))
  app.use(lastResort(log))
  return app
}
