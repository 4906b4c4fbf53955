// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Job, PipingSplit } from '../../../contract/index.ts'
import { keepersBench } from '../../../core/demo/index.ts'
import { speak } from '../../../core/language/index.ts'
import { planJob } from '../../../core/plan/index.ts'
import { withSplits, type Costs, type SplitLay } from '../../../core/what-if/index.ts'
import { madeUpLanguage, unmarked } from '../../../scripts/made-up-language.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useRole } from '../../stores/role.ts'
import { useShop } from '../../stores/shop.ts'
import { DEMO_SHOP, SETTINGS } from '../../testing/demo-shop.ts'
import { laidJob } from '../../testing/laid-job.ts'
import { showJob } from '../../testing/show-job.ts'
import type { WhatIfAnswer } from '../../workers/what-if.worker.ts'
import StripsInLay from './StripsInLay.vue'

vi.mock('../../workers/idle-workers.ts', () => import('../../testing/fresh-workers.ts'))

const page = vi.hoisted(() => ({ workers: [] as { onmessage: ((e: { data: unknown }) => void) | null }[] }))
vi.mock('../../workers/what-if.worker.ts?worker', () => ({
  default: class {
    onmessage = null
    constructor() {
      page.workers.push(this)
    }
    postMessage() {}
    terminate() {}
  },
}))
vi.mock('../../api/jobs.ts', () => ({ openJob: () => new Promise(() => {}), saveJob: () => new Promise(() => {}) }))
vi.mock('../../api/records.ts', () => ({ accessState: () => Promise.resolve({ role: 'maker' }) }))

/** The bench has six loops of 2489.33, cut along in one strip each; a join of two takes 40. */
const SPLIT: PipingSplit = { kind: 'to-the-lay', runs: [{ of: 'piping', count: 6, lengthsMm: [1500, 1029.33] }] }
const even = laidJob(keepersBench())
const cut = laidJob(withSplits(keepersBench(), { A: SPLIT }))

beforeEach(() => {
  page.workers.length = 0
  setActivePinia(createPinia())
  vi.stubGlobal(
    'Worker',
    class {
      postMessage() {}
      terminate() {}
    },
  )
})
afterEach(() => speak(null))

/** What is said of a split that was found for a ticket. */
async function offered(job: Job, costs: Costs, more = 6) {
  showJob(job)
  const view = mount(StripsInLay)
  const split: SplitLay = {
    splits: { A: SPLIT },
    key: cut.key,
    lay: { ...cut.lay, length: 3000 },
    strips: { before: 6, now: 6 + more },
    costs,
  }
  const answer: WhatIfAnswer = { kind: 'split', key: 0, split }
  page.workers.at(-1)?.onmessage?.({ data: answer })
  await view.vm.$nextTick()
  return view
}
const strips = () => useJob().whole!.parts[0]!.cloth.strips

it('says how long it lies then, what is bought less, what that saves with the work of the joins, and how many', async () => {
  const said = []
  for (const [more, minutes] of [
    [6, 15],
    [1, 3],
    [0, 0],
    [-2, -5],
  ] as const)
    said.push((await offered(even.job, { money: -20, minutes }, more)).find('span').text())
  const ends = said.map((text) => /: .* less to buy, €(.*) saved (.*)\.$/.exec(text)!)
  expect(
    said.every((text) => text.startsWith('With its strips as long as the lay has room for them it lies on 3000 mm')),
  ).toBe(true)
  // At 38 an hour: 15 minutes are 9.50, 3 are 1.90.
  expect(ends.map(([, money, joins]) => [money, joins])).toEqual([
    ['10.50', 'with 6 more joins, 15 min'],
    ['18.10', 'with one more join, 3 min'],
    ['20.00', 'with as many joins'],
    ['23.17', 'with 2 fewer joins'],
  ])
})

it('in the language of the shop, every word of it', async () => {
  const language = madeUpLanguage()
  for (const more of [6, 1, 0, -2]) {
    speak(null)
    const english = (await offered(even.job, { money: -20, minutes: 3 }, more)).find('span').text()
    speak(language)
    const other = (await offered(even.job, { money: -20, minutes: 3 }, more)).find('span').text()
    expect(unmarked(other)).toBe(english)
    expect(other.replace(/mm|min/g, '').match(/[A-Za-z](?!\p{M})/gu)).toBeNull()
  }
})

it('nothing is offered where the joins cost more than the cloth', async () =>
  expect((await offered(even.job, { money: -5, minutes: 30 })).find('p').exists()).toBe(false))

it('taken, the strips and their lay stand in the ticket; back, they are of one length', async () => {
  const view = await offered(even.job, { money: -20, minutes: 3 })
  await view.find('button').trigger('click')
  expect(strips()).toEqual(SPLIT)
  expect([useLay().current!.length, useLay().byHand]).toEqual([3000, false])
  expect(view.text()).toContain('The piping is cut in strips as long as this lay has room for them.')
  await vi.waitFor(() => expect(view.find('button').exists()).toBe(true))
  await view.find('button').trigger('click')
  expect(strips()).toEqual({ kind: 'even', moreJoins: 0 })
})

/** A ticket that is to be split to the lay, and whose strips were found for other pieces. */
const stale = (orderedOn: string | null): Job => {
  const { job } = even
  return {
    ...withSplits(job, { A: { kind: 'to-the-lay', runs: [] } }),
    terms: { ...job.terms, given: null, orderedOn },
  }
}

async function asMaker() {
  useShop().lists = { ...DEMO_SHOP, settings: SETTINGS }
  await vi.waitFor(() => expect(useRole().mayChange).toBe(true))
}

it('other pieces are split anew by themselves, and not where the ticket is ordered as it lies or nothing is saved', async () => {
  await asMaker()
  const ordered = await offered(stale('2026-11-30'), { money: -20, minutes: 3 })
  expect(strips()).toEqual({ kind: 'to-the-lay', runs: [] })
  expect(ordered.text()).toContain('The piping is cut evenly so far.')
  await offered(stale(null), { money: -5, minutes: 30 })
  expect(strips()).toEqual({ kind: 'to-the-lay', runs: [] })
  const view = await offered(stale(null), { money: -20, minutes: 3 })
  expect(strips()).toEqual(SPLIT)
  expect(useLay().current!.length).toBe(3000)
  await view.vm.$nextTick()
  expect(view.text()).toContain('The piping is cut in strips as long as this lay has room for them.')
})

it('a part that is even yet is split with the others, though these are as they were', async () => {
  await asMaker()
  const [first] = keepersBench().parts
  const set: Job = {
    ...keepersBench(),
    parts: [first!, { ...first!, letter: 'B', name: 'Backs' }],
    terms: { ...keepersBench().terms, given: null, orderedOn: null },
  }
  const plan = planJob(set)
  if (plan.kind !== 'worked') throw new Error('not worked')
  const of = plan.cloth.strips[0]![0]!.of
  const half = withSplits(set, { A: { kind: 'to-the-lay', runs: [{ of, count: 6, lengthsMm: [1500, 1029.33] }] } })
  const after = planJob(half)
  // Of the first part every loop is split, of the other none.
  expect(after.kind === 'worked' && after.cloth.strips.flat().map((s) => s.split.lengths.length)).toEqual([2, 1])
  showJob(laidJob(half).job)
  const before = page.workers.length
  const view = mount(StripsInLay)
  expect(page.workers.length).toBe(before + 1)
  expect(view.text()).toContain('The piping is cut evenly so far.')
})
