import request from 'supertest'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { JobSummary } from '../../contract/index.ts'
import { ShopEvent, StoredJob } from '../../contract/index.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'

let shop: TestShop
beforeAll(async () => {
  shop = await openTestShop()
})
afterAll(() => shop.end())

/** Listens until so many events have come. */
async function hear(count: number, during: () => Promise<void>): Promise<readonly ShopEvent[]> {
  const stop = new AbortController()
  const response = await fetch(`${shop.address}/api/events`, { signal: stop.signal })
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  const heard: ShopEvent[] = []
  await during()
  while (heard.length < count)
    heard.push(
      ...[...(await reader.read()).value!.matchAll(/^data: (.*)$/gm)].map((m) => ShopEvent.parse(JSON.parse(m[1]!))),
    )
  stop.abort()
  return heard
}

const settingsUnchanged = async () => {
  const settings = (await request(shop.address).get('/api/shop/settings')).body as object
  return { value: settings, base: settings }
}

it('what one page saves, every page hears, with the page that saved it', async () => {
  const [job] = (await request(shop.address).get('/api/jobs')).body as JobSummary[]
  const stored = StoredJob.parse((await request(shop.address).get(`/api/jobs/${job!.id}`)).body)
  const heard = await hear(2, async () => {
    await request(shop.address)
      .put(`/api/jobs/${job!.id}`)
      .set('X-Page', 'page-7')
      .send({ job: { ...stored.job, title: 'Changed' }, baseRevision: stored.revision, reason: '' })
      .expect(200)
    await request(shop.address)
      .put(`/api/jobs/${job!.id}`)
      .send({ job: { ...stored.job, title: 'Late' }, baseRevision: stored.revision, reason: '' })
      .expect(409)
    await request(shop.address)
      .put('/api/shop/settings')
      .send(await settingsUnchanged())
      .expect(200)
  })
  expect(heard).toEqual([
    { kind: 'job', id: job!.id, revision: stored.revision + 1, ticket: stored.job.ticket, by: 'page-7' },
    { kind: 'shop', by: '' },
  ])
})
