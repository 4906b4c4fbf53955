import { vi } from 'vitest'
import type { Job, StoredJob } from '../../contract/index.ts'
import { keepersBench } from '../../core/demo/index.ts'

/** What becomes of the next saves: taken and answered, not reached, or taken with the answer lost on its way back. */
export type Line = 'up' | 'down' | 'loses-answers'

/** A server with some jobs, which takes saves as the real one does, on a line that may fail. */
export function fakeJobs(ids: readonly string[]) {
  const histories = new Map<string, StoredJob[]>(
    ids.map((id) => [id, [{ id, revision: 1, savedAt: new Date(0).toISOString(), job: keepersBench() }]]),
  )
  const state = { line: 'up' as Line, saves: 0 }
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
      return json(put(id, job))
    }
    const next = histories.get(id)!.find((r) => r.revision === baseRevision + 1)
    const hasArrived = next !== undefined && JSON.stringify(next.job) === JSON.stringify(job)
    if (hasArrived && next === newest(id)) return json(next)
    return json(
      { type: 'x', title: 'Saved', status: 409, theirs: newest(id), arrived: hasArrived ? next.revision : null },
      409,
    )
  }
  vi.stubGlobal('fetch', async (url: string, init?: { method?: string; body?: string }) => {
    const id = /\/api\/jobs\/([^/]+)/.exec(url)?.[1] ?? ''
    if (state.line === 'down') throw new Error('down')
    if (init?.method !== 'PUT') return json(newest(id))
    const answer = save(id, JSON.parse(init.body!) as { job: Job; baseRevision: number })
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
