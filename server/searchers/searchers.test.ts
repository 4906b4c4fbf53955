import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { Worker as Searcher } from 'bullmq'
import { Redis } from 'ioredis'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { Lay, LayProblem, Searchers, SearchMessage } from '../../contract/index.ts'
import { acceptLay, solveLay } from '../../core/lay/index.ts'
import { names, PREFIX, readAnswer } from './lay-tasks.ts'
import { plannerMark } from './planner-mark.ts'
import { startRedis, type TestRedis } from '../testing/redis.ts'
import { openTestShop, ROOT, type TestShop } from '../testing/running-app.ts'

/* Real Redis, real workers as processes of their own, a real shop: nothing of them stands in. */

const wing = [
  [0, 0],
  [420, 0],
  [420, 130],
  [150, 130],
  [150, 390],
  [0, 390],
]
const taper = [
  [0, 0],
  [640, 0],
  [560, 470],
  [100, 470],
]
const problem = LayProblem.parse({
  format: 'loft-seam/lay-problem',
  version: 1,
  cloth: { width: 1300 },
  gap: 3,
  pieces: [
    { id: 'wing', qty: 5, outline: wing, turns: [0, 90, 180, 270] },
    { id: 'taper', qty: 5, outline: taper, turns: [0, 180] },
  ],
})

interface Worker {
  readonly child: ChildProcess
  readonly said: () => string
}
const children: ChildProcess[] = []
const PATIENCE = { timeout: 60_000, interval: 30 }

/** A worker as its own process, once it says that it takes lays. */
async function startWorker(name: string, lanes = 1): Promise<Worker> {
  const words = ['lay-worker', '--redis', redis.address, '--name', name, '--lanes', String(lanes)]
  const child = spawn(process.execPath, ['--import', 'tsx', 'commands/main.ts', ...words], { cwd: ROOT })
  children.push(child)
  let text = ''
  child.stdout.on('data', (d: Buffer) => (text += d.toString()))
  const said = () => text
  await vi.waitFor(() => expect(said()).toContain('plans lays'), PATIENCE)
  return { child, said }
}

let redis: TestRedis
let shop: TestShop
beforeAll(async () => {
  redis = await startRedis()
  shop = await openTestShop(undefined, { redis: redis.address })
})
afterAll(async () => {
  for (const child of children) child.kill('SIGKILL')
  await shop.end()
  await redis.crash()
})

const who = async (): Promise<Searchers> =>
  Searchers.parse(await (await fetch(`${shop.address}/api/lays/searchers`)).json())
const post = (route: string, body: object, signal?: AbortSignal) =>
  fetch(`${shop.address}/api/lays${route}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    ...(signal ? { signal } : {}),
  })

/** The planner's answer in this very process. */
function laidHere(steps: number) {
  const solved = solveLay(problem, { seed: 5, budget: { steps, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  return solved.value.lay
}

describe('a shop whose queue nobody serves', () => {
  it('plans alone', async () => {
    expect(await who()).toEqual({ queue: 'reached', searchers: [] })
    const lay = Lay.parse(await (await post('', { problem, seed: 5, steps: 30, seconds: 60 })).json())
    expect(lay.placements).toEqual(laidHere(30).placements)
    expect(await (await post('/search', { problem })).text()).toBe('{"kind":"ended","isProven":false}\n')
  })

  it('tells of a planner of another release, and plans alone all the same', async () => {
    const own = new Redis(redis.address)
    await own.set('loft-seam:searcher:old', JSON.stringify({ name: 'attic', lanes: 8, mark: 'another' }))
    await own.set('loft-seam:searcher:rubbish', '{"name":"')
    expect((await who()).searchers).toEqual([{ name: 'attic', lanes: 8, isAlike: false }])
    const lay = Lay.parse(await (await post('', { problem, seed: 5, steps: 30, seconds: 60 })).json())
    expect(lay.placements).toEqual(laidHere(30).placements)
    await own.del('loft-seam:searcher:old', 'loft-seam:searcher:rubbish')
    own.disconnect()
  })
})

describe('whoever else writes to the Redis server', () => {
  it('is not believed: rubbish told as a better lay is not passed on, and the shop goes on', async () => {
    const own = new Redis(redis.address)
    const channel = names(plannerMark()).better
    for (const rubbish of ['{', 'null', '[]', '{"id":7}', '{"id":"x","by":"y","found":{},"seconds":1}'])
      expect(await own.publish(channel, rubbish)).toBe(1)
    expect((await who()).queue).toBe('reached')
    own.disconnect()
  })

  it('cannot answer in a way that this release does not know', () => {
    expect(readAnswer({ kind: 'lay', found: {}, seconds: 1, by: 'kiln' })).toBeNull()
    expect(readAnswer({ kind: 'another', by: 'kiln' })).toBeNull()
    expect(readAnswer({ kind: 'bad-document', faults: [], by: 'kiln' })).toBeNull()
    expect(readAnswer('lay')).toBeNull()
    const { lay } = { lay: laidHere(3) }
    const found = { lay, bound: { name: 'area', length: 1 }, steps: 3, free: { x: 0, y: 0, width: 1, height: 1 } }
    expect(readAnswer({ kind: 'lay', found, seconds: 1, by: 'kiln' })).toMatchObject({ found })
  })
})

describe('a machine that answers by rules of its own', () => {
  const mark = plannerMark()
  const answerOf = (lay: Omit<Lay, 'seconds'>) => ({
    kind: 'lay',
    found: { lay, bound: { name: 'area', length: 1 }, steps: 3, free: { x: 0, y: 0, width: 1, height: 1 } },
    seconds: 1,
    by: 'attic',
  })
  /** What the shop says is the lay, where the machine says that it is another. */
  async function told(lay: Omit<Lay, 'seconds'>): Promise<Lay> {
    const own = new Redis(redis.address, { maxRetriesPerRequest: null })
    let asked = 0
    const answers = () => Promise.resolve(answerOf(lay)).finally(() => (asked += 1))
    const machine = new Searcher(names(mark).queue, answers, { connection: own, prefix: PREFIX })
    await own.set('loft-seam:searcher:attic', JSON.stringify({ name: 'attic', lanes: 1, mark }))
    const answer = Lay.parse(await (await post('', { problem, seed: 5, steps: 30, seconds: 60 })).json())
    expect(asked).toBe(1)
    await own.del('loft-seam:searcher:attic')
    await machine.close()
    own.disconnect()
    return answer
  }
  it('is not believed what cannot be cut: the shop plans the lay itself', async () => {
    const lay = laidHere(30)
    const { x, y } = lay.placements[0]!
    const onOne = { ...lay, placements: lay.placements.map((p) => ({ ...p, x, y })), length: 1 }
    expect((await told(onOne)).placements).toEqual(lay.placements)
  })
  it('is believed what can be cut, however poor', async () => {
    const [first, ...others] = laidHere(30).placements
    const apart = { ...laidHere(30), placements: [first!, ...others.map((p) => ({ ...p, y: p.y + 5000 }))] }
    const poor = { ...apart, length: laidHere(30).length + 5000 }
    expect((await told(poor)).placements).toEqual(poor.placements)
  })
})

describe('two machines that plan lays for the shop', () => {
  let workers: readonly Worker[]
  beforeAll(async () => {
    workers = await Promise.all([startWorker('kiln'), startWorker('loft')])
  })
  /** How often words were said by any of them. */
  const said = (words: RegExp) => workers.reduce((sum, w) => sum + (w.said().match(words)?.length ?? 0), 0)

  it('are told of by name', async () => {
    const { searchers } = await who()
    expect(searchers.toSorted((a, b) => a.name.localeCompare(b.name))).toEqual([
      { name: 'kiln', lanes: 1, isAlike: true },
      { name: 'loft', lanes: 1, isAlike: true },
    ])
  })

  it('give the same lay for the same seed and steps as the shop itself', async () => {
    const lay = Lay.parse(await (await post('', { problem, seed: 5, steps: 30, seconds: 60 })).json())
    expect(said(/lane 0 of a search ended/g)).toBe(1)
    const { placements, length } = laidHere(30)
    expect(lay).toMatchObject({ placements, length })
  })

  it('tell what is wrong with a problem as the shop itself tells it', async () => {
    const narrow = await post('', { problem: { ...problem, cloth: { width: 200 } }, steps: 3 })
    expect([narrow.status, ((await narrow.json()) as { failure: object }).failure]).toMatchObject([
      422,
      { code: 'wider-than-cloth' },
    ])
    const bad = await post('', { problem: { ...problem, gap: -1 } })
    expect([bad.status, ((await bad.json()) as { detail: string }).detail]).toEqual([
      422,
      expect.stringContaining('$.problem.gap'),
    ])
  })

  it('search in all their lanes at once; the lays are sound, and the end is told', async () => {
    const answer = await post('/search', { problem, seed: 2, seconds: 1.5 })
    const told = (await answer.text())
      .trim()
      .split('\n')
      .map((line) => SearchMessage.parse(JSON.parse(line)))
    expect(told.at(-1)?.kind).toBe('ended')
    const better = told.flatMap((message) => (message.kind === 'better' ? [message] : []))
    expect(new Set(better.map((b) => b.by))).toEqual(new Set(['kiln', 'loft']))
    for (const { found, seconds } of better) expect(acceptLay(problem, { ...found.lay, seconds })).toEqual([])
  })

  it('leave locked pieces where they are', async () => {
    const lay = laidHere(5)
    const kept = lay.placements.filter((p) => p.id === 'taper')
    const locked = {
      lay: { placements: lay.placements, offsets: lay.offsets },
      keys: kept.map((p) => `${p.id}#${p.copy}`),
    }
    const around = Lay.parse(await (await post('', { problem, seed: 5, steps: 5, seconds: 60, locked })).json())
    expect(around.placements.filter((p) => p.id === 'taper')).toEqual(kept)
    const strange = { ...locked, lay: { ...locked.lay, placements: [{ ...kept[0]!, copy: 9 }] } }
    expect((await post('', { problem, locked: strange })).status).toBe(422)
  })

  it('stop when the page that asked goes away', async () => {
    const gone = new AbortController()
    const asked = post('/search', { problem, seed: 1, seconds: 50 }, gone.signal).then((r) => r.text())
    await vi.waitFor(() => expect(said(/lane 9 of a search begins/g)).toBe(2), PATIENCE)
    gone.abort()
    await expect(asked).rejects.toThrow()
    await vi.waitFor(() => expect(said(/of a search was stopped/g)).toBe(2), PATIENCE)
  })

  it('are waited for while the Redis server is away: the shop plans alone, then all find each other again', async () => {
    const before = said(/lane 0 of a search ended/g)
    await redis.crash()
    await vi.waitFor(async () => expect((await who()).queue).toBe('lost'), PATIENCE)
    await vi.waitFor(() => expect(said(/The Redis server cannot be reached/g)).toBe(2), PATIENCE)
    const lay = Lay.parse(await (await post('', { problem, seed: 5, steps: 30, seconds: 60 })).json())
    expect(lay.placements).toEqual(laidHere(30).placements)
    expect(said(/lane 0 of a search ended/g)).toBe(before)
    await redis.begin()
    await vi.waitFor(async () => expect((await who()).searchers).toHaveLength(2), PATIENCE)
    expect((await post('', { problem, seed: 5, steps: 30, seconds: 60 })).status).toBe(200)
    expect(said(/lane 0 of a search ended/g)).toBe(before + 1)
  })

  it('lose nothing when one is killed in the middle: the other plans the same lay', async () => {
    const begun = workers.map((w) => w.said().match(/lane 0 of a search begins/g)?.length ?? 0)
    const asked = post('', { problem, seed: 5, steps: 30, seconds: 60 })
    const now = () => workers.findIndex((w, i) => w.said().match(/lane 0 of a search begins/g)?.length !== begun[i])
    await vi.waitFor(() => expect(now()).toBeGreaterThanOrEqual(0), PATIENCE)
    // Its thread is only now being started: the lay is not planned yet.
    const killed = now()
    workers[killed]!.child.kill('SIGKILL')
    const lay = Lay.parse(await (await asked).json())
    expect(lay.placements).toEqual(laidHere(30).placements)
    expect(workers[1 - killed]!.said().match(/lane 0 of a search begins/g)!.length).toBe(begun[1 - killed]! + 1)
  })
})

it('a shop does not start with an address that leads nowhere, and says why', () => {
  const done = spawnSync(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, REDIS_URL: 'redis:nowhere' },
  })
  expect([done.status, done.stderr]).toEqual([
    1,
    expect.stringMatching(/could not start\. REDIS_URL: "redis:nowhere" is not the address of a Redis server/),
  ])
})
