// @vitest-environment happy-dom
import { beforeEach, expect, it, vi } from 'vitest'
import { LayProblem, type SearchMessage } from '../../contract/index.ts'
import { solveLay, type Found } from '../../core/lay/index.ts'
import type { LayMessage } from '../workers/lay.worker.ts'
import { searchInLanes } from './lay-lanes.ts'

vi.mock('../workers/idle-workers.ts', () => import('../testing/fresh-workers.ts'))

interface Stand {
  onmessage: ((event: { data: LayMessage }) => void) | null
}
const page = vi.hoisted(() => ({ workers: [] as Stand[] }))
vi.mock('../workers/lay.worker.ts?worker', () => ({
  default: class {
    onmessage = null
    constructor() {
      page.workers.push(this)
    }
    postMessage() {}
    terminate() {}
  },
}))

/** What the other machines say, and how their answer ends: by themselves, or by a fault of the network. */
const others = vi.hoisted(() => ({
  tell: (_: unknown) => {},
  end: () => {},
  fail: (_: Error) => {},
  signal: null as AbortSignal | null,
}))
vi.mock('../api/lays.ts', () => ({
  searchElsewhere: (_: unknown, signal: AbortSignal, tell: (m: unknown) => void) =>
    new Promise<void>((end, fail) => Object.assign(others, { tell, end, fail, signal })),
}))

const problem = LayProblem.parse({
  format: 'loft-seam/lay-problem',
  version: 1,
  cloth: { width: 1000 },
  pieces: [
    {
      id: 'plate',
      qty: 5,
      outline: [
        [0, 0],
        [400, 0],
        [400, 300],
        [0, 300],
      ],
    },
  ],
})
const solved = solveLay(problem, { seed: 1, budget: { steps: 20, isStopped: () => false } })
if (!solved.ok) throw new Error(solved.error.code)
const sound: Found = solved.value
/** The first two plates on the same cloth. */
const unsound: Found = {
  ...sound,
  lay: {
    ...sound.lay,
    placements: sound.lay.placements.map((p, i, all) => (i === 1 ? { ...all[0]!, copy: p.copy } : p)),
  },
}
const better = (found: Found): SearchMessage => ({ kind: 'better', found, seconds: 1, by: 'kiln' })
const done = (at: number, isProven = false) =>
  page.workers[at]!.onmessage!({ data: { kind: 'done', found: sound, isProven, seconds: 2 } })

const heard = { better: [] as number[], ends: 0 }
const begin = (onOthers = true) =>
  searchInLanes(
    { problem, seed: 1, seconds: 5, inHand: null, locked: { lay: { placements: [], offsets: {} }, keys: [] } },
    { lanes: 2, onOthers },
    { onBetter: ({ lay }) => heard.better.push(lay.length), onEnd: () => heard.ends++ },
  )
const settled = () => new Promise((resolve) => setTimeout(resolve))

beforeEach(() => {
  page.workers.length = 0
  others.signal = null
  Object.assign(heard, { better: [], ends: 0 })
})

it('what others find is told, unless it does not pass the check', () => {
  begin()
  others.tell(better(unsound))
  expect(heard.better).toEqual([])
  others.tell(better(sound))
  expect(heard.better).toEqual([sound.lay.length])
})

it('the search ends when the lanes of this page and the others have', async () => {
  begin()
  done(0)
  done(1)
  expect(heard.ends).toBe(0)
  others.tell({ kind: 'ended', isProven: false })
  others.end()
  await settled()
  expect(heard.ends).toBe(1)
})

it('a proof of theirs ends it at once, one of this page stops them', async () => {
  begin()
  others.tell({ kind: 'ended', isProven: true })
  others.end()
  await settled()
  expect(heard.ends).toBe(1)
  begin()
  done(2, true)
  expect([heard.ends, others.signal!.aborted]).toEqual([2, true])
})

it('others that cannot be reached leave it to this page', async () => {
  begin()
  others.fail(new Error('no network'))
  await settled()
  expect(heard.ends).toBe(0)
  done(0)
  done(1)
  expect(heard.ends).toBe(1)
})

it('without others nobody is asked', () => {
  begin(false)
  done(0)
  done(1)
  expect([heard.ends, others.signal]).toEqual([1, null])
})
