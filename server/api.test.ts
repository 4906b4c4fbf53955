import { readFileSync } from 'node:fs'
import { connect } from 'node:net'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { JOB_VERSION, JobSummary, readJob, ShopSettings, StoredJob, type Job } from '../contract/index.ts'
import { acceptLay } from '../core/lay/index.ts'
import { planJob } from '../core/plan/index.ts'
import { keepersBench, keepersBenchPart } from '../core/demo/index.ts'
import { jobOf } from '../core/job/index.ts'
import { openTestShop, type TestShop } from './testing/running-app.ts'

let shop: TestShop
const api = () => request(shop.address)
beforeAll(async () => {
  shop = await openTestShop()
})
afterAll(() => shop.end())

const create = async (change: (job: Job) => Job = (j) => j): Promise<StoredJob> => {
  const res = await api()
    .post('/api/jobs')
    .send({ job: change(keepersBench()), reason: 'test' })
  expect(res.status).toBe(201)
  return StoredJob.parse(res.body)
}
const put = (id: string, job: unknown, baseRevision: number) =>
  api().put(`/api/jobs/${id}`).send({ job, baseRevision, reason: 'edit' })

const SEAT = keepersBench().parts[0]!.seat
const withFootprint = (change: object) => ({ ...SEAT, footprint: { ...SEAT.footprint, ...change } })
const withDivision = (change: object) => ({ ...SEAT, division: { ...SEAT.division, ...change } })

const ofSeat = (seat: object) => ({ ...keepersBench(), parts: [{ ...keepersBench().parts[0]!, seat }] })

describe('the demo shop', () => {
  it('hangs SL-02 on the nail and has its catalogue', async () => {
    const list = (await api().get('/api/jobs')).body.map((j: unknown) => JobSummary.parse(j))
    expect(list.map((j: JobSummary) => j.ticket)).toContain('SL-02')
    expect((await api().get('/api/shop/grades')).body).toHaveLength(11)
    expect((await api().get('/api/shop/cloths')).body.map((c: { name: string }) => c.name)).toContain(
      'Lamp-room ticking',
    )
  })

  it('keeps its allowance book; jobs already started keep theirs', async () => {
    const settings = ShopSettings.parse((await api().get('/api/shop/settings')).body)
    const before = await create()
    const changed = { ...settings, book: { ...settings.book, seamMm: 15 } }
    expect((await api().put('/api/shop/settings').send({ value: changed, base: settings })).body).toEqual(changed)
    expect(StoredJob.parse((await api().get(`/api/jobs/${before.id}`)).body).job.book.seamMm).toBe(12)
    expect(
      (
        await api()
          .put('/api/shop/settings')
          .send({ value: { ...settings, book: { ...settings.book, seamMm: -1 } }, base: settings })
      ).body.detail,
    ).toBe('$.book.seamMm cannot be negative')
    await api().put('/api/shop/settings').send({ value: settings, base: changed })
  })

  it('is told in words what is missing, or may not stand where it does', async () => {
    const settings = ShopSettings.parse((await api().get('/api/shop/settings')).body)
    const told = async (body: object) => (await api().put('/api/shop/settings').send(body)).body.detail
    expect(await told({ base: settings })).toBe('$.value is missing')
    const { paper: _, ...rest } = settings
    expect(await told({ value: rest, base: settings })).toBe('$.paper must be one of A4, letter')
    expect(await told({ value: { ...settings, units: 'ell' }, base: settings })).toBe(
      '$.units must be one of mm, cm, inch-8, inch-16',
    )
    expect(await told({ value: { ...settings, schools: 3 }, base: settings })).toBe('$.schools must be a list')
  })
})

describe('revisions', () => {
  it('every save is a new one, and the old ones stay', async () => {
    const { id } = await create()
    for (const [i, depth] of [470, 471].entries()) {
      const job = { ...keepersBench(), title: `depth ${depth}` }
      expect((await put(id, job, i + 1)).body.revision).toBe(i + 2)
    }
    const history = (await api().get(`/api/jobs/${id}/revisions`)).body
    expect(history.map((r: { revision: number }) => r.revision)).toEqual([3, 2, 1])
    expect((await api().get(`/api/jobs/${id}/revisions/1`)).body.job.title).toBe("Keepers' bench")
    expect((await api().get(`/api/jobs/${id}/revisions/9`)).status).toBe(404)
    expect((await api().get(`/api/jobs/${id}/revisions/x`)).status).toBe(404)
  })

  it('a save on an old revision is a conflict that brings theirs, and changes nothing', async () => {
    const { id } = await create()
    await put(id, { ...keepersBench(), title: 'theirs' }, 1)
    const res = await put(id, { ...keepersBench(), title: 'mine' }, 1)
    expect(res.status).toBe(409)
    expect(res.type).toBe('application/problem+json')
    expect(res.body).toMatchObject({ status: 409, baseRevision: 1, theirs: { revision: 2, job: { title: 'theirs' } } })
    expect((await api().get(`/api/jobs/${id}`)).body.job.title).toBe('theirs')
  })

  it('of 20 saves at once on one revision exactly one wins; none is lost or locked', async () => {
    const { id } = await create()
    const results = await Promise.all(
      Array.from({ length: 20 }, (_, i) => put(id, { ...keepersBench(), title: `tab ${i}` }, 1)),
    )
    expect(results.map((r) => r.status).toSorted()).toEqual([200, ...Array.from({ length: 19 }, () => 409)])
  })

  it('20 jobs started at once are all kept', async () => {
    const made = await Promise.all(Array.from({ length: 20 }, () => create()))
    const ids = (await api().get('/api/jobs')).body.map((j: JobSummary) => j.id)
    for (const { id } of made) expect(ids).toContain(id)
  })
})

describe('job files', () => {
  it('a file of version 1 comes in and is kept as the present version', async () => {
    const old = JSON.parse(
      readFileSync(new URL('../contract/testing/job-version-1.json', import.meta.url), 'utf8'),
    ) as unknown
    const made = await api().post('/api/jobs').send({ job: old })
    expect(made.status).toBe(201)
    const again = await api().get(`/api/jobs/${(made.body as { id: string }).id}`)
    expect((again.body as { job: unknown }).job).toEqual(jobOf(keepersBenchPart('Gannet 30/140')))
  })

  it('what is exported imports again, the same to the letter', async () => {
    const { id, job } = await create((j) => ({ ...j, note: 'ünïcode – “quotes” 5/8″' }))
    const file = await api().get(`/api/jobs/${id}/file`)
    expect(file.headers['content-disposition']).toContain('SL-02.job.json')
    const read = readJob(JSON.parse(file.text))
    expect(read.ok && read.value).toEqual(job)
  })

  it.each<[string, unknown, RegExp]>([
    ['not an object', 'hello', /^\$ is not a job file/],
    ['a foreign file', { type: 'drawing' }, /^\$\.format is not a job file/],
    ['a newer version', { ...keepersBench(), version: JOB_VERSION + 1 }, /^\$\.version was written by a newer release/],
    ['an unknown key', { ...keepersBench(), colour: 'red' }, /^\$\.colour unknown key/],
    [
      'a negative width',
      ofSeat(withFootprint({ width: { readings: [{ mm: -4 }] } })),
      /^\$\.parts\[0\]\.seat\.footprint\.width\.readings\[0\]\.mm must be more than nought/,
    ],
    ['25 m', ofSeat(withFootprint({ depth: { readings: [{ mm: 25_000 }] } })), /more than 20 m/],
    ['text for a number', ofSeat(withDivision({ count: '3' })), /^\$\.parts\[0\]\.seat\.division\.count/],
    ['no cushions', ofSeat(withDivision({ count: 0 })), /at least 1 cushion/],
    ['200 cushions', ofSeat(withDivision({ count: 200 })), /more than 120 cushions/],
    ['a NUL in the name', { ...keepersBench(), title: 'bench\u0000' }, /^\$\.title contains characters/],
    [
      'no readings',
      ofSeat(withFootprint({ depth: { readings: [] } })),
      /^\$\.parts\[0\]\.seat\.footprint\.depth\.readings/,
    ],
  ])('%s is refused with the path and the reason, and changes nothing', async (_name, document, says) => {
    const kept = async () =>
      ((await api().get('/api/jobs')).body as JobSummary[]).map(({ card: _card, ...rest }) => rest)
    const before = await kept()
    const res = await api().post('/api/jobs').send({ job: document })
    expect(res.status).toBe(422)
    expect(res.body.detail).toMatch(says)
    expect(await kept()).toEqual(before)
  })

  it('SQL and HTML in names are only text', async () => {
    const title = `'; DROP TABLE jobs; -- <script>alert(1)</script>`
    const { id } = await create((j) => ({ ...j, title }))
    expect((await api().get(`/api/jobs/${id}`)).body.job.title).toBe(title)
    expect((await api().get(`/api/jobs/${encodeURIComponent("' OR 1=1 --")}`)).status).toBe(404)
  })
})

describe('requests that cannot be served', () => {
  it('an unknown id, an unknown route', async () => {
    expect((await api().get('/api/jobs/nobody')).body).toMatchObject({
      status: 404,
      type: 'urn:loft-seam:problem:not-found',
    })
    expect((await put('nobody', keepersBench(), 1)).status).toBe(404)
    expect((await api().get('/api/sofas')).body.status).toBe(404)
  })

  it('a body that is not JSON, or not what the route takes', async () => {
    const broken = await api().post('/api/jobs').set('content-type', 'application/json').send('{"job":')
    expect([broken.status, broken.body.detail]).toEqual([400, 'The body is not JSON.'])
    expect((await api().put('/api/jobs/x').send({ job: {}, baseRevision: 'two' })).status).toBe(400)
  })

  it('a body of 50 MB is cut off with 413', async () => {
    const { port } = new URL(shop.address)
    const head = await new Promise<string>((resolve, reject) => {
      const socket = connect(Number(port), '127.0.0.1')
      let seen = ''
      socket.on('data', (d) => (seen += d.toString()))
      socket.on('close', () => resolve(seen))
      socket.on('error', () => (seen === '' ? reject(new Error('no answer')) : resolve(seen)))
      socket.write(
        `POST /api/jobs HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: ${50 * 1024 * 1024}\r\nConnection: close\r\n\r\n{"job":"${'x'.repeat(1000)}`,
      )
      socket.once('data', () => socket.end())
    })
    expect(head).toMatch(/^HTTP\/1\.1 413/)
    expect(head).toContain('The request is too large')
    expect((await api().get('/api/health')).status).toBe(200)
  })
})

describe('lays planned on the server', () => {
  const plan = planJob(keepersBench())
  const problem = plan.kind === 'worked' ? plan.cloth.lays[0]!.problem : null

  it('are sound, and the same for the same seed and steps', async () => {
    const ask = () => api().post('/api/lays').send({ problem, seed: 7, steps: 20, seconds: 20 })
    const [a, b] = [await ask(), await ask()]
    expect(a.status).toBe(200)
    expect(acceptLay(problem!, a.body)).toEqual([])
    expect({ ...a.body, seconds: 0 }).toEqual({ ...b.body, seconds: 0 })
  })

  it('tell what does not fit', async () => {
    const res = await api()
      .post('/api/lays')
      .send({ problem: { ...problem, cloth: { ...problem!.cloth, width: 600 } }, steps: 5 })
    expect([res.status, res.body.failure.code]).toEqual([422, 'wider-than-cloth'])
  })

  it('refuse a crossed outline by its path', async () => {
    const pieces = [
      {
        id: 'x',
        outline: [
          [0, 0],
          [10, 10],
          [10, 0],
          [0, 10],
        ],
      },
    ]
    const res = await api()
      .post('/api/lays')
      .send({ problem: { format: 'loft-seam/lay-problem', version: 1, cloth: { width: 100 }, pieces } })
    expect(res.body.detail).toMatch(/^\$\.problem\.pieces\[0\]\.outline crosses/)
  })
})
