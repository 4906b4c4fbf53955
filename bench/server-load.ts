import { Agent, request } from 'node:http'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { StoredJob } from '../contract/index.ts'
import { spawnServer } from '../server/testing/spawned.ts'
import { fillShop } from './full-shop.ts'
import { stripedRows } from './problems.ts'
import { printTable } from './table.ts'

const READERS = 50
const WRITERS = 10
const LAYS = 2
const STREAMS = 200
/** Workers begin and lists are made once before anything counts. */
const WARM_UP_MS = 3000

/**
 * A full shop on loopback: readers rest a second between reads, writers save once a second, lays are planned, pages
 * listen. Milliseconds of each read and save, and the memory of the server at the beginning and the end. A failed
 * request ends the bench.
 */
export async function benchServer(root: string, jobs = 2000, seconds = 20): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-bench-'))
  const file = path.join(folder, 'bench.db')
  const ids = await fillShop(root, file, jobs)
  const server = await spawnServer(file, { DEMO: '1' }, ['dist/server/main.js'])
  const agent = new Agent({ keepAlive: true, maxSockets: READERS + WRITERS + LAYS + STREAMS })
  const ask: Ask = (method, url, body) => asked(agent, server.address + url, method, body)
  try {
    const shelf = await ask('GET', '/api/jobs?for=shelf')
    const one = `/api/jobs/${ids[0]!}`
    for (let i = 0; i < 50; i++) await ask('GET', one)
    const streams = Array.from({ length: STREAMS }, () => request(`${server.address}/api/events`, { agent }).end())
    const before = memoryOf(server.child.pid!)
    const warm = performance.now() + WARM_UP_MS
    const end = warm + seconds * 1000
    const times = { shelf: [] as number[], job: [] as number[], save: [] as number[] }
    const timed = async (kind: keyof typeof times, work: () => Promise<unknown>) => {
      const began = performance.now()
      await work()
      if (began > warm) times[kind].push(performance.now() - began)
    }
    const reader = async (n: number) => {
      await rest((n * 1000) / READERS)
      for (let i = 0; performance.now() < end; i++) {
        await timed(i % 5 === 0 ? 'shelf' : 'job', () =>
          ask('GET', i % 5 === 0 ? '/api/jobs?for=shelf' : `/api/jobs/${ids[(n * 31 + i) % ids.length]!}`),
        )
        await rest(500 + ((n * 37 + i * 61) % 1001))
      }
    }
    const writer = async (n: number) => {
      let stored = JSON.parse((await ask('GET', `/api/jobs/${ids[n]!}`)).toString()) as StoredJob
      for (let i = 0; performance.now() < end; i++) {
        const job = { ...stored.job, note: `save ${i}` }
        const body = { job, baseRevision: stored.revision, reason: `save ${i}` }
        await timed('save', async () => {
          stored = JSON.parse((await ask('PUT', `/api/jobs/${ids[n]!}`, body)).toString()) as StoredJob
        })
        await rest(700 + ((n * 71 + i * 13) % 600))
      }
    }
    const planner = async () => {
      while (performance.now() < end)
        await ask('POST', '/api/lays', { problem: stripedRows(10, 1).problem, seconds: 4 })
    }
    await Promise.all([
      ...Array.from({ length: READERS }, (_, n) => reader(n)),
      ...Array.from({ length: WRITERS }, (_, n) => writer(n)),
      ...Array.from({ length: LAYS }, planner),
    ])
    process.stdout.write(
      `Server, ${jobs} jobs: ${READERS} readers, ${WRITERS} writers, ${LAYS} lays and ${STREAMS} streams for ${seconds} s; the shelf is ${Math.round(shelf.length / 1000)} kB; memory ${before} MB, then ${memoryOf(server.child.pid!)} MB\n`,
    )
    const share = (list: readonly number[], q: number) => `${list[Math.floor(list.length * q)]!.toFixed(1)} ms`
    printTable(
      ['', 'p50', 'p99', 'most', 'in all'],
      Object.entries(times).map(([kind, list]) => {
        const sorted = list.toSorted((a, b) => a - b)
        return [kind, share(sorted, 0.5), share(sorted, 0.99), `${sorted.at(-1)!.toFixed(1)} ms`, `${sorted.length}`]
      }),
    )
    streams.forEach((s) => s.destroy())
  } finally {
    agent.destroy()
    await server.kill()
    rmSync(folder, { recursive: true, force: true })
  }
}

type Ask = (method: string, url: string, body?: unknown) => Promise<Buffer>

/** Bytes of an answer as they came over the line, packed where they were. */
const asked = (agent: Agent, url: string, method: string, body?: unknown) =>
  new Promise<Buffer>((resolve, reject) => {
    const headers = { 'accept-encoding': method === 'GET' && url.includes('?') ? 'gzip' : 'identity' }
    const type = body === undefined ? {} : { 'content-type': 'application/json' }
    const sent = request(url, { agent, method, headers: { ...headers, ...type } }, (res) => {
      const parts: Buffer[] = []
      res.on('data', (part: Buffer) => parts.push(part))
      res.on('end', () =>
        res.statusCode! < 300
          ? resolve(Buffer.concat(parts))
          : reject(new Error(`${method} ${url} answered ${res.statusCode}`)),
      )
    })
    sent.on('error', reject)
    sent.end(body === undefined ? undefined : JSON.stringify(body))
  })

const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** Megabytes a process holds, where the system tells. */
function memoryOf(pid: number): number {
  try {
    const pages = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))
    return Math.round(Number(pages?.[1] ?? 0) / 1024)
  } catch {
    return 0
  }
}
