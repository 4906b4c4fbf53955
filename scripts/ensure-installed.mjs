// Runs on a Node without the project's dependencies: Node's own modules only.
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import path from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..')
const STAMP = path.join(ROOT, 'node_modules', '.loft-seam-installed')
const LOCK = path.join(ROOT, '.installing')

/** Installs the locked dependencies when they are missing or of another lock file. */
export function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) fail(`Node 20.19 or newer is needed; this is ${process.version}.`)
  const lock = createHash('sha256')
    .update(readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex')
  const isInstalled = () => existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock
  if (isInstalled()) return
  const leave = enterAlone()
  try {
    // Another command may have installed it meanwhile.
    if (!isInstalled()) install(lock)
  } finally {
    leave()
  }
}

function install(lock) {
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

/** Two installs at once would take each other's files away: the second command waits. A lock of one that died is taken. */
function enterAlone() {
  for (let isTold = false; ; isTold = true) {
    try {
      writeFileSync(LOCK, String(process.pid), { flag: 'wx' })
      return () => rmSync(LOCK, { force: true })
    } catch (cause) {
      if (cause.code !== 'EEXIST') throw cause
    }
    if (!isRunning(holder())) rmSync(LOCK, { force: true })
    else {
      if (!isTold) process.stderr.write('Another command installs what is missing: waiting for it …\n')
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 300)
    }
  }
}

/** Null while the lock is just being written, or was just given back. */
function holder() {
  try {
    return Number(readFileSync(LOCK, 'utf8')) || null
  } catch {
    return null
  }
}

function isRunning(pid) {
  if (pid === null) return existsSync(LOCK)
  try {
    process.kill(pid, 0)
    return true
  } catch (cause) {
    return cause.code === 'EPERM'
  }
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
