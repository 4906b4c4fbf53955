import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { Cloth, FoamStock, Grade, ShopSettings, Trim } from '../../contract/index.ts'
import { USUAL_WORKSHOP } from '../../core/shop/index.ts'
import { openShop, readCloths, readFoamStock, readTrims, removeTrim, saveTrims, removeCloth, removeFoamStock, removeGrade, saveCloth, saveFoamStock, saveGrades, saveSettings, type ShopLists } from '../api/shop.ts'

/** The shop's lists as this page last read them. */
export const useShop = defineStore('shop', () => {
  const lists = shallowRef<ShopLists | null>(null)
  async function open(): Promise<void> {
    lists.value ??= await openShop()
  }
  const workshop = computed(() => lists.value?.settings.workshop ?? USUAL_WORKSHOP)
  async function changeSettings(settings: ShopSettings): Promise<void> {
    const saved = await saveSettings(settings)
    if (lists.value) lists.value = { ...lists.value, settings: saved }
  }
  const take = (change: Partial<ShopLists>) => {
    if (lists.value) lists.value = { ...lists.value, ...change }
  }
  const keepGrades = async (grades: readonly Grade[]): Promise<void> => take({ grades: await saveGrades(grades) })
  async function dropGrade(id: string): Promise<void> {
    await removeGrade(id)
    take({ grades: lists.value?.grades.filter((g) => g.id !== id) ?? [] })
  }
  async function keepFoamStock(piece: FoamStock): Promise<void> {
    await saveFoamStock(piece)
    take({ foamStock: await readFoamStock() })
  }
  async function dropFoamStock(id: string): Promise<void> {
    await removeFoamStock(id)
    take({ foamStock: lists.value?.foamStock.filter((s) => s.id !== id) ?? [] })
  }
  async function keepCloth(cloth: Cloth): Promise<void> {
    await saveCloth(cloth)
    take({ cloths: await readCloths() })
  }
  async function dropCloth(id: string): Promise<void> {
    await removeCloth(id)
    take({ cloths: lists.value?.cloths.filter((c) => c.id !== id) ?? [] })
  }
  const keepTrims = async (trims: readonly Trim[]): Promise<void> => take({ trims: await saveTrims(trims) })
  async function dropTrim(id: string): Promise<void> {
    await removeTrim(id)
    take({ trims: await readTrims() })
  }
  /** Somebody else changed the lists: they are read again. */
  async function readAgain(): Promise<void> {
    if (lists.value) lists.value = await openShop()
  }
  return { workshop, keepTrims, dropTrim, readAgain, keepCloth, dropCloth, lists, open, changeSettings, keepGrades, dropGrade, keepFoamStock, dropFoamStock }
})
