// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { demoJobs, keepersBench } from '../../../core/demo/index.ts'
import { speak } from '../../../core/language/index.ts'
import type { KnifeWork } from '../../../core/lay/index.ts'
import { madeUpLanguage, unmarked } from '../../../scripts/made-up-language.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useRole } from '../../stores/role.ts'
import { laidJob } from '../../testing/laid-job.ts'
import { showJob } from '../../testing/show-job.ts'
import type { WhatIfAnswer } from '../../workers/what-if.worker.ts'
import { useShop } from '../../stores/shop.ts'
import { DEMO_SHOP, SETTINGS } from '../../testing/demo-shop.ts'
import EasierLay from './EasierLay.vue'

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

/** The bench, laid. */
const { job: laid, lay } = laidJob(keepersBench())

/** As it is ordered its lays move by nobody's hand but the maker's. */
const ordered = { ...laid, terms: { ...laid.terms, orderedOn: '2026-11-30' } }

beforeEach(() => {
  page.workers.length = 0
  setActivePinia(createPinia())
  vi.stubGlobal('Worker', class {})
  showJob(ordered)
})
afterEach(() => speak(null))

/** What is said once a lay so much longer was found. */
async function offered(overMm: number, before: KnifeWork, now: KnifeWork) {
  const view = mount(EasierLay)
  const found = { ...lay, length: lay.length + overMm }
  const answer: WhatIfAnswer = { kind: 'easier', key: 0, easier: { lay: found, before, now } }
  page.workers.at(-1)!.onmessage!({ data: answer })
  await view.vm.$nextTick()
  return view
}
const CASES = [
  [2, { strokes: 48, bands: 0 }, { strokes: 36, bands: 3 }],
  [0, { strokes: 41, bands: 1 }, { strokes: 35, bands: 1 }],
  [-46.7, { strokes: 214, bands: 0 }, { strokes: 126, bands: 0 }],
] as const

it('says what an easier lay costs and saves', async () => {
  const said = []
  for (const [overMm, before, now] of CASES) said.push((await offered(overMm, before, now)).find('span').text())
  expect(said).toEqual([
    'A lay that is easier to cut: costs 2 mm of cloth, saves 12 cuts (36 in place of 48, 3 of them straight across).',
    'A lay that is easier to cut: as long, saves 6 cuts (35 in place of 41, one of them straight across).',
    'A lay that is easier to cut: 46.7 mm shorter, saves 88 cuts (126 in place of 214).',
  ])
})

it('in the language of the shop, every word of it', async () => {
  const language = madeUpLanguage()
  for (const [overMm, before, now] of CASES) {
    speak(null)
    const english = (await offered(overMm, before, now)).find('span').text()
    speak(language)
    const other = (await offered(overMm, before, now)).find('span').text()
    expect(unmarked(other)).toBe(english)
    // Only the unit has letters of its own.
    expect(other.replaceAll('mm', '').match(/[A-Za-z](?!\p{M})/gu)).toBeNull()
  }
})

it('one cut fewer is not worth reading; taken, it stands as the lay of the job', async () => {
  expect((await offered(0, { strokes: 20, bands: 0 }, { strokes: 19, bands: 0 })).find('p').exists()).toBe(false)
  const view = await offered(2, { strokes: 48, bands: 0 }, { strokes: 36, bands: 0 })
  await view.find('button').trigger('click')
  expect([useLay().current!.length, useLay().byHand]).toEqual([lay.length + 2, true])
  expect(view.find('p').exists()).toBe(false)
})

/** The bench asked for, in a shop that takes such a lay by itself. */
async function inSuchAShop(orderedOn: string | null) {
  showJob({ ...laid, terms: { ...laid.terms, given: null, orderedOn } })
  useShop().lists = { ...DEMO_SHOP, settings: { ...SETTINGS, lays: 'easiest' } }
  useRole()
  await vi.waitFor(() => expect(useRole().mayChange).toBe(true))
  return offered(2, { strokes: 48, bands: 0 }, { strokes: 36, bands: 0 })
}

it('is offered as ever on a ticket that is ordered as it lies', async () => {
  const view = await inSuchAShop('2026-11-30')
  expect([useLay().current!.length, useLay().byHand]).toEqual([lay.length, false])
  expect(view.find('button').exists()).toBe(true)
})

it("is taken by itself where the shop says so; the planner's, had back, then stays", async () => {
  await inSuchAShop(null)
  expect([useLay().current!.length, useLay().byHand]).toEqual([lay.length + 2, true])
  const view = await inSuchAShop(null)
  expect(useLay().byHand).toBe(false)
  expect(view.find('button').exists()).toBe(true)
})

/** What an easier and shorter lay comes to on a ticket that may change. */
async function shorter(orderedOn: string | null) {
  // Other pieces than before: once for the same pieces it takes its place.
  const { job, lay: own } = laidJob({ ...keepersBench(), parts: demoJobs().find((j) => j.ticket === 'SL-06')!.parts })
  showJob({ ...job, terms: { ...job.terms, given: null, orderedOn } })
  useShop().lists = DEMO_SHOP
  useRole()
  await vi.waitFor(() => expect(useRole().mayChange).toBe(true))
  const view = mount(EasierLay)
  const found = { ...own, length: own.length - 12 }
  const answer: WhatIfAnswer = {
    kind: 'easier',
    key: 0,
    easier: { lay: found, before: { strokes: 48, bands: 0 }, now: { strokes: 36, bands: 0 } },
  }
  page.workers.at(-1)!.onmessage!({ data: answer })
  await view.vm.$nextTick()
  return { view, shorterBy: own.length - useLay().current!.length }
}

it('one that is shorter besides becomes the working lay, as if the planner had found it; never once it is ordered', async () => {
  const frozen = await shorter('2026-11-30')
  expect([frozen.shorterBy, frozen.view.text()]).toEqual([0, expect.stringContaining('12 mm shorter')])
  const free = await shorter(null)
  expect(free.shorterBy).toBeCloseTo(12, 6)
  expect([useLay().byHand, useLay().isKept]).toEqual([false, true])
})
