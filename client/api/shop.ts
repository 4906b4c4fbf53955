import { z } from 'zod'
import { Cloth, Grade, ShopSettings } from '../../contract/index.ts'
import { fetchJson } from './http.ts'

export interface ShopLists {
  readonly grades: readonly Grade[]
  readonly cloths: readonly Cloth[]
  readonly settings: ShopSettings
}

export async function openShop(): Promise<ShopLists> {
  const [grades, cloths, settings] = await Promise.all([fetchJson('/api/shop/grades'), fetchJson('/api/shop/cloths'), fetchJson('/api/shop/settings')])
  return { grades: z.array(Grade).parse(grades), cloths: z.array(Cloth).parse(cloths), settings: ShopSettings.parse(settings) }
}

export const saveSettings = async (settings: ShopSettings): Promise<ShopSettings> => ShopSettings.parse(await fetchJson('/api/shop/settings', { method: 'PUT', body: settings }))
