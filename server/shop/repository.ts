import { asc, eq, max } from 'drizzle-orm'
import { Cloth, FoamStock, Grade, migrateCloth, migrateGrade, migrateSettings, ShopSettings } from '../../contract/index.ts'
import { USUAL_WORKSHOP } from '../../core/shop/index.ts'
import { cloths, foamStock, grades, shop, type Database } from '../db/index.ts'

export interface ShopRepository {
  readonly grades: () => Promise<readonly Grade[]>
  readonly cloths: () => Promise<readonly Cloth[]>
  /** Adds a cloth at the end, or puts it in the place of the one with its id. */
  readonly saveCloth: (cloth: Cloth) => Promise<void>
  readonly removeCloth: (id: string) => Promise<void>
  readonly settings: () => Promise<ShopSettings>
  readonly saveSettings: (settings: ShopSettings) => Promise<void>
  /** Adds grades, or puts them in the place of those with the same id; all or none. */
  readonly saveGrades: (grades: readonly Grade[]) => Promise<void>
  readonly removeGrade: (id: string) => Promise<void>
  readonly foamStock: () => Promise<readonly FoamStock[]>
  readonly saveFoamStock: (piece: FoamStock) => Promise<void>
  readonly removeFoamStock: (id: string) => Promise<void>
  readonly isEmpty: () => Promise<boolean>
  readonly stock: (grades: readonly Grade[], cloths: readonly Cloth[], foam: readonly FoamStock[], settings: ShopSettings) => Promise<void>
}

/** What jobs share: the foam catalogue, the cloths, and the settings with the allowance book. */
export function shopRepository({ orm, write }: Database): ShopRepository {
  return {
    grades: async () => (await orm.select().from(grades).orderBy(asc(grades.place))).map((row) => Grade.parse(migrateGrade(JSON.parse(row.document)))),
    cloths: async () => (await orm.select().from(cloths).orderBy(asc(cloths.place))).map((row) => Cloth.parse(migrateCloth(JSON.parse(row.document)))),
    saveCloth: (cloth) =>
      write(async () => {
        const [last] = await orm.select({ place: max(cloths.place) }).from(cloths)
        const document = JSON.stringify(cloth)
        await orm.insert(cloths).values({ id: cloth.id, place: (last?.place ?? -1) + 1, document }).onConflictDoUpdate({ target: cloths.id, set: { document } })
      }),
    removeCloth: (id) =>
      write(async () => {
        await orm.delete(cloths).where(eq(cloths.id, id))
      }),
    settings: async () => {
      const [row] = await orm.select().from(shop)
      if (!row) throw new Error('the shop has no settings: it was never stocked')
      return ShopSettings.parse(migrateSettings(JSON.parse(row.document), USUAL_WORKSHOP))
    },
    saveSettings: (settings) =>
      write(async () => {
        await orm.update(shop).set({ document: JSON.stringify(settings) })
      }),
    saveGrades: (list) =>
      write(async () => {
        const [last] = await orm.select({ place: max(grades.place) }).from(grades)
        const [first, ...others] = list.map((g, i) => {
          const document = JSON.stringify(g)
          return orm.insert(grades).values({ id: g.id, place: (last?.place ?? -1) + 1 + i, document }).onConflictDoUpdate({ target: grades.id, set: { document } })
        })
        if (first) await orm.batch([first, ...others])
      }),
    removeGrade: (id) =>
      write(async () => {
        await orm.delete(grades).where(eq(grades.id, id))
      }),
    foamStock: async () => (await orm.select().from(foamStock).orderBy(asc(foamStock.place))).map((row) => FoamStock.parse(JSON.parse(row.document))),
    saveFoamStock: (piece) =>
      write(async () => {
        const [last] = await orm.select({ place: max(foamStock.place) }).from(foamStock)
        const document = JSON.stringify(piece)
        await orm.insert(foamStock).values({ id: piece.id, place: (last?.place ?? -1) + 1, document }).onConflictDoUpdate({ target: foamStock.id, set: { document } })
      }),
    removeFoamStock: (id) =>
      write(async () => {
        await orm.delete(foamStock).where(eq(foamStock.id, id))
      }),
    isEmpty: async () => (await orm.select({ id: shop.id }).from(shop)).length === 0,
    stock: (gradeList, clothList, foamList, settings) =>
      write(async () => {
        await orm.batch([
          orm.insert(shop).values({ id: 1, document: JSON.stringify(settings) }),
          orm.insert(grades).values(gradeList.map((g, place) => ({ id: g.id, place, document: JSON.stringify(g) }))),
          ...foamList.map((s, place) => orm.insert(foamStock).values({ id: s.id, place, document: JSON.stringify(s) })),
          orm.insert(cloths).values(clothList.map((c, place) => ({ id: c.id, place, document: JSON.stringify(c) }))),
        ])
      }),
  }
}
