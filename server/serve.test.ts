import { copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { Writable } from 'node:stream'
import { createClient } from '@libsql/client'
import { pino } from 'pino'
import { afterAll, describe, expect, it } from 'vitest'
import { planJob } from '../core/plan/index.ts'
import { keepersBench } from '../core/demo/index.ts'
import { serve, type ServeOptions } from './serve.ts'
import { openTestShop, ROOT } from './testing/running-app.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-serve-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const options = (change: Partial<ServeOptions> = {}): ServeOptions => ({
  databaseFile: path.join(folder, 'shop.db'),
  migrations: path.join(ROOT, 'server/db/migrations'),
  clientDir: null,
  host: '127.0.0.1',
  port: 0,
  demo: false,
  log: pino({ level: 'silent' }),
  ...change,
})

describe('the server', () => {
  it('writes a log line for each request, with its status and time', async () => {
    const lines: Record<string, unknown>[] = []
    const sink = new Writable({
      write(chunk: Buffer, _encoding, done) {
        lines.push(JSON.parse(chunk.toString()) as Record<string, unknown>)
        done()
      },
    })
    const running = await serve(options({ databaseFile: path.join(folder, 'log.db'), log: pino(sink) }))
    await fetch(`${running.address}/api/jobs`)
    await fetch(`${running.address}/api/jobs/nobody`)
    await running.stop()
    expect(lines.map((l) => [l['method'], l['path'], l['status']])).toEqual([
      ['GET', '/api/jobs', 200],
      ['GET', '/api/jobs/nobody', 404],
    ])
    expect(lines[0]!['ms']).toBeTypeOf('number')
  })

  it('sends protective headers and does not name its make', async () => {
    const shop = await openTestShop()
    const { headers } = await fetch(`${shop.address}/api/health`)
    expect(headers.get('content-security-policy')).toContain("default-src 'self'")
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('x-powered-by')).toBeNull()
    await shop.end()
  })

  it('keeps everything when stopped and started again, and stocks an empty shop only once', async () => {
    const first = await serve(options())
    const made = (await (
      await fetch(`${first.address}/api/jobs`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ job: keepersBench(), reason: '' }),
      })
    ).json()) as { id: string }
    await first.stop()
    const second = await serve(options({ demo: true }))
    const list = (await (await fetch(`${second.address}/api/jobs`)).json()) as { id: string }[]
    expect(list.map((j) => j.id)).toEqual([made.id])
    expect(await (await fetch(`${second.address}/api/shop/grades`)).json()).toEqual([])
    await second.stop()
  })

  it('a new shop of your own has nobody else’s name, foam or cloth; the demo shop has all of them', async () => {
    const read = async (demo: boolean) => {
      const shop = await serve(options({ databaseFile: path.join(folder, `first-${demo}.db`), demo }))
      const get = async (url: string) => (await fetch(shop.address + url)).json()
      const [settings, ...lists] = await Promise.all([
        get('/api/shop/settings'),
        ...['/api/shop/grades', '/api/shop/cloths', '/api/shop/foam-stock', '/api/stock/trims', '/api/jobs'].map(get),
      ])
      await shop.stop()
      return [(settings as { shopName: string }).shopName, ...lists.map((l) => (l as unknown[]).length > 0)]
    }
    expect(await read(false)).toEqual(['', false, false, false, false, false])
    expect(await read(true)).toEqual(['Halyard & Hem', true, true, true, true, true])
  })

  it('writes in WAL mode', async () => {
    const client = createClient({ url: `file:${path.join(folder, 'shop.db')}` })
    expect((await client.execute('PRAGMA journal_mode')).rows[0]![0]).toBe('wal')
    client.close()
  })

  it('after a stop the file by itself, copied elsewhere, is the whole shop', async () => {
    const file = path.join(folder, 'whole.db')
    const first = await serve(options({ databaseFile: file }))
    const made = (await (
      await fetch(`${first.address}/api/jobs`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ job: keepersBench(), reason: '' }),
      })
    ).json()) as { id: string }
    await first.stop()
    expect(
      readdirSync(folder).filter((n) => n.startsWith('whole.db-wal') && statSync(path.join(folder, n)).size > 0),
    ).toEqual([])
    const copy = path.join(folder, 'elsewhere.db')
    copyFileSync(file, copy)
    const second = await serve(options({ databaseFile: copy }))
    expect(await (await fetch(`${second.address}/api/jobs/${made.id}`)).json()).toMatchObject({
      revision: 1,
      job: { ticket: keepersBench().ticket },
    })
    await second.stop()
  })

  it('an emptied file beside backups is not taken for a new shop', async () => {
    const file = path.join(folder, 'emptied.db')
    const backups = path.join(folder, 'emptied-backups')
    writeFileSync(file, '')
    await (await serve(options({ databaseFile: file }))).stop() // no backups: a new shop
    rmSync(file)
    writeFileSync(file, '')
    mkdirSync(backups, { recursive: true })
    writeFileSync(path.join(backups, 'loft-seam-2026-03-02T09-15-00-000Z.db'), 'kept')
    await expect(serve(options({ databaseFile: file }))).rejects.toThrow(/is empty, and yet there are 1 backups of it/)
    expect(statSync(file).size).toBe(0)
  })

  it('finishes a request that is under way before it stops, and refuses the next', async () => {
    const running = await serve(options({ databaseFile: path.join(folder, 'stop.db'), stopPatienceMs: 60_000 }))
    const plan = planJob(keepersBench())
    const problem =
      plan.kind === 'worked'
        ? { ...plan.cloth.lays[0]!.problem, cloth: { ...plan.cloth.lays[0]!.problem.cloth, width: 1500 } }
        : null
    const underWay = fetch(`${running.address}/api/lays`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ problem, seconds: 1, seed: 1 }),
    })
    await new Promise((resolve) => setTimeout(resolve, 300))
    const stopped = running.stop()
    expect((await underWay).status).toBe(200)
    await stopped
    await expect(fetch(`${running.address}/api/jobs`)).rejects.toThrow()
  })

  it('a port that is taken is an error, not a hang', async () => {
    const running = await serve(options({ databaseFile: path.join(folder, 'a.db') }))
    const port = Number(new URL(running.address).port)
    await expect(serve(options({ databaseFile: path.join(folder, 'b.db'), port }))).rejects.toMatchObject({
      code: 'EADDRINUSE',
    })
    await running.stop()
  })

  it('serves the interface for every page, and a missing file as missing', async () => {
    const clientDir = path.join(folder, 'client')
    mkdirSync(path.join(clientDir, 'assets'), { recursive: true })
    writeFileSync(path.join(clientDir, 'index.html'), '<title>Loft Seam</title>')
    writeFileSync(path.join(clientDir, 'assets/app.js'), '1')
    const running = await serve(options({ databaseFile: path.join(folder, 'pages.db'), clientDir }))
    const get = (url: string) => fetch(running.address + url)
    expect(await (await get('/jobs/some-id/measure')).text()).toContain('Loft Seam')
    expect((await get('/assets/app.js')).headers.get('cache-control')).toContain('immutable')
    expect((await get('/assets/gone.js')).status).toBe(404)
    expect((await get('/secrets.txt')).status).toBe(404)
    const outside = await get('/..%2f..%2fpackage.json')
    expect(outside.status).toBeGreaterThanOrEqual(400)
    expect(await outside.text()).not.toContain('dependencies')
    await running.stop()
  })

  it('a document that no release has written is an error of ours, told without its inside', async () => {
    const shop = await openTestShop()
    const client = createClient({ url: `file:${shop.databaseFile}` })
    await client.execute(`UPDATE jobs SET document = '{"format":"loft-seam/job","version":1,"secret":"x"}'`)
    client.close()
    const [first] = (await (await fetch(`${shop.address}/api/jobs`)).json()) as { id: string }[]
    const answer = await fetch(`${shop.address}/api/jobs/${first!.id}`)
    expect(answer.status).toBe(500)
    expect(await answer.text()).not.toContain('secret')
    await shop.end()
  })
})
