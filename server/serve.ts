import type { Server } from 'node:http'
import type { Logger } from 'pino'
import { createApp } from './app.ts'
import { openDatabase } from './db/index.ts'
import { jobsRepository } from './jobs/repository.ts'
import { layRoutes } from './lays/routes.ts'
import { stockEmptyShop } from './shop/demo-data.ts'
import { shopRepository } from './shop/repository.ts'
import { tableOverPort } from './table/over-port.ts'
import { simulatedTable } from './table/simulated-table.ts'

export interface ServeOptions {
  readonly databaseFile: string
  readonly migrations: string
  readonly clientDir: string | null
  readonly layWorker: URL
  readonly host: string
  readonly port: number
  readonly demo: boolean
  readonly log: Logger
}

export interface Running {
  readonly address: string
  readonly stop: () => Promise<void>
}

/** Opens the database, stocks an empty shop, and serves until stopped. */
export async function serve(options: ServeOptions): Promise<Running> {
  const database = await openDatabase(options.databaseFile, options.migrations)
  const jobs = jobsRepository(database, () => new Date())
  const shop = shopRepository(database)
  await stockEmptyShop(shop, jobs, options.demo)
  const lays = layRoutes(options.layWorker)
  const simulated = await simulatedTable(SIMULATED_TABLE)
  const table = tableOverPort('127.0.0.1', simulated.port)
  const app = createApp({ jobs, shop, lays, table, log: options.log, clientDir: options.clientDir })
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(options.port, options.host, (error?: Error) => (error ? reject(error) : resolve(listening)))
  })
  const address = server.address()
  const port = typeof address === 'object' && address ? address.port : options.port
  return {
    address: `http://${options.host}:${port}`,
    // New requests are refused, running ones finish, then the database closes.
    stop: async () => {
      const closed = new Promise((resolve) => server.close(resolve))
      server.closeIdleConnections()
      const patience = setTimeout(() => server.closeAllConnections(), PATIENCE_MS)
      await closed
      clearTimeout(patience)
      await lays.close()
      await simulated.close()
      await database.close()
    },
  }
}

/** A bed of 1.8 by 12 m, twenty times as fast as a real one. */
const SIMULATED_TABLE = { bedMm: [1800, 12_000], hurry: 20, now: () => Date.now() } as const

/** How long running requests may take to finish once the server is asked to stop. */
const PATIENCE_MS = 3000
