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
    GRADES.read(),
    CLOTHS.read(),
    FOAM_STOCK.read(),
    TRIMS.read(),
    fetchJson('/api/shop/settings'),
  ])
  return { grades, cloths, foamStock, trims, settings: known(ShopSettings, settings) }
}

/** Changes go with what they were made on: the server puts them beside what others changed meanwhile. */
export const saveSettings = async (change: Change<ShopSettings>): Promise<ShopSettings> =>
  known(ShopSettings, await fetchJson('/api/shop/settings', { method: 'PUT', body: change }))

/** What stands in a list of the shop. */
export interface Entry {
  readonly id: string
}

/** A list of the shop on the server. */
export interface ListOnServer<T> {
  readonly read: () => Promise<readonly T[]>
  /** Adds or changes things; answers with the whole list. */
  readonly save: (changes: readonly Change<T>[]) => Promise<readonly T[]>
  readonly remove: (id: string) => Promise<void>
}

const one = (address: string, id: string): string => `${address}/${encodeURIComponent(id)}`

function listAt<T extends Entry>(address: string, schema: z.ZodType<T>): Pick<ListOnServer<T>, 'read' | 'remove'> {
  return {
    read: async () => known(z.array(schema), await fetchJson(address)),
    remove: async (id) => void (await fetchJson(one(address, id), { method: 'DELETE' })),
  }
}

/** Several changes are taken all or none. */
const savedTogether = <T extends Entry>(address: string, schema: z.ZodType<T>): ListOnServer<T> => ({
  ...listAt(address, schema),
  save: async (changes) => known(z.array(schema), await fetchJson(address, { method: 'PUT', body: changes })),
})

function savedOneByOne<T extends Entry>(address: string, schema: z.ZodType<T>): ListOnServer<T> {
  const list = listAt(address, schema)
  return {
    ...list,
    save: async (changes) => {
      for (const change of changes) await fetchJson(one(address, change.value.id), { method: 'PUT', body: change })
      return list.read()
    },
  }
}

export const GRADES = savedTogether('/api/shop/grades', Grade)
export const CLOTHS = savedOneByOne('/api/shop/cloths', Cloth)
export const FOAM_STOCK = savedOneByOne('/api/shop/foam-stock', FoamStock)
export const TRIMS = savedTogether('/api/stock/trims', Trim)
