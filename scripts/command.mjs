// `npm run -s plan|lay|bench -- …`: installs what is missing, then runs the command in the caller's folder.
import path from 'node:path'
import { ensureInstalled, ROOT, run } from './ensure-installed.mjs'

ensureInstalled()
process.exitCode = run(
  process.execPath,
  [
    '--import',
    path.join(ROOT, 'node_modules/tsx/dist/esm/index.mjs'),
    path.join(ROOT, 'commands/main.ts'),
    ...process.argv.slice(2),
  ],
  { cwd: process.env.INIT_CWD ?? process.cwd() },
)
