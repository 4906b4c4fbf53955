import { spawn } from 'node:child_process'
import { once } from 'node:events'
import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterEach, beforeEach, expect, it } from 'vitest'

/* The script in a project of its own, with an npm that writes down when it began and ended. */

const SCRIPT = path.join(path.dirname(fileURLToPath(import.meta.url)), 'ensure-installed.mjs')
const NPM = `#!/usr/bin/env node
import { appendFileSync, existsSync, mkdirSync } from 'node:fs'
const at = process.cwd()
appendFileSync(at + '/log', 'begins ')
mkdirSync(at + '/node_modules', { recursive: true })
setTimeout(() => appendFileSync(at + '/log', 'ends '), 900)
`
let root = ''
beforeEach(() => {
  root = mkdtempSync(path.join(tmpdir(), 'loft-seam-install-'))
  mkdirSync(path.join(root, 'scripts'))
  mkdirSync(path.join(root, 'bin'))
  copyFileSync(SCRIPT, path.join(root, 'scripts/ensure-installed.mjs'))
  writeFileSync(path.join(root, 'package-lock.json'), '{}')
  writeFileSync(path.join(root, 'package.json'), '{ "type": "module" }')
  writeFileSync(path.join(root, 'bin/npm'), NPM)
  chmodSync(path.join(root, 'bin/npm'), 0o755)
})
afterEach(() => rmSync(root, { recursive: true, force: true }))

/** Runs it as a command does; what it said. */
async function ensure(): Promise<string> {
  const child = spawn(
    process.execPath,
    ['--input-type=module', '-e', `(await import('${root}/scripts/ensure-installed.mjs')).ensureInstalled()`],
    { env: { ...process.env, PATH: `${path.join(root, 'bin')}:${process.env['PATH']}` } },
  )
  let said = ''
  child.stderr.on('data', (d: Buffer) => (said += d.toString()))
  const [code] = (await once(child, 'close')) as [number]
  return `${code}: ${said}`
}
const log = () => readFileSync(path.join(root, 'log'), 'utf8')

it('two commands started at once install once, one after the other', async () => {
  const said = await Promise.all([ensure(), ensure()])
  expect(log()).toBe('begins ends ')
  expect(said.every((s) => s.startsWith('0: '))).toBe(true)
  expect(existsSync(path.join(root, '.installing'))).toBe(false)
})

it('what is installed is not installed again, another lock file is', async () => {
  await ensure()
  await ensure()
  expect(log()).toBe('begins ends ')
  writeFileSync(path.join(root, 'package-lock.json'), '{ "lockfileVersion": 3 }')
  await ensure()
  expect(log()).toBe('begins ends begins ends ')
})

it('the lock of a command that died holds nobody up', async () => {
  const dead = spawn(process.execPath, ['-e', ''])
  await once(dead, 'exit')
  writeFileSync(path.join(root, '.installing'), String(dead.pid))
  expect(await ensure()).toMatch(/^0: Installing/)
  expect(log()).toBe('begins ends ')
})
