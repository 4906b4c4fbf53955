import { eq } from 'drizzle-orm'
import {
  Cloth,
  FoamStock,
  Grade,
  migrateCloth,
  migrateGrade,
  migrateSettings,
  ShopSettings,
  type Change,
} from '../../contract/index.ts'
import { USUAL_WORKSHOP } from '../../core/defaults/index.ts'
import { cloths, foamStock, grades, shop, type Database } from '../db/index.ts'
import { mergedChange, type ChangeOutcome } from './merged-change.ts'
import { thingTable, type ThingTable } from './thing-table.ts'

export interface ShopRepository {
  readonly grades: ThingTable<Grade>
  readonly cloths: ThingTable<Cloth>
  readonly foamStock: ThingTable<FoamStock>
  readonly settings: () => Promise<ShopSettings>
  readonly changeSettings: (change: Change<ShopSettings>) => Promise<ChangeOutcome<ShopSettings>>
  readonly isEmpty: () => Promise<boolean>
  readonly stock: (
    grades: readonly Grade[],
    cloths: readonly Cloth[],
    foam: readonly FoamStock[],
    settings: ShopSettings,
  ) => Promise<void>
}

/** What jobs share: the foam catalogue, the cloths, and the settings with the allowance book. */
export function shopRepository(database: Database): ShopRepository {
  const { orm, write } = database
  const settings = async () => {
    const [row] = await orm.select().from(shop)
    if (!row) throw new Error('the shop has no settings: it was never stocked')
    return ShopSettings.parse(migrateSettings(JSON.parse(row.document), USUAL_WORKSHOP))
  }
  return {
    grades: thingTable(database, { table: grades, schema: Grade, migrate: migrateGrade }),
    cloths: thingTable(database, { table: cloths, schema: Cloth, migrate: migrateCloth, counted: ['supply.lengthMm'] }),
    foamStock: thingTable(database, { table: foamStock, schema: FoamStock, counted: ['count'] }),
    settings,
    changeSettings: (change) =>
      write(async () => {
        const outcome = mergedChange(ShopSettings, await settings(), change, [])
        if (outcome.kind === 'kept')
          await orm
            .update(shop)
            .set({ document: JSON.stringify(outcome.value) })
            .where(eq(shop.id, 1))
        return outcome
      }),
    isEmpty: async () => (await orm.select({ id: shop.id }).from(shop)).length === 0,
    stock: (gradeList, clothList, foamList, first) =>
      write(async () => {
        await orm.batch([
          orm.insert(shop).values({ id: 1, document: JSON.stringify(first) }),
          ...gradeList.map((g, place) => orm.insert(grades).values({ id: g.id, place, document: JSON.stringify(g) })),
          ...foamList.map((s, place) => orm.insert(foamStock).values({ id: s.id, place, document: JSON.stringify(s) })),
          ...clothList.map((c, place) => orm.insert(cloths).values({ id: c.id, place, document: JSON.stringify(c) })),
        ])
      }),
  }
}
