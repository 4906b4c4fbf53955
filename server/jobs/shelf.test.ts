import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createClient } from '@libsql/client'
import { afterAll, expect, it } from 'vitest'
import { keepersBench } from '../../core/shop/index.ts'
import { jobs as jobsTable, openDatabase } from '../db/index.ts'
import { ROOT } from '../testing/running-app.ts'
import { jobsRepository } from './repository.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-shelf-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const MIGRATIONS = path.join(ROOT, 'server/db/migrations')

it('a shelf of 2000 jobs is read from the cards that were kept: none is planned again', async () => {
  const database = await openDatabase(path.join(folder, 'many.db'), MIGRATIONS)
  const jobs = jobsRepository(database, () => new Date())
  await jobs.create(keepersBench(), '')
  const [row] = await database.orm.select().from(jobsTable)
  const card: unknown = { ...(JSON.parse(row!.card!) as object), steps: { done: 7, of: 77 } }
  for (let i = 0; i < 20; i++) await database.orm.insert(jobsTable).values(Array.from({ length: 100 }, (_, j) => ({ ...row!, id: `${i}-${j}`, ticket: `J-${i}-${j}`, card: JSON.stringify(card) })))
  const list = await jobs.list()
  expect(list).toHaveLength(2001)
  expect(list.filter((j) => j.card.steps?.of === 77)).toHaveLength(2000)
  await database.close()
}, 60_000)

it('a job of a release before cards gets its card when the shelf is read, and is not changed by it', async () => {
  const file = path.join(folder, 'old.db')
  const database = await openDatabase(file, MIGRATIONS)
  const jobs = jobsRepository(database, () => new Date('2026-03-02T09:00:00Z'))
  const { id } = await jobs.create(keepersBench(), 'test')
  const client = createClient({ url: `file:${file}` })
  await client.execute('UPDATE jobs SET card = NULL')
  expect((await jobs.list())[0]!.card).toMatchObject({ cushions: 3, makeUp: 'boxed', steps: { done: 0, of: 32 } })
  expect((await client.execute('SELECT card IS NOT NULL AS has FROM jobs')).rows[0]!['has']).toBe(1)
  expect(await jobs.find(id)).toMatchObject({ revision: 1, savedAt: '2026-03-02T09:00:00.000Z' })
  client.close()
  await database.close()
})

it('a cloth named as what every object inherits is saved and read like any other', async () => {
  const database = await openDatabase(path.join(folder, 'names.db'), MIGRATIONS)
  const jobs = jobsRepository(database, () => new Date('2026-03-02T09:00:00Z'))
  const one = keepersBench()
  for (const id of ['constructor', 'toString', 'valueOf']) {
    const { job, revision } = await jobs.create({ ...one, cloth: { ...one.cloth, cloth: { ...one.cloth.cloth, id } } }, '')
    expect([revision, job.cloth.cloth.id]).toEqual([1, id])
  }
  const cards = (await jobs.list()).map((j) => j.card)
  expect(cards.map((c) => [c.used, c.needs.cloths])).toEqual([[[], []], [[], []], [[], []]])
  await database.close()
})
