import { vi } from 'vitest'
import type { Job, StoredJob } from '../../contract/index.ts'
import { unreadableCard } from '../../core/card/index.ts'
import { keepersBench } from '../../core/demo/index.ts'

/**
 * What becomes of the next requests: taken and answered, not reached, saves taken with the answer lost on its way back,
 * or not reached while jobs are read as the browser last saw them.
 */
export type Line = 'up' | 'down' | 'loses-answers' | 'kept-only'

/** A server with some jobs, which takes saves as the real one does, on a line that may fail. */
export function fakeJobs(ids: readonly string[]) {
  const histories = new Map<string, StoredJob[]>(
    ids.map((id) => [id, [{ id, revision: 1, savedAt: new Date(0).toISOString(), job: keepersBench() }]]),
  )
  const state = { line: 'up' as Line, saves: 0 }
  /** Jobs as the browser last had them from here. */
  const seen = new Map<string, StoredJob>()
  const see = (stored: StoredJob): Response => {
    seen.set(stored.id, stored)
    return json(stored)
  }
  const newest = (id: string): StoredJob => histories.get(id)!.at(-1)!
  const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status })
  const put = (id: string, job: Job): StoredJob => {
    const next = { id, revision: newest(id).revision + 1, savedAt: new Date(0).toISOString(), job }
    histories.get(id)!.push(next)
    return next
  }
  function save(id: string, { job, baseRevision }: { job: Job; baseRevision: number }): Response {
    if (newest(id).revision === baseRevision) {
      state.saves++
      return see(put(id, job))
    }
    const next = histories.get(id)!.find((r) => r.revision === baseRevision + 1)
    const hasArrived = next !== undefined && JSON.stringify(next.job) === JSON.stringify(job)
    if (hasArrived && next === newest(id)) return json(next)
    return json(
      { type: 'x', title: 'Saved', status: 409, theirs: newest(id), arrived: hasArrived ? next.revision : null },
      409,
    )
  }
  /** Once under its id. */
  function begin(id: string, job: Job): Response {
    if (!histories.has(id)) histories.set(id, [{ id, revision: 1, savedAt: new Date(0).toISOString(), job }])
    return see(newest(id))
  }
  const summaries = () =>
    [...histories.keys()]
      .map(newest)
      .map(({ id, revision, savedAt, job: { ticket, title, customer } }) => ({
        ...{ id, revision, savedAt, ticket, title, customer },
        card: unreadableCard(''),
      }))
  type Init = { method?: string; body?: string; headers?: Record<string, string> }
  vi.stubGlobal('fetch', async (url: string, init?: Init) => {
    const id = /\/api\/jobs\/([^/?]+)/.exec(url)?.[1] ?? ''
    const isRead = init?.method === undefined
    if (state.line === 'kept-only' && isRead && seen.has(id)) return json(seen.get(id))
    if (state.line === 'down' || state.line === 'kept-only') throw new Error('down')
    if (isRead) return id === '' ? json(summaries()) : histories.has(id) ? see(newest(id)) : json({}, 404)
    const sent = JSON.parse(init.body!) as { job: Job; baseRevision: number }
    const answer = init.method === 'POST' ? begin(init.headers!['x-act']!, sent.job) : save(id, sent)
    if (state.line === 'loses-answers') throw new Error('lost')
    return answer
  })
  return {
    state,
    newest,
    histories,
    elsewhere: (id: string, change: (job: Job) => Job) => void put(id, change(newest(id).job)),
  }
}
