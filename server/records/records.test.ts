import { copyFileSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { createClient } from '@libsql/client'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { unzipSync, zipSync } from 'fflate'
import type { JobSummary } from '../../contract/index.ts'
import { ArchiveLook, Backup, StoredJob } from '../../contract/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { backupFolderOf } from '../db/index.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'

let shop: TestShop
let other: TestShop
beforeAll(async () => {
  shop = await openTestShop()
  other = await openTestShop(undefined, { demo: false })
})
afterAll(async () => {
  await shop.end()
  await other.end()
})
const api = (of: TestShop = shop) => request(of.address)
const create = async (title: string): Promise<StoredJob> =>
  StoredJob.parse(
    (
      await api()
        .post('/api/jobs')
        .send({ job: { ...keepersBench(), title }, reason: 'test' })
    ).body,
  )
const titles = async (of: TestShop = shop) =>
  ((await api(of).get('/api/jobs')).body as JobSummary[]).map((j) => j.title).toSorted()
const backupsIn = (of: TestShop) => backupFolderOf(of.databaseFile)
const makeBackup = async () => Backup.parse((await api().post('/api/records/backups').expect(201)).body)
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

describe('backups', () => {
  it('are made while the shop runs, hold what it holds, and are listed newest first', async () => {
    const backup = await makeBackup()
    expect((await api().get('/api/records/backups')).body[0].name).toBe(backup.name)
    expect((await api().get(`/api/records/backups/${backup.name}`)).body).toMatchObject({
      kind: 'sound',
      shopName: 'Halyard & Hem',
      jobs: 18,
      revisions: 18,
      cloths: 9,
      newer: false,
    })
  })

  it('come back whole: jobs, history and trims; what was there is backed up first', async () => {
    const before = await titles()
    const backup = await makeBackup()
    await create('Made after the backup')
    const kept = Backup.parse((await api().post(`/api/records/backups/${backup.name}/restore`).expect(200)).body)
    expect(await titles()).toEqual(before)
    expect((await api().get('/api/stock/trims')).body.length).toBeGreaterThan(10)
    await api().post(`/api/records/backups/${kept.name}/restore`).expect(200)
    expect(await titles()).toContain('Made after the backup')
    await create('Saved after two restores')
  })

  it('of a newer release, damaged, or no database at all are refused in words, and nothing changes', async () => {
    const backup = await makeBackup()
    const folder = backupsIn(shop)
    const named = (minute: string) => `loft-seam-2026-01-01T00-${minute}-00-000Z.db`
    copyFileSync(path.join(folder, backup.name), path.join(folder, named('01')))
    const newer = createClient({ url: `file:${path.join(folder, named('01'))}` })
    await newer.execute("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)")
    newer.close()
    writeFileSync(path.join(folder, named('02')), readFileSync(path.join(folder, backup.name)).subarray(0, 9000))
    writeFileSync(path.join(folder, named('03')), 'not a database, only words in a file')
    const before = await titles()
    const refusal = async (minute: string) => {
      const res = await api().post(`/api/records/backups/${named(minute)}/restore`)
      return [res.status, res.body.detail]
    }
    expect(await refusal('01')).toEqual([422, expect.stringMatching(/newer release/)])
    expect(await refusal('02')).toEqual([422, expect.stringMatching(/damaged.*Nothing was changed/)])
    expect(await refusal('03')).toEqual([422, expect.stringMatching(/damaged/)])
    expect(await titles()).toEqual(before)
  }, 180_000)

  it.each(['..%2Fshop.db', 'shop.db', 'loft-seam-2026-01-01T00-09-00-000Z.db'])('%s is no backup', async (name) => {
    expect((await api().post(`/api/records/backups/${name}/restore`)).status).toBe(404)
  })

  it('a damaged database is not opened, and its file stays as it is', async () => {
    const file = path.join(backupsIn(shop), 'broken.sqlite')
    const bytes = readFileSync(path.join(backupsIn(shop), (await makeBackup()).name))
    bytes.fill(0x5a, 4096 * 3, 4096 * 6)
    writeFileSync(file, bytes)
    await expect(openTestShop(file)).rejects.toThrow(/damaged/)
    expect(readFileSync(file).equals(bytes)).toBe(true)
    expect(readdirSync(backupsIn(shop)).filter((n) => n.startsWith('broken') && !n.endsWith('.lock'))).toEqual([
      'broken.sqlite',
    ])
  })
})

const archive = async (of: TestShop = shop): Promise<Buffer> =>
  Buffer.from(
    (
      await api(of)
        .get('/api/records/archive')
        .buffer(true)
        .parse((res, done) => {
          const parts: Buffer[] = []
          res.on('data', (p: Buffer) => parts.push(p))
          res.on('end', () => done(null, Buffer.concat(parts)))
        })
    ).body as Buffer,
  )
const look = (of: TestShop, bytes: Buffer) =>
  api(of).post('/api/records/archive/look').set('content-type', 'application/zip').send(bytes)

describe('the archive of everything', () => {
  it('carries jobs with their history, lists and photos to another shop, and only what is missing the second time', async () => {
    const made = await create('With a photo')
    await api()
      .put(`/api/jobs/${made.id}`)
      .send({ job: { ...made.job, title: 'With a photo, twice saved' }, baseRevision: 1, reason: 'again' })
      .expect(200)
    const { id: photo } = (
      await api().post(`/api/photos/of/${made.id}`).set('content-type', 'image/png').send(PNG).expect(201)
    ).body as { id: string }
    const zip = await archive()
    expect(Object.keys(unzipSync(new Uint8Array(zip)))).toEqual(
      expect.arrayContaining(['manifest.json', 'shop/trims.json', `jobs/${made.id}.json`, `photos/${photo}.bin`]),
    )

    const found = ArchiveLook.parse((await look(other, zip).expect(200)).body)
    const count = (await titles()).length
    expect(found).toMatchObject({ shopName: 'Halyard & Hem', jobs: count, newJobs: count, newerJobs: 0, photos: 1 })
    expect(await titles(other)).toEqual([])
    await api(other).post(`/api/records/archive/take/${found.token}`).expect(204)
    expect(await titles(other)).toEqual(await titles())
    expect(
      (await api(other).get(`/api/jobs/${made.id}/revisions`)).body.map((r: { reason: string }) => r.reason),
    ).toEqual(['again', 'test'])
    expect(Buffer.from((await api(other).get(`/api/photos/${photo}`)).body as Buffer).equals(PNG)).toBe(true)
    expect((await look(other, zip)).body).toMatchObject({ newJobs: 0, newerJobs: 0, things: 0 })

    await api()
      .put(`/api/jobs/${made.id}`)
      .send({ job: { ...made.job, title: 'Saved later' }, baseRevision: 2, reason: 'later' })
      .expect(200)
    const again = ArchiveLook.parse((await look(other, await archive())).body)
    expect(again.newerJobs).toBe(1)
    await api(other).post(`/api/records/archive/take/${again.token}`).expect(204)
    expect(
      (await api(other).get(`/api/jobs/${made.id}/revisions`)).body.map((r: { reason: string }) => r.reason),
    ).toEqual(['from an archive', 'again', 'test'])
  }, 180_000)

  it('cut in half, changed on the way, of another kind or of a newer release changes nothing', async () => {
    const zip = await archive()
    const files = unzipSync(new Uint8Array(zip))
    const [jobName] = Object.keys(files).filter((n) => n.startsWith('jobs/'))
    const before = [await titles(other), (await api(other).get('/api/stock/trims')).body]
    const says = async (bytes: Buffer) => {
      const res = await look(other, bytes)
      return [res.status, res.body.detail as string]
    }
    const changed = (name: string, text: string) =>
      Buffer.from(zipSync({ ...files, [name]: new TextEncoder().encode(text) }))
    expect(await says(zip.subarray(0, zip.length / 2))).toEqual([
      422,
      expect.stringMatching(/cut off.*Nothing was changed/),
    ])
    expect(await says(changed(jobName!, '{}'))).toEqual([422, expect.stringMatching(/cut off or damaged/)])
    expect(await says(Buffer.from(zipSync({ 'a.txt': new TextEncoder().encode('hello') })))).toEqual([
      422,
      expect.stringMatching(/no archive of this program/),
    ])
    expect(await says(changed('manifest.json', JSON.stringify({ format: 'loft-seam/archive', version: 3 })))).toEqual([
      422,
      expect.stringMatching(/newer release/),
    ])
    expect(await says(Buffer.from('words'))).toEqual([422, expect.stringMatching(/cut off/)])
    expect([await titles(other), (await api(other).get('/api/stock/trims')).body]).toEqual(before)
  }, 180_000)
})
