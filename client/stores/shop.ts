import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { phrase } from '../../core/language/index.ts'
import type { Change, Cloth, FoamStock, Grade, ShopSettings, Trim } from '../../contract/index.ts'
import { USUAL_WORKSHOP } from '../../core/defaults/index.ts'
import {
  openShop,
  readCloths,
  readFoamStock,
  readTrims,
  removeTrim,
  saveTrims,
  removeCloth,
  removeFoamStock,
  removeGrade,
  saveCloth,
  saveFoamStock,
  saveGrades,
  saveSettings,
  type ShopLists,
} from '../api/shop.ts'
import { changeLanguage } from '../language/use-language.ts'
import { manner } from '../ui/manner.ts'
import { usePutBack } from './put-back.ts'

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
  const keepGrades = async (grades: readonly Grade[], bases = lists.value?.grades ?? []): Promise<void> =>
    take({ grades: await saveGrades(changesOf(grades, bases)) })
  const putBack = usePutBack()
  async function dropGrade(id: string): Promise<void> {
    const own = lists.value?.grades.find((g) => g.id === id)
    await removeGrade(id)
    if (own) putBack.taken(phrase`${own.name} is out of the catalogue.`, () => keepGrades([own], []))
    take({ grades: lists.value?.grades.filter((g) => g.id !== id) ?? [] })
  }
  async function keepFoamStock(value: FoamStock, base: FoamStock | null): Promise<void> {
    await saveFoamStock({ value, base })
    take({ foamStock: await readFoamStock() })
  }
  async function dropFoamStock(id: string): Promise<void> {
    const own = lists.value?.foamStock.find((s) => s.id === id)
    await removeFoamStock(id)
    if (own) putBack.taken('That foam is off the rack.', () => keepFoamStock(own, null))
    take({ foamStock: lists.value?.foamStock.filter((s) => s.id !== id) ?? [] })
  }
  async function keepCloth(value: Cloth, base = sameId(lists.value?.cloths ?? [], value)): Promise<void> {
    await saveCloth({ value, base })
    take({ cloths: await readCloths() })
  }
  async function dropCloth(id: string): Promise<void> {
    const own = lists.value?.cloths.find((c) => c.id === id)
    await removeCloth(id)
    if (own) putBack.taken(phrase`${own.name} is out of the cloth store.`, () => keepCloth(own, null))
    take({ cloths: lists.value?.cloths.filter((c) => c.id !== id) ?? [] })
  }
  const keepTrims = async (trims: readonly Trim[], bases = lists.value?.trims ?? []): Promise<void> =>
    take({ trims: await saveTrims(changesOf(trims, bases)) })
  async function dropTrim(id: string): Promise<void> {
    const own = lists.value?.trims.find((t) => t.id === id)
    await removeTrim(id)
    if (own) putBack.taken(phrase`${own.name} is off the shelf of trims.`, () => keepTrims([own], []))
    take({ trims: await readTrims() })
  }
  /** Somebody else changed the lists: they are read again. */
  async function readAgain(): Promise<void> {
    if (lists.value) lists.value = await openShop()
  }
  return {
    workshop,
    keepTrims,
    dropTrim,
    readAgain,
    keepCloth,
    dropCloth,
    lists,
    open,
    changeSettings,
    keepGrades,
    dropGrade,
    keepFoamStock,
    dropFoamStock,
  }
})

const sameId = <T extends { readonly id: string }>(list: readonly T[], { id }: T): T | null =>
  list.find((own) => own.id === id) ?? null

/** Each thing as a change of the one it was made on. */
const changesOf = <T extends { readonly id: string }>(
  things: readonly T[],
  bases: readonly T[],
): readonly Change<T>[] => things.map((value) => ({ value, base: sameId(bases, value) }))
