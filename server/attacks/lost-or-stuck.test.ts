import { randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createClient } from '@libsql/client'
import request from 'supertest'
import { unzipSync, zipSync } from 'fflate'
import { createHash } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { ArchiveLook, Backup, StoredJob, type Job, type JobSummary, type Trim } from '../../contract/index.ts'
import { DEMO_TRIMS, keepersBench } from '../../core/demo/index.ts'
import { backupFolderOf } from '../db/index.ts'
import { answeredMeanwhile } from '../testing/meanwhile.ts'
import { jpegOf } from '../testing/pictures.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-lost-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const api = (of: TestShop) => request(of.address)
const create = async (of: TestShop, change: Partial<Job> = {}) =>
  StoredJob.parse(
    (
      await api(of)
        .post('/api/jobs')
        .send({ job: { ...keepersBench(), ...change }, reason: '' })
        .expect(201)
    ).body,
  )
const save = (of: TestShop, id: string, job: Job, baseRevision: number) =>
  api(of).put(`/api/jobs/${id}`).send({ job, baseRevision, reason: '' })
const inFile = async (file: string, sql: string, args: (string | number | Uint8Array)[] = []) => {
  const client = createClient({ url: `file:${file}` })
  try {
    return (await client.execute({ sql, args })).rows
  } finally {
    client.close()
  }
}

describe('a byte that is no text', () => {
  const BAD = "CAST(x'ff' || CAST(document AS BLOB) AS TEXT)"

  it('is set aside at the start: every other job opens, this one as it was last readable, and it is told', async () => {
    const file = path.join(folder, 'bytes.db')
    const first = await openTestShop(file, { demo: false })
    const [good, bad] = [
      await create(first, { ticket: 'A-1' }),
      await create(first, { ticket: 'A-2', title: 'Readable' }),
    ]
    await api(first)
      .put('/api/stock/trims')
      .send(DEMO_TRIMS.map((value) => ({ value, base: null })))
      .expect(200)
    await first.stop()
    await inFile(file, `UPDATE jobs SET document = ${BAD}, title = ${BAD} WHERE id = ?`, [bad.id])
    await inFile(file, `UPDATE trims SET document = ${BAD} WHERE id = (SELECT id FROM trims LIMIT 1)`)
    const trims = Number((await inFile(file, 'SELECT count(*) FROM trims'))[0]![0])
    const again = await openTestShop(file, { demo: false })
    const list = (await api(again).get('/api/jobs').expect(200)).body as JobSummary[]
    expect(list.map((j) => [j.ticket, j.title])).toEqual([
      ['A-1', good.job.title],
      ['A-2', 'Readable'],
    ])
    expect((await api(again).get(`/api/jobs/${bad.id}`).expect(200)).body.job.title).toBe('Readable')
    expect((await api(again).get('/api/stock/trims').expect(200)).body).toHaveLength(trims - 1)
    const { aside } = (await api(again).get('/api/records/history').expect(200)).body as {
      aside: { stoodIn: string }[]
    }
    expect(aside.map((a) => a.stoodIn).toSorted()).toEqual(['jobs', 'trims'])
    await again.stop()
    const kept = await inFile(file, 'SELECT bytes FROM set_aside WHERE stood_in = ?', ['jobs'])
    expect(Buffer.from(kept[0]!['bytes'] as ArrayBuffer)[0]).toBe(0xff)
  }, 180_000)
})

describe('an archive', () => {
  let [shop, other]: TestShop[] = []
  beforeAll(async () => {
    shop = await openTestShop(undefined, { demo: false })
    other = await openTestShop(undefined, { demo: false })
  })
  afterAll(async () => {
    await shop!.end()
    await other!.end()
  })
  const archiveOf = async (of: TestShop): Promise<Uint8Array> =>
    new Uint8Array(await (await fetch(`${of.address}/api/records/archive`)).arrayBuffer())
  const look = (of: TestShop, bytes: Uint8Array) =>
    api(of).post('/api/records/archive/look').set('content-type', 'application/zip').send(Buffer.from(bytes))
  /** The archive with a file changed, and its table of contents with it. */
  function changed(zip: Uint8Array, change: (files: Record<string, Uint8Array>) => void): Uint8Array {
    const files = unzipSync(zip)
    change(files)
    const manifest = JSON.parse(new TextDecoder().decode(files['manifest.json'])) as { files: Record<string, string> }
    manifest.files = Object.fromEntries(
      Object.entries(files)
        .filter(([name]) => name !== 'manifest.json')
        .map(([name, bytes]) => [name, createHash('sha256').update(bytes).digest('hex')]),
    )
    files['manifest.json'] = new TextEncoder().encode(JSON.stringify(manifest))
    return zipSync(files)
  }
  const rewritten = (bytes: Uint8Array, change: (text: string) => string) =>
    new TextEncoder().encode(change(new TextDecoder().decode(bytes)))

  it('with a revision that leaves no room for the next is refused; a clock ahead makes no job the newest for ever', async () => {
    const { id } = await create(shop!)
    const zip = await archiveOf(shop!)
    const name = `jobs/${id}.json`
    const high = changed(zip, (f) => {
      f[name] = rewritten(f[name]!, (t) => t.replace('"revision":1', `"revision":${Number.MAX_SAFE_INTEGER}`))
    })
    expect((await look(other!, high)).status).toBe(422)
    const ahead = changed(zip, (f) => {
      f[name] = rewritten(f[name]!, (t) => t.replace(/"savedAt":"\d{4}/, '"savedAt":"2999'))
    })
    const { token } = ArchiveLook.parse((await look(other!, ahead).expect(200)).body)
    await api(other!).post(`/api/records/archive/take/${token}`).expect(204)
    // A lost answer is asked for again, and nothing comes twice.
    await api(other!).post(`/api/records/archive/take/${token}`).expect(204)
    const taken = StoredJob.parse((await api(other!).get(`/api/jobs/${id}`)).body)
    expect(taken.savedAt < '2100').toBe(true)
    expect((await save(other!, id, { ...taken.job, title: 'Goes on' }, taken.revision)).status).toBe(200)
  }, 180_000)

  it('of a job with a long history is written, read back, and taken in whole, while the shop answers', async () => {
    const { id, job } = await create(shop!, { ticket: 'LONG' })
    const long = { ...job, note: 'x'.repeat(4000) }
    const many = 2400
    const client = createClient({ url: `file:${shop!.databaseFile}` })
    for (let n = 2; n <= many; n += 100)
      await client.batch(
        Array.from({ length: Math.min(100, many - n + 1) }, (_, i) => ({
          sql: 'INSERT INTO job_revisions (job_id, revision, saved_at, reason, document) VALUES (?, ?, ?, ?, ?)',
          args: [
            id,
            n + i,
            '2026-03-02T09:00:00.000Z',
            `save ${n + i}`,
            JSON.stringify({ ...long, title: `t ${n + i}` }),
          ],
        })),
        'write',
      )
    await client.execute({ sql: 'UPDATE jobs SET revision = ? WHERE id = ?', args: [many, id] })
    client.close()
    const writing = archiveOf(shop!)
    expect(await answeredMeanwhile(shop!, writing)).toBeGreaterThan(0)
    const zip = await writing
    const names = Object.keys(unzipSync(zip)).filter((n) => n.startsWith(`jobs/${id}`))
    expect(names.length).toBeGreaterThan(1)
    const { token } = ArchiveLook.parse((await look(other!, zip).expect(200)).body)
    const taking = api(other!)
      .post(`/api/records/archive/take/${token}`)
      .then((r) => r.status)
    expect(await answeredMeanwhile(other!, taking)).toBeGreaterThan(0)
    expect(await taking).toBe(204)
    expect(((await api(other!).get(`/api/jobs/${id}/revisions`)).body as unknown[]).length).toBe(many)
    expect((await api(other!).get(`/api/jobs/${id}/revisions/1234`)).body.job.title).toBe('t 1234')
    expect((await api(other!).get(`/api/jobs/${id}`)).body.revision).toBe(many)
  }, 120_000)

  it.each<[string, () => Uint8Array, RegExp]>([
    [
      'that unpacks a thousandfold',
      () => zipSync({ 'shop/a.json': new Uint8Array(15_000_000) }),
      /packed in a way|no table/,
    ],
    ['of a text larger than any', () => zipSync({ 'shop/a.json': new Uint8Array(20_000_000) }), /larger than anything/],
    [
      'of twenty thousand empty files',
      () => zipSync(Object.fromEntries(Array.from({ length: 20_000 }, (_, i) => [`e${i}`, new Uint8Array(0)]))),
      /no table of contents/,
    ],
  ])(
    '%s is refused in words, and nothing of it is left',
    async (_name, bytes, says) => {
      const res = await look(other!, bytes())
      expect([res.status, res.body.detail]).toEqual([422, expect.stringMatching(says)])
      expect(readdirSync(`${other!.databaseFile}-passing`)).toEqual([])
    },
    60_000,
  )
})

describe('two pages and a restore', () => {
  it('no revision number comes twice, and every open page is told', async () => {
    const shop = await openTestShop(undefined, { demo: false })
    const { id, job } = await create(shop)
    const { name } = Backup.parse((await api(shop).post('/api/records/backups').expect(201)).body)
    for (let n = 1; n <= 5; n++) await save(shop, id, { ...job, title: `page, ${n}` }, n).expect(200)
    const heard = fetch(`${shop.address}/api/events`).then(async (r) => {
      let text = ''
      for await (const part of r.body!) {
        text += new TextDecoder().decode(part as Uint8Array)
        if (text.includes('restored')) return text
      }
      return text
    })
    await new Promise((resolve) => setTimeout(resolve, 100))
    await api(shop).post(`/api/records/backups/${name}/restore`).expect(200)
    expect(await heard).toContain('"kind":"restored"')
    const restored = StoredJob.parse((await api(shop).get(`/api/jobs/${id}`)).body)
    expect([restored.job.title, restored.revision]).toEqual([job.title, 7])
    // A page that still stands on revision 6 can never be taken for one that knows what is there now.
    for (let n = 0; n < 4; n++) await save(shop, id, { ...job, title: `after ${n}` }, restored.revision + n).expect(200)
    expect((await save(shop, id, { ...job, title: 'old page' }, 6)).status).toBe(409)
    await shop.end()
  }, 180_000)

  it('a save that was lost on its way back is taken for what it is, alone or under a later one', async () => {
    const shop = await openTestShop(undefined, { demo: false })
    const { id, job } = await create(shop)
    const mine = { ...job, title: 'mine' }
    await save(shop, id, mine, 1).expect(200)
    expect((await save(shop, id, mine, 1)).body).toMatchObject({ revision: 2, job: { title: 'mine' } })
    await save(shop, id, { ...mine, note: 'theirs' }, 2).expect(200)
    const clash = await save(shop, id, mine, 1)
    expect([clash.status, clash.body.arrived, clash.body.theirs.revision]).toEqual([409, 2, 3])
    await shop.end()
  })
})

describe('stock', () => {
  let shop: TestShop
  beforeAll(async () => {
    shop = await openTestShop()
  })
  afterAll(() => shop.end())
  const trim = async (id: string) =>
    ((await api(shop).get('/api/stock/trims')).body as Trim[]).find((t) => t.id === id)!
  const take = (id: string, jobId: string, amount = 3) =>
    api(shop)
      .post('/api/stock/take')
      .send({ id, jobId, ticket: 'SL-02', trims: [{ id: 'slider-5', amount }], cloths: [], foam: [] })

  it('is taken once, though it is asked for again after a lost answer, or anew; and comes back whole', async () => {
    const before = (await trim('slider-5')).inHand
    const [act, job] = [randomUUID(), randomUUID()]
    await take(act, job).expect(201)
    await take(act, job).expect(201)
    const anew = await take(randomUUID(), job)
    expect([anew.status, anew.body.detail]).toEqual([
      409,
      expect.stringMatching(/took its share on .*Give it back first/),
    ])
    expect((await trim('slider-5')).inHand).toBe(before - 3)
    const back = { id: randomUUID(), jobId: job }
    await api(shop).post('/api/stock/give-back').send(back).expect(201)
    await api(shop).post('/api/stock/give-back').send(back).expect(201)
    expect((await trim('slider-5')).inHand).toBe(before)
    expect(
      (
        await api(shop)
          .post('/api/stock/give-back')
          .send({ ...back, id: randomUUID() })
      ).status,
    ).toBe(409)
    await take(randomUUID(), job).expect(201)
  })

  it('counted by two people at once goes by both movements; a price that both set is asked about', async () => {
    const base = await trim('rings')
    const put = (value: Trim) => api(shop).put('/api/stock/trims').send([{ value, base }])
    await put({ ...base, inHand: base.inHand + 20 }).expect(200)
    await put({ ...base, inHand: base.inHand - 2, name: 'Rings of brass' }).expect(200)
    expect(await trim('rings')).toMatchObject({ inHand: base.inHand + 18, name: 'Rings of brass' })
    await put({ ...base, price: 7 }).expect(200)
    const other = await put({ ...base, price: 8 })
    expect([other.status, other.body.detail]).toEqual([409, expect.stringMatching(/\(price\).*Nothing was changed/)])
    expect((await trim('rings')).price).toBe(7)
  })

  it('settings changed on two pages stand beside each other', async () => {
    const base = (await api(shop).get('/api/shop/settings')).body as { shopName: string; book: { seamMm: number } }
    const put = (value: object) => api(shop).put('/api/shop/settings').send({ value, base })
    await put({ ...base, shopName: 'Hem & Halyard' }).expect(200)
    await put({ ...base, book: { ...base.book, seamMm: 16 } }).expect(200)
    expect((await api(shop).get('/api/shop/settings')).body).toMatchObject({
      shopName: 'Hem & Halyard',
      book: { seamMm: 16 },
    })
  })
})

describe('the file', () => {
  it('is served by one program: the second says so, and comes up once the first has gone', async () => {
    const file = path.join(folder, 'one.db')
    const first = await openTestShop(file)
    await expect(openTestShop(file)).rejects.toThrow(/is open in another Loft Seam/)
    await api(first).get('/api/jobs').expect(200)
    await first.stop()
    await (await openTestShop(file)).stop()
  }, 180_000)

  it('held by another program for a while: saves wait, none is lost, and others are answered meanwhile', async () => {
    const shop = await openTestShop(undefined, { demo: false })
    const { id, job } = await create(shop)
    const holder = createClient({ url: `file:${shop.databaseFile}` })
    const lock = await holder.transaction('write')
    const saving = save(shop, id, { ...job, title: 'through the lock' }, 1).then((r) => r.status)
    expect(await answeredMeanwhile(shop, Promise.race([saving, new Promise((r) => setTimeout(r, 600))]))).toBe(5)
    lock.close()
    holder.close()
    expect(await saving).toBe(200)
    for (let n = 2; n < 5; n++) await save(shop, id, { ...job, title: `later ${n}` }, n).expect(200)
    await api(shop).post('/api/records/backups').expect(201)
    await shop.end()
  }, 180_000)

  it('held for good is told with what to do, and saves go on when it is free', async () => {
    const shop = await openTestShop(undefined, { demo: false })
    const { id, job } = await create(shop)
    const holder = createClient({ url: `file:${shop.databaseFile}` })
    const lock = await holder.transaction('write')
    const res = await save(shop, id, job, 1)
    expect([res.status, res.body.detail]).toEqual([503, expect.stringMatching(/Another program holds the database/)])
    expect((await api(shop).get('/api/health')).status).toBe(503)
    lock.close()
    holder.close()
    await save(shop, id, { ...job, title: 'free' }, 1).expect(200)
    await shop.end()
  }, 180_000)

  it('of an older release is copied before its tables are changed', async () => {
    const file = path.join(folder, 'older.db')
    await (await openTestShop(file, { demo: false })).stop()
    await inFile(
      file,
      'DELETE FROM __drizzle_migrations WHERE created_at = (SELECT max(created_at) FROM __drizzle_migrations)',
    )
    for (const table of ['pulse', 'set_aside', 'revision_floors']) await inFile(file, `DROP TABLE ${table}`)
    for (const [table, column] of [
      ['job_revisions', 'packed'],
      ['job_revisions', 'packed_on'],
      ['jobs', 'coming_with'],
    ])
      await inFile(file, `ALTER TABLE ${table} DROP COLUMN ${column}`)
    const again = await openTestShop(file, { demo: false })
    const kinds = ((await api(again).get('/api/records/backups')).body as Backup[]).map((b) => b.kind)
    expect(kinds).toEqual(['before-migration'])
    await again.stop()
  }, 180_000)

  it('a backup that was cut off is none, and the next one is made', async () => {
    const file = path.join(folder, 'cut.db')
    mkdirSync(backupFolderOf(file), { recursive: true })
    const shop = await openTestShop(file, { demo: false })
    writeFileSync(path.join(backupFolderOf(file), 'loft-seam-2026-03-02T09-15-00-000Z-timed.db'), '')
    writeFileSync(path.join(backupFolderOf(file), 'loft-seam-2026-03-02T09-16-00-000Z-timed.db.partial'), 'half')
    expect((await api(shop).get('/api/records/backups')).body).toEqual([])
    const made = Backup.parse((await api(shop).post('/api/records/backups').expect(201)).body)
    expect(made.bytes).toBeGreaterThan(4096)
    await shop.stop()
  }, 180_000)

  it('what an import that was cut off left is out at the next start; a photo of no job too', async () => {
    const file = path.join(folder, 'half.db')
    const first = await openTestShop(file, { demo: false })
    const { id } = await create(first)
    const photo = await api(first).post(`/api/photos/of/${id}`).set('content-type', 'image/jpeg').send(jpegOf(9, 9))
    expect(photo.status).toBe(201)
    await first.stop()
    await inFile(file, "UPDATE jobs SET coming_with = 'an import'")
    const again = await openTestShop(file, { demo: false })
    expect((await api(again).get('/api/jobs')).body).toEqual([])
    await again.stop()
    for (const table of ['jobs', 'job_revisions', 'photos'])
      expect((await inFile(file, `SELECT count(*) FROM ${table}`))[0]![0], table).toBe(0)
  }, 180_000)

  it('a folder that may not be written is told at the start', async () => {
    const file = path.join(folder, 'a file instead of a folder')
    writeFileSync(file, '')
    await expect(openTestShop(path.join(file, 'shop.db'))).rejects.toThrow()
    expect(existsSync(path.join(file, 'shop.db'))).toBe(false)
  })
})

it('the log says what went wrong and where, never what was to be saved', async () => {
  const { Writable } = await import('node:stream')
  const { pino } = await import('pino')
  let text = ''
  const sink = new Writable({
    write(chunk: Buffer, _encoding, done) {
      text += chunk.toString()
      done()
    },
  })
  const shop = await openTestShop(undefined, { demo: false, log: pino({ level: 'error' }, sink) })
  const { id, job } = await create(shop)
  await inFile(shop.databaseFile, 'DROP TABLE job_revisions')
  const res = await save(shop, id, { ...job, note: 'nobody else may read this' }, 1)
  expect(res.status).toBe(500)
  await vi.waitFor(() => expect(text).toContain('request failed'))
  expect(text).toContain('SQLITE_ERROR')
  expect(text).not.toContain('nobody else may read this')
  await shop.end()
})
