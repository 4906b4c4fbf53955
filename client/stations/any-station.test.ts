// @vitest-environment happy-dom
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import type { Job } from '../../contract/index.ts'
import { demoJobs } from '../../core/demo/index.ts'
import { DEMO_SHOP } from '../testing/demo-shop.ts'
import { showJob } from '../testing/show-job.ts'
import { useShop } from '../stores/shop.ts'
import { STATION_PAGES } from './index.ts'

/*
 * Every station of every demo job, in millimetres and in inches, as it stands before anything is pressed: nothing on it
 * may be a number that is none, a thing without a name or a name that stands twice.
 */

/** Drawn by a package on a canvas, which is not here. */
vi.mock('../ui/chart.ts', () => ({ Bar: { template: '<i />' }, Scatter: { template: '<i />' } }))
const shell = { template: '<div><slot /></div>' }
/** The kit's choices as a browser's own: what stands on the page is looked at, not how a list opens. */
const KIT = {
  ElDialog: { template: '<i />' },
  ElDrawer: { template: '<i />' },
  ElPopover: shell,
  ElSelect: { template: '<select><slot /></select>' },
  ElOption: { props: ['label'], template: '<option>{{ label }}</option>' },
  ElSwitch: { template: '<input type="checkbox" />' },
}

class NoWorker {
  postMessage() {}
  terminate() {}
  addEventListener() {}
}

beforeEach(() => {
  vi.stubGlobal('Worker', NoWorker)
  vi.stubGlobal('fetch', () => new Promise(() => {}))
  setActivePinia(createPinia())
})

async function stationOf(job: Job, station: string): Promise<VueWrapper> {
  useShop().lists = DEMO_SHOP
  showJob(job)
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)', component: { template: '<i />' } }],
  })
  await router.push(`/jobs/shown/${station}`)
  const { default: page } = await STATION_PAGES.find((s) => s.station === station)!.page()
  const wrapper = mount(page as never, { attachTo: document.body, global: { plugins: [router], components: KIT } })
  await flushPromises()
  return wrapper
}

/** What a person or a screen reader reads, what has no name, and what is drawn, out of the page as it is written. */
function read(page: Element) {
  const written = page.outerHTML
  const isNamed = (e: Element): boolean =>
    ['aria-label', 'aria-labelledby', 'title', 'placeholder'].some((name) => e.getAttribute(name)) ||
    (e.textContent ?? '').trim() !== '' ||
    (e.id !== '' && written.includes(`for="${e.id}"`)) ||
    (e.closest('label')?.textContent ?? '').trim() !== '' ||
    e.closest('[aria-hidden=true]') !== null
  return {
    words: [page.textContent, ...found(written, / (?:aria-label|title|placeholder)="([^"]*)"/g)].join(' | '),
    nameless: [...page.querySelectorAll('button, input, select, textarea, [role=button], [role=img], [role=combobox]')]
      .filter((e) => e.getAttribute('type') !== 'hidden' && !isNamed(e))
      .map((e) => e.outerHTML.slice(0, 160)),
    ids: found(written, / id="([^"]+)"/g),
    badlyDrawn: found(written, /="([^"]*(?:NaN|undefined|Infinity)[^"]*)"/g),
  }
}
const found = (text: string, pattern: RegExp): readonly string[] => [...text.matchAll(pattern)].map(([, part]) => part!)

const twice = (names: readonly string[]): readonly string[] => {
  const seen = new Set<string>()
  return names.filter((name) => seen.size === seen.add(name).size)
}

const SPAN = ['SL-01', 'SL-03', 'SL-05', 'SL-11']
const CASES = demoJobs()
  .filter((job) => SPAN.includes(job.ticket))
  .flatMap((job) =>
    (['mm', 'inch-8'] as const).map((units): [string, string, Job] => [job.ticket, units, { ...job, units }]),
  )

describe.each(CASES)('%s in %s', (_, units, job) => {
  it.each(STATION_PAGES.map((s) => s.station))('%s', async (station) => {
    const wrapper = await stationOf(job, station)
    const { words, nameless, ids, badlyDrawn } = read(wrapper.element.parentElement!)
    expect(words.length).toBeGreaterThan(100)
    expect(words).not.toMatch(/NaN|undefined|\[object|Infinity|\bnull\b/)
    // Machines are set in millimetres wherever they stand.
    const spoken = words.replace(/stitch \d+(?:\.\d+)? mm/g, '')
    if (units === 'inch-8') expect(spoken.match(/.{0,40}\d mm\b.{0,20}/g) ?? []).toEqual([])
    expect(nameless).toEqual([])
    expect(twice(ids)).toEqual([])
    expect(badlyDrawn).toEqual([])
    wrapper.unmount()
  })
})
