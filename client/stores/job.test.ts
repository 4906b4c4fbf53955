// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { cushionsIn, SaveJob, type Job, type StoredJob } from '../../contract/index.ts'
import { applyEdit, setSeat } from '../../core/job/index.ts'
import { setRecord, ticked } from '../../core/making/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { withCount } from '../../core/typing/index.ts'
import { draftsOf, dropDraft, keepDraft, takeDraft } from '../session/draft.ts'
import { useJob } from './job.ts'

/** A server with one job, as the API keeps it. */
function fakeServer() {
  let stored: StoredJob = { id: 'j1', revision: 1, savedAt: new Date(0).toISOString(), job: keepersBench() }
  const state = { isDown: false, saves: 0 }
  const json = (body: unknown, status = 200) => Promise.resolve(new Response(JSON.stringify(body), { status }))
  const put = (job: Job, baseRevision: number) => {
    if (baseRevision !== stored.revision)
      return json({ type: 'x', title: 'Somebody saved', status: 409, theirs: stored }, 409)
    stored = { ...stored, revision: stored.revision + 1, job }
    state.saves++
    return json(stored)
  }
  vi.stubGlobal('fetch', (_url: string, init?: { method?: string; body?: string }) => {
    if (state.isDown) return Promise.reject(new Error('down'))
    if (init?.method !== 'PUT') return json(stored)
    const body = SaveJob.safeParse(JSON.parse(init.body!))
    return body.success
      ? put(body.data.job as Job, body.data.baseRevision)
      : json({ type: 'x', title: '', status: 400 }, 400)
  })
  return { state, elsewhere: (job: Job) => void put(job, stored.revision), stored: () => stored }
}

const count = (n: number) => setSeat(`${n} cushions`, (s) => withCount(s, n))
const countOf = (job: Job) => cushionsIn(job.parts[0]!.seat.division)

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  localStorage.clear()
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('editing', () => {
  it('a change that takes more words than the history has is saved all the same', async () => {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    // The history holds 200 characters; a cut may not part the two halves of one.
    const long = ['much'.repeat(60), `${'m'.repeat(198)}🪡${'m'.repeat(80)}`]
    for (const [i, says] of long.entries()) {
      jobs.edit({ ...count(4 + i), says })
      await vi.advanceTimersByTimeAsync(800)
      expect(jobs.saveState.kind).toBe('saved')
    }
    expect(server.state.saves).toBe(2)
  })

  it('plans at once and saves a little later, once', async () => {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    expect(jobs.part!.cushions!.designs[0]!.solid.width.value).toBeCloseTo(746.667, 2)
    jobs.edit(count(4))
    jobs.edit(count(5))
    expect(jobs.part!.cushions!.count).toBe(5)
    expect(jobs.saveState.kind).toBe('waiting')
    await vi.advanceTimersByTimeAsync(800)
    expect(server.state.saves).toBe(1)
    expect(countOf(server.stored().job)).toBe(5)
    expect(jobs.saveState.kind).toBe('saved')
  })

  it('undoes and redoes, and typing in one field is one step', async () => {
    fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    for (const n of [4, 5, 6]) jobs.edit(count(n), 'count')
    jobs.edit({ says: 'units', apply: (j) => ({ ...j, units: 'cm' }) })
    expect(jobs.past).toHaveLength(2)
    jobs.undo()
    jobs.undo()
    expect(countOf(jobs.whole!)).toBe(3)
    jobs.redo()
    expect(countOf(jobs.whole!)).toBe(6)
    jobs.redo()
    expect(jobs.whole!.units).toBe('cm')
    jobs.undo()
    jobs.edit(count(9))
    expect(jobs.future).toHaveLength(0)
  })

  it('does not take what the job file could not hold, and says why', async () => {
    fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    expect(jobs.edit(count(0))).toBe(false)
    expect(jobs.refused).toBe('seat.division.count: at least 1 cushion')
    expect(countOf(jobs.whole!)).toBe(3)
    jobs.edit(count(4))
    expect(jobs.refused).toBe('')
  })

  it('an edit that changes nothing is no step', async () => {
    fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    jobs.edit(count(3))
    expect(jobs.past).toHaveLength(0)
  })

  it('what is typed while a save is under way is saved next', async () => {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    jobs.edit(count(4))
    vi.advanceTimersByTime(700)
    jobs.edit(count(5))
    await vi.advanceTimersByTimeAsync(2000)
    expect(countOf(server.stored().job)).toBe(5)
    expect(jobs.revision).toBe(server.stored().revision)
  })
})

describe('a save from another window', () => {
  async function conflicted() {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    server.elsewhere({ ...applyEdit(keepersBench(), 'A', count(5)), title: 'theirs' })
    jobs.edit(count(7))
    await vi.advanceTimersByTimeAsync(800)
    return { server, jobs }
  }

  it('stops saving and shows both', async () => {
    const { server, jobs } = await conflicted()
    expect(jobs.conflict?.job.title).toBe('theirs')
    expect(countOf(jobs.whole!)).toBe(7)
    jobs.edit(count(8))
    await vi.advanceTimersByTimeAsync(5000)
    expect(server.stored().job.title).toBe('theirs')
  })

  it('mine goes on top of theirs', async () => {
    const { server, jobs } = await conflicted()
    await jobs.keepMine()
    expect(server.stored()).toMatchObject({ revision: 3, job: { parts: [{ seat: { division: { count: 7 } } }] } })
    expect(jobs.conflict).toBeNull()
  })

  it('theirs is taken, and mine can be had back with undo', async () => {
    const { jobs } = await conflicted()
    jobs.takeTheirs()
    expect(jobs.whole!.title).toBe('theirs')
    jobs.undo()
    expect(countOf(jobs.whole!)).toBe(7)
  })
})

describe('a save from another window that touches other things', () => {
  it('is put together with mine when I save; undo takes back mine alone', async () => {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    server.elsewhere({ ...keepersBench(), title: 'theirs' })
    jobs.edit(count(7))
    await vi.advanceTimersByTimeAsync(3000)
    expect(jobs.conflict).toBeNull()
    expect([server.stored().job.title, countOf(server.stored().job), jobs.saveState.kind]).toEqual([
      'theirs',
      7,
      'saved',
    ])
    expect(jobs.told).toMatch(/taken in/)
    jobs.undo()
    expect([jobs.whole!.title, countOf(jobs.whole!)]).toEqual(['theirs', 3])
  })

  it('comes in at once when the server tells of it', async () => {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    server.elsewhere({ ...keepersBench(), title: 'theirs' })
    await jobs.hear('j1', 2)
    expect([jobs.whole!.title, jobs.revision, jobs.saveState.kind]).toEqual(['theirs', 2, 'saved'])
  })

  it('two ticks of one step: the first stays, without a question', async () => {
    const tick = (by: string) => setRecord({ id: 'foam.cut', title: 'Cut the foam' }, 'done', (r) => ticked(r, by, 0))
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    server.elsewhere(applyEdit(keepersBench(), 'A', tick('Ben')))
    jobs.edit(tick('Ada'))
    await vi.advanceTimersByTimeAsync(3000)
    expect([
      jobs.conflict,
      jobs.whole!.making.steps['foam.cut']!.doneBy,
      server.stored().job.making.steps['foam.cut']!.doneBy,
    ]).toEqual([null, 'Ben', 'Ben'])
    expect(jobs.told).toMatch(/same step first/)
  })
})

describe('when the server cannot be reached', () => {
  it('says so, keeps a draft, and tries again', async () => {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    server.state.isDown = true
    jobs.edit(count(6))
    await vi.advanceTimersByTimeAsync(800)
    expect(jobs.saveState).toMatchObject({ kind: 'failed', why: expect.stringContaining('cannot be reached') })
    expect(draftsOf('j1')).toHaveLength(1)
    server.state.isDown = false
    await vi.advanceTimersByTimeAsync(5000)
    expect(countOf(server.stored().job)).toBe(6)
    expect(draftsOf('j1')).toEqual([])
  })

  it('a draft of an earlier page goes on where it was', async () => {
    const server = fakeServer()
    keepDraft('j1', { sent: null, job: { ...keepersBench(), title: 'typed before the crash' }, base: keepersBench() })
    const jobs = useJob()
    await jobs.open('j1')
    expect(jobs.whole!.title).toBe('typed before the crash')
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.stored().job.title).toBe('typed before the crash')
    jobs.undo()
    expect(jobs.whole!.title).toBe("Keepers' bench")
  })

  it('a draft on an older revision is put together with what was saved since', async () => {
    const server = fakeServer()
    server.elsewhere({ ...keepersBench(), title: 'theirs' })
    keepDraft('j1', { sent: null, job: applyEdit(keepersBench(), 'A', count(7)), base: keepersBench() })
    const jobs = useJob()
    await jobs.open('j1')
    await vi.advanceTimersByTimeAsync(1000)
    expect([jobs.conflict, server.stored().job.title, countOf(server.stored().job)]).toEqual([null, 'theirs', 7])
  })

  it('where both changed the same thing it is a choice, not an overwrite', async () => {
    const server = fakeServer()
    server.elsewhere({ ...keepersBench(), title: 'theirs' })
    keepDraft('j1', { sent: null, job: { ...keepersBench(), title: 'mine' }, base: keepersBench() })
    const jobs = useJob()
    await jobs.open('j1')
    expect(jobs.conflict?.job.title).toBe('theirs')
    await vi.advanceTimersByTimeAsync(5000)
    expect(server.stored().job.title).toBe('theirs')
    await jobs.keepMine()
    expect([server.stored().job.title, draftsOf('j1')]).toEqual(['mine', []])
  })

  it('drafts of two windows are both taken in, and are gone once they are saved', async () => {
    const server = fakeServer()
    localStorage.setItem(
      'loft-seam/draft/j1/another-page',
      JSON.stringify({ job: { ...keepersBench(), title: 'from another page' }, base: keepersBench() }),
    )
    keepDraft('j1', { sent: null, job: applyEdit(keepersBench(), 'A', count(7)), base: keepersBench() })
    const jobs = useJob()
    await jobs.open('j1')
    await vi.advanceTimersByTimeAsync(1000)
    expect([server.stored().job.title, countOf(server.stored().job), draftsOf('j1')]).toEqual([
      'from another page',
      7,
      [],
    ])
  })
})

describe('saves of others at an awkward moment', () => {
  /**
   * Holds requests of one kind back until they are let go: on their way to the server, or the answer on its way here.
   */
  function slow(method: 'GET' | 'PUT', way: 'there' | 'back' = 'back') {
    const [answer, held] = [fetch, [] as (() => void)[]]
    vi.stubGlobal('fetch', (url: string, init?: { method?: string }) => {
      if ((init?.method ?? 'GET') !== method) return answer(url, init)
      const response = way === 'back' ? answer(url, init) : null
      return new Promise<Response>((resolve) => held.push(() => resolve(response ?? answer(url, init))))
    })
    return { letGo: () => held.splice(0).forEach((go) => go()) }
  }

  it('told while the job is still being read: it is read once more', async () => {
    const server = fakeServer()
    const jobs = useJob()
    const { letGo } = slow('GET')
    const opening = jobs.open('j1')
    await vi.advanceTimersByTimeAsync(1)
    server.elsewhere({ ...keepersBench(), title: 'theirs' })
    await jobs.hear('j1', 2)
    letGo()
    await vi.advanceTimersByTimeAsync(1)
    letGo()
    await opening
    expect([jobs.revision, jobs.whole!.title]).toEqual([2, 'theirs'])
  })

  it('told while a save is under way: it comes in after the save', async () => {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    const { letGo } = slow('PUT')
    jobs.edit(count(7))
    await vi.advanceTimersByTimeAsync(750)
    expect(jobs.saveState.kind).toBe('saving')
    server.elsewhere({ ...server.stored().job, title: 'theirs' })
    await jobs.hear('j1', 3)
    expect(jobs.revision).toBe(1)
    letGo()
    await vi.advanceTimersByTimeAsync(1)
    expect([jobs.revision, jobs.whole!.title, countOf(jobs.whole!)]).toEqual([3, 'theirs', 7])
  })

  it('the newest revision, read while this page was saving, is not taken for a change of others', async () => {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.open('j1')
    const { letGo } = slow('GET', 'there')
    const looking = jobs.lookAgain()
    jobs.edit(count(7))
    const put = slow('PUT')
    await vi.advanceTimersByTimeAsync(750)
    expect([jobs.saveState.kind, server.stored().revision]).toEqual(['saving', 2])
    letGo()
    await looking
    expect([jobs.told, jobs.saveState.kind]).toEqual(['', 'saving'])
    put.letGo()
    await vi.advanceTimersByTimeAsync(1)
    letGo()
    await vi.advanceTimersByTimeAsync(1)
    expect([jobs.told, jobs.revision, jobs.saveState.kind, countOf(jobs.whole!)]).toEqual(['', 2, 'saved', 7])
  })

  it('after a break of the stream the newest revision is asked for', async () => {
    const server = fakeServer()
    const jobs = useJob()
    await jobs.lookAgain()
    expect(jobs.job).toBeNull()
    await jobs.open('j1')
    server.elsewhere({ ...keepersBench(), title: 'theirs' })
    await jobs.lookAgain()
    expect(jobs.whole!.title).toBe('theirs')
  })

  it('of two jobs opened quickly the one asked for last is shown', async () => {
    fakeServer()
    const jobs = useJob()
    const { letGo } = slow('GET')
    const first = jobs.open('j0')
    await vi.advanceTimersByTimeAsync(1)
    const second = jobs.open('j1')
    await vi.advanceTimersByTimeAsync(1)
    letGo()
    await Promise.all([first, second])
    expect(jobs.id).toBe('j1')
  })
})

describe('drafts', () => {
  it('a broken or foreign one counts as none', () => {
    for (const [page, text] of [
      ['a', '{"job":{"format":"other"},"base":1}'],
      ['b', '{'],
      ['c', 'null'],
    ])
      localStorage.setItem(`loft-seam/draft/j1/${page}`, text!)
    localStorage.setItem('loft-seam/draft/j11/a', '{}')
    expect(draftsOf('j1').map(takeDraft)).toEqual([null, null, null])
    expect(draftsOf('j1')).toEqual([])
    keepDraft('j1', { sent: null, job: keepersBench(), base: keepersBench() })
    expect(takeDraft(draftsOf('j1')[0]!)?.job.title).toBe("Keepers' bench")
    keepDraft('j1', { sent: null, job: keepersBench(), base: keepersBench() })
    dropDraft('j1')
    expect(draftsOf('j1')).toEqual([])
  })
})
