import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { phrase } from '../../core/language/index.ts'
import type { ShopSettings } from '../../contract/index.ts'
import { USUAL_WORKSHOP } from '../../core/defaults/index.ts'
import { CLOTHS, FOAM_STOCK, GRADES, openShop, saveSettings, TRIMS, type ShopLists } from '../api/shop.ts'
import { changeLanguage } from '../language/use-language.ts'
import { manner } from '../ui/manner.ts'
import { shopList } from './shop-list.ts'

/** The shop's lists as this page last read them; changes go with what they were made on. */
export const useShop = defineStore('shop', () => {
  const lists = shallowRef<ShopLists | null>(null)
  watch(
    () => lists.value?.settings.locale,
    (locale) => {
      manner.value = locale || undefined
      if (locale !== undefined) changeLanguage(locale)
    },
  )
  async function open(): Promise<void> {
    lists.value ??= await openShop()
  }
  const workshop = computed(() => lists.value?.settings.workshop ?? USUAL_WORKSHOP)
  async function changeSettings(settings: ShopSettings, base = lists.value?.settings ?? null): Promise<void> {
    const saved = await saveSettings({ value: settings, base })
    if (lists.value) lists.value = { ...lists.value, settings: saved }
  }
  const take = (change: Partial<ShopLists>) => {
    if (lists.value) lists.value = { ...lists.value, ...change }
  }
  const grades = shopList(GRADES, {
    now: () => lists.value?.grades ?? [],
    take: (grades) => take({ grades }),
    gone: ({ name }) => phrase`${name} is out of the catalogue.`,
  })
  const foamStock = shopList(FOAM_STOCK, {
    now: () => lists.value?.foamStock ?? [],
    take: (foamStock) => take({ foamStock }),
    gone: () => 'That foam is off the rack.',
  })
  const cloths = shopList(CLOTHS, {
    now: () => lists.value?.cloths ?? [],
    take: (cloths) => take({ cloths }),
    gone: ({ name }) => phrase`${name} is out of the cloth store.`,
  })
  const trims = shopList(TRIMS, {
    now: () => lists.value?.trims ?? [],
    take: (trims) => take({ trims }),
    gone: ({ name }) => phrase`${name} is off the shelf of trims.`,
  })
  /** Somebody else changed the lists: they are read again. */
  async function readAgain(): Promise<void> {
    if (lists.value) lists.value = await openShop()
  }
  return {
    workshop,
    lists,
    open,
    readAgain,
    changeSettings,
    keepGrades: grades.keep,
    dropGrade: grades.drop,
    keepFoamStock: foamStock.keep,
    dropFoamStock: foamStock.drop,
    keepCloths: cloths.keep,
    dropCloth: cloths.drop,
    keepTrims: trims.keep,
    dropTrim: trims.drop,
  }
})
