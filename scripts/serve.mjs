// Installs what is missing, builds, and serves interface and API: `npm start` your own shop, `npm run demo` the demo.
import { existsSync, rmSync } from 'node:fs'
import path from 'node:path'
import { spawn } from 'node:child_process'
import { BUILDS } from './builds.mjs'
import { bin, ensureInstalled, fail, ROOT, run } from './ensure-installed.mjs'

const isDemo = process.argv.includes('--demo')
ensureInstalled()
if (isDemo && process.argv.includes('--fresh')) {
  for (const name of ['demo.db', 'demo.db-wal', 'demo.db-shm', 'demo-access.json'])
    rmSync(path.join(ROOT, 'data', name), { force: true })
}
process.stderr.write('Building …\n')
for (const args of BUILDS) {
  if (run(bin('vite'), [...args, '--logLevel', 'warn']) !== 0) fail('The build did not finish; see above.')
}
if (!existsSync(path.join(ROOT, 'dist/server/main.js'))) fail('The build left no server.')
const server = spawn(process.execPath, [path.join(ROOT, 'dist/server/main.js')], {
  cwd: ROOT,
  stdio: 'inherit',
  env: {
    PORT: '4173',
    LOG_LEVEL: 'warn',
    DATABASE_FILE: path.join(ROOT, isDemo ? 'data/demo.db' : 'data/loft-seam.db'),
    ...process.env,
    ...(isDemo ? { DEMO: '1' } : {}),
    LOFT_SEAM_ROOT: ROOT,
  },
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code) => process.exit(code ?? 0))
