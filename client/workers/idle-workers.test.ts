import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

class Stand {
  isEnded = false
  onmessage: unknown = () => undefined
  terminate() {
    this.isEnded = true
  }
}
class Other extends Stand {}
const kind = Stand as unknown as new () => Worker

/** As a page begins: with none put aside. */
async function fresh() {
  vi.resetModules()
  return import('./idle-workers.ts')
}
beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

describe('a worker that has done its work', () => {
  it('is taken for the next of its kind, once, and hears nothing in between', async () => {
    const { putAside, takeWorker } = await fresh()
    const worker = takeWorker(kind)
    putAside(kind, worker)
    expect(worker.onmessage).toBeNull()
    expect(takeWorker(Other as unknown as new () => Worker)).not.toBe(worker)
    expect(takeWorker(kind)).toBe(worker)
    expect(takeWorker(kind)).not.toBe(worker)
  })

  it('ends after a minute in which nobody takes it, and never once it is taken', async () => {
    const { putAside, takeWorker } = await fresh()
    const [left, taken] = [takeWorker(kind), takeWorker(kind)] as unknown as [Stand, Stand]
    putAside(kind, left as unknown as Worker)
    putAside(kind, taken as unknown as Worker)
    expect(takeWorker(kind)).toBe(taken)
    vi.advanceTimersByTime(59_999)
    expect(left.isEnded).toBe(false)
    vi.advanceTimersByTime(2)
    expect([left.isEnded, taken.isEnded]).toEqual([true, false])
    expect(takeWorker(kind)).not.toBe(left)
  })

  it('ends at once where four are kept already', async () => {
    const { putAside, takeWorker } = await fresh()
    const five = Array.from({ length: 5 }, () => takeWorker(kind))
    for (const worker of five) putAside(kind, worker)
    expect(five.map((w) => (w as unknown as Stand).isEnded)).toEqual([false, false, false, false, true])
  })
})
