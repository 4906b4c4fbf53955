import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { readJob } from '../../contract/index.ts'
import { readCatalogue, readOutlineFile } from '../../core/formats/index.ts'
import { planJob } from '../../core/plan/index.ts'
import { demoJobs, keepersBench } from '../../core/demo/index.ts'
import { ArchiveFault } from '../records/archive-fault.ts'
import { lookIntoArchive } from '../records/archive-look.ts'
import { readPicture } from '../photos/picture.ts'
import { tooMuch } from '../http/json-body.ts'
import type { DrawingTask } from '../drawings/drawing-worker.ts'
import type { readCutFile } from '../table/cut-file.ts'
import { OverDeadline, workerPool } from '../workers/pool.ts'
import { archiveOf } from '../testing/archives.ts'
import { dxfOf } from '../testing/drawings.ts'
import { jpegOf } from '../testing/pictures.ts'
import { openTestShop, ROOT, type TestShop } from '../testing/running-app.ts'

/** A thousand times as many where somebody has the time: FUZZ=1000. */
const TIMES = Number(process.env['FUZZ'] ?? 1)
const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-fuzz-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const odd = fc.constantFrom<unknown>(null, '', 'x', -1, 0, 1e308, [], {}, true, '\u202e', '__proto__', [[[]]])

/** A document with some of its values put out of order, anywhere in it. */
function disordered(document: unknown, places: readonly number[], values: readonly unknown[]): unknown {
  const copy = JSON.parse(JSON.stringify(document)) as unknown
  places.forEach((place, i) => {
    let at = copy as Record<string, unknown>
    for (let n = place; ; n = Math.floor(n / 7)) {
      const keys = Object.keys(at)
      const key = keys[n % Math.max(1, keys.length)]
      if (key === undefined) return
      const below = at[key]
      if (n < 7 || typeof below !== 'object' || below === null || Object.keys(below).length === 0) {
        at[key] = structuredClone(values[i])
        return
      }
      at = below as Record<string, unknown>
    }
  })
  return copy
}
const mess = fc.tuple(
  fc.array(fc.nat(1_000_000), { minLength: 1, maxLength: 4 }),
  fc.array(odd, { minLength: 4, maxLength: 4 }),
)
const cut = fc.array(fc.tuple(fc.nat(100_000), fc.nat(255)), { minLength: 1, maxLength: 8 })

function damaged(bytes: Uint8Array, cuts: readonly (readonly [number, number])[]): Buffer {
  const copy = Buffer.from(bytes)
  cuts.forEach(([at, value], i) => (copy[at % copy.length] = i % 3 === 0 ? value : copy[(at * 7) % copy.length]!))
  return cuts.length % 5 === 0 ? copy.subarray(0, cuts[0]![0] % copy.length) : copy
}

describe('whatever comes in', () => {
  it('a job file is read or refused in words; what is read can be planned, or says why not', () => {
    const jobs = demoJobs()
    fc.assert(
      fc.property(fc.nat(jobs.length - 1), mess, (n, [places, values]) => {
        const read = readJob(disordered(jobs[n], places, values))
        if (read.ok)
          expect(['worked', 'stopped']).toContain(planJob(read.value).kind === 'worked' ? 'worked' : 'stopped')
        else for (const f of read.faults) expect(f.message.length + f.path.length).toBeLessThan(900)
      }),
      { numRuns: 250 * TIMES },
    )
  }, 1_000_000)

  it('a drawing or a spreadsheet is read or refused in words, and ends', () => {
    const svg =
      '<svg width="100mm" viewBox="0 0 100 100"><g transform="scale(2)"><path d="M0 0 C 1 2 3 4 5 6 L 9 9 z"/></g></svg>'
    const csv = 'name;kg/m3;N\nGull;28;120\n'
    fc.assert(
      fc.property(
        fc.constantFrom('a.svg', 'a.dxf', 'a.csv'),
        cut,
        fc.string({ maxLength: 20 }),
        (name, cuts, extra) => {
          const text = damaged(Buffer.from(name === 'a.svg' ? svg : csv), cuts).toString('latin1') + extra
          if (name === 'a.csv') return void readCatalogue(text)
          const read = readOutlineFile(name, text)
          if (read.ok) for (const p of read.value.points) expect(Number.isFinite(p.x + p.y)).toBe(true)
        },
      ),
      { numRuns: 400 * TIMES },
    )
  }, 1_000_000)

  it('a drawing for the table is read or refused in its thread, and one that never ends is ended with it', async () => {
    const dxf = dxfOf(...'0 LWPOLYLINE 8 CUT 90 3 10 0 20 0 10 9 20 0 10 9 20 9'.split(' '))
    const pool = workerPool<DrawingTask, ReturnType<typeof readCutFile>>('drawing-worker', 1)
    await fc.assert(
      fc.asyncProperty(cut, async (cuts) => {
        const text = damaged(Buffer.from(dxf), cuts).toString('latin1')
        const read = await pool
          .run({ dxf: text, bedMm: [1000, 1000] }, { deadlineMs: 4000 })
          .catch((error: unknown) => error)
        expect(read instanceof OverDeadline || typeof (read as { ok?: boolean }).ok === 'boolean').toBe(true)
      }),
      { numRuns: 60 * TIMES },
    )
    await pool.close()
  }, 1_000_000)

  it('a picture is kept without what was said beside it, or refused in words', () => {
    const picture = jpegOf(30, 20, 'GPS said here')
    fc.assert(
      fc.property(cut, (cuts) => {
        const read = readPicture(damaged(picture, cuts))
        if (!read.ok) expect(read.error).toMatch(/picture/)
      }),
      { numRuns: 2000 * TIMES },
    )
  }, 1_000_000)

  it('brackets are told without being parsed, whatever the bytes', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), fc.json(), (bytes, json) => {
        tooMuch(bytes, 100)
        const depth = (v: unknown): number =>
          typeof v === 'object' && v !== null ? 1 + Math.max(0, ...Object.values(v).map(depth)) : 0
        const says = tooMuch(Buffer.from(json), 1_000_000)
        expect(says === null).toBe(depth(JSON.parse(json)) <= 40)
      }),
      { numRuns: 1000 * TIMES },
    )
  }, 1_000_000)
})

describe('with a shop', () => {
  let shop: TestShop
  beforeAll(async () => {
    shop = await openTestShop(undefined, { demo: false })
  })
  afterAll(() => shop.end())

  it('an archive with bytes changed is read or refused in words, and changes nothing', async () => {
    const whole = archiveOf([
      { id: '11111111-1111-4111-8111-111111111111', job: keepersBench() },
      { id: '22222222-2222-4222-8222-222222222222', job: keepersBench() },
    ])
    const file = path.join(folder, 'a.zip')
    await fc.assert(
      fc.asyncProperty(cut, async (cuts) => {
        writeFileSync(file, damaged(whole, cuts))
        const found = await lookIntoArchive(shop.databaseFile, file).catch((error: unknown) => error)
        expect(found instanceof ArchiveFault || (found as { jobs?: number }).jobs === 2).toBe(true)
      }),
      { numRuns: 150 * TIMES },
    )
  }, 1_000_000)

  it('no request, however made, is answered as a fault of ours, and what is saved stays', async () => {
    const kept = JSON.parse(
      await (
        await fetch(`${shop.address}/api/jobs`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ job: keepersBench(), reason: '' }),
        })
      ).text(),
    ) as { id: string; revision: number }
    const example = JSON.parse(readFileSync(path.join(ROOT, 'docs/formats/example.job.json'), 'utf8')) as unknown
    const route = fc.constantFrom(
      ...[
        'POST /jobs',
        `PUT /jobs/${kept.id}`,
        'GET /jobs/x',
        'PUT /shop/settings',
        'PUT /shop/grades',
        'PUT /shop/cloths/a',
      ],
      ...[
        'PUT /stock/trims',
        'POST /stock/take',
        'POST /stock/give-back',
        'POST /table/cut',
        'POST /supplier/ask',
        'POST /lays',
      ],
      ...[
        'PUT /access/passphrases',
        'POST /records/archive/take/x',
        'GET /records/backups/..',
        'GET /photos/%00',
        'DELETE /nothing',
      ],
    )
    const body = fc.oneof(
      fc.json(),
      fc.string(),
      mess.map(([p, v]) => JSON.stringify({ job: disordered(example, p, v), baseRevision: 1, reason: v[0] })),
      mess.map(([p, v]) => JSON.stringify({ value: disordered(example, p, v), base: v[1] })),
    )
    await fc.assert(
      fc.asyncProperty(route, body, async (where, text) => {
        const [method, url] = where.split(' ') as [string, string]
        const hasBody = method !== 'GET' && method !== 'DELETE'
        const res = await fetch(`${shop.address}/api${url}`, {
          method,
          headers: hasBody ? { 'content-type': 'application/json' } : {},
          ...(hasBody ? { body: text } : {}),
        })
        const answer = await res.text()
        expect([where, text.slice(0, 200), res.status >= 500, answer.length < 20_000]).toEqual([
          where,
          text.slice(0, 200),
          false,
          true,
        ])
      }),
      { numRuns: 300 * TIMES },
    )
    const now = (await (await fetch(`${shop.address}/api/jobs/${kept.id}`)).json()) as { job: object }
    expect(readJob(now.job).ok).toBe(true)
  }, 1_000_000)
})
