// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { DEMO_SHOP } from '../testing/demo-shop.ts'
import { useLive } from './live.ts'
import { useShop } from './shop.ts'
import { useLiveReading } from './use-live-reading.ts'

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  useShop().lists = DEMO_SHOP
  vi.spyOn(useShop(), 'open').mockResolvedValue()
})
afterEach(() => vi.useRealTimers())

/** A page that reads something, and what it says when that fails. */
async function page(read: () => Promise<unknown>) {
  const shown = mount({ setup: () => ({ failed: useLiveReading(read) }), template: '<p>{{ failed }}</p>' })
  await flushPromises()
  return shown
}
async function somebodySaves() {
  useLive().saves++
  await flushPromises()
  await vi.advanceTimersByTimeAsync(500)
}

describe('what a page shows', () => {
  it('is read when it is opened, and once after saves in a row', async () => {
    const read = vi.fn().mockResolvedValue(undefined)
    await page(read)
    expect(read).toHaveBeenCalledTimes(1)
    useLive().saves++
    await flushPromises()
    await somebodySaves()
    expect(read).toHaveBeenCalledTimes(2)
  })
  it('says why it cannot be read until it can', async () => {
    const read = vi.fn().mockRejectedValueOnce(new Error('The shop does not answer.')).mockResolvedValue(undefined)
    const shown = await page(read)
    expect(shown.text()).toBe('The shop does not answer.')
    await somebodySaves()
    expect(shown.text()).toBe('')
  })
})
