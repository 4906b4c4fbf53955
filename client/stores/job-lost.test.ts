// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Job, PartJob, StepRecord } from '../../contract/index.ts'
import { setRecord } from '../../core/making/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { applyEdit, type Edit } from '../../core/job/index.ts'
import { amendJob } from '../api/jobs.ts'
import { keepText } from '../storage/browser-store.ts'
import { fakeJobs, type Line } from '../testing/fake-jobs.ts'
import { draftsOf, jobsWithDrafts, keepDraft } from '../session/draft.ts'
import { useJob } from './job.ts'
import { beginTicket } from '../session/begun.ts'
import { sendLeftDrafts } from '../session/outbox.ts'

const STEP = { id: 'foam.cut', title: 'Cut the foam' }
const record = (change: (r: StepRecord) => StepRecord) => setRecord(STEP, 'noted', change)
const worked = (seconds: number) => record((r) => ({ ...r, workedS: r.workedS + seconds }))
const noted = (note: string) => record((r) => ({ ...r, note }))
/** An edit as somebody else makes it. */
const inA = (edit: Edit) => (job: Job) => applyEdit(job, 'A', edit)
const workedIn = (job: Pick<Job, 'making'>) => job.making.steps[STEP.id]?.workedS ?? 0
const titled = (title: string) => ({ says: 'Title', apply: (job: PartJob): PartJob => ({ ...job, title }) })

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  localStorage.clear()
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms)
/** Lets time pass until it has ended. */
async function ended<T>(work: Promise<T>): Promise<T> {
  let isEnded = false
  void work.finally(() => (isEnded = true)).catch(() => undefined)
  while (!isEnded) await pass(100)
  return work
}

describe('two pages at one step', () => {
  it('add their minutes: 600 s here and 1500 s there are 2100 s', async () => {
    const server = fakeJobs(['a'])
    const jobs = useJob()
    await jobs.open('a')
    server.elsewhere('a', inA(worked(1500)))
    jobs.edit(worked(600))
    await pass(3000)
    expect([workedIn(server.newest('a').job), jobs.conflict]).toEqual([2100, null])
  })

  it('with two notes ask which one stands, and throw neither away', async () => {
    const server = fakeJobs(['a'])
    const jobs = useJob()
    await jobs.open('a')
    server.elsewhere('a', inA(noted('theirs')))
    jobs.edit(noted('mine'))
    await pass(3000)
    expect(jobs.conflict?.job.making.steps[STEP.id]!.note).toBe('theirs')
    expect(jobs.job!.making.steps[STEP.id]!.note).toBe('mine')
  })
})

describe('an answer that is lost', () => {
  it('is asked for again as it was: minutes are not added to themselves', async () => {
    const server = fakeJobs(['a'])
    const jobs = useJob()
    await jobs.open('a')
    server.state.line = 'loses-answers'
    jobs.edit(worked(600))
    await pass(800)
    jobs.edit(worked(60))
    server.state.line = 'up'
    await pass(12_000)
    expect([workedIn(server.newest('a').job), jobs.saveState.kind]).toEqual([660, 'saved'])
  })

  it('with a save of others on top of it is known for what it is', async () => {
    const server = fakeJobs(['a'])
    const jobs = useJob()
    await jobs.open('a')
    server.state.line = 'loses-answers'
    jobs.edit(worked(600))
    await pass(800)
    server.elsewhere('a', inA(worked(5)))
    jobs.edit(worked(60))
    server.state.line = 'up'
    await pass(12_000)
    expect(workedIn(server.newest('a').job)).toBe(665)
  })
})

describe('another job opened', () => {
  it('while a save is under way that then fails: nothing of it comes into the other, and it is sent to its own', async () => {
    const server = fakeJobs(['a', 'b'])
    const jobs = useJob()
    await jobs.open('a')
    jobs.edit(titled('typed in a'))
    const answer = fetch
    let fail = () => undefined as void
    vi.stubGlobal('fetch', (url: string, init?: { method?: string }) =>
      init?.method === 'PUT'
        ? new Promise((_resolve, reject) => (fail = () => reject(new Error('down'))))
        : answer(url, init),
    )
    await pass(800)
    const opening = jobs.open('b')
    await pass(2000)
    await opening
    fail()
    vi.stubGlobal('fetch', answer)
    await pass(20_000)
    expect([jobs.id, jobs.job!.title, jobs.revision, server.newest('b').revision]).toEqual([
      'b',
      keepersBench().title,
      1,
      1,
    ])
    expect(jobsWithDrafts()).toEqual(['a'])
    await sendLeftDrafts((id) => id === 'b')
    expect([server.newest('a').job.title, jobsWithDrafts()]).toEqual(['typed in a', []])
  })
})

/** Opens `b` while the save of an edit in `a` hangs; the answer comes when it is let go. */
async function openBeside(server: ReturnType<typeof fakeJobs>) {
  const jobs = useJob()
  await jobs.open('a')
  jobs.edit(titled('typed in a'))
  const answer = fetch
  const hung: (() => void)[] = []
  vi.stubGlobal('fetch', async (url: string, init?: { method?: string }) => {
    if (init?.method === 'PUT' && /\/jobs\/a\b/.test(url)) await new Promise<void>((go) => hung.push(go))
    return answer(url, init)
  })
  await pass(800)
  const opening = jobs.open('b')
  await pass(2000)
  await opening
  const letGo = () => hung.splice(0).forEach((go) => go())
  return { jobs, letGo, server }
}

describe('an answer that comes after another job was opened', () => {
  it('a save: the other job keeps its own revision, and its edits are saved on it', async () => {
    const server = fakeJobs(['a', 'b'])
    for (let i = 0; i < 4; i++) server.elsewhere('a', inA(titled(`${i}`)))
    const { jobs, letGo } = await openBeside(server)
    letGo()
    await pass(100)
    expect([jobs.id, jobs.job!.title, jobs.revision, jobs.saveState.kind]).toEqual([
      'b',
      keepersBench().title,
      1,
      'saved',
    ])
    jobs.edit(titled('typed in b'))
    await pass(5000)
    expect([server.newest('a').job.title, server.newest('b').job.title, server.newest('b').revision]).toEqual([
      'typed in a',
      'typed in b',
      2,
    ])
  })

  it('a clash: nothing of it is put into the other job', async () => {
    const server = fakeJobs(['a', 'b'])
    const { jobs, letGo } = await openBeside(server)
    server.elsewhere('a', inA(titled('theirs')))
    letGo()
    await pass(5000)
    expect([jobs.id, jobs.job!.title, jobs.conflict, jobs.past]).toEqual(['b', keepersBench().title, null, []])
    expect(server.newest('b').revision).toBe(1)
  })
})

describe('what a closed page left', () => {
  it('is sent when the program is next opened, whichever job is; what an open page looks after is let be', async () => {
    const server = fakeJobs(['a', 'b', 'c'])
    const draft = { job: { ...keepersBench(), title: 'left' }, base: keepersBench(), sent: null }
    localStorage.setItem('loft-seam/draft/a/closed-page', JSON.stringify(draft))
    localStorage.setItem('loft-seam/draft/c/open-page', JSON.stringify(draft))
    keepText('loft-seam/page/open-page', String(Date.now()))
    await sendLeftDrafts((id) => id === 'b')
    expect([server.newest('a').job.title, server.newest('c').revision]).toEqual(['left', 1])
    expect(jobsWithDrafts()).toEqual([])
    await pass(300_000)
    expect(jobsWithDrafts()).toEqual(['c'])
  })

  it('waits where it clashes with a later save: its maker chooses when the job is opened', async () => {
    const server = fakeJobs(['a'])
    server.elsewhere('a', inA(titled('theirs')))
    const draft = { job: { ...keepersBench(), title: 'mine' }, base: keepersBench(), sent: null }
    localStorage.setItem('loft-seam/draft/a/closed-page', JSON.stringify(draft))
    await sendLeftDrafts(() => false)
    expect([server.newest('a').job.title, jobsWithDrafts()]).toEqual(['theirs', ['a']])
    const jobs = useJob()
    await jobs.open('a')
    expect(jobs.conflict?.job.title).toBe('theirs')
  })
})

it('a browser that will not keep anything: the page keeps it for itself, and says so', async () => {
  const server = fakeJobs(['a'])
  const refuse = () => {
    throw new DOMException('refused')
  }
  vi.stubGlobal('localStorage', new Proxy({}, { get: refuse, ownKeys: refuse }))
  expect(keepDraft('a', { job: keepersBench(), base: keepersBench(), sent: null })).toBe('in-page')
  expect(draftsOf('a')).toHaveLength(1)
  const jobs = useJob()
  await jobs.open('a')
  server.state.line = 'down'
  jobs.edit(titled('typed'))
  await pass(1000)
  expect([jobs.saveState.kind, jobs.kept]).toEqual(['failed', 'in-page'])
  server.state.line = 'up'
  await pass(9000)
  expect(server.newest('a').job.title).toBe('typed')
})

it('what stands beside a step is undone with it; where that cannot be, the step stays, and why is told', async () => {
  fakeJobs(['a'])
  const jobs = useJob()
  await jobs.open('a')
  const done: string[] = []
  let isShort = true
  const back = () => (isShort ? Promise.reject(new Error('The shelf is locked.')) : Promise.resolve(done.push('back')))
  jobs.edit(titled('taken'), null, { undo: back, redo: () => Promise.resolve(done.push('taken')) })
  jobs.undo()
  await pass(1)
  expect([jobs.job!.title, jobs.refused]).toEqual(['taken', 'The shelf is locked.'])
  isShort = false
  jobs.undo()
  await pass(1)
  jobs.redo()
  await pass(1)
  expect([jobs.job!.title, done]).toEqual(['taken', ['back', 'taken']])
})

it('a job that others save at the same time is amended on top of what they saved', async () => {
  const server = fakeJobs(['a'])
  const answer = fetch
  let others = 0
  vi.stubGlobal('fetch', (url: string, init?: { method?: string }) => {
    if (init?.method === 'PUT' && others++ < 3) server.elsewhere('a', inA(worked(7)))
    return answer(url, init)
  })
  await amendJob('a', (job) => ({ ...job, title: 'amended' }), '')
  expect([server.newest('a').job.title, workedIn(server.newest('a').job)]).toEqual(['amended', 21])
})

it('whatever happens between edits, saves, lost answers, other windows and other jobs: tickets begun without a network: every second worked is kept once, in its own job', async () => {
  const act = fc.oneof(
    { weight: 5, arbitrary: fc.constant({ kind: 'edit' as const }) },
    { weight: 3, arbitrary: fc.integer({ min: 1, max: 5000 }).map((ms) => ({ kind: 'pass' as const, ms })) },
    { weight: 2, arbitrary: fc.constantFrom('a', 'b').map((id) => ({ kind: 'elsewhere' as const, id })) },
    { weight: 2, arbitrary: fc.constantFrom('a', 'b').map((id) => ({ kind: 'open' as const, id })) },
    {
      weight: 3,
      arbitrary: fc
        .constantFrom<Line>('up', 'down', 'loses-answers', 'kept-only')
        .map((line) => ({ kind: 'line' as const, line })),
    },
    { weight: 1, arbitrary: fc.constant({ kind: 'hear' as const }) },
    { weight: 1, arbitrary: fc.constant({ kind: 'begin' as const }) },
    { weight: 1, arbitrary: fc.nat(3).map((nth) => ({ kind: 'go-back' as const, nth })) },
    { weight: 1, arbitrary: fc.constant({ kind: 'send-left' as const }) },
  )
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 5, maxLength: 40 }), async (acts) => {
      localStorage.clear()
      setActivePinia(createPinia())
      const server = fakeJobs(['a', 'b'])
      const jobs = useJob()
      await jobs.open('a')
      const wanted: Record<string, number> = { a: 0, b: 0 }
      const isReached = () => server.state.line === 'up' || server.state.line === 'loses-answers'
      const open = (id: string) => ended(jobs.open(id).catch(() => undefined))
      for (const one of acts)
        switch (one.kind) {
          case 'begin': {
            const id = await ended(
              beginTicket(
                { ...keepersBench(), ticket: isReached() ? `U-${Object.keys(wanted).length}` : 'J-9' },
                'begun',
              ),
            )
            wanted[id] = 0
            await open(id)
            break
          }
          case 'go-back':
            await open(Object.keys(wanted)[one.nth] ?? 'a')
            break
          case 'send-left':
            await ended(sendLeftDrafts(jobs.isOpen))
            break
          case 'edit':
            if (jobs.edit(worked(10))) wanted[jobs.id]! += 10
            break
          case 'pass':
            await pass(one.ms)
            break
          case 'elsewhere':
            server.elsewhere(one.id, inA(worked(7)))
            wanted[one.id]! += 7
            break
          case 'open':
            await open(one.id)
            break
          case 'line':
            server.state.line = one.line
            break
          case 'hear':
            void jobs.lookAgain().catch(() => undefined)
            break
        }
      server.state.line = 'up'
      await pass(30_000)
      await ended(sendLeftDrafts(jobs.isOpen))
      // The stream is open again.
      await jobs.lookAgain()
      await pass(10_000)
      const kept = Object.keys(wanted).map((id) => server.newest(id))
      expect(Object.fromEntries(kept.map(({ id, job }) => [id, workedIn(job)]))).toEqual(wanted)
      const begun = kept.filter(({ id }) => id !== 'a' && id !== 'b')
      expect(new Set(begun.map(({ job }) => job.ticket)).size).toBe(begun.length)
      expect([jobs.saveState.kind, workedIn(jobs.job!)]).toEqual(['saved', wanted[jobs.id]])
    }),
    { numRuns: 150 },
  )
}, 120_000)
