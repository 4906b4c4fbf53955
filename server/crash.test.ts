import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, expect, it } from 'vitest'
import { crashLoop } from './testing/crash-loop.ts'
import { spawnServer } from './testing/spawned.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-crash-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

it('killed ten times at random moments of saving, photographing, taking stock, importing and backing up: nothing acknowledged is lost', async () => {
  const databaseFile = path.join(folder, 'shop.db')
  let seed = 20260302
  const counts = await crashLoop({
    databaseFile,
    cycles: 10,
    acts: [5, 150],
    start: () => spawnServer(databaseFile, { DEMO: '1' }),
    chance: () => (seed = (seed * 1103515245 + 12345) % 2 ** 31) / 2 ** 31,
  })
  expect(counts.cycles).toBe(10)
  for (const what of ['saves', 'photos', 'stockActs'] as const) expect(counts[what], what).toBeGreaterThan(5)
  expect([counts.imports > 0, counts.backups > 0]).toEqual([true, true])
}, 400_000)
