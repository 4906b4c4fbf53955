import { randomUUID } from 'node:crypto'
import { asc, desc, eq, max } from 'drizzle-orm'
import { Cloth, FoamStock, migrateCloth, StockMove, Trim, type TakeStock } from '../../contract/index.ts'
import { cloths, foamStock, stockMoves, trims, type Database } from '../db/index.ts'
import { plannedTaking, type Shelves } from './taking.ts'

export type TakeOutcome = { readonly kind: 'taken'; readonly move: StockMove } | { readonly kind: 'short'; readonly faults: readonly string[] }

export interface StockRepository {
  readonly trims: () => Promise<readonly Trim[]>
  readonly saveTrims: (list: readonly Trim[]) => Promise<void>
  readonly removeTrim: (id: string) => Promise<void>
  /** All of it or nothing; what would leave less than nothing is named. */
  readonly take: (taking: TakeStock) => Promise<TakeOutcome>
  readonly moves: (most: number) => Promise<readonly StockMove[]>
}

export function stockRepository({ orm, write }: Database, now: () => Date): StockRepository {
  const readTrims = async () => (await orm.select().from(trims).orderBy(asc(trims.place))).map((r) => Trim.parse(JSON.parse(r.document)))
  const shelves = async (): Promise<Shelves> => ({
    trims: await readTrims(),
    cloths: (await orm.select().from(cloths)).map((r) => Cloth.parse(migrateCloth(JSON.parse(r.document)))),
    foam: (await orm.select().from(foamStock)).map((r) => FoamStock.parse(JSON.parse(r.document))),
  })
  return {
    trims: readTrims,
    saveTrims: (list) =>
      write(async () => {
        const [last] = await orm.select({ place: max(trims.place) }).from(trims)
        const [first, ...others] = list.map((t, i) => {
          const document = JSON.stringify(t)
          return orm.insert(trims).values({ id: t.id, place: (last?.place ?? -1) + 1 + i, document }).onConflictDoUpdate({ target: trims.id, set: { document } })
        })
        if (first) await orm.batch([first, ...others])
      }),
    removeTrim: (id) =>
      write(async () => {
        await orm.delete(trims).where(eq(trims.id, id))
      }),
    take: (taking) =>
      write(async () => {
        const planned = plannedTaking(await shelves(), taking)
        if (!planned.ok) return { kind: 'short', faults: planned.faults }
        const move: StockMove = { id: randomUUID(), at: now().toISOString(), jobId: taking.jobId, says: `Taken for ${taking.ticket}`, lines: [...planned.lines] }
        const document = JSON.stringify(move)
        await orm.batch([
          orm.insert(stockMoves).values({ id: move.id, at: move.at, jobId: move.jobId, document }),
          ...planned.trims.map((t) => orm.update(trims).set({ document: JSON.stringify(t) }).where(eq(trims.id, t.id))),
          ...planned.cloths.map((c) => orm.update(cloths).set({ document: JSON.stringify(c) }).where(eq(cloths.id, c.id))),
          ...planned.clothsGone.map((id) => orm.delete(cloths).where(eq(cloths.id, id))),
          ...planned.foam.map((f) => orm.update(foamStock).set({ document: JSON.stringify(f) }).where(eq(foamStock.id, f.id))),
          ...planned.foamGone.map((id) => orm.delete(foamStock).where(eq(foamStock.id, id))),
        ])
        return { kind: 'taken', move }
      }),
    moves: async (most) => (await orm.select().from(stockMoves).orderBy(desc(stockMoves.at)).limit(most)).map((r) => StockMove.parse(JSON.parse(r.document))),
  }
}
