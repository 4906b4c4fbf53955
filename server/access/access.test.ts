import { existsSync, readFileSync, statSync } from 'node:fs'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { keepersBench } from '../../core/demo/index.ts'
import { accessFileOf } from './credentials.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'

const MAKER = 'salt wind and good thread'
const VIEWER = 'only here to look'
const job = { job: keepersBench(), reason: 'test' }

describe('a shop on its own machine', () => {
  let shop: TestShop
  beforeAll(async () => {
    shop = await openTestShop()
  })
  afterAll(() => shop.end())

  it('lets everybody on it make changes, without a word', async () => {
    expect((await request(shop.address).get('/api/access')).body).toMatchObject({
      network: false,
      role: 'maker',
      addresses: [],
    })
    await request(shop.address).post('/api/jobs').send(job).expect(201)
  })

  it.each<[string, Record<string, string>]>([
    ['a page of another site', { Origin: 'https://elsewhere.example' }],
    ['a form of another site', { 'Sec-Fetch-Site': 'cross-site' }],
    ['no origin at all', { Origin: 'null' }],
  ])('refuses a change from %s', async (_name, headers) => {
    const res = await request(shop.address).post('/api/jobs').set(headers).send(job)
    expect([res.status, res.body.title]).toEqual([403, 'This is not allowed here'])
  })

  it('answers to no foreign name, which another site could point here', async () => {
    expect((await request(shop.address).get('/api/jobs').set('Host', 'shop.elsewhere.example')).status).toBe(403)
  })

  it.each(['127.evil.example', '127.0.0.1.evil.example', 'localhost.evil.example'])(
    'answers to no name that only begins like its own: %s',
    async (name) => {
      expect((await request(shop.address).get('/api/jobs').set('Host', name)).status).toBe(403)
    },
  )

  it('reads no long body before anybody has signed in, however deep its brackets', async () => {
    const body = '['.repeat(2_000_000)
    const res = await request(shop.address).post('/api/access/in').set('content-type', 'application/json').send(body)
    expect(res.status).toBe(413)
  })

  it('takes no short passphrase', async () => {
    const res = await request(shop.address).put('/api/access/passphrases').send({ maker: 'short' })
    expect([res.status, res.body.detail]).toEqual([422, expect.stringMatching(/^\$\.maker is too short/)])
  })
})

describe('a shop open to the network', () => {
  let shop: TestShop
  beforeAll(async () => {
    shop = await openTestShop(undefined, { host: '0.0.0.0', passphrases: { maker: MAKER, viewer: VIEWER } })
  })
  afterAll(() => shop.end())
  const at = () => shop.address.replace('0.0.0.0', '127.0.0.1')
  const signIn = async (passphrase: string) =>
    request(at()).post('/api/access/in').set('X-Page', 'p').send({ passphrase })
  const cookieOf = async (passphrase: string): Promise<string> =>
    (await signIn(passphrase)).headers['set-cookie']![0]!.split(';')[0]!

  it('is not opened without a passphrase, and says what to do', async () => {
    await expect(openTestShop(undefined, { host: '0.0.0.0' })).rejects.toThrow(/MAKER_PASSPHRASE/)
    await expect(openTestShop(undefined, { host: '0.0.0.0', passphrases: { maker: 'short' } })).rejects.toThrow(
      /too short/,
    )
  })

  it('shows nothing before the passphrase is said', async () => {
    for (const path of [
      '/api/jobs',
      '/api/shop/settings',
      '/api/records/backups',
      '/api/records/archive',
      '/api/events',
      '/api/stock/trims',
    ])
      expect((await request(at()).get(path)).status, path).toBe(401)
    expect((await request(at()).get('/api/access')).body).toMatchObject({
      network: true,
      role: null,
      hasPassphrase: { maker: true, viewer: true },
    })
  })

  it('gives a maker a cookie that scripts and other sites cannot reach', async () => {
    const res = await signIn(MAKER)
    expect(res.headers['set-cookie']![0]).toMatch(
      /^loft_seam=[\w-]{43}; Max-Age=604800; Path=\/; HttpOnly; SameSite=Strict$/,
    )
    const cookie = res.headers['set-cookie']![0]!.split(';')[0]!
    await request(at()).post('/api/jobs').set({ Cookie: cookie, 'X-Page': 'p' }).send(job).expect(201)
    expect((await request(at()).post('/api/jobs').set('Cookie', cookie).send(job)).body.detail).toMatch(
      /does not say which page/,
    )
    expect(
      (await request(at()).post('/api/jobs').set({ Cookie: cookie, Origin: 'https://elsewhere.example' }).send(job))
        .status,
    ).toBe(403)
  })

  it('lets a viewer look and change nothing', async () => {
    const cookie = await cookieOf(VIEWER)
    await request(at()).get('/api/jobs').set('Cookie', cookie).expect(200)
    for (const res of [
      await request(at()).post('/api/jobs').set({ Cookie: cookie, 'X-Page': 'p' }).send(job),
      await request(at()).put('/api/access/passphrases').set({ Cookie: cookie, 'X-Page': 'p' }).send({ maker: MAKER }),
      await request(at()).post('/api/records/backups').set({ Cookie: cookie, 'X-Page': 'p' }),
    ])
      expect(res.status).toBe(403)
  })

  it('signing out ends the session; a made-up cookie never was one', async () => {
    const cookie = await cookieOf(MAKER)
    await request(at()).post('/api/access/out').set({ Cookie: cookie, 'X-Page': 'p' }).expect(204)
    expect((await request(at()).get('/api/jobs').set('Cookie', cookie)).status).toBe(401)
    expect((await request(at()).get('/api/jobs').set('Cookie', 'loft_seam=made-up')).status).toBe(401)
  })

  it('a new passphrase ends the sessions of the old one', async () => {
    const [mine, other] = [await cookieOf(MAKER), await cookieOf(MAKER)]
    await request(at())
      .put('/api/access/passphrases')
      .set({ Cookie: mine, 'X-Page': 'p' })
      .send({ maker: MAKER, current: MAKER })
      .expect(200)
    expect((await request(at()).get('/api/jobs').set('Cookie', other)).status).toBe(401)
  })

  it('keeps salted hashes beside the database, never the words, and neither in the database', () => {
    const read = (file: string) => (existsSync(file) ? readFileSync(file, 'latin1') : '')
    const inDatabase = read(shop.databaseFile) + read(`${shop.databaseFile}-wal`)
    const beside = read(accessFileOf(shop.databaseFile))
    expect(beside).toContain('"hash"')
    expect(inDatabase).not.toContain('"hash"')
    expect(inDatabase + beside).not.toContain(MAKER)
    expect(statSync(accessFileOf(shop.databaseFile)).mode & 0o777).toBe(0o600)
  })

  it('turns a guesser away after ten wrong words, whatever comes next', async () => {
    const answers: number[] = []
    for (let i = 0; i < 12; i++) answers.push((await signIn(`guess number ${i}`)).status)
    expect(answers.slice(0, 10)).toEqual(Array(10).fill(401))
    expect(answers.at(-1)).toBe(429)
  }, 180_000)

  it('runs no script of a page: the policy allows its own files alone', async () => {
    const policy = (await request(at()).get('/api/health')).headers['content-security-policy']!
    expect(/script-src ([^;]*)/.exec(policy)![1]).toBe("'self' 'wasm-unsafe-eval'")
  })
})
