import { z } from 'zod'
import { Cloth, FoamStock, Grade, ShopSettings, Trim } from '../../contract/index.ts'
import { fetchJson } from './http.ts'

export interface ShopLists {
  readonly grades: readonly Grade[]
  readonly cloths: readonly Cloth[]
  readonly foamStock: readonly FoamStock[]
  readonly trims: readonly Trim[]
  readonly settings: ShopSettings
}

export async function openShop(): Promise<ShopLists> {
  const [grades, cloths, foamStock, trims, settings] = await Promise.all([fetchJson('/api/shop/grades'), fetchJson('/api/shop/cloths'), readFoamStock(), readTrims(), fetchJson('/api/shop/settings')])
  return { grades: z.array(Grade).parse(grades), foamStock, trims, cloths: z.array(Cloth).parse(cloths), settings: ShopSettings.parse(settings) }
}

export const saveSettings = async (settings: ShopSettings): Promise<ShopSettings> => ShopSettings.parse(await fetchJson('/api/shop/settings', { method: 'PUT', body: settings }))

export const readFoamStock = async (): Promise<readonly FoamStock[]> => z.array(FoamStock).parse(await fetchJson('/api/shop/foam-stock'))

/** Adds or changes grades, all or none; answers with the whole catalogue. */
export const saveGrades = async (grades: readonly Grade[]): Promise<readonly Grade[]> => z.array(Grade).parse(await fetchJson('/api/shop/grades', { method: 'PUT', body: grades }))

export const removeGrade = async (id: string): Promise<void> => void (await fetchJson(`/api/shop/grades/${encodeURIComponent(id)}`, { method: 'DELETE' }))

export const saveFoamStock = async (piece: FoamStock): Promise<FoamStock> => FoamStock.parse(await fetchJson(`/api/shop/foam-stock/${encodeURIComponent(piece.id)}`, { method: 'PUT', body: piece }))

export const removeFoamStock = async (id: string): Promise<void> => void (await fetchJson(`/api/shop/foam-stock/${encodeURIComponent(id)}`, { method: 'DELETE' }))

export const readCloths = async (): Promise<readonly Cloth[]> => z.array(Cloth).parse(await fetchJson('/api/shop/cloths'))

export const saveCloth = async (cloth: Cloth): Promise<Cloth> => Cloth.parse(await fetchJson(`/api/shop/cloths/${encodeURIComponent(cloth.id)}`, { method: 'PUT', body: cloth }))

export const removeCloth = async (id: string): Promise<void> => void (await fetchJson(`/api/shop/cloths/${encodeURIComponent(id)}`, { method: 'DELETE' }))

export const readTrims = async (): Promise<readonly Trim[]> => z.array(Trim).parse(await fetchJson('/api/stock/trims'))

export const saveTrims = async (trims: readonly Trim[]): Promise<readonly Trim[]> => z.array(Trim).parse(await fetchJson('/api/stock/trims', { method: 'PUT', body: trims }))

export const removeTrim = async (id: string): Promise<void> => void (await fetchJson(`/api/stock/trims/${encodeURIComponent(id)}`, { method: 'DELETE' }))
