import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { hostname, tmpdir } from 'node:os'
import path from 'node:path'
import { Writable } from 'node:stream'
import { createClient } from '@libsql/client'
import { pino } from 'pino'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { AccessState, type Backup } from '../../contract/index.ts'
import { accessFileOf } from '../access/credentials.ts'
import { isOwnName } from '../access/own-names.ts'
import { sessions } from '../access/sessions.ts'
import { backupFolderOf } from '../db/index.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'

const [MAKER, VIEWER, NEW] = ['salt wind and good thread', 'only here to look', 'a brass lamp and a gull']
const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-broken-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const at = (shop: TestShop) => shop.address.replace('0.0.0.0', '127.0.0.1')
const cookieOf = async (shop: TestShop, passphrase: string): Promise<string | null> => {
  const res = await request(at(shop)).post('/api/access/in').set('X-Page', 'p').send({ passphrase })
  return res.status === 200 ? res.headers['set-cookie']![0]!.split(';')[0]! : null
}
const as = (cookie: string) => ({ Cookie: cookie, 'X-Page': 'p' })
const network = { host: '0.0.0.0', passphrases: { maker: MAKER, viewer: VIEWER } }
const stateFor = async (shop: TestShop, cookie = '') =>
  AccessState.parse((await request(at(shop)).get('/api/access').set('Cookie', cookie)).body)

describe('names', () => {
  let shop: TestShop
  beforeAll(async () => {
    shop = await openTestShop(undefined, { ...network, names: ['shop.lan'] })
  })
  afterAll(() => shop.end())

  it.each(['shop.evil.example', '127.evil.example', '0x7f.1', 'localhost.', `${hostname()}.evil.example`])(
    'a name that somebody else points here is no name of the shop: %s',
    async (name) => {
      const res = await request(at(shop)).get('/api/access').set('Host', `${name}:80`)
      expect([res.status, res.body.detail]).toEqual([403, expect.stringMatching(/does not go by the name/)])
    },
  )
  it.each(['shop.lan', 'SHOP.LAN', '127.0.0.1', 'localhost', hostname(), `${hostname()}.local`])(
    'it goes by its own, and by one given to it: %s',
    async (name) => {
      expect((await request(at(shop)).get('/api/access').set('Host', `${name}:80`)).status).toBe(200)
      expect(isOwnName(name, ['shop.lan'])).toBe(true)
    },
  )
  it('where it is found is told to those who are signed in alone', async () => {
    expect((await stateFor(shop)).addresses).toEqual([])
    const cookie = (await cookieOf(shop, MAKER))!
    for (const address of (await stateFor(shop, cookie)).addresses) expect(address).toMatch(/^http:\/\/[\d.]+:\d+$/)
  })
})

describe('passphrases', () => {
  it('an old one never comes back: not with a backup, not from the environment, not in an archive', async () => {
    const file = path.join(folder, 'old.db')
    const said: string[] = []
    const sink = new Writable({
      write(chunk: Buffer, _encoding, done) {
        said.push(chunk.toString())
        done()
      },
    })
    const first = await openTestShop(file, network)
    const maker = (await cookieOf(first, MAKER))!
    const { name } = (await request(at(first)).post('/api/records/backups').set(as(maker)).expect(201)).body as Backup
    const put = (body: object, cookie = maker) =>
      request(at(first)).put('/api/access/passphrases').set(as(cookie)).send(body)
    expect((await put({ maker: NEW })).status).toBe(403)
    expect((await put({ maker: NEW, current: 'not this one' })).status).toBe(403)
    const set = await put({ maker: NEW, current: MAKER }).expect(200)
    const now = set.headers['set-cookie']![0]!.split(';')[0]!
    await request(at(first)).post(`/api/records/backups/${name}/restore`).set(as(now)).expect(200)
    expect([await cookieOf(first, MAKER), (await cookieOf(first, NEW)) !== null]).toEqual([null, true])
    const archive = Buffer.from(
      await (await fetch(`${at(first)}/api/records/archive`, { headers: { cookie: now } })).arrayBuffer(),
    )
    expect(archive.toString('latin1')).not.toContain('access')
    await first.stop()
    const again = await openTestShop(file, { ...network, log: pino(sink) })
    expect([await cookieOf(again, MAKER), (await cookieOf(again, NEW)) !== null]).toEqual([null, true])
    expect(said.join('')).toMatch(/of the environment is not used: one is set already/)
    await again.stop()
    for (const copy of readdirSync(backupFolderOf(file)))
      expect(readFileSync(path.join(backupFolderOf(file), copy), 'latin1'), copy).not.toMatch(/"hash":/)
  }, 180_000)

  it('those an older release kept in the database move out of it, and open as before', async () => {
    const file = path.join(folder, 'moved.db')
    const first = await openTestShop(file, network)
    await first.stop()
    const before = readFileSync(accessFileOf(file), 'utf8')
    rmSync(accessFileOf(file))
    const { openHere: _, ...old } = JSON.parse(before) as { openHere: boolean }
    const client = createClient({ url: `file:${file}` })
    await client.execute({ sql: 'INSERT INTO access VALUES (1, ?)', args: [JSON.stringify(old)] })
    client.close()
    const again = await openTestShop(file, { host: '0.0.0.0' })
    expect(await cookieOf(again, MAKER)).not.toBeNull()
    await again.stop()
    expect(readFileSync(file, 'latin1')).not.toMatch(/"hash":/)
  }, 180_000)

  it.each<[string, object, RegExp]>([
    ['eleven characters', { maker: 'eleven char' }, /too short: 12/],
    ['one everybody tries', { maker: 'passwordpassword' }, /everybody tries first/],
    ['the same for both', { maker: NEW, viewer: NEW }, /each role has its own/],
  ])('%s will not do', async (_name, words, says) => {
    const shop = await openTestShop(undefined, { demo: false })
    const res = await request(at(shop)).put('/api/access/passphrases').send(words)
    expect([res.status, res.body.detail]).toEqual([422, expect.stringMatching(says)])
    await shop.end()
  })

  it("the viewer's may not be the maker's, whenever it is set", async () => {
    const shop = await openTestShop(undefined, network)
    const cookie = (await cookieOf(shop, MAKER))!
    const res = await request(at(shop))
      .put('/api/access/passphrases')
      .set(as(cookie))
      .send({ viewer: MAKER, current: MAKER })
    expect([res.status, res.body.detail]).toEqual([422, expect.stringMatching(/each role has its own/)])
    await shop.end()
  }, 180_000)

  it('one set on this machine is asked on it as well, unless its owner says otherwise', async () => {
    const shop = await openTestShop(undefined, { demo: false })
    const set = await request(at(shop)).put('/api/access/passphrases').send({ maker: MAKER }).expect(200)
    const cookie = set.headers['set-cookie']![0]!.split(';')[0]!
    await request(at(shop)).get('/api/jobs').expect(401)
    await request(at(shop)).get('/api/jobs').set('Cookie', cookie).expect(200)
    expect(await stateFor(shop)).toMatchObject({ asked: true, network: false, role: null })
    await request(at(shop))
      .put('/api/access/passphrases')
      .set(as(cookie))
      .send({ openHere: true, current: MAKER })
      .expect(200)
    await request(at(shop)).get('/api/jobs').expect(200)
    await shop.end()
  }, 180_000)

  it('wrong ones never lock out who is signed in already', async () => {
    const shop = await openTestShop(undefined, network)
    const cookie = (await cookieOf(shop, MAKER))!
    for (let i = 0; i < 11; i++) await cookieOf(shop, `guess number ${i}`)
    expect(await cookieOf(shop, MAKER)).toBeNull()
    await request(at(shop)).get('/api/jobs').set('Cookie', cookie).expect(200)
    await shop.end()
  }, 180_000)
})

describe('sessions', () => {
  it('end after a day without a sign, and after a week with one', () => {
    let now = 0
    const ended: string[] = []
    const open = sessions(
      () => now,
      (id) => void ended.push(id),
    )
    const [idle, busy] = [open.open('maker', 'a'), open.open('viewer', 'b')]
    for (let hour = 0; hour < 7 * 24; hour++, now += 3_600_000) open.of(busy)
    expect([open.of(idle), open.of(busy)?.role]).toEqual([null, 'viewer'])
    now += 3_600_000
    expect(open.of(busy)).toBeNull()
    expect(ended).toHaveLength(2)
  })

  /** What was told before its end may still be under way. */
  async function ended(stream: ReadableStreamDefaultReader<Uint8Array>): Promise<void> {
    while (!(await stream.read().catch(() => ({ done: true }))).done);
  }

  it('are listed for makers, one of them is ended by hand, and its stream with it; all of it is in the log', async () => {
    let log = ''
    const sink = new Writable({
      write(chunk: Buffer, _encoding, done) {
        log += chunk.toString()
        done()
      },
    })
    const shop = await openTestShop(undefined, { ...network, log: pino({ level: 'fatal' }, sink) })
    const [maker, viewer] = [(await cookieOf(shop, MAKER))!, (await cookieOf(shop, VIEWER))!]
    await cookieOf(shop, 'nobody knows this')
    await request(at(shop)).post('/api/jobs').set(as(viewer)).send({}).expect(403)
    const stream = (await fetch(`${at(shop)}/api/events`, { headers: { cookie: viewer } })).body!.getReader()
    await stream.read()
    expect((await stateFor(shop, viewer)).sessions).toEqual([])
    const { sessions: listed } = await stateFor(shop, maker)
    expect(listed.map((s) => [s.role, s.yours])).toEqual([
      ['maker', true],
      ['viewer', false],
    ])
    const { id } = listed.find((s) => !s.yours)!
    await request(at(shop)).delete(`/api/access/sessions/${id}`).set(as(viewer)).expect(403)
    await request(at(shop)).delete(`/api/access/sessions/${id}`).set(as(maker)).expect(200)
    await ended(stream)
    await request(at(shop)).get('/api/jobs').set('Cookie', viewer).expect(401)
    for (const words of ['signed in', 'wrong passphrase', 'refused to a viewer']) expect(log).toContain(words)
    expect(log).not.toContain('nobody knows this')
    await shop.end()
  }, 180_000)
})

describe('what stands between', () => {
  it('over TLS, and behind a proxy that is trusted, the cookie is for TLS alone, and so is the next visit', async () => {
    const [cert, key] = [path.join(folder, 'c.pem'), path.join(folder, 'k.pem')]
    execFileSync('openssl', [
      ...['req', '-x509', '-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes', '-days', '2'],
      ...['-subj', '/CN=localhost', '-keyout', key, '-out', cert],
    ])
    const shop = await openTestShop(undefined, { ...network, tls: { certFile: cert, keyFile: key } })
    const res = await request(at(shop))
      .post('/api/access/in')
      .trustLocalhost()
      .disableTLSCerts()
      .set('X-Page', 'p')
      .send({ passphrase: MAKER })
    expect([res.headers['set-cookie']![0], res.headers['strict-transport-security']]).toEqual([
      expect.stringMatching(/; Secure/),
      'max-age=31536000',
    ])
    await shop.end()
    const behind = await openTestShop(undefined, { ...network, trustedProxies: ['127.0.0.1'] })
    const direct = await openTestShop(undefined, network)
    const cookies = []
    for (const one of [behind, direct])
      cookies.push(
        (
          await request(at(one))
            .post('/api/access/in')
            .set({ 'X-Page': 'p', 'X-Forwarded-Proto': 'https' })
            .send({ passphrase: MAKER })
        ).headers['set-cookie']![0]!.includes('Secure'),
      )
    expect(cookies).toEqual([true, false])
    await behind.end()
    await direct.end()
  }, 180_000)

  it('files are for their owner alone', async () => {
    const own = path.join(folder, 'made', 'shop.db')
    const shop = await openTestShop(own, network)
    const cookie = (await cookieOf(shop, MAKER))!
    await request(at(shop)).post('/api/records/backups').set(as(cookie)).expect(201)
    const mode = (file: string) => statSync(file).mode & 0o777
    expect([mode(path.dirname(own)), mode(backupFolderOf(own))]).toEqual([0o700, 0o700])
    const backup = path.join(backupFolderOf(own), readdirSync(backupFolderOf(own))[0]!)
    for (const file of [own, `${own}-wal`, accessFileOf(own), backup])
      if (existsSync(file)) expect(mode(file), file).toBe(0o600)
    await shop.stop()
  }, 180_000)

  it('nothing private is left in a store of the browser, and a page may ask for little', async () => {
    const shop = await openTestShop(undefined, { demo: false })
    const { headers } = await request(at(shop)).get('/api/shop/settings')
    expect(headers['cache-control']).toBe('no-store')
    const policy = headers['content-security-policy']!
    expect(policy).not.toMatch(/unsafe-inline|https:|font-src[^;]*data:/)
    expect(policy).toMatch(/style-src 'self'(;|$)/)
    expect(policy).toMatch(/font-src 'self'(;|$)/)
    expect(headers['permissions-policy']).toMatch(/geolocation=\(\), microphone=\(\)/)
    await shop.end()
  })

  it('characters that turn a line round, or move what is shown, are kept as marks', async () => {
    const { keepersBench } = await import('../../core/demo/index.ts')
    const shop = await openTestShop(undefined, { demo: false })
    const title = 'Bench \u202Egnihsur\u202C \u0007bell\u2028'
    const { body } = await request(at(shop))
      .post('/api/jobs')
      .send({ job: { ...keepersBench(), title }, reason: '' })
    expect(body.job.title).toBe('Bench \u2426gnihsur\u2426 \u2407bell\u2426')
    const lone = JSON.stringify({ job: { ...keepersBench(), title: 'X' }, reason: '' }).replace('"X"', '"\\ud800"')
    const res = await request(at(shop)).post('/api/jobs').set('content-type', 'application/json').send(lone)
    expect([res.status, res.body.detail]).toEqual([422, '$.title contains characters that cannot be stored'])
    await shop.end()
  })
})
