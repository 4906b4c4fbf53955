import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test as base } from '@playwright/test'

export { expect } from '@playwright/test'

export interface Shop {
  readonly address: string
  readonly end: () => void
}

/** The demo shop of the file that is being tested. */
let open: (Shop & { readonly file: string }) | null = null
process.on('exit', () => open?.end())

/** Every file of tests has a server and a database of its own; after a test that failed both are begun anew. */
export const test = base.extend({
  baseURL: async ({ browserName: _ }, use, { file }) => {
    if (open?.file !== file) {
      open?.end()
      open = { file, ...(await openShop({ DEMO: '1' })) }
    }
    await use(open.address)
  },
  // What a page throws and nobody catches is a fault, however well the rest of it goes on.
  page: async ({ page }, use) => {
    const thrown: string[] = []
    page.on('pageerror', (error) => thrown.push(error.stack ?? String(error)))
    await use(page)
    expect(thrown).toEqual([])
  },
})

/** A built server on an empty database and a port of its own, both gone at its end. */
export async function openShop(environment: Readonly<Record<string, string>>): Promise<Shop> {
  const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-e2e-'))
  const child = spawn(process.execPath, ['dist/server/main.js'], {
    env: { ...process.env, PORT: '0', LOG_LEVEL: 'error', DATABASE_FILE: path.join(folder, 'shop.db'), ...environment },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let said = ''
  while (!/open at \S+\n/.test(said)) said += String((await once(child.stdout, 'data'))[0])
  return {
    address: /open at (\S+)/.exec(said)![1]!,
    end: () => {
      child.kill('SIGKILL')
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
