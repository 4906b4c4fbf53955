import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { benchFaults } from '../bench/faults.ts'
import { benchLays } from '../bench/lays.ts'
import { benchMutants } from '../bench/mutants.ts'
import { benchPage } from '../bench/page.ts'
import { benchPlans } from '../bench/plans.ts'
import { benchSearchers } from '../bench/searchers.ts'
import { benchServer } from '../bench/server-load.ts'
import { UsageError } from './arguments.ts'

const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..')

/**
 * `bench [lays|plans|server|page] [--long]`: all of these by default; --long adds the 60 s column to the lays and lets
 * the server run for twenty minutes. `bench faults [--cycles N]` kills the server N times (20; `npm run build` first).
 * `bench searchers` lays over Redis with one, two and four workers (Debian's `redis-server`).
 * `bench mutants ROOM...` plants faults in rooms of core and tells which the tests find.
 */
export async function bench(argv: readonly string[]): Promise<number> {
  const long = argv.includes('--long')
  const cycles = Number(argv[argv.indexOf('--cycles') + 1] ?? 20)
  const [which = 'all'] = argv.filter((a, i) => !a.startsWith('--') && argv[i - 1] !== '--cycles')
  if (which === 'mutants') {
    const rooms = argv.filter((a) => a !== 'mutants')
    if (rooms.length === 0)
      throw new UsageError('mutants of which rooms of core? For example: bench mutants money strips')
    benchMutants(ROOT, rooms)
    return 0
  }
  if (!['all', 'lays', 'plans', 'server', 'page', 'faults', 'searchers'].includes(which))
    throw new UsageError(`which bench? lays, plans, server, page, faults, searchers or mutants, not "${which}"`)
  if (which === 'all' || which === 'plans') await benchPlans()
  if (which === 'all' || which === 'server') await benchServer(ROOT, 2000, long ? 1200 : 20)
  if (which === 'all' || which === 'page') await benchPage(ROOT)
  if (which === 'all' || which === 'lays') await benchLays(long ? [2, 10, 60] : [2, 10])
  if (which === 'searchers') await benchSearchers(ROOT)
  if (which === 'faults') await benchFaults(argv.includes('--cycles') ? cycles : 20)
  return 0
}
