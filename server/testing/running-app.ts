import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { serve, type Running, type ServeOptions } from '../serve.ts'

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..')

export interface TestShop extends Running {
  readonly databaseFile: string
  /** Stops the server and throws its files away. */
  readonly end: () => Promise<void>
}

/** A real server on a real SQLite file in a folder of its own. */
export async function openTestShop(databaseFile?: string, change: Partial<ServeOptions> = {}): Promise<TestShop> {
  const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-'))
  const file = databaseFile ?? path.join(folder, 'shop.db')
  const running = await serve({
    databaseFile: file,
    migrations: path.join(ROOT, 'server/db/migrations'),
    clientDir: null,
    host: '127.0.0.1',
    port: 0,
    demo: true,
    log: pino({ level: 'silent' }),
    ...change,
  })
  return {
    ...running,
    databaseFile: file,
    end: async () => {
      await running.stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
