import { desc, eq, like } from 'drizzle-orm'
import { StockMove, Trim, type GiveBack, type TakeStock } from '../../contract/index.ts'
import { cloths, foamStock, stockMoves, trims, type Database } from '../db/index.ts'
import { type ShopRepository } from '../shop/repository.ts'
import { thingTable, type ThingTable } from '../shop/thing-table.ts'
import { plannedReturn, plannedTaking, type Movement, type Shelves } from './taking.ts'

export type TakeOutcome =
  | { readonly kind: 'done'; readonly move: StockMove }
  | { readonly kind: 'short'; readonly faults: readonly string[] }
  /** The job has its share already. */
  | { readonly kind: 'taken-already'; readonly move: StockMove }
  | { readonly kind: 'nothing-taken' }

export interface StockRepository {
  readonly trims: ThingTable<Trim>
  /** All of it or nothing, once for a job until it is given back; what would leave less than nothing is named. */
  readonly take: (taking: TakeStock) => Promise<TakeOutcome>
  /** Lays what a job took back on the shelves. */
  readonly giveBack: (act: GiveBack) => Promise<TakeOutcome>
  readonly moves: (most: number) => Promise<readonly StockMove[]>
}

/** What is on the shelves: taken off for jobs, put back, counted. */
export function stockRepository(database: Database, shop: ShopRepository, now: () => Date): StockRepository {
  const { orm, write } = database
  const trimTable = thingTable(database, { table: trims, schema: Trim, counted: ['inHand'] })
  const shelves = async (): Promise<Shelves> => ({
    trims: await trimTable.list(),
    cloths: await shop.cloths.list(),
    foam: await shop.foamStock.list(),
  })
  const moveAt = async (id: string): Promise<StockMove | null> => {
    const [row] = await orm.select().from(stockMoves).where(eq(stockMoves.id, id))
    return row ? StockMove.parse(JSON.parse(row.document)) : null
  }
  /** The taking of a job that was not given back. */
  async function standing(jobId: string): Promise<StockMove | null> {
    const rows = await orm.select().from(stockMoves).where(eq(stockMoves.jobId, jobId)).orderBy(desc(stockMoves.at))
    const moves = rows.map((r) => StockMove.parse(JSON.parse(r.document)))
    const back = new Set(moves.map((m) => m.givesBack))
    return moves.find((m) => m.taken !== null && !back.has(m.id)) ?? null
  }
  /** A joint lay leaves the shelf once: what another job has taken of it is not taken again. */
  async function withoutTakenJoints(taking: TakeStock): Promise<{ left: TakeStock; lines: readonly string[] }> {
    const lines: string[] = []
    const still: TakeStock['cloths'] = []
    for (const cloth of taking.cloths) {
      const before = cloth.jointId === null ? null : await takingOf(cloth.jointId)
      const was = before?.taken?.cloths.find((c) => c.jointId === cloth.jointId)?.was
      if (before && was) lines.push(`${was.name}: cut together, ${before.says.replace(/^Taken/, 'taken')}`)
      else still.push(cloth)
    }
    return { left: { ...taking, cloths: still }, lines }
  }
  /** The taking of a joint lay that was not given back. */
  async function takingOf(jointId: string): Promise<StockMove | null> {
    const rows = await orm
      .select()
      .from(stockMoves)
      .where(like(stockMoves.document, `%"jointId":"${jointId}"%`))
    for (const { document } of rows) {
      const move = StockMove.parse(JSON.parse(document))
      if (move.jobId && (await standing(move.jobId))?.id === move.id) return move
    }
    return null
  }
  async function keep(move: StockMove, { trims: t, cloths: c, clothsGone, foam, foamGone }: Movement): Promise<void> {
    const put = (table: typeof trims | typeof cloths | typeof foamStock) => (thing: { readonly id: string }) => {
      const document = JSON.stringify(thing)
      return orm
        .insert(table)
        .values({ id: thing.id, place: LAST, document })
        .onConflictDoUpdate({ target: table.id, set: { document } })
    }
    const book = { id: move.id, at: move.at, jobId: move.jobId, document: JSON.stringify(move) }
    await orm.batch([
      orm.insert(stockMoves).values(book),
      ...t.map(put(trims)),
      ...c.map(put(cloths)),
      ...clothsGone.map((id) => orm.delete(cloths).where(eq(cloths.id, id))),
      ...foam.map(put(foamStock)),
      ...foamGone.map((id) => orm.delete(foamStock).where(eq(foamStock.id, id))),
    ])
  }
  return {
    trims: trimTable,
    take: (taking) =>
      write(async (): Promise<TakeOutcome> => {
        const done = await moveAt(taking.id)
        if (done) return { kind: 'done', move: done }
        const before = await standing(taking.jobId)
        if (before) return { kind: 'taken-already', move: before }
        const { left, lines } = await withoutTakenJoints(taking)
        const planned = plannedTaking(await shelves(), left)
        if (!planned.ok) return { kind: 'short', faults: planned.faults }
        const move: StockMove = {
          id: taking.id,
          at: now().toISOString(),
          jobId: taking.jobId,
          says: `Taken for ${taking.ticket}`,
          lines: [...planned.lines, ...lines],
          taken: planned.taken,
          givesBack: null,
        }
        await keep(move, planned)
        return { kind: 'done', move }
      }),
    giveBack: ({ id, jobId }) =>
      write(async (): Promise<TakeOutcome> => {
        const done = await moveAt(id)
        if (done) return { kind: 'done', move: done }
        const before = await standing(jobId)
        if (!before?.taken) return { kind: 'nothing-taken' }
        const move: StockMove = {
          id,
          at: now().toISOString(),
          jobId,
          says: before.says.replace(/^Taken for/, 'Given back from'),
          lines: before.lines,
          taken: null,
          givesBack: before.id,
        }
        await keep(move, plannedReturn(await shelves(), before.taken))
        return { kind: 'done', move }
      }),
    moves: async (most) =>
      (await orm.select().from(stockMoves).orderBy(desc(stockMoves.at)).limit(most)).map((r) =>
        StockMove.parse(JSON.parse(r.document)),
      ),
  }
}

/** What comes back to a shelf it had left comes at its end. */
const LAST = 1_000_000
