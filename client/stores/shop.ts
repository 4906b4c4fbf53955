import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { openShop, saveSettings, type ShopLists } from '../api/shop.ts'
import type { ShopSettings } from '../../contract/index.ts'

/** The shop's lists as this page last read them. */
export const useShop = defineStore('shop', () => {
  const lists = shallowRef<ShopLists | null>(null)
  async function open(): Promise<void> {
    lists.value ??= await openShop()
  }
  async function changeSettings(settings: ShopSettings): Promise<void> {
    const saved = await saveSettings(settings)
    if (lists.value) lists.value = { ...lists.value, settings: saved }
  }
  return { lists, open, changeSettings }
})
