import { spawn, type ChildProcess } from 'node:child_process'
import { SearchMessage, type LayProblem } from '../contract/index.ts'
import { lowerBound, instanceOf } from '../core/lay/index.ts'
import { startRedis } from '../server/testing/redis.ts'
import { openTestShop } from '../server/testing/running-app.ts'
import { curvedMix } from './curved-mix.ts'
import { cushionMix } from './problems.ts'
import { printTable } from './table.ts'

const WORKERS = [1, 2, 4]
const SECONDS = 5
/** Lays of a fixed number of steps, as Compare asks for them, so many at a time. */
const LAYS = { count: 12, atOnce: 4, steps: 30_000 }

/**
 * Lays planned over Redis by one, two and four workers of one lane, each a process of its own on this machine: how long
 * the best lay of a search is over its bound after equal time, and how many lays of equal work are had in an hour.
 */
export async function benchSearchers(root: string): Promise<void> {
  const problems = [cushionMix(30, 7), curvedMix(30, 11), cushionMix(90, 3)].map((p) => p.problem)
  const rows: string[][] = []
  for (const count of WORKERS) {
    const redis = await startRedis()
    const shop = await openTestShop(undefined, { redis: redis.address })
    const workers = Array.from({ length: count }, (_, i) => startWorker(root, redis.address, `worker ${i + 1}`))
    try {
      while ((await askSearchers(shop.address)) < count) await rest(100)
      const ratios: string[] = []
      for (const problem of problems) ratios.push((await searched(shop.address, problem)).toFixed(4))
      const began = performance.now()
      await inTurns(LAYS.count, LAYS.atOnce, () => planned(shop.address, problems[0]!))
      const hours = (performance.now() - began) / 3_600_000
      rows.push([String(count), ...ratios, Math.round(LAYS.count / hours).toString()])
    } finally {
      workers.forEach((w) => w.kill('SIGKILL'))
      await shop.end()
      await redis.crash()
    }
  }
  printTable(['workers', '30 mixed', '30 curved', '90 mixed', 'lays an hour'], rows)
}

const startWorker = (root: string, address: string, name: string): ChildProcess =>
  spawn(
    process.execPath,
    ['--import', 'tsx', 'commands/main.ts', 'lay-worker', '--redis', address, '--name', name, '--lanes', '1'],
    { cwd: root, stdio: 'ignore' },
  )

const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

async function askSearchers(address: string): Promise<number> {
  const told = (await (await fetch(`${address}/api/lays/searchers`)).json()) as { searchers: unknown[] }
  return told.searchers.length
}

const post = (url: string, body: object) =>
  fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })

/** The best length over the bound that area and widths prove. */
async function searched(address: string, problem: LayProblem): Promise<number> {
  const text = await (await post(`${address}/api/lays/search`, { problem, seed: 1, seconds: SECONDS })).text()
  const lengths = text
    .trim()
    .split('\n')
    .map((line) => SearchMessage.parse(JSON.parse(line)))
    .flatMap((told) => (told.kind === 'better' ? [told.found.lay.length] : []))
  return Math.min(...lengths) / lowerBound(instanceOf(problem)).length
}

async function planned(address: string, problem: LayProblem): Promise<void> {
  const answer = await post(`${address}/api/lays`, { problem, seed: 1, steps: LAYS.steps, seconds: 60 })
  if (!answer.ok) throw new Error(`the shop answered ${answer.status}`)
}

/** So many pieces of work, some at a time. */
async function inTurns(count: number, atOnce: number, work: () => Promise<void>): Promise<void> {
  let left = count
  const hand = async () => {
    while (left-- > 0) await work()
  }
  await Promise.all(Array.from({ length: atOnce }, hand))
}
