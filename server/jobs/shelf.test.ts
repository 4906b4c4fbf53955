import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createClient } from '@libsql/client'
import { afterAll, expect, it } from 'vitest'
import { keepersBench } from '../../core/shop/index.ts'
import { openDatabase } from '../db/index.ts'
import { ROOT } from '../testing/running-app.ts'
import { jobsRepository } from './repository.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-shelf-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const MIGRATIONS = path.join(ROOT, 'server/db/migrations')

it('a shelf of 2000 jobs is read within half a second', async () => {
  const database = await openDatabase(path.join(folder, 'many.db'), MIGRATIONS)
  const jobs = jobsRepository(database, () => new Date())
  const one = keepersBench()
  await jobs.createMany(Array.from({ length: 2000 }, (_, i) => ({ ...one, ticket: `J-${i}` })))
  const before = performance.now()
  const list = await jobs.list()
  expect(performance.now() - before).toBeLessThan(500)
  expect(list).toHaveLength(2000)
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
