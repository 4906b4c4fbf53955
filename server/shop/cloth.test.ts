import { createClient } from '@libsql/client'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Cloth } from '../../contract/index.ts'
import { DEMO_CLOTHS } from '../../core/demo/index.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'

let shop: TestShop
const api = () => request(shop.address)
beforeAll(async () => {
  shop = await openTestShop()
})
afterAll(() => shop.end())

const cloths = async (): Promise<readonly Cloth[]> =>
  (await api().get('/api/shop/cloths')).body.map((c: unknown) => Cloth.parse(c))
const put = async (cloth: object, id = 'gale-twill') =>
  api()
    .put(`/api/shop/cloths/${id}`)
    .send({ value: cloth, base: (await cloths()).find((c) => c.id === id) ?? null })
const own: Cloth = { ...DEMO_CLOTHS.find((c) => c.id === 'tern-check')!, id: 'gale-twill', name: 'Gale twill' }

describe('the cloth store', () => {
  it('takes a new cloth at the end, and a changed one in its place', async () => {
    const before = await cloths()
    for (const done of [
      await put(own),
      await put({ ...own, pricePerMetre: 12.5 }),
      await put({ ...before[0]!, name: 'Lamp-room ticking, new' }, before[0]!.id),
    ])
      expect(done.status).toBe(200)
    const after = await cloths()
    expect(after.map((c) => c.id)).toEqual([...before.map((c) => c.id), 'gale-twill'])
    expect([after[0]!.name, after.at(-1)!.pricePerMetre]).toEqual(['Lamp-room ticking, new', 12.5])
  })

  it.each<[string, object, RegExp]>([
    ['selvedges that meet', { selvedgeMm: [500, 500], widthMm: 900 }, /^\$\.selvedgeMm leave no cloth between them/],
    [
      'a stripe of one band',
      {
        pattern: { kind: 'stripes', runs: 'along', startMm: 0, bands: [{ name: 'a', colour: '#aabbcc', widthMm: 10 }] },
      },
      /two bands at least/,
    ],
    [
      'a crossed remnant',
      {
        supply: {
          kind: 'remnant',
          outline: [
            [0, 0],
            [500, 500],
            [500, 0],
            [0, 500],
          ],
        },
      },
      /^\$\.supply has an outline that crosses itself/,
    ],
    [
      'a remnant wider than its cloth',
      {
        supply: {
          kind: 'remnant',
          outline: [
            [0, 0],
            [1500, 0],
            [1500, 500],
          ],
        },
      },
      /^\$\.supply has a corner beyond the width/,
    ],
    [
      'a flaw beyond the width',
      { flaws: [{ xMm: 1390, yMm: 0, widthMm: 50, lengthMm: 50 }] },
      /^\$\.flaws\[0\] runs beyond the width/,
    ],
    ['another id than the address', { id: 'other' }, /^\$\.id is not the id of the address/],
  ])('refuses %s in words and changes nothing', async (_name, change, says) => {
    const before = await cloths()
    const res = await put({ ...own, ...change })
    expect([res.status, res.body.detail]).toEqual([422, expect.stringMatching(says)])
    expect(await cloths()).toEqual(before)
  })

  it('parts with a cloth; jobs keep their own copy', async () => {
    expect((await put(own)).status).toBe(200)
    await api().delete('/api/shop/cloths/gale-twill').expect(204)
    expect((await cloths()).some((c) => c.id === 'gale-twill')).toBe(false)
    await api().delete('/api/shop/cloths/gale-twill').expect(404)
  })

  it('reads cloths that were kept before supply and flaws were known', async () => {
    const { supply: _supply, flaws: _flaws, massGM2: _mass, use: _use, reversible: _reversible, ...old } = own
    const bands = own.pattern.kind === 'check' ? own.pattern.across : []
    const database = createClient({ url: `file:${shop.databaseFile}` })
    await database.execute({
      sql: 'insert into cloths (id, place, document) values (?, ?, ?)',
      args: ['old', 99, JSON.stringify({ ...old, id: 'old', pattern: { kind: 'stripes', bands, startMm: 3 } })],
    })
    database.close()
    expect((await cloths()).find((c) => c.id === 'old')).toMatchObject({
      pattern: { kind: 'stripes', runs: 'along', startMm: 3 },
      supply: { kind: 'to-buy' },
      flaws: [],
    })
  })
})

describe('the cutting table behind the API', () => {
  it('refuses what is no drawing, in words, and is free again', async () => {
    const res = await api().post('/api/table/cut').send({ name: 'x', dxf: 'hello', speedMmS: 400 })
    expect(res.body).toMatchObject({ kind: 'refused', why: expect.stringMatching(/not a drawing/) })
    expect((await api().post('/api/table/stop').send({})).body).toEqual({ kind: 'idle' })
    expect((await api().get('/api/table')).body).toEqual({ kind: 'idle' })
  })
  it('a speed that no table cuts at is refused at the door', async () => {
    const res = await api().post('/api/table/cut').send({ name: 'x', dxf: 'hello', speedMmS: 9000 })
    expect([res.status, res.body.detail]).toEqual([422, expect.stringMatching(/cannot cut so fast/)])
  })
})
