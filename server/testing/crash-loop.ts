import { randomUUID } from 'node:crypto'
import { createClient } from '@libsql/client'
import type { Backup, Job, JobSummary, RevisionSummary, StockMove, StoredJob, Trim } from '../../contract/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { archiveOf } from './archives.ts'
import { jpegOf } from './pictures.ts'
import type { Spawned } from './spawned.ts'

export interface CrashCounts {
  cycles: number
  saves: number
  photos: number
  stockActs: number
  imports: number
  backups: number
}

export interface CrashLoopOptions {
  readonly databaseFile: string
  readonly cycles: number
  /**
   * A life of the server lasts for between so many acknowledged acts; the first one until there was one of each kind.
   */
  readonly acts: readonly [number, number]
  readonly start: () => Promise<Spawned>
  /** A number from 0 to 1 for each cycle. */
  readonly chance: () => number
  readonly told?: (counts: CrashCounts) => void
}

const TRIM = 'slider-5'
const IMPORTED = 50

/** What was acknowledged, and must be there after any kill. */
interface Promised {
  /** Titles by revision, for each job. */
  readonly saves: Map<string, Map<number, string>>
  readonly photos: Set<string>
  readonly acts: Set<string>
  /** Jobs of an import, and whether it was acknowledged. */
  readonly imports: Map<string, { readonly ids: readonly string[]; done: boolean }>
  readonly backups: Set<string>
}

/**
 * Clients save, photograph, take stock and give it back, take archives in and make backups, while the server is killed
 * at random moments and started again. After every kill all that was acknowledged must be there, and nothing by halves.
 * @throws Error naming the first promise that was broken.
 */
export async function crashLoop(options: CrashLoopOptions): Promise<CrashCounts> {
  const { cycles, start, acts, chance, told = () => undefined } = options
  const counts: CrashCounts = { cycles: 0, saves: 0, photos: 0, stockActs: 0, imports: 0, backups: 0 }
  const promised: Promised = {
    saves: new Map(),
    photos: new Set(),
    acts: new Set(),
    imports: new Map(),
    backups: new Set(),
  }
  let trimsAtFirst: number | null = null
  for (let cycle = 0; cycle < cycles; cycle++) {
    const server = await start()
    const api = apiOf(server.address)
    trimsAtFirst ??= await inHand(api)
    await holdsOrThrow(api, promised, trimsAtFirst)
    const stop = new AbortController()
    const work = Promise.all([
      saver(api, promised, counts, stop.signal),
      saver(api, promised, counts, stop.signal),
      photographer(api, promised, counts, stop.signal),
      stockTaker(api, promised, counts, stop.signal),
      importer(api, promised, counts, stop.signal),
      backer(api, promised, counts, stop.signal),
    ])
    const wanted = done(counts) + acts[0] + chance() * (acts[1] - acts[0])
    const isOver = () => done(counts) >= wanted && (cycle > 0 || (counts.imports > 0 && counts.backups > 0))
    const giveUp = performance.now() + LONGEST_LIFE_MS
    while (!isOver() && performance.now() < giveUp) await rest(5)
    await rest(chance() * A_MOMENT_MS)
    await server.kill()
    stop.abort()
    await work
    await wholeOrThrow(options.databaseFile)
    counts.cycles++
    told(counts)
  }
  const last = await start()
  await holdsOrThrow(apiOf(last.address), promised, trimsAtFirst ?? 0)
  await last.kill()
  return counts
}

type Api = (method: string, url: string, body?: unknown) => Promise<unknown>

const apiOf =
  (address: string): Api =>
  async (method, url, body) => {
    const isBytes = body instanceof Uint8Array
    const res = await fetch(address + url, {
      method,
      headers: body === undefined || isBytes ? {} : { 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: isBytes ? new Uint8Array(body) : JSON.stringify(body) }),
    })
    const text = await res.text()
    if (!res.ok) throw new Error(`${method} ${url} answered ${res.status} ${text.slice(0, 200)}`)
    return text === '' ? null : (JSON.parse(text) as unknown)
  }

/**
 * Does a work again and again until the server dies under it; an answer of the server that is a refusal ends the loop
 * as a fault.
 */
async function untilKilled(signal: AbortSignal, work: () => Promise<void>): Promise<void> {
  while (!signal.aborted)
    try {
      await work()
    } catch (error) {
      if (error instanceof Error && /answered (4|50[0124-9])/.test(error.message)) throw error
      await new Promise((resolve) => setTimeout(resolve, 20))
    }
}

async function saver(api: Api, promised: Promised, counts: CrashCounts, signal: AbortSignal): Promise<void> {
  let job: StoredJob | null = null
  await untilKilled(signal, async () => {
    const title = `save ${counts.saves}`
    job = job
      ? ((await api('PUT', `/api/jobs/${job.id}`, {
          job: { ...job.job, title },
          baseRevision: job.revision,
          reason: title,
        })) as StoredJob)
      : ((await api('POST', '/api/jobs', { job: { ...keepersBench(), title }, reason: title })) as StoredJob)
    const own = promised.saves.get(job.id) ?? new Map<number, string>()
    promised.saves.set(job.id, own.set(job.revision, title))
    counts.saves++
  })
}

async function photographer(api: Api, promised: Promised, counts: CrashCounts, signal: AbortSignal): Promise<void> {
  await untilKilled(signal, async () => {
    const [jobId] = promised.saves.keys()
    if (jobId === undefined || promised.photos.size > 150) return wait()
    const { id } = (await api('POST', `/api/photos/of/${jobId}`, jpegOf(40, 30))) as { id: string }
    promised.photos.add(id)
    counts.photos++
  })
}

async function stockTaker(api: Api, promised: Promised, counts: CrashCounts, signal: AbortSignal): Promise<void> {
  await untilKilled(signal, async () => {
    const [id, jobId] = [randomUUID(), randomUUID()]
    const taking = { id, jobId, ticket: 'T', trims: [{ id: TRIM, amount: 0.5 }], cloths: [], foam: [] }
    await api('POST', '/api/stock/take', taking)
    promised.acts.add(id)
    const back = randomUUID()
    await api('POST', '/api/stock/give-back', { id: back, jobId })
    promised.acts.add(back)
    counts.stockActs += 2
  })
}

async function importer(api: Api, promised: Promised, counts: CrashCounts, signal: AbortSignal): Promise<void> {
  await untilKilled(signal, async () => {
    const jobs = Array.from({ length: IMPORTED }, (_, i) => ({
      id: randomUUID(),
      job: { ...keepersBench(), ticket: `IMP-${i}` } satisfies Job,
    }))
    const { token } = (await api('POST', '/api/records/archive/look', archiveOf(jobs))) as { token: string }
    const own = { ids: jobs.map((j) => j.id), done: false }
    promised.imports.set(token, own)
    await api('POST', `/api/records/archive/take/${token}`)
    own.done = true
    counts.imports++
  })
}

async function backer(api: Api, promised: Promised, counts: CrashCounts, signal: AbortSignal): Promise<void> {
  await untilKilled(signal, async () => {
    const { name } = (await api('POST', '/api/records/backups')) as Backup
    promised.backups.add(name)
    counts.backups++
    await wait()
  })
}

const rest = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))
const wait = () => rest(100)

const done = ({ saves, photos, stockActs, imports, backups }: CrashCounts): number =>
  saves + photos + stockActs + imports + backups

const LONGEST_LIFE_MS = 60_000
/** Kills fall between acts as well as on them. */
const A_MOMENT_MS = 60

const inHand = async (api: Api): Promise<number> =>
  ((await api('GET', '/api/stock/trims')) as Trim[]).find((t) => t.id === TRIM)!.inHand

/** Holds the shop against what it acknowledged. */
async function holdsOrThrow(api: Api, promised: Promised, trimsAtFirst: number): Promise<void> {
  const broken = (says: string): never => {
    throw new Error(`a promise was broken: ${says}`)
  }
  for (const [id, titles] of [...promised.saves].slice(-4)) {
    const revisions = (await api('GET', `/api/jobs/${id}/revisions`)) as RevisionSummary[]
    for (const [revision, title] of titles)
      if (!revisions.some((r) => r.revision === revision && r.reason === title))
        broken(`save ${revision} of ${id} is not there`)
    const [newest] = [...titles.keys()].toSorted((a, b) => b - a)
    const at = (await api('GET', `/api/jobs/${id}/revisions/${newest!}`)) as StoredJob
    if (at.job.title !== titles.get(newest!)) broken(`save ${newest!} of ${id} reads ${at.job.title}`)
  }
  const shown = new Set(((await api('GET', '/api/jobs?for=shelf')) as JobSummary[]).map((j) => j.id))
  for (const [token, { ids, done }] of promised.imports) {
    const here = ids.filter((id) => shown.has(id)).length
    if (here !== 0 && here !== IMPORTED) broken(`import ${token} is there by halves: ${here} of ${IMPORTED}`)
    if (done && here === 0) broken(`import ${token} is not there`)
  }
  const moves = new Map(((await api('GET', '/api/stock/moves')) as StockMove[]).map((m) => [m.id, m]))
  for (const id of [...promised.acts].slice(-20)) if (!moves.has(id)) broken(`the act ${id} is not in the book`)
  const kept = new Set(((await api('GET', '/api/records/backups')) as Backup[]).map((b) => b.name))
  for (const name of [...promised.backups].slice(-10)) if (!kept.has(name)) broken(`the backup ${name} is not there`)
  const left = (trimsAtFirst - (await inHand(api))) / 0.5
  if (Math.abs(left - Math.round(left)) > 1e-6 || left < 0) broken(`the shelf of trims says ${left} takings stand`)
}

/** Holds the file itself against what no kill may leave in it. */
async function wholeOrThrow(file: string): Promise<void> {
  const client = createClient({ url: `file:${file}` })
  try {
    const one = async (sql: string) => (await client.execute(sql)).rows[0]?.[0]
    const check = await one('PRAGMA integrity_check')
    if (check !== 'ok') throw new Error(`the file is not whole: ${String(check)}`)
    const faults = (await client.execute('PRAGMA foreign_key_check')).rows.length
    if (faults > 0) throw new Error(`${faults} rows are without what they belong to`)
    const stands = Number(
      await one(`SELECT count(*) FROM stock_moves m WHERE json_extract(document, '$.taken') IS NOT NULL AND NOT EXISTS (
        SELECT 1 FROM stock_moves b WHERE json_extract(b.document, '$.givesBack') = m.id)`),
    )
    const trim = await one(`SELECT json_extract(document, '$.inHand') FROM trims WHERE id = '${TRIM}'`)
    const first = (firstInHand.get(file) ?? Number(trim) + stands * 0.5) as number
    firstInHand.set(file, first)
    if (Math.abs(first - stands * 0.5 - Number(trim)) > 1e-6)
      throw new Error(`the book says ${first - stands * 0.5} of the trim are in hand, the shelf ${String(trim)}`)
  } finally {
    client.close()
  }
}

const firstInHand = new Map<string, number>()
