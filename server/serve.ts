import { createServer, type Server } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import { readFileSync } from 'node:fs'
import type { Logger } from 'pino'
import { LEAST_PASSPHRASE } from '../contract/index.ts'
import { isLoopback, type Reach } from './access/guard.ts'
import { passphrasesOf, type Passphrases } from './access/passphrases.ts'
import { sessions } from './access/sessions.ts'
import { createApp } from './app.ts'
import { openDatabase } from './db/index.ts'
import { eventHub } from './events/hub.ts'
import { jobsRepository } from './jobs/repository.ts'
import { layRoutes } from './lays/routes.ts'
import { photosRepository } from './photos/repository.ts'
import { backupsOf } from './records/backups.ts'
import { stockEmptyShop } from './shop/demo-data.ts'
import { shopRepository } from './shop/repository.ts'
import { stockRepository } from './stock/repository.ts'
import { supplierOverHttp } from './supplier/over-http.ts'
import { simulatedSupplier } from './supplier/simulated-supplier.ts'
import { tableOverPort } from './table/over-port.ts'
import { simulatedTable } from './table/simulated-table.ts'

export interface ServeOptions {
  readonly databaseFile: string
  readonly migrations: string
  readonly clientDir: string | null
  readonly layWorker: URL
  readonly lookWorker: URL
  readonly host: string
  readonly port: number
  readonly demo: boolean
  /** Passphrases to set at the start; those set before stay otherwise. */
  readonly passphrases?: { readonly maker?: string; readonly viewer?: string }
  /** Files of a certificate and its key; without them there is no TLS. */
  readonly tls?: { readonly certFile: string; readonly keyFile: string }
  readonly dailyBackups?: boolean
  /** How long running requests may take to finish once the server is asked to stop; three seconds unless said. */
  readonly stopPatienceMs?: number
  readonly log: Logger
}

export interface Running {
  readonly address: string
  readonly stop: () => Promise<void>
}

/** Opens the database, stocks an empty shop, and serves until stopped. */
export async function serve(options: ServeOptions): Promise<Running> {
  const now = () => new Date()
  const database = await openDatabase(options.databaseFile, options.migrations)
  const reach: Reach = isLoopback(options.host) ? 'here' : 'network'
  const passphrases = passphrasesOf(database)
  await openTheDoor(reach, passphrases, options).catch(async (error: unknown) => {
    await database.close()
    throw error
  })
  const [jobs, shop, stock, hub] = [jobsRepository(database, now), shopRepository(database), stockRepository(database, now), eventHub()]
  await stockEmptyShop({ shop, jobs, stock }, options.demo, now())
  const backups = backupsOf(database, { ...options, now })
  if (options.dailyBackups) backups.startDaily()
  const lays = layRoutes(options.layWorker)
  const simulated = await simulatedTable(SIMULATED_TABLE)
  const supplier = await simulatedSupplier()
  const app = createApp({
    jobs,
    shop,
    stock,
    lays,
    hub,
    photos: photosRepository(database, now),
    records: { database, backups, shop, hub, now },
    access: { reach, passphrases, sessions: sessions(() => Date.now()) },
    supplier: supplierOverHttp(supplier.address, SUPPLIER_PATIENCE_MS),
    table: tableOverPort('127.0.0.1', simulated.port),
    log: options.log,
    clientDir: options.clientDir,
  })
  const listener = options.tls ? createSecureServer({ cert: readFileSync(options.tls.certFile), key: readFileSync(options.tls.keyFile) }, app) : createServer(app)
  const server = await new Promise<Server>((resolve, reject) => {
    listener.once('error', reject)
    listener.listen(options.port, options.host, () => resolve(listener))
  })
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : options.port
  return {
    address: `${options.tls ? 'https' : 'http'}://${options.host}:${port}`,
    // New requests are refused, running ones finish, then the database closes.
    stop: async () => {
      backups.stop()
      hub.close()
      const closed = new Promise((resolve) => server.close(resolve))
      server.closeIdleConnections()
      const patience = setTimeout(() => server.closeAllConnections(), options.stopPatienceMs ?? PATIENCE_MS)
      await closed
      clearTimeout(patience)
      await lays.close()
      await simulated.close()
      await supplier.close()
      await database.close()
    },
  }
}

/** Open to the network only behind a passphrase. */
async function openTheDoor(reach: Reach, passphrases: Passphrases, { passphrases: given }: ServeOptions): Promise<void> {
  for (const role of ['maker', 'viewer'] as const) {
    const words = given?.[role]
    if (words !== undefined && words.length < LEAST_PASSPHRASE) throw new Error(`The passphrase of the ${role} is too short: ${LEAST_PASSPHRASE} characters at least.`)
    if (words !== undefined) await passphrases.set(role, words)
  }
  if (reach === 'network' && !(await passphrases.has()).maker) throw new Error('To be open to the network the shop wants a passphrase: set MAKER_PASSPHRASE to ten characters or more, or set one on the page "Records" while it is open here alone.')
}

/** Longer than the slow supplier takes, shorter than a maker waits. */
const SUPPLIER_PATIENCE_MS = 5000

/** A bed of 1.8 by 12 m, twenty times as fast as a real one. */
const SIMULATED_TABLE = { bedMm: [1800, 12_000], hurry: 20, now: () => Date.now() } as const

const PATIENCE_MS = 3000
