// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { nextTick } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nestGroup } from '../../core/filling/index.ts'
import { setCutting } from '../../core/job/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import type { NestMessage, NestRequest } from '../workers/nest.worker.ts'
import { useJob } from './job.ts'
import { useNest } from './nest.ts'
import { showJob } from '../testing/show-job.ts'

/** Stands for the worker: keeps what it was asked, and answers when the test says so. */
const workers: {
  onmessage: ((event: { data: NestMessage }) => void) | null
  asked: NestRequest | null
  isEnded: boolean
}[] = []
vi.mock('../workers/nest.worker.ts?worker', () => ({
  default: class {
    onmessage = null
    asked: NestRequest | null = null
    isEnded = false
    constructor() {
      workers.push(this)
    }
    postMessage(request: NestRequest) {
      this.asked = request
    }
    terminate() {
      this.isEnded = true
    }
  },
}))

/** Saving never answers here; what is saved is another test's. */
vi.mock('../api/jobs.ts', () => ({ openJob: () => new Promise(() => {}), saveJob: () => new Promise(() => {}) }))

const answer = (isDone: boolean) => {
  const worker = workers.at(-1)!
  const nests = worker.asked!.groups.map((g) => nestGroup(g, worker.asked!.cutting, 1, () => true))
  worker.onmessage!({ data: { lays: nests.flatMap((n) => n.lays), left: nests.flatMap((n) => n.left), isDone } })
}

describe('the foam nest of the open job', () => {
  beforeEach(() => {
    workers.length = 0
    setActivePinia(createPinia())
    vi.useFakeTimers()
    showJob(keepersBench())
  })

  it('is only looked for while somebody looks', async () => {
    const nest = useNest()
    await vi.advanceTimersByTimeAsync(1000)
    expect(workers).toHaveLength(0)
    const stop = nest.look()
    await vi.advanceTimersByTimeAsync(1000)
    expect(workers).toHaveLength(1)
    answer(true)
    stop()
    useJob().edit(setCutting('trim', { trimMm: 20 }))
    await vi.advanceTimersByTimeAsync(1000)
    expect(workers).toHaveLength(1)
  })

  it('shows the first answer at once, and can be kept, let go and undone', async () => {
    const nest = useNest()
    nest.look()
    await vi.advanceTimersByTimeAsync(1000)
    expect(nest.canKeep).toBe(false)
    answer(false)
    expect(nest.running).toBe(true)
    expect(nest.lays.flatMap((l) => l.lay.placements)).toHaveLength(3)
    answer(true)
    expect(nest.running).toBe(false)
    nest.keep()
    expect(nest.isKept).toBe(true)
    useJob().undo()
    expect(nest.isKept).toBe(false)
    useJob().redo()
    nest.letGo()
    expect(nest.isKept).toBe(false)
  })

  it('a change of the parts ends the search and makes the nest another', async () => {
    const nest = useNest()
    nest.look()
    await vi.advanceTimersByTimeAsync(1000)
    answer(false)
    nest.keep()
    useJob().edit(setCutting('trim', { trimMm: 30 }))
    await nextTick()
    expect(workers[0]!.isEnded).toBe(true)
    expect(nest.isKept).toBe(false)
    expect(nest.lays).toEqual([])
    await vi.advanceTimersByTimeAsync(1000)
    expect(workers).toHaveLength(2)
  })

  it('with parts that have no place is not kept', async () => {
    const nest = useNest()
    nest.look()
    await vi.advanceTimersByTimeAsync(1000)
    workers.at(-1)!.onmessage!({ data: { lays: [], left: ['A1'], isDone: true } })
    expect(nest.left).toEqual(['A1'])
    expect(nest.canKeep).toBe(false)
    nest.keep()
    expect(nest.isKept).toBe(false)
  })
})
