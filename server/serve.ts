import { createServer, type Server } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import path from 'node:path'
import type { Logger } from 'pino'
import { credentialsOf, openTheDoor } from './access/first-door.ts'
import { accessOf, type Reach } from './access/guard.ts'
import { isLoopback } from './access/own-names.ts'
import { passphrasesOf } from './access/passphrases.ts'
import { sessions as sessionsOf } from './access/sessions.ts'
import { createApp } from './app.ts'
import { backupFolderOf, openDatabase, soleOwner, type Database } from './db/index.ts'
import { eventHub } from './events/hub.ts'
import { jobReader } from './jobs/long-documents.ts'
import { jobsRepository } from './jobs/repository.ts'
import { summariesOf } from './jobs/summaries.ts'
import { layPool } from './lays/routes.ts'
import { photosRepository } from './photos/repository.ts'
import { backupName, backupsOf } from './records/backups.ts'
import { copyDatabase } from './records/copy-database.ts'
import type { RecordsAnswer, RecordsTask } from './records/records-worker.ts'
import { takeOutUnfinished } from './records/unfinished.ts'
import { openDemoShop, openEmptyShop } from './shop/first-shelves.ts'
import { NO_QUEUE, openLayQueue } from './searchers/lay-queue.ts'
import { shopRepository } from './shop/repository.ts'
import { stockRepository } from './stock/repository.ts'
import { supplierOverHttp } from './supplier/over-http.ts'
import { simulatedSupplier } from './supplier/simulated-supplier.ts'
import { tableOverPort } from './table/over-port.ts'
import { simulatedTable } from './table/simulated-table.ts'
import { startUpkeep } from './upkeep.ts'
import { workerPool } from './workers/pool.ts'

export interface ServeOptions {
  readonly databaseFile: string
  readonly migrations: string
  readonly clientDir: string | null
  readonly host: string
  readonly port: number
  readonly demo: boolean
  /** The first passphrases; where one is set already, by whomever, it stays. */
  readonly passphrases?: { readonly maker?: string; readonly viewer?: string }
  /** Files of a certificate and its key; without them there is no TLS. */
  readonly tls?: { readonly certFile: string; readonly keyFile: string }
  /** Names the shop goes by on the network, besides its addresses and the name of its machine. */
  readonly names?: readonly string[]
  readonly trustedProxies?: readonly string[]
  /** The address of a Redis server over which other machines plan lays for the shop; without it the shop plans alone. */
  readonly redis?: string
  /** Whether backups are made by the clock, and old histories packed, while it runs. */
  readonly upkeep?: boolean
  /** How long running requests may take to finish once the server is asked to stop; three seconds unless said. */
  readonly stopPatienceMs?: number
  readonly now?: () => Date
  readonly log: Logger
}

export interface Running {
  readonly address: string
  readonly stop: () => Promise<void>
}

/** Opens the database, stocks an empty shop, and serves until stopped. @throws Error in words where it cannot. */
export async function serve(options: ServeOptions): Promise<Running> {
  const file = path.resolve(options.databaseFile)
  mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 })
  const owner = await soleOwner(file)
  try {
    const database = await openDatabase(file, options.migrations, { beforeMigration: keepBefore })
    return await served(options, database, owner.release).catch(async (error: unknown) => {
      await database.close()
      throw error
    })
  } catch (error) {
    owner.release()
    throw error
  }
}

/** What the tables were before this release changed them. */
async function keepBefore(file: string): Promise<void> {
  const folder = backupFolderOf(file)
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  await copyDatabase(file, path.join(folder, backupName('before-migration', new Date())))
}

async function served(options: ServeOptions, database: Database, release: () => void): Promise<Running> {
  const { log, now = () => new Date() } = options
  for (const says of database.aside) log.error({ says }, 'set aside: it could not be read')
  const reach: Reach = isLoopback(options.host) ? 'here' : 'network'
  const credentials = await credentialsOf(database)
  const passphrases = passphrasesOf(credentials)
  await openTheDoor(reach, credentials, passphrases, options.passphrases ?? {}, log)

  const hub = eventHub()
  const sessions = sessionsOf(() => now().getTime(), hub.end)
  const access = accessOf(reach, credentials, sessions, options.names)
  const summaries = summariesOf(database, () => hub.tell({ kind: 'cards' }))
  const jobs = jobsRepository(database, now, summaries.saved)
  const shop = shopRepository(database)
  const stock = stockRepository(database, shop, now)
  await takeOutUnfinished(database)
  await (options.demo ? openDemoShop({ shop, jobs, stock }, now()) : openEmptyShop({ shop, jobs, stock }))
  const records = workerPool<RecordsTask, RecordsAnswer>('records-worker', 2)
  const backups = backupsOf(database, { migrations: options.migrations, records, now })
  const queue = options.redis ? openLayQueue(options.redis, log) : NO_QUEUE
  const [reader, lays] = [jobReader(), layPool(queue)]
  const simulated = await simulatedTable(SIMULATED_TABLE)
  const supplier = await simulatedSupplier()
  const folder = `${database.file}-passing`
  rmSync(folder, { recursive: true, force: true })
  const app = createApp({
    database,
    jobs,
    summaries,
    reader,
    shop,
    stock,
    lays,
    hub,
    photos: photosRepository(database, now),
    records: { database, backups, summaries, jobs, records, access, hub, folder, now },
    access: {
      access,
      credentials,
      passphrases,
      sessions,
      doorLog: log.child({ room: 'door' }, { level: log.level === 'silent' ? 'silent' : 'info' }),
    },
    supplier: supplierOverHttp(supplier.address, SUPPLIER_PATIENCE_MS),
    table: tableOverPort('127.0.0.1', simulated.port),
    log,
    now,
    clientDir: options.clientDir,
    ...(options.trustedProxies ? { trustedProxies: options.trustedProxies } : {}),
  })
  const listener = options.tls
    ? createSecureServer({ cert: readFileSync(options.tls.certFile), key: readFileSync(options.tls.keyFile) }, app)
    : createServer(app)
  const server = await new Promise<Server>((resolve, reject) => {
    listener.once('error', reject)
    listener.listen(options.port, options.host, () => resolve(listener))
  })
  const upkeep = options.upkeep ? startUpkeep(database, backups, summaries) : null
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : options.port
  return {
    address: `${options.tls ? 'https' : 'http'}://${options.host}:${port}`,
    // New requests are refused, running ones finish, then the database closes.
    stop: async () => {
      upkeep?.stop()
      hub.close()
      const closed = new Promise((resolve) => server.close(resolve))
      server.closeIdleConnections()
      const patience = setTimeout(() => server.closeAllConnections(), options.stopPatienceMs ?? PATIENCE_MS)
      await closed
      clearTimeout(patience)
      await Promise.all([lays, queue, reader, summaries, records, simulated, supplier].map((part) => part.close()))
      await database.close()
      rmSync(folder, { recursive: true, force: true })
      release()
    },
  }
}

/** Longer than the slow supplier takes, shorter than a maker waits. */
const SUPPLIER_PATIENCE_MS = 5000

/** A bed of 1.8 by 12 m, twenty times as fast as a real one. */
const SIMULATED_TABLE = { bedMm: [1800, 12_000], hurry: 20, now: () => Date.now() } as const

const PATIENCE_MS = 3000
