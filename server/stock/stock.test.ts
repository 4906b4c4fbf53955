import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { StockMove, Trim } from '../../contract/index.ts'
import { type Cloth, type FoamStock } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_FOAM_STOCK } from '../../core/demo/index.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'
import { plannedTaking } from './taking.ts'

let shop: TestShop
const api = () => request(shop.address)
beforeAll(async () => {
  shop = await openTestShop()
})
afterAll(() => shop.end())
const inHand = async (id: string) =>
  ((await api().get('/api/stock/trims')).body as Trim[]).find((t) => t.id === id)!.inHand
const take = (change: object) =>
  api()
    .post('/api/stock/take')
    .send({ id: randomUUID(), jobId: randomUUID(), ticket: 'SL-02', trims: [], cloths: [], foam: [], ...change })

describe('the trims shelf', () => {
  it('keeps, changes and parts with a thing', async () => {
    const [first] = (await api().get('/api/stock/trims')).body as Trim[]
    await api()
      .put('/api/stock/trims')
      .send([
        { value: { ...first!, price: 9.5 }, base: first },
        { value: { ...first!, id: 'new-zip', name: 'Metal zip' }, base: null },
      ])
      .expect(200)
    const list = (await api().get('/api/stock/trims')).body as Trim[]
    expect([list[0]!.price, list.at(-1)!.name]).toEqual([9.5, 'Metal zip'])
    await api().delete('/api/stock/trims/new-zip').expect(204)
    const res = await api()
      .put('/api/stock/trims')
      .send([{ value: { ...first!, inHand: -1 }, base: first }])
    expect([res.status, res.body.detail]).toEqual([422, '$[0].inHand cannot be negative'])
  })

  it('falls when a job takes its share, and the book says so', async () => {
    const before = await inHand('slider-5')
    await take({ trims: [{ id: 'slider-5', amount: 3 }] }).expect(201)
    expect(await inHand('slider-5')).toBe(before - 3)
    const [move] = (await api().get('/api/stock/moves')).body as StockMove[]
    expect([move!.says, move!.lines]).toEqual(['Taken for SL-02', ['Sliders, size 5: 3 piece']])
  })

  it('never goes below nothing: all of it is refused, with what is short', async () => {
    const before = [await inHand('slider-5'), await inHand('rings')]
    const res = await take({
      trims: [
        { id: 'slider-5', amount: 1 },
        { id: 'rings', amount: 99 },
      ],
    })
    expect([res.status, res.body.detail]).toEqual([409, 'Rings and hooks: 99 piece are needed, 8 are in hand.'])
    expect([await inHand('slider-5'), await inHand('rings')]).toEqual(before)
  })

  it('a cloth cut for two jobs leaves the shelf once, and comes back with the job that took it', async () => {
    const own = {
      ...DEMO_CLOTHS[0]!,
      id: 'joint-length',
      supply: { kind: 'length', lengthMm: 9000 },
      flaws: [],
    } as Cloth
    await api().put(`/api/shop/cloths/${own.id}`).send({ value: own, base: null }).expect(200)
    const left = async () => {
      const { supply } = ((await api().get('/api/shop/cloths')).body as Cloth[]).find((c) => c.id === own.id)!
      return supply.kind === 'length' && supply.lengthMm
    }
    const [first, second] = [randomUUID(), randomUUID()]
    const cloths = [{ id: own.id, mm: 6400, jointId: randomUUID() }]
    await take({ jobId: first, cloths }).expect(201)
    const again = await take({ jobId: second, ticket: 'SL-07', cloths }).expect(201)
    expect([await left(), again.body.lines]).toEqual([2600, [`${own.name}: cut together, taken for SL-02`]])
    await api().post('/api/stock/give-back').send({ id: randomUUID(), jobId: second }).expect(201)
    expect(await left()).toBe(2600)
    await api().post('/api/stock/give-back').send({ id: randomUUID(), jobId: first }).expect(201)
    expect(await left()).toBe(9000)
    // Given back, it can be taken by the other one.
    await take({ jobId: second, cloths }).expect(201)
    expect(await left()).toBe(2600)
  })

  it('two takings at once share what is there: one of them is refused', async () => {
    const left = await inHand('snaps')
    const answers = await Promise.all([
      take({ trims: [{ id: 'snaps', amount: left }] }),
      take({ trims: [{ id: 'snaps', amount: left }] }),
    ])
    expect(answers.map((r) => r.status).toSorted()).toEqual([201, 409])
    expect(await inHand('snaps')).toBe(0)
  })
})

describe('what a taking leaves', () => {
  const length: Cloth = {
    ...DEMO_CLOTHS[0]!,
    supply: { kind: 'length', lengthMm: 5000 },
    flaws: [
      { xMm: 100, yMm: 900, widthMm: 50, lengthMm: 300 },
      { xMm: 100, yMm: 3000, widthMm: 50, lengthMm: 100 },
      { xMm: 0, yMm: 10, widthMm: 20, lengthMm: 20 },
    ],
  }
  const foam: FoamStock = { ...DEMO_FOAM_STOCK[0]!, count: 3 }
  const shelves = { trims: [], cloths: [length], foam: [foam] }
  const taking = { id: randomUUID(), jobId: 'x', ticket: 'T', trims: [], cloths: [], foam: [] }

  it('a length is shorter, its flaws nearer the start, and what was cut off is gone', () => {
    const left = plannedTaking(shelves, { ...taking, cloths: [{ id: length.id, mm: 1000, jointId: null }] })
    expect(left.ok && left.cloths[0]!.supply).toEqual({ kind: 'length', lengthMm: 4000 })
    expect(left.ok && left.cloths[0]!.flaws.map((f) => [f.yMm, f.lengthMm])).toEqual([
      [0, 200],
      [2000, 100],
    ])
  })

  it('a length used up leaves the shelf; foam is counted', () => {
    const left = plannedTaking(shelves, {
      ...taking,
      cloths: [{ id: length.id, mm: 5000, jointId: null }],
      foam: [{ id: foam.id, count: 2 }],
    })
    expect(left).toMatchObject({ ok: true, clothsGone: [length.id], foam: [{ count: 1 }] })
    expect(plannedTaking(shelves, { ...taking, foam: [{ id: foam.id, count: 3 }] })).toMatchObject({
      foamGone: [foam.id],
    })
  })

  it('what is short or not there any more is named', () => {
    expect(
      plannedTaking(shelves, {
        ...taking,
        cloths: [
          { id: length.id, mm: 5001, jointId: null },
          { id: 'gone', mm: 1, jointId: null },
        ],
        foam: [{ id: foam.id, count: 4 }],
      }),
    ).toMatchObject({
      ok: false,
      faults: [
        expect.stringMatching(/5001 mm are needed, 5000 mm/),
        expect.stringMatching(/not there any more/),
        expect.stringMatching(/4 are needed, 3/),
      ],
    })
  })
})

describe('the supplier', () => {
  const items = Array.from({ length: 12 }, (_, i) => ({
    ref: `thing-${i}`,
    name: `Thing ${i}`,
    unit: 'm',
    amount: 5,
    lastPrice: 2,
  }))
  const ask = (mood: string) => api().post('/api/supplier/ask').send({ items, mood })

  it('offers prices and days, the same each time', async () => {
    const [a, b] = [await ask('as-usual'), await ask('as-usual')]
    expect(a.body.kind).toBe('offers')
    expect(a.body).toEqual(b.body)
    for (const o of a.body.offers) if (o.kind === 'offered') expect(Math.abs(o.price / 2 - 1.05)).toBeLessThan(0.11)
  })
  it('is out of some things when short', async () =>
    expect((await ask('short-of-stock')).body.offers.some((o: { kind: string }) => o.kind === 'out-of-stock')).toBe(
      true,
    ))
  it('slow still answers', async () => expect((await ask('slow')).body.kind).toBe('offers'), 10_000)
  it('failing or silent is away, in words, and the shop goes on', async () => {
    expect((await ask('failing')).body).toMatchObject({ kind: 'away', why: expect.stringMatching(/fault \(503\)/) })
    expect((await ask('silent')).body).toMatchObject({
      kind: 'away',
      why: expect.stringMatching(/did not answer within 5 s/),
    })
  }, 15_000)
})
