// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import type { Searchers } from '../../../contract/index.ts'
import WhoSearches from './WhoSearches.vue'

const told = vi.hoisted(() => ({ now: null as unknown }))
vi.mock('../../api/lays.ts', () => ({
  whoSearches: () => (told.now instanceof Error ? Promise.reject(told.now) : Promise.resolve(told.now)),
}))
vi.mock('../../api/records.ts', () => ({ accessState: () => Promise.resolve({ role: 'maker' }) }))

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers()
})

async function shown(answer: Searchers | Error) {
  told.now = answer
  const page = mount(WhoSearches)
  await vi.advanceTimersByTimeAsync(1)
  return page
}

it('names the machines that search besides, and those whose planner is another', async () => {
  const page = await shown({
    queue: 'reached',
    searchers: [
      { name: 'kiln', lanes: 1, isAlike: true },
      { name: 'loft', lanes: 4, isAlike: true },
      { name: 'attic', lanes: 8, isAlike: false },
      { name: 'attic', lanes: 8, isAlike: false },
    ],
  })
  expect(page.findAll('p').map((p) => p.text())).toEqual([
    'Searched on besides this machine: kiln in one lane, loft in 4 lanes.',
    'Left out, since their planner is of another release: attic. Bring both to one release.',
  ])
})

it('a queue that is lost is told, and found again by itself', async () => {
  const page = await shown({ queue: 'lost', searchers: [] })
  expect(page.text()).toContain('does not answer: this machine searches alone')
  told.now = { queue: 'reached', searchers: [{ name: 'kiln', lanes: 2, isAlike: true }] }
  await vi.advanceTimersByTimeAsync(10_001)
  expect(page.text()).toBe('Searched on besides this machine: kiln in 2 lanes.')
})

it('without a queue, or without an answer, nothing is said', async () => {
  expect((await shown({ queue: 'none', searchers: [] })).text()).toBe('')
  expect((await shown(new Error('no network'))).text()).toBe('')
})
