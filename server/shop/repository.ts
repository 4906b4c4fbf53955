import { asc } from 'drizzle-orm'
import { Cloth, Grade, ShopSettings } from '../../contract/index.ts'
import { cloths, grades, shop, type Database } from '../db/index.ts'

export interface ShopRepository {
  readonly grades: () => Promise<readonly Grade[]>
  readonly cloths: () => Promise<readonly Cloth[]>
  readonly settings: () => Promise<ShopSettings>
  readonly saveSettings: (settings: ShopSettings) => Promise<void>
  readonly isEmpty: () => Promise<boolean>
  readonly stock: (grades: readonly Grade[], cloths: readonly Cloth[], settings: ShopSettings) => Promise<void>
}

/** What jobs share: the foam catalogue, the cloths, and the settings with the allowance book. */
export function shopRepository({ orm, write }: Database): ShopRepository {
  return {
    grades: async () => (await orm.select().from(grades).orderBy(asc(grades.place))).map((row) => Grade.parse(JSON.parse(row.document))),
    cloths: async () => (await orm.select().from(cloths).orderBy(asc(cloths.place))).map((row) => Cloth.parse(JSON.parse(row.document))),
    settings: async () => {
      const [row] = await orm.select().from(shop)
      if (!row) throw new Error('the shop has no settings: it was never stocked')
      return ShopSettings.parse(JSON.parse(row.document))
    },
    saveSettings: (settings) =>
      write(async () => {
        await orm.update(shop).set({ document: JSON.stringify(settings) })
      }),
    isEmpty: async () => (await orm.select({ id: shop.id }).from(shop)).length === 0,
    stock: (gradeList, clothList, settings) =>
      write(async () => {
        await orm.batch([
          orm.insert(shop).values({ id: 1, document: JSON.stringify(settings) }),
          orm.insert(grades).values(gradeList.map((g, place) => ({ id: g.id, place, document: JSON.stringify(g) }))),
          orm.insert(cloths).values(clothList.map((c, place) => ({ id: c.id, place, document: JSON.stringify(c) }))),
        ])
      }),
  }
}
