// `npm run demo`: installs what is missing, builds, and serves interface and API with the demo data.
import { existsSync, rmSync } from 'node:fs'
import path from 'node:path'
import { spawn } from 'node:child_process'
import { bin, ensureInstalled, fail, ROOT, run } from './ensure-installed.mjs'

ensureInstalled()
if (process.argv.includes('--fresh')) {
  for (const name of ['demo.db', 'demo.db-wal', 'demo.db-shm', 'demo-access.json'])
    rmSync(path.join(ROOT, 'data', name), { force: true })
}
process.stderr.write('Building …\n')
for (const args of [['build'], ['build', '--config', 'vite.server.config.ts']]) {
  if (run(bin('vite'), [...args, '--logLevel', 'warn']) !== 0) fail('The build did not finish; see above.')
}
if (!existsSync(path.join(ROOT, 'dist/server/main.js'))) fail('The build left no server.')
const server = spawn(process.execPath, [path.join(ROOT, 'dist/server/main.js')], {
  cwd: ROOT,
  stdio: 'inherit',
  env: {
    PORT: '4173',
    LOG_LEVEL: 'warn',
    DATABASE_FILE: path.join(ROOT, 'data/demo.db'),
    ...process.env,
    DEMO: '1',
    LOFT_SEAM_ROOT: ROOT,
  },
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code) => process.exit(code ?? 0))
