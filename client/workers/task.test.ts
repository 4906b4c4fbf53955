// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { trouble } from '../stores/trouble.ts'
import { startTask, type TaskSpec } from './task.ts'

/** Stands for a worker: keeps what it was asked, and answers or fails when the test says so. */
class Stand {
  static all: Stand[] = []
  onmessage: ((event: { data: string }) => void) | null = null
  onerror: ((event: { message: string }) => void) | null = null
  asked: unknown = null
  isEnded = false
  constructor() {
    Stand.all.push(this)
  }
  postMessage(ask: unknown) {
    this.asked = ask
  }
  terminate() {
    this.isEnded = true
  }
}
function started(change: Partial<TaskSpec<unknown, string>> = {}) {
  const heard: string[] = []
  const task = startTask<unknown, string>({
    worker: Stand as unknown as new () => Worker,
    ask: { seconds: 2 },
    isLast: (message) => message === 'last',
    onMessage: (message) => heard.push(message),
    onEnd: (ending) => heard.push(`(${ending})`),
    ...change,
  })
  const worker = Stand.all.at(-1)!
  return { task, worker, heard, say: (data: string) => worker.onmessage!({ data }) }
}

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

describe('a task in a worker', () => {
  it('is heard until its last message, and its worker goes with it', () => {
    const { worker, heard, say } = started()
    say('one')
    expect([worker.asked, worker.isEnded]).toEqual([{ seconds: 2 }, false])
    say('last')
    say('after')
    expect([heard, worker.isEnded]).toEqual([['one', 'last', '(done)'], true])
  })

  it('that may be used again works for the next one; stopped, failed or late it ends', () => {
    const first = started({ isReusable: true })
    first.say('last')
    expect([first.worker.isEnded, first.heard]).toEqual([false, ['last', '(done)']])
    const before = Stand.all.length
    // Whoever started it may stop it all the same: the worker is not its own any more.
    first.task.stop()
    expect(first.worker.isEnded).toBe(false)
    const second = started({ isReusable: true, ask: 'more' })
    expect([Stand.all.length, first.worker.asked]).toEqual([before, 'more'])
    first.say('two')
    expect([first.heard, second.heard]).toEqual([['last', '(done)'], ['two']])
    second.task.stop()
    expect(first.worker.isEnded).toBe(true)
    const third = started({ isReusable: true })
    third.worker.onerror!({ message: 'out of memory' })
    expect(third.worker.isEnded).toBe(true)
  })

  it('that fails has ended, once', () => {
    const { worker, heard } = started()
    worker.onerror!({ message: 'out of memory' })
    worker.onerror!({ message: 'again' })
    expect([heard, worker.isEnded, trouble.value]).toEqual([['(failed)'], true, ''])
  })

  it('whose file is gone says so on the page', () => {
    const { worker, heard } = started()
    worker.onerror!({ message: '' })
    expect(heard).toEqual(['(failed)'])
    expect(trouble.value).toContain('reload the page')
    trouble.value = ''
  })

  it('that takes too long is ended, and nothing comes after', () => {
    const { worker, heard, say } = started({ deadlineMs: 1000 })
    vi.advanceTimersByTime(1001)
    say('late')
    expect([heard, worker.isEnded]).toEqual([['(too-long)'], true])
  })

  it('that is stopped says nothing more', () => {
    const { task, worker, heard, say } = started({ deadlineMs: 1000 })
    task.stop()
    say('late')
    vi.advanceTimersByTime(2000)
    expect([heard, worker.isEnded]).toEqual([[], true])
  })
})
