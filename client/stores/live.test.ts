// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { ShopEvent } from '../../contract/index.ts'
import { PAGE_ID } from '../api/http.ts'
import { keepOpenJob, openJobKeeper } from '../session/open-job.ts'
import { useJob } from './job.ts'
import { useLive } from './live.ts'
import { useShop } from './shop.ts'

/** Stands for the browser's stream of events. */
class Stream {
  static readonly CLOSED = 2
  static readonly all: Stream[] = []
  readyState = 1
  onmessage: ((event: { data: string }) => void) | null = null
  onopen: (() => void) | null = null
  constructor(readonly url: string) {
    Stream.all.push(this)
  }
  tell(event: ShopEvent | object): void {
    this.onmessage!({ data: JSON.stringify(event) })
  }
}

beforeEach(() => {
  setActivePinia(createPinia())
  Stream.all.length = 0
  vi.stubGlobal('EventSource', Stream)
})

function listening() {
  const live = useLive()
  const hear = vi.fn(() => Promise.resolve())
  const lookAgain = vi.fn(() => Promise.resolve())
  keepOpenJob({ isOpen: () => false, hear, lookAgain })
  const readAgain = vi.spyOn(useShop(), 'readAgain').mockResolvedValue()
  live.listen()
  return { live, stream: Stream.all[0]!, hear, lookAgain, readAgain }
}

describe('what the server tells', () => {
  it('a save of another page goes to the open job, and every list is read again', () => {
    const { live, stream, hear } = listening()
    stream.tell({ kind: 'job', id: 'j1', revision: 7, ticket: 'SL-02', by: 'another' })
    expect(hear).toHaveBeenCalledExactlyOnceWith('j1', 7)
    expect(live.saves).toBe(1)
  })

  it('a save of this page only makes lists be read again', () => {
    const { live, stream, hear, readAgain } = listening()
    stream.tell({ kind: 'job', id: 'j1', revision: 7, ticket: 'SL-02', by: PAGE_ID })
    stream.tell({ kind: 'shop', by: PAGE_ID })
    expect([hear.mock.calls.length, readAgain.mock.calls.length, live.saves]).toEqual([0, 0, 1])
  })

  it('a change of the shop lists is read, the share of an import is shown, what is not known is passed over', () => {
    const { live, stream, readAgain } = listening()
    stream.tell({ kind: 'shop', by: '' })
    stream.tell({ kind: 'import', doneShare: 0.4 })
    stream.tell({ kind: 'weather', wind: 7 })
    expect([readAgain.mock.calls.length, live.importShare, live.saves]).toEqual([1, 0.4, 0])
  })

  it('each time the stream opens the open job is looked at again', () => {
    const { stream, lookAgain } = listening()
    stream.onopen!()
    stream.onopen!()
    expect(lookAgain).toHaveBeenCalledTimes(2)
  })

  it('one stream is enough; one that was refused is opened anew', () => {
    const { live, stream } = listening()
    live.listen()
    expect(Stream.all).toHaveLength(1)
    stream.readyState = Stream.CLOSED
    live.listen()
    expect(Stream.all.map((s) => s.url)).toEqual(['/api/events', '/api/events'])
  })

  it('the store of the open job looks after it, once there is one', async () => {
    vi.stubGlobal('fetch', () => new Promise(() => undefined))
    const jobs = useJob()
    expect(openJobKeeper().isOpen('j1')).toBe(false)
    void jobs.open('j1')
    await vi.waitFor(() => expect(openJobKeeper().isOpen('j1')).toBe(true))
  })
})
