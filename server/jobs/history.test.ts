import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import fc from 'fast-check'
import { afterAll, expect, it } from 'vitest'
import { keepersBench } from '../../core/demo/index.ts'
import { jobRevisions, openDatabase } from '../db/index.ts'
import { ROOT } from '../testing/running-app.ts'
import { historyBytes, packSome } from './history.ts'
import { chapterOf, packed, unpacked } from './packing.ts'
import { jobsRepository } from './repository.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-history-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const opened = (name: string) => openDatabase(path.join(folder, name), path.join(ROOT, 'server/db/migrations'))
const NOW = () => new Date('2026-03-02T09:00:00Z')

it('any text comes back as it was, whatever it was packed on', () => {
  const text = fc.string({ unit: 'grapheme', maxLength: 3000 })
  fc.assert(
    fc.property(text, text, (a, b) => {
      expect(unpacked(packed(a, b), b)).toBe(a)
    }),
  )
})

it('a chapter begins at every fortieth revision', () => {
  expect([1, 2, 40, 41, 80, 81].map(chapterOf)).toEqual([1, 1, 1, 41, 41, 81])
})

it('of 200 saves every one is there as it was saved, in a tenth of the room, and the newest is whole', async () => {
  const database = await opened('many.db')
  const jobs = jobsRepository(database, NOW)
  const { id } = await jobs.create({ ...keepersBench(), note: 'note 1' }, 'first')
  for (let n = 1; n < 200; n++) await jobs.save(id, { ...keepersBench(), note: `note ${n + 1}` }, n, `save ${n + 1}`)
  const rows = await database.orm.select().from(jobRevisions)
  expect(rows.filter((r) => r.packed === null).map((r) => r.revision)).toEqual([1, 41, 81, 121, 161, 200])
  for (let n = 1; n <= 200; n++) {
    const { job, revision } = (await jobs.findRevision(id, n))!
    expect([revision, job]).toEqual([n, { ...keepersBench(), note: `note ${n}` }])
  }
  const { bytes, revisions } = await historyBytes(database)
  expect(revisions).toBe(200)
  expect(bytes).toBeLessThan((200 * JSON.stringify(keepersBench()).length) / 10)
  await database.close()
}, 180_000)

it('what an older release left whole is packed afterwards, and reads the same', async () => {
  const database = await opened('old.db')
  const jobs = jobsRepository(database, NOW)
  const { id } = await jobs.create(keepersBench(), '')
  for (let n = 2; n <= 90; n++)
    await database.orm
      .insert(jobRevisions)
      .values({
        jobId: id,
        revision: n,
        savedAt: NOW().toISOString(),
        reason: `old ${n}`,
        document: JSON.stringify({ ...keepersBench(), note: `old ${n}` }),
      })
  await database.orm.update((await import('../db/index.ts')).jobs).set({ revision: 90 })
  let portions = 0
  while (await packSome(database, 40)) portions++
  expect(portions).toBe(2)
  const whole = (await database.orm.select().from(jobRevisions)).filter((r) => r.packed === null)
  expect(whole.map((r) => r.revision)).toEqual([1, 41, 81, 90])
  for (const n of [2, 40, 42, 89]) expect((await jobs.findRevision(id, n))!.job.note).toBe(`old ${n}`)
  expect(await packSome(database, 40)).toBe(false)
  await database.close()
}, 180_000)
