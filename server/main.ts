import path from 'node:path'
import { existsSync } from 'node:fs'
import { pino } from 'pino'
import { causeOf } from './db/index.ts'
import { addressFault } from './searchers/redis-address.ts'
import { serve } from './serve.ts'

// What this program writes is for its owner alone.
process.umask(0o077)

const root = process.env['LOFT_SEAM_ROOT'] ?? process.cwd()
const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' }, pino.destination({ dest: 2, sync: true }))
const clientDir = path.join(root, 'dist/client')
const given = (role: 'maker' | 'viewer', name: string) => (process.env[name] ? { [role]: process.env[name] } : {})

/** Words of a variable, with commas between. */
const listed = (name: string): string[] =>
  (process.env[name] ?? '')
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '')
const [certFile, keyFile] = [process.env['TLS_CERT'], process.env['TLS_KEY']]
if (!certFile !== !keyFile) {
  process.stderr.write(
    `Loft Seam could not start. ${certFile ? 'TLS_CERT is set without TLS_KEY' : 'TLS_KEY is set without TLS_CERT'}: set both for TLS, or neither.\n`,
  )
  process.exit(1)
}

const redis = process.env['REDIS_URL'] || null
const strange = redis && addressFault(redis)
if (strange) {
  process.stderr.write(`Loft Seam could not start. REDIS_URL: ${strange}\n`)
  process.exit(1)
}

const running = await serve({
  databaseFile: process.env['DATABASE_FILE'] ?? path.join(root, 'data/loft-seam.db'),
  migrations: path.join(root, 'server/db/migrations'),
  clientDir: existsSync(clientDir) ? clientDir : null,
  upkeep: true,
  passphrases: { ...given('maker', 'MAKER_PASSPHRASE'), ...given('viewer', 'VIEWER_PASSPHRASE') },
  ...(certFile && keyFile ? { tls: { certFile, keyFile } } : {}),
  ...(redis ? { redis } : {}),
  names: listed('SHOP_NAMES'),
  trustedProxies: listed('TRUSTED_PROXIES'),
  host: process.env['HOST'] ?? '127.0.0.1',
  port: Number(process.env['PORT'] ?? 4173),
  demo: process.env['DEMO'] === '1',
  log,
}).catch((error: NodeJS.ErrnoException) => {
  const cure =
    error.code === 'EADDRINUSE'
      ? 'The port is taken: stop the other program or set PORT.'
      : (causeOf(error)?.says ?? error.message)
  process.stderr.write(`Loft Seam could not start. ${cure}\n`)
  process.exit(1)
})
process.stdout.write(`Loft Seam is open at ${running.address}\n`)

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    void running.stop().then(() => process.exit(0))
  })
}
