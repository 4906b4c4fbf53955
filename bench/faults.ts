import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { crashLoop } from '../server/testing/crash-loop.ts'
import { spawnServer } from '../server/testing/spawned.ts'

/** Kills the built server again and again under load; the first promise that is broken ends it with words. */
export async function benchFaults(cycles: number): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-faults-'))
  const databaseFile = path.join(folder, 'shop.db')
  try {
    const counts = await crashLoop({
      databaseFile,
      cycles,
      acts: [5, 400],
      start: () => spawnServer(databaseFile, { DEMO: '1' }, ['dist/server/main.js']),
      chance: Math.random,
      told: ({ cycles: done, ...rest }) => {
        if (done % 10 === 0) process.stderr.write(`${done} of ${cycles}: ${JSON.stringify(rest)}\n`)
      },
    })
    process.stdout.write(`${JSON.stringify(counts)}: nothing acknowledged was lost\n`)
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}
