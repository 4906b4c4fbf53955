import { jobOf } from '../../core/job/index.ts'
import { connect } from 'node:net'
import { readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { StoredJob, type JobSummary } from '../../contract/index.ts'
import { keepersBench, keepersBenchPart } from '../../core/demo/index.ts'
import { simulatedTable } from '../table/simulated-table.ts'
import { dxfOf } from '../testing/drawings.ts'
import { answeredMeanwhile } from '../testing/meanwhile.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'

let shop: TestShop
beforeAll(async () => {
  shop = await openTestShop()
})
afterAll(() => shop.end())
const api = () => request(shop.address)
const post = (url: string, body: string, signal?: AbortSignal) =>
  fetch(shop.address + url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
    ...(signal ? { signal } : {}),
  })

describe('drawings for the table', () => {
  const cut = (text: string) => post('/api/table/cut', JSON.stringify({ name: 'x', dxf: text, speedMmS: 100 }))

  it.each<[string, string]>([
    ['a polyline without an end', dxfOf('0', 'POLYLINE', '8', 'CUT')],
    ['a polyline of a thousand million corners', dxfOf('0', 'LWPOLYLINE', '8', 'CUT', '90', '1000000000')],
    [
      '200 000 corners',
      dxfOf('0', 'LWPOLYLINE', '8', 'CUT', '90', '200000', Array(200_000).fill('10\n1\n20\n1').join('\n')),
    ],
  ])('%s is refused in words', async (_name, text) => {
    expect(await (await cut(text)).json()).toMatchObject({ kind: 'refused' })
  })

  it('a line without an end is refused by the table itself', async () => {
    const table = await simulatedTable({ bedMm: [1000, 1000], hurry: 1, now: () => 0 })
    const said = await new Promise<string>((resolve) => {
      const socket = connect(table.port, '127.0.0.1', () => {
        const more = () => {
          while (!socket.destroyed && socket.write(Buffer.alloc(1_000_000, 0x61)));
          if (!socket.destroyed) socket.once('drain', more)
        }
        more()
      })
      let text = ''
      socket.on('error', () => resolve(text))
      socket.on('data', (d) => (text += d.toString()))
      socket.on('end', () => resolve(text))
    })
    expect(said).toMatch(/no end/)
    await table.close()
  })
})

describe('jobs that are hard to plan', () => {
  const bench = keepersBenchPart()
  const around = (n: number) =>
    Array.from({ length: n }, (_, i) => {
      const turn = (2 * Math.PI * i) / n
      return { x: Math.round(1000 * (1 + Math.cos(turn))), y: Math.round(1000 * (1 + Math.sin(turn))) }
    })

  it.each<[string, object]>([
    [
      'sixty bands of a millimetre',
      {
        cloth: {
          ...bench.cloth,
          cloth: {
            ...bench.cloth.cloth,
            pattern: {
              kind: 'stripes',
              runs: 'along',
              startMm: 0,
              bands: Array.from({ length: 60 }, (_, i) => ({ name: `${i}`, colour: '#aabbcc', widthMm: 1 })),
            },
          },
        },
      },
    ],
    [
      'an outline of a thousand points',
      {
        seat: {
          ...bench.seat,
          front: '1-2',
          edges: {},
          corners: {},
          footprint: {
            kind: 'points',
            points: around(1000).map((p) => ({ ...p, riseMm: 0 })),
            source: { kind: 'typed' },
          },
        },
      },
    ],
  ])(
    '%s: saved first, planned apart, and the shop answers meanwhile',
    async (_name, change) => {
      const res = await api()
        .post('/api/jobs')
        .send({ job: jobOf({ ...bench, ...change, title: 'hard' }), reason: '' })
      if (res.status !== 201) throw new Error(JSON.stringify(res.body).slice(0, 400))
      const { id } = StoredJob.parse(res.body)
      const stands = async () =>
        ((await api().get('/api/jobs?for=shelf')).body as JobSummary[]).find((j) => j.id === id)!.card.worked.kind
      expect(await stands()).toBe('under-way')
      await vi.waitFor(async () => expect(await stands()).toBe('whole'), { timeout: 120_000, interval: 50 })
    },
    40_000,
  )
})

describe('lays', () => {
  /** A comb of so many points: a piece that takes the planner far longer than a second. */
  const zigzag = (n: number) => [
    ...Array.from({ length: n - 2 }, (_, i) => [i / 4, i % 2 === 0 ? 0 : 900]),
    [n / 4, 1000],
    [0, 1000],
  ]
  const hard = (seconds: number) =>
    JSON.stringify({
      seconds,
      problem: {
        format: 'loft-seam/lay-problem',
        version: 1,
        cloth: { width: 1400 },
        pieces: [{ id: 'comb', qty: 6, turns: [0, 180], outline: zigzag(4000) }],
      },
    })
  const easy = JSON.stringify({
    seconds: 1,
    steps: 20,
    problem: {
      format: 'loft-seam/lay-problem',
      version: 1,
      cloth: { width: 1400 },
      pieces: [
        {
          id: 'a',
          outline: [
            [0, 0],
            [500, 0],
            [500, 300],
            [0, 300],
          ],
        },
      ],
    },
  })

  it('one of a hard piece ends at its time, whatever the planner does', async () => {
    const res = await post('/api/lays', hard(0.2))
    expect([200, 422]).toContain(res.status)
    expect(await answeredMeanwhile(shop, post('/api/lays', hard(0.2)))).toBeGreaterThan(0)
  }, 180_000)

  it('a dozen that nobody waits for any more are ended: the next honest one is planned', async () => {
    const gone = new AbortController()
    const abandoned = Array.from({ length: 12 }, () => post('/api/lays', hard(60), gone.signal).catch(() => null))
    await new Promise((resolve) => setTimeout(resolve, 300))
    gone.abort()
    await Promise.all(abandoned)
    await vi.waitFor(async () => expect((await post('/api/lays', easy)).status).toBe(200), {
      timeout: 120_000,
      interval: 100,
    })
  }, 180_000)

  it('more than may wait are told so, with when to come back', async () => {
    const gone = new AbortController()
    const asked = Array.from({ length: 12 }, () => post('/api/lays', hard(60), gone.signal).catch(() => null))
    const refused = (await Promise.race([Promise.any(asked), Promise.all(asked).then((all) => all[0])]))!
    expect([refused.status, refused.headers.get('retry-after')]).toEqual([503, '5'])
    gone.abort()
    await Promise.all(asked)
  }, 180_000)
})

describe('bodies', () => {
  it('nested brackets are refused before they are parsed', async () => {
    const res = await post('/api/jobs', '['.repeat(1_000_000))
    expect([res.status, ((await res.json()) as { detail: string }).detail]).toEqual([
      413,
      'The body is nested more than 40 deep.',
    ])
  })

  it('brackets within words are words', async () => {
    const job = { ...keepersBench(), note: '[[[{{{"\\'.repeat(100) }
    expect((await post('/api/jobs', JSON.stringify({ job, reason: '' }))).status).toBe(201)
  })

  it('hundreds of thousands of keys get a short answer, and few of their faults', async () => {
    const steps = Object.fromEntries(Array.from({ length: 50_000 }, (_, i) => [`k${i}`, 1]))
    const job = { ...keepersBench(), making: { ...keepersBench().making, steps } }
    const res = await post('/api/jobs', JSON.stringify({ job, reason: '' }))
    const text = await res.text()
    expect([res.status, text.length < 10_000]).toEqual([422, true])
    expect((JSON.parse(text) as { faults: unknown[] }).faults).toHaveLength(21)
    const more = await post(
      '/api/jobs',
      JSON.stringify({ job: Object.fromEntries(Array.from({ length: 90_000 }, (_, i) => [`k${i}`, 1])), reason: '' }),
    )
    expect(more.status).toBe(413)
  })
})

describe('one page too many', () => {
  it('two hundred streams of events do not shut out the next page', async () => {
    const gone = new AbortController()
    const open = (): Promise<Response> => fetch(`${shop.address}/api/events`, { signal: gone.signal })
    const streams = await Promise.all(Array.from({ length: 200 }, open))
    expect(streams.every((r) => r.status === 200)).toBe(true)
    const mine = await open()
    const reader = mine.body!.getReader()
    expect(new TextDecoder().decode((await reader.read()).value)).toBe(': open\n\n')
    gone.abort()
  })

  it('forty looks at a backup start one process after the other, and the same is looked at once', async () => {
    const { name } = (await api().post('/api/records/backups').expect(201)).body as { name: string }
    const answers = await Promise.all(
      Array.from({ length: 40 }, () => fetch(`${shop.address}/api/records/backups/${name}`)),
    )
    const statuses = answers.map((r) => r.status)
    expect(statuses.filter((s) => s === 200).length).toBeGreaterThan(0)
    expect(statuses.every((s) => s === 200 || s === 503)).toBe(true)
    expect((await fetch(`${shop.address}/api/records/backups/${name}`)).status).toBe(200)
  })

  it('nothing of it lies about in the temporary folder', () => {
    expect(readdirSync(tmpdir()).filter((n) => n.startsWith('loft-seam-archive-'))).toEqual([])
  })
})
