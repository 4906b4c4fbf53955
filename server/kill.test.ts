import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createClient } from '@libsql/client'
import { afterEach, expect, it } from 'vitest'
import { keepersBench } from '../core/demo/index.ts'
import { openTestShop, ROOT } from './testing/running-app.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-kill-'))
const children: ChildProcess[] = []
afterEach(() => {
  for (const child of children) child.kill('SIGKILL')
  rmSync(folder, { recursive: true, force: true })
})

async function startServer(databaseFile: string): Promise<{ child: ChildProcess; address: string }> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_FILE: databaseFile, PORT: '0', LOG_LEVEL: 'silent', DEMO: '1' },
  })
  children.push(child)
  const address = await new Promise<string>((resolve, reject) => {
    child.stdout!.on('data', (d: Buffer) => {
      const found = /http:\S+/.exec(d.toString())
      if (found) resolve(found[0])
    })
    child.once('exit', () => reject(new Error('the server did not start')))
  })
  return { child, address }
}

it('killed while saving: the last acknowledged save is there and the file is sound', async () => {
  const databaseFile = path.join(folder, 'shop.db')
  const { child, address } = await startServer(databaseFile)
  const send = async (url: string, method: string, body: unknown) =>
    (
      await fetch(`${address}${url}`, {
        method,
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
    ).json() as Promise<{ id: string; revision: number }>
  const { id } = await send('/api/jobs', 'POST', { job: keepersBench(), reason: '' })
  let acknowledged = 1
  const saving = (async () => {
    for (;;) {
      const saved = await send(`/api/jobs/${id}`, 'PUT', {
        job: { ...keepersBench(), title: `save ${acknowledged + 1}` },
        baseRevision: acknowledged,
        reason: '',
      })
      acknowledged = saved.revision
    }
  })().catch(() => undefined)
  await new Promise((resolve) => setTimeout(resolve, 700))
  child.kill('SIGKILL')
  await saving
  expect(acknowledged).toBeGreaterThan(3)

  const client = createClient({ url: `file:${databaseFile}` })
  expect((await client.execute('PRAGMA integrity_check')).rows[0]![0]).toBe('ok')
  client.close()
  const reopened = await openTestShop(databaseFile)
  const job = (await (await fetch(`${reopened.address}/api/jobs/${id}`)).json()) as {
    revision: number
    job: { title: string }
  }
  // A save whose answer was still under way when the server died may be there too.
  expect([acknowledged, acknowledged + 1]).toContain(job.revision)
  expect(job.job.title).toBe(`save ${job.revision}`)
  const history = (await (await fetch(`${reopened.address}/api/jobs/${id}/revisions`)).json()) as unknown[]
  expect(history).toHaveLength(job.revision)
  await reopened.end()
})

it('a certificate without its key is refused at the start, in words', async () => {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: ROOT,
    env: {
      ...process.env,
      DATABASE_FILE: path.join(folder, 'tls.db'),
      PORT: '0',
      TLS_CERT: 'somewhere.pem',
      TLS_KEY: '',
    },
  })
  children.push(child)
  let told = ''
  child.stderr!.on('data', (d: Buffer) => (told += d.toString()))
  expect(await new Promise((resolve) => child.once('exit', resolve))).toBe(1)
  expect(told).toContain('TLS_CERT is set without TLS_KEY')
})
