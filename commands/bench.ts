import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { benchLays } from '../bench/lays.ts'
import { benchPage } from '../bench/page.ts'
import { benchPlans } from '../bench/plans.ts'
import { benchServer } from '../bench/server-load.ts'
import { UsageError } from './arguments.ts'

const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..')

/** `bench [lays|plans|server|page] [--long]`: all of them by default; --long adds the 60 s column to the lays. */
export async function bench(argv: readonly string[]): Promise<number> {
  const long = argv.includes('--long')
  const [which = 'all'] = argv.filter((a) => a !== '--long')
  if (!['all', 'lays', 'plans', 'server', 'page'].includes(which)) throw new UsageError(`which bench? lays, plans, server or page, not "${which}"`)
  if (which === 'all' || which === 'plans') await benchPlans()
  if (which === 'all' || which === 'server') await benchServer(ROOT)
  if (which === 'all' || which === 'page') await benchPage(ROOT)
  if (which === 'all' || which === 'lays') await benchLays(long ? [2, 10, 60] : [2, 10])
  return 0
}
