// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { isProven, placementKey, solveAround } from '../../core/lay/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import type { LayMessage, LayRequest } from '../workers/lay.worker.ts'
import { useJob } from './job.ts'
import { useLay } from './lay/index.ts'
import { showJob } from '../testing/show-job.ts'

vi.mock('../workers/idle-workers.ts', () => import('../testing/fresh-workers.ts'))

/** Stands for the worker: keeps what it was asked, and answers when the test says so. */
interface Stand {
  onmessage: ((event: { data: LayMessage }) => void) | null
  asked: LayRequest | null
  isEnded: boolean
}
const workers: Stand[] = []
vi.mock('../workers/lay.worker.ts?worker', () => ({
  default: class {
    onmessage = null
    asked: LayRequest | null = null
    isEnded = false
    constructor() {
      workers.push(this)
    }
    postMessage(request: LayRequest) {
      this.asked = request
    }
    terminate() {
      this.isEnded = true
    }
  },
}))

/** Saving never answers here; what is saved is another test's. */
vi.mock('../api/jobs.ts', () => ({ openJob: () => new Promise(() => {}), saveJob: () => new Promise(() => {}) }))

vi.mock('../api/records.ts', () => ({ accessState: () => Promise.resolve({ role: role.now }) }))
const role = vi.hoisted(() => ({ now: 'maker' as 'maker' | 'viewer' }))

/** What the worker would find in so many steps. */
function found({ asked }: Stand, steps = 2) {
  const { problem, seed, lane, locked } = asked!
  const solved = solveAround(problem, locked.lay, new Set(locked.keys), {
    seed,
    lane,
    budget: { steps, isStopped: () => false },
  })
  if (!solved.ok) throw new Error(solved.error.code)
  return solved.value
}
const done = (worker: Stand, change = (lay: ReturnType<typeof found>['lay']) => lay): void => {
  const own = found(worker)
  const lay = change(own.lay)
  worker.onmessage!({ data: { kind: 'done', found: { ...own, lay }, isProven: isProven(lay), seconds: 1.2 } })
}

async function firstLay() {
  const lays = useLay()
  await vi.advanceTimersByTimeAsync(1000)
  done(workers.at(-1)!)
  return lays
}

describe('the lay of the open job', () => {
  beforeEach(() => {
    workers.length = 0
    setActivePinia(createPinia())
    vi.useFakeTimers()
    vi.stubGlobal('navigator', { ...globalThis.navigator, hardwareConcurrency: 2 })
    showJob(keepersBench())
  })

  it('the best found stays with the job by itself, with nothing to undo; a better one takes its place, a worse one never', async () => {
    const lays = await firstLay()
    const jobs = useJob()
    const { id } = lays.chosen!.cloth
    const first = jobs.whole!.lays[id]!.lay
    expect([first.length, lays.isKept, jobs.past.length]).toEqual([lays.current!.length, true, 0])
    lays.search(10, 3)
    for (const w of workers.slice(1)) done(w, (lay) => ({ ...lay, length: first.length - 40, bound: 0 }))
    expect(jobs.whole!.lays[id]!.lay.length).toBe(first.length - 40)
    lays.search(10, 4)
    for (const w of workers.slice(3)) done(w, (lay) => ({ ...lay, length: first.length + 40, bound: 0 }))
    expect(jobs.whole!.lays[id]!.lay.length).toBe(first.length - 40)
  })

  it('once it is quoted it lies as it lay, however short others are', async () => {
    const lays = await firstLay()
    const jobs = useJob()
    const { id } = lays.chosen!.cloth
    const was = jobs.whole!.lays[id]!.lay.length
    jobs.edit({ says: 'ordered', applyToJob: (job) => ({ ...job, terms: { ...job.terms, orderedOn: '2026-05-01' } }) })
    lays.search(10, 3)
    for (const w of workers.slice(1)) done(w, (lay) => ({ ...lay, length: was - 40, bound: 0 }))
    expect(jobs.whole!.lays[id]!.lay.length).toBe(was)
  })

  it('another lay taken in its place stands until the planner is asked back', async () => {
    const lays = await firstLay()
    const was = lays.current!
    lays.takeInstead('A lay that is easier to cut', { ...was, length: was.length + 3 })
    expect([lays.current!.length, lays.byHand, useJob().past.length]).toEqual([was.length + 3, true, 1])
    lays.forgetHand()
    expect(lays.current!.length).toBe(was.length)
  })

  it("a viewer's page keeps nothing", async () => {
    role.now = 'viewer'
    setActivePinia(createPinia())
    showJob(keepersBench())
    const lays = await firstLay()
    expect([lays.current !== null, useJob().whole!.lays]).toEqual([true, {}])
    role.now = 'maker'
  })

  it('is looked for by one lane at first, by one on each core when asked to go on', async () => {
    const lays = await firstLay()
    expect([workers.length, lays.running, lays.current!.placements.length > 20]).toEqual([1, false, true])
    const there = lays.current
    lays.search(10, 3)
    // From nothing at first; then from the lay that is there.
    expect(workers.map((w) => w.asked!.from ?? null)).toEqual([null, there, there])
    expect(workers.slice(1).map((w) => [w.asked!.lane, w.asked!.seed, w.asked!.seconds])).toEqual([
      [0, 3, 10],
      [1, 3, 10],
    ])
    lays.stop()
    expect(workers.every((w) => w.isEnded)).toBe(true)
  })

  it('takes the best of all lanes, and ends when all have or one has a proof', async () => {
    const lays = await firstLay()
    const before = lays.current!.length
    lays.search(10, 3)
    const [a, b] = workers.slice(1) as [Stand, Stand]
    done(a, (lay) => ({ ...lay, length: before + 50, bound: 1 }))
    expect([lays.current!.length, lays.running]).toEqual([before, true])
    done(b, (lay) => ({ ...lay, length: before - 50, bound: before - 50 }))
    expect([lays.current!.length, lays.running, b.isEnded]).toEqual([before - 50, false, true])
  })

  it('a piece moved by hand makes it a lay by hand: it stands though a shorter one is known, its faults are told, and it can be undone', async () => {
    const lays = await firstLay()
    const [place] = lays.current!.placements
    const was = lays.current!.length
    lays.move({ ...place!, y: was + 500 }, 'Move a piece of the lay')
    expect([lays.byHand, lays.current!.length > was]).toEqual([true, true])
    lays.move(
      { ...lays.current!.placements[0]!, x: lays.current!.placements[1]!.x + 5, y: lays.current!.placements[1]!.y + 5 },
      'Move a piece of the lay',
    )
    expect(lays.faults.map((f) => f.code)).toContain('overlap')
    useJob().undo()
    useJob().undo()
    expect([lays.byHand, lays.faults, lays.current!.length]).toEqual([false, [], was])
  })

  it('the rest is laid round locked pieces, and takes the place of the lay by hand', async () => {
    const lays = await firstLay()
    const place = lays.current!.placements[2]!
    lays.toggleLock(place)
    expect([...lays.locked]).toEqual([placementKey(place)])
    lays.complete(5)
    const asked = workers.at(-1)!.asked!
    expect(asked.locked.keys).toEqual([placementKey(place)])
    workers.slice(1).forEach((w) => done(w))
    expect([lays.byHand, lays.running, lays.faults]).toEqual([true, false, []])
    expect(lays.current!.placements).toContainEqual(place)
    lays.toggleLock(place)
    expect(lays.locked.size).toBe(0)
    lays.forgetHand()
    expect([lays.byHand, useJob().job!.lays]).toEqual([false, {}])
  })

  it('counts only while the pieces are the same', async () => {
    const lays = await firstLay()
    lays.keep()
    expect(lays.isKept).toBe(true)
    useJob().edit({
      says: 'seam',
      apply: (job) => ({ ...job, allowances: { ...job.allowances, overrides: { seamMm: 15 } } }),
    })
    expect([lays.isKept, lays.current]).toEqual([false, null])
    useJob().undo()
    expect(lays.isKept).toBe(true)
  })

  it('a failure is told, and looked at anew when the pieces change', async () => {
    const lays = useLay()
    await vi.advanceTimersByTimeAsync(1000)
    workers.at(-1)!.onmessage!({
      data: { kind: 'failed', failure: { code: 'no-room', pieces: ['1/top-plate'] }, shortfall: null },
    })
    expect([lays.failure?.code, lays.running]).toEqual(['no-room', false])
    useJob().edit({
      says: 'seam',
      apply: (job) => ({ ...job, allowances: { ...job.allowances, overrides: { seamMm: 15 } } }),
    })
    await vi.advanceTimersByTimeAsync(1000)
    expect([lays.failure, workers.length]).toEqual([null, 2])
  })
})
