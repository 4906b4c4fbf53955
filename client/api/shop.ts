import { z } from 'zod'
import { Cloth, FoamStock, Grade, ShopSettings, Trim, type Change } from '../../contract/index.ts'
import { fetchJson, known } from './http.ts'

export interface ShopLists {
  readonly grades: readonly Grade[]
  readonly cloths: readonly Cloth[]
  readonly foamStock: readonly FoamStock[]
  readonly trims: readonly Trim[]
  readonly settings: ShopSettings
}

/** All lists of the shop and its settings, at once. */
export async function openShop(): Promise<ShopLists> {
  const [grades, cloths, foamStock, trims, settings] = await Promise.all([
    fetchJson('/api/shop/grades'),
    fetchJson('/api/shop/cloths'),
    readFoamStock(),
    readTrims(),
    fetchJson('/api/shop/settings'),
  ])
  return {
    grades: z.array(Grade).parse(grades),
    foamStock,
    trims,
    cloths: z.array(Cloth).parse(cloths),
    settings: ShopSettings.parse(settings),
  }
}

/** Changes go with what they were made on: the server puts them beside what others changed meanwhile. */
export const saveSettings = async (change: Change<ShopSettings>): Promise<ShopSettings> =>
  known(ShopSettings, await fetchJson('/api/shop/settings', { method: 'PUT', body: change }))

export const readFoamStock = async (): Promise<readonly FoamStock[]> =>
  known(z.array(FoamStock), await fetchJson('/api/shop/foam-stock'))

/** Adds or changes grades, all or none; answers with the whole catalogue. */
export const saveGrades = async (grades: readonly Change<Grade>[]): Promise<readonly Grade[]> =>
  known(z.array(Grade), await fetchJson('/api/shop/grades', { method: 'PUT', body: grades }))

export const removeGrade = async (id: string): Promise<void> =>
  void (await fetchJson(`/api/shop/grades/${encodeURIComponent(id)}`, { method: 'DELETE' }))

export const saveFoamStock = async (change: Change<FoamStock>): Promise<FoamStock> =>
  known(
    FoamStock,
    await fetchJson(`/api/shop/foam-stock/${encodeURIComponent(change.value.id)}`, { method: 'PUT', body: change }),
  )

export const removeFoamStock = async (id: string): Promise<void> =>
  void (await fetchJson(`/api/shop/foam-stock/${encodeURIComponent(id)}`, { method: 'DELETE' }))

export const readCloths = async (): Promise<readonly Cloth[]> =>
  known(z.array(Cloth), await fetchJson('/api/shop/cloths'))

export const saveCloth = async (change: Change<Cloth>): Promise<Cloth> =>
  known(
    Cloth,
    await fetchJson(`/api/shop/cloths/${encodeURIComponent(change.value.id)}`, { method: 'PUT', body: change }),
  )

export const removeCloth = async (id: string): Promise<void> =>
  void (await fetchJson(`/api/shop/cloths/${encodeURIComponent(id)}`, { method: 'DELETE' }))

export const readTrims = async (): Promise<readonly Trim[]> => known(z.array(Trim), await fetchJson('/api/stock/trims'))

export const saveTrims = async (trims: readonly Change<Trim>[]): Promise<readonly Trim[]> =>
  known(z.array(Trim), await fetchJson('/api/stock/trims', { method: 'PUT', body: trims }))

export const removeTrim = async (id: string): Promise<void> =>
  void (await fetchJson(`/api/stock/trims/${encodeURIComponent(id)}`, { method: 'DELETE' }))
