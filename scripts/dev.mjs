// `npm run dev`: server and interface in watch mode, for people who change them.
import { bin, ensureInstalled, run } from './ensure-installed.mjs'

ensureInstalled()
process.exitCode = run(
  bin('concurrently'),
  ['-k', '-n', 'server,client', 'tsx watch server/main.ts', 'vite --host 127.0.0.1'],
  { env: { ...process.env, DEMO: '1', DATABASE_FILE: 'data/dev.db' } },
)
