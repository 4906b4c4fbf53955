import { execFileSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createClient } from '@libsql/client'
import request from 'supertest'
import { afterAll, describe, expect, it } from 'vitest'
import { Backup, StoredJob, type Job } from '../../contract/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { causeOf, openDatabase } from '../db/index.ts'
import { openTestShop, ROOT, type TestShop } from '../testing/running-app.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-disk-'))
const mounted: string[] = []
afterAll(() => {
  for (const place of mounted) execFileSync('umount', ['-l', place])
  rmSync(folder, { recursive: true, force: true })
})

/** A disk of so many megabytes, where this machine lets one be made. */
function smallDisk(name: string, megabytes: number): string | null {
  const place = path.join(folder, name)
  mkdirSync(place)
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m`, 'tmpfs', place], { stdio: 'ignore' })
  } catch {
    return null
  }
  mounted.push(place)
  return place
}

const api = (shop: TestShop) => request(shop.address)
const create = async (shop: TestShop) =>
  StoredJob.parse((await api(shop).post('/api/jobs').send({ job: keepersBench(), reason: '' }).expect(201)).body)
const save = (shop: TestShop, { id, job, revision }: StoredJob, change: Partial<Job>) =>
  api(shop)
    .put(`/api/jobs/${id}`)
    .send({ job: { ...job, ...change }, baseRevision: revision, reason: '' })

const disk = smallDisk('full', 8)

describe.skipIf(disk === null)('a disk that is full', () => {
  it('is told with what to do; what was saved is whole, and saves go on when there is room', async () => {
    const shop = await openTestShop(path.join(disk!, 'shop.db'), { demo: false })
    let stored = await create(shop)
    const filler = path.join(disk!, 'filler')
    for (const bytes of [4_000_000, 400_000, 40_000, 4000])
      try {
        for (let i = 0; ; i++) writeFileSync(`${filler}-${bytes}-${i}`, Buffer.alloc(bytes))
      } catch {
        // Nothing of this size goes in any more.
      }
    let refused = 0
    for (let n = 0; n < 400 && refused === 0; n++) {
      const res = await save(shop, stored, { note: `${n} ${Math.random()} `.repeat(150).slice(0, 3900) })
      if (res.status === 200) stored = StoredJob.parse(res.body)
      else {
        refused = res.status
        expect(res.body.detail).toMatch(/disk of the shop is full: make room/)
      }
    }
    expect(refused).toBe(507)
    expect((await api(shop).get('/api/health')).status).toBe(507)
    expect((await api(shop).get(`/api/jobs/${stored.id}`)).body).toMatchObject({ revision: stored.revision })
    execFileSync('sh', ['-c', `rm ${filler}-*`])
    await save(shop, stored, { note: 'room again' }).expect(200)
    await shop.stop()
    const again = await openTestShop(path.join(disk!, 'shop.db'), { demo: false })
    expect((await api(again).get(`/api/jobs/${stored.id}`)).body.job.note).toBe('room again')
    await again.stop()
  }, 180_000)
})

it.each<[string, object, string]>([
  ['a file that may not be written', { code: 'SQLITE_READONLY' }, 'read-only'],
  ['a file held elsewhere', { cause: { code: 'SQLITE_BUSY' } }, 'locked'],
  ['a folder that is gone', { cause: { cause: { code: 'SQLITE_CANTOPEN' } } }, 'missing'],
  ['a disk that fails', { code: 'SQLITE_IOERR_READ' }, 'damaged'],
  ['a disk that is full', { code: 'SQLITE_IOERR', extendedCode: 'SQLITE_IOERR_WRITE' }, 'full'],
])('%s is known behind whatever wraps it', (_name, error, kind) => {
  expect(causeOf(Object.assign(new Error('Failed query'), error))?.kind).toBe(kind)
  expect(causeOf(new TypeError('not of the disk'))).toBeNull()
})

describe('a change of tables', () => {
  it('that is cut off half way leaves the tables as they were, with all that is in them', async () => {
    const file = path.join(folder, 'half.db')
    const good = path.join(ROOT, 'server/db/migrations')
    const shop = await openTestShop(file, { demo: false })
    const stored = await create(shop)
    await shop.stop()
    const bad = path.join(folder, 'migrations')
    cpSync(good, bad, { recursive: true })
    const journal = JSON.parse(readFileSync(path.join(bad, 'meta/_journal.json'), 'utf8')) as { entries: object[] }
    journal.entries.push({ idx: 99, version: '6', when: 9_999_999_999_999, tag: '0099_half', breakpoints: true })
    writeFileSync(path.join(bad, 'meta/_journal.json'), JSON.stringify(journal))
    writeFileSync(
      path.join(bad, '0099_half.sql'),
      'ALTER TABLE jobs RENAME COLUMN ticket TO half;--> statement-breakpoint\nALTER TABLE nothing ADD x;',
    )
    await expect(openDatabase(file, bad)).rejects.toThrow()
    const again = await openTestShop(file, { demo: false })
    expect((await api(again).get(`/api/jobs/${stored.id}`)).body.job.ticket).toBe(stored.job.ticket)
    await again.stop()
  }, 180_000)

  it('of a newer release is not undone by an older one: it says nothing is lost, and reads on', async () => {
    const file = path.join(folder, 'newer.db')
    await (await openTestShop(file, { demo: false })).stop()
    const client = createClient({ url: `file:${file}` })
    await client.execute("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)")
    client.close()
    await expect(openTestShop(file, { demo: false })).rejects.toThrow(/newer release.*update/)
  })
})

it('a clock that jumps a year ahead and back: saves and backups go on, and the order of revisions stands', async () => {
  let now = new Date('2026-03-02T09:00:00Z')
  const shop = await openTestShop(path.join(folder, 'clock.db'), { demo: false, now: () => now })
  let stored = await create(shop)
  const backup = async () => Backup.parse((await api(shop).post('/api/records/backups').expect(201)).body)
  await backup()
  for (const at of ['2027-03-02T09:00:00Z', '2026-03-02T10:00:00Z', '2025-01-01T00:00:00Z', '2026-03-02T11:00:00Z']) {
    now = new Date(at)
    stored = StoredJob.parse((await save(shop, stored, { note: at }).expect(200)).body)
    expect((await backup()).savedAt).toBe(now.toISOString())
  }
  const revisions = (await api(shop).get(`/api/jobs/${stored.id}/revisions`)).body as { revision: number }[]
  expect(revisions.map((r) => r.revision)).toEqual([5, 4, 3, 2, 1])
  expect(((await api(shop).get('/api/records/backups')).body as Backup[]).length).toBe(5)
  await shop.stop()
}, 180_000)
