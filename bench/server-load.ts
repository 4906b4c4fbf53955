import { spawn } from 'node:child_process'
import { Agent, get } from 'node:http'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { printTable } from './table.ts'

/** Reads by 50 clients at once on loopback, the server in a process of its own; a first round warms it up. */
export async function benchServer(root: string): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-bench-'))
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: root,
    env: { ...process.env, DATABASE_FILE: path.join(folder, 'bench.db'), PORT: '0', LOG_LEVEL: 'silent', DEMO: '1' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  try {
    const address = await new Promise<string>((resolve, reject) => {
      server.stdout.on('data', (d: Buffer) => {
        const found = /http:\S+/.exec(d.toString())
        if (found) resolve(found[0])
      })
      server.once('exit', () => reject(new Error('the server did not start')))
    })
    const [first] = (await (await fetch(`${address}/api/jobs`)).json()) as { id: string }[]
    const rows: string[][] = []
    for (const url of ['/api/jobs', `/api/jobs/${first!.id}`, '/api/shop/cloths']) {
      await readsBy(CLIENTS, `${address}${url}`, 1000)
      const times = (await readsBy(CLIENTS, `${address}${url}`, 4000)).toSorted((a, b) => a - b)
      const share = (q: number) => `${times[Math.floor(times.length * q)]!.toFixed(1)} ms`
      rows.push([url.replace(first!.id, ':id'), share(0.5), share(0.99), `${Math.round(times.length / 4)}/s`])
    }
    process.stdout.write(`Server, ${CLIENTS} clients at once, each resting 50 to 150 ms between reads\n`)
    printTable(['read', 'p50', 'p99', 'rate'], rows)
  } finally {
    server.kill('SIGTERM')
    await new Promise((resolve) => server.once('exit', resolve))
    rmSync(folder, { recursive: true, force: true })
  }
}

const CLIENTS = 50

/** Milliseconds of every read by so many clients within the given time. A failed read ends the bench. */
async function readsBy(clients: number, url: string, forMs: number): Promise<number[]> {
  const agent = new Agent({ keepAlive: true, maxSockets: clients })
  const end = performance.now() + forMs
  const times: number[] = []
  const client = async (n: number) => {
    await rest((n * 100) / clients)
    for (let i = 0; performance.now() < end; i++) {
      const asked = performance.now()
      await read(url, agent)
      times.push(performance.now() - asked)
      await rest(50 + ((n * 37 + i * 61) % 101))
    }
  }
  await Promise.all(Array.from({ length: clients }, (_, n) => client(n)))
  agent.destroy()
  return times
}

const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

const read = (url: string, agent: Agent) =>
  new Promise<void>((resolve, reject) => {
    get(url, { agent }, (res) => {
      if (res.statusCode !== 200) reject(new Error(`${url} answered ${res.statusCode}`))
      res.resume().on('end', resolve)
    }).on('error', reject)
  })
