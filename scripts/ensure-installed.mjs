// Runs on a Node without the project's dependencies: Node's own modules only.
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import path from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..')
const STAMP = path.join(ROOT, 'node_modules', '.loft-seam-installed')

/** Installs the locked dependencies when they are missing or of another lock file. */
export function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) fail(`Node 20.19 or newer is needed; this is ${process.version}.`)
  const lock = createHash('sha256')
    .update(readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex')
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return
  process.stderr.write('Installing what is missing (once) …\n')
  rmSync(STAMP, { force: true })
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: ROOT,
    stdio: ['ignore', 2, 2],
    shell: process.platform === 'win32',
  })
  if (done.status !== 0) fail('npm ci did not finish; see above.')
  writeFileSync(STAMP, lock)
}

/** Runs a program in the project's folder with its output shown; answers its exit code. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options })
  if (done.error) fail(`${command}: ${done.error.message}`)
  return done.status ?? 1
}

export const bin = (name) => path.join(ROOT, 'node_modules', '.bin', name)

export function fail(message) {
  process.stderr.write(`${message}\n`)
  process.exit(1)
}
