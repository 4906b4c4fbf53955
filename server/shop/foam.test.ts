import request from 'supertest'
import { createClient } from '@libsql/client'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { FoamStock, Grade } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES } from '../../core/demo/index.ts'
import { FACTORY_BOOK } from '../../core/defaults/index.ts'
import { changesOf } from '../testing/changes.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'

let shop: TestShop
const api = () => request(shop.address)
beforeAll(async () => {
  shop = await openTestShop()
})
afterAll(() => shop.end())

const grades = async (): Promise<readonly Grade[]> =>
  (await api().get('/api/shop/grades')).body.map((g: unknown) => Grade.parse(g))
const stock = async (): Promise<readonly FoamStock[]> =>
  (await api().get('/api/shop/foam-stock')).body.map((s: unknown) => FoamStock.parse(s))
const own: Grade = { ...DEMO_GRADES[0]!, id: 'gull-28', name: 'Gull 28/120', densityKgM3: 28, at40N: 120 }

describe('the foam catalogue', () => {
  it('takes new grades at its end and changed ones in their place', async () => {
    const before = await grades()
    await api()
      .put('/api/shop/grades')
      .send(changesOf([own, { ...before[3]!, pricePerM3: 401 }], before))
      .expect(200)
    const after = await grades()
    expect(after).toHaveLength(before.length + 1)
    expect(after.at(-1)).toEqual(own)
    expect(after[3]).toEqual({ ...before[3]!, pricePerM3: 401 })
    await api()
      .put('/api/shop/grades')
      .send(changesOf([before[3]!], after))
  })

  it('takes all of a list or nothing of it', async () => {
    const before = await grades()
    const res = await api()
      .put('/api/shop/grades')
      .send(
        changesOf(
          [
            { ...own, name: 'Changed' },
            { ...own, id: 'bad', densityKgM3: 900 },
          ],
          before,
        ),
      )
    expect(res.status).toBe(422)
    expect(res.body.detail).toBe('$[1].densityKgM3 is more than any foam: check the unit (kg/m³)')
    expect(
      (
        await api()
          .put('/api/shop/grades')
          .send(changesOf([own, own], before))
      ).body.detail,
    ).toBe('$[1].id "Gull 28/120" is listed twice')
    expect((await api().put('/api/shop/grades').send([])).status).toBe(422)
    expect(await grades()).toEqual(before)
  })

  it('parts with a grade unless stock of it lies in the shop', async () => {
    await api()
      .put('/api/shop/grades')
      .send(changesOf([own], await grades()))
    await api().delete('/api/shop/grades/gull-28').expect(204)
    expect((await grades()).some((g) => g.id === 'gull-28')).toBe(false)
    expect((await api().delete('/api/shop/grades/gull-28')).status).toBe(404)
    const needed = await api().delete('/api/shop/grades/skua-30-150')
    expect([needed.status, needed.body.detail]).toEqual([
      409,
      'In stock there is still Remnant from the berths of this grade: take that out first.',
    ])
  })
})

describe('foam in stock', () => {
  const piece: FoamStock = {
    id: 'p1',
    name: 'Offcut',
    kind: 'remnant',
    gradeId: 'gannet-30-140',
    lengthMm: 800,
    widthMm: 500,
    thicknessMm: 75,
    count: 2,
    cutOuts: [],
  }

  it('is kept, changed and used up', async () => {
    const before = await stock()
    await api().put('/api/shop/foam-stock/p1').send({ value: piece, base: null }).expect(200)
    await api()
      .put('/api/shop/foam-stock/p1')
      .send({ value: { ...piece, count: 1 }, base: piece })
      .expect(200)
    expect(await stock()).toEqual([...before, { ...piece, count: 1 }])
    await api().delete('/api/shop/foam-stock/p1').expect(204)
    expect(await stock()).toEqual(before)
  })

  it.each<[string, object, RegExp]>([
    ['of an unknown grade', { gradeId: 'nothing' }, /^\$\.gradeId is not a grade of the catalogue/],
    [
      'with a cut-out beyond its edge',
      { cutOuts: [{ xMm: 700, yMm: 0, lengthMm: 200, widthMm: 100 }] },
      /^\$\.cutOuts\[0\] reaches beyond/,
    ],
    ['of no length', { lengthMm: 0 }, /^\$\.lengthMm must be more than nought/],
    ['under another id', { id: 'p2' }, /^\$\.id is not the id of the address/],
  ])('%s is refused in words', async (_name, change, says) => {
    const res = await api()
      .put('/api/shop/foam-stock/p1')
      .send({ value: { ...piece, ...change }, base: null })
    expect(res.status).toBe(422)
    expect(res.body.detail).toMatch(says)
  })
})

describe('a database of an older release', () => {
  it('has its grades brought up to date as they are read', async () => {
    const { at25N: _a, at40N, at65N: _b, exposures: _e, combustionModified: _c, ageing: _g, ...rest } = DEMO_GRADES[5]!
    const client = createClient({ url: `file:${shop.databaseFile}` })
    await client.execute({
      sql: 'update grades set document = ? where id = ?',
      args: [JSON.stringify({ ...rest, hardnessN: at40N }), rest.id],
    })
    client.close()
    expect((await grades()).find((g) => g.id === rest.id)).toEqual(DEMO_GRADES[5])
  })

  it('has its cloths and its allowance book brought up to date, what the shop had set kept', async () => {
    const { thicknessMm: _t, stretch: _s, shrink: _k, washFirst: _w, fibre: _f, marking: _m, ...old } = DEMO_CLOTHS[0]!
    const { pipingRunOffMm: _r, tapeMarginMm: _a, ...book } = FACTORY_BOOK
    const client = createClient({ url: `file:${shop.databaseFile}` })
    await client.execute({
      sql: 'update cloths set document = ? where id = ?',
      args: [JSON.stringify({ ...old, pricePerMetre: 35 }), old.id],
    })
    const [settings] = (await client.execute('select document from shop')).rows
    await client.execute({
      sql: 'update shop set document = ?',
      args: [JSON.stringify({ ...JSON.parse(String(settings!['document'])), book: { ...book, seamMm: 14 } })],
    })
    client.close()
    expect((await api().get('/api/shop/cloths')).body.find((c: { id: string }) => c.id === old.id)).toEqual({
      ...DEMO_CLOTHS[0],
      pricePerMetre: 35,
    })
    expect((await api().get('/api/shop/settings')).body.book).toEqual({ ...FACTORY_BOOK, seamMm: 14 })
  })
})
