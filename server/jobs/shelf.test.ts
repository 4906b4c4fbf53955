import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { gunzipSync } from 'node:zlib'
import { createClient } from '@libsql/client'
import { afterAll, expect, it, vi } from 'vitest'
import type { JobSummary } from '../../contract/index.ts'
import { jobCard } from '../../core/card/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { jobs as jobsTable, openDatabase } from '../db/index.ts'
import { ROOT } from '../testing/running-app.ts'
import { jobsRepository } from './repository.ts'
import { summariesOf } from './summaries.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-shelf-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const MIGRATIONS = path.join(ROOT, 'server/db/migrations')

async function opened(name: string) {
  const file = path.join(folder, name)
  const database = await openDatabase(file, MIGRATIONS)
  const told = vi.fn()
  const summaries = summariesOf(database, told)
  const jobs = jobsRepository(database, () => new Date('2026-03-02T09:00:00Z'), summaries.saved)
  const list = async (form: 'whole' | 'shelf' = 'whole') =>
    JSON.parse((await summaries.list(form)).json.toString()) as JobSummary[]
  const end = async () => {
    await summaries.close()
    await database.close()
  }
  return { file, database, summaries, jobs, list, told, end }
}

it('a shelf of 2000 jobs is read from the cards that were kept: none is planned again, and it comes small', async () => {
  const { database, jobs, summaries, list, end } = await opened('many.db')
  await jobs.create(keepersBench(), '')
  const [row] = await database.orm.select().from(jobsTable)
  const card = { ...jobCard(keepersBench()), steps: { done: 7, of: 77 } }
  for (let i = 0; i < 20; i++)
    await database.orm
      .insert(jobsTable)
      .values(
        Array.from({ length: 100 }, (_, j) => ({
          ...row!,
          id: `${i}-${j}`,
          ticket: `J-${i}-${j}`,
          card: JSON.stringify(card),
        })),
      )
  const all = await list()
  expect(all).toHaveLength(2001)
  expect(all.filter((j) => j.card.steps.of === 77)).toHaveLength(2000)
  const { gzip, json } = await summaries.list('shelf')
  expect(gzip.length).toBeLessThan(200_000)
  expect(gunzipSync(gzip).equals(json)).toBe(true)
  await end()
}, 180_000)

it('a list is the same text until something is saved, and another one then', async () => {
  const { jobs, summaries, list, end } = await opened('same.db')
  const { id, job } = await jobs.create(keepersBench(), '')
  await vi.waitFor(async () => expect((await list())[0]!.card.worked).toEqual({ kind: 'whole' }), 180_000)
  const [first, second] = [await summaries.list('shelf'), await summaries.list('shelf')]
  expect(second).toBe(first)
  await jobs.save(id, { ...job, title: 'Another name' }, 1, '')
  const third = await summaries.list('shelf')
  expect(third.tag).not.toBe(first.tag)
  expect((await list('shelf'))[0]).toMatchObject({ title: 'Another name', revision: 2 })
  await end()
}, 180_000)

it('a save is there at once with what the job says; what must be planned follows, and is told', async () => {
  const { jobs, list, told, end } = await opened('follows.db')
  const bench = keepersBench()
  await jobs.create({ ...bench, terms: { ...bench.terms, dueOn: '2026-04-01' } }, '')
  const [at] = await list()
  expect(at!.card).toMatchObject({ worked: { kind: 'under-way' }, dueOn: '2026-04-01' })
  await vi.waitFor(() => expect(told).toHaveBeenCalled(), 180_000)
  expect((await list())[0]!.card).toEqual(jobCard({ ...bench, terms: { ...bench.terms, dueOn: '2026-04-01' } }))
  await end()
}, 180_000)

it('a job of a release before cards gets its card when the shelf is read, and is not changed by it', async () => {
  const first = await opened('old.db')
  const { id } = await first.jobs.create(keepersBench(), 'test')
  await first.end()
  const client = createClient({ url: `file:${first.file}` })
  await client.execute('UPDATE jobs SET card = NULL')
  const { jobs, list, end } = await opened('old.db')
  await list()
  const has = async () => (await client.execute('SELECT card IS NOT NULL AS has FROM jobs')).rows[0]!['has']
  await vi.waitFor(async () => expect(await has()).toBe(1), 180_000)
  await vi.waitFor(
    async () =>
      expect((await list())[0]!.card).toMatchObject({ cushions: 3, makeUp: 'boxed', steps: { done: 0, of: 32 } }),
    5000,
  )
  expect(await jobs.find(id)).toMatchObject({ revision: 1, savedAt: '2026-03-02T09:00:00.000Z' })
  client.close()
  await end()
}, 180_000)

it('one job that cannot be read is on the shelf by its name, and hides no other', async () => {
  const first = await opened('unread.db')
  await first.jobs.create(keepersBench(), '')
  const { id } = await first.jobs.create({ ...keepersBench(), ticket: 'SL-99' }, '')
  await first.end()
  const client = createClient({ url: `file:${first.file}` })
  await client.execute({ sql: `UPDATE jobs SET card = NULL, document = '{"format":"x"}' WHERE id = ?`, args: [id] })
  client.close()
  const { list, end } = await opened('unread.db')
  await list()
  await vi.waitFor(async () => {
    const [good, bad] = (await list()).map((j) => j.card.worked.kind)
    expect([good, bad]).toEqual(['whole', 'unreadable'])
  }, 180_000)
  expect((await list())[1]!.ticket).toBe('SL-99')
  await end()
}, 180_000)

it('a cloth named as what every object inherits is saved and read like any other', async () => {
  const { jobs, list, end } = await opened('names.db')
  const one = keepersBench()
  for (const id of ['constructor', 'toString', 'valueOf']) {
    const { job, revision } = await jobs.create(
      { ...one, cloth: { ...one.cloth, cloth: { ...one.cloth.cloth, id } } },
      '',
    )
    expect([revision, job.cloth.cloth.id]).toEqual([1, id])
  }
  await vi.waitFor(
    async () => expect((await list()).map((j) => j.card.worked.kind)).toEqual(['whole', 'whole', 'whole']),
    150_000,
  )
  expect((await list()).map(({ card }) => [card.used, card.needs.cloths])).toEqual([
    [[], []],
    [[], []],
    [[], []],
  ])
  await end()
}, 180_000)
