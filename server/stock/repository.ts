import { Trim, type GiveBack, type StockMove, type TakeStock } from '../../contract/index.ts'
import { trims, type Database } from '../db/index.ts'
import { type ShopRepository } from '../shop/repository.ts'
import { thingTable, type ThingTable } from '../shop/thing-table.ts'
import { keepMovement } from './keep-movement.ts'
import { stockBook } from './stock-book.ts'
import { plannedReturn, plannedTaking, type Shelves } from './taking.ts'

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
  const { write } = database
  const trimTable = thingTable(database, { table: trims, schema: Trim, counted: ['inHand'] })
  const book = stockBook(database)
  const shelves = async (): Promise<Shelves> => ({
    trims: await trimTable.list(),
    cloths: await shop.cloths.list(),
    foam: await shop.foamStock.list(),
  })

  async function take(taking: TakeStock): Promise<TakeOutcome> {
    const done = await book.move(taking.id)
    if (done) return { kind: 'done', move: done }
    const before = await book.standing(taking.jobId)
    if (before) return { kind: 'taken-already', move: before }
    const { left, lines } = await book.withoutTakenJoints(taking)
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
    await keepMovement(database, move, planned)
    return { kind: 'done', move }
  }

  async function giveBack({ id, jobId }: GiveBack): Promise<TakeOutcome> {
    const done = await book.move(id)
    if (done) return { kind: 'done', move: done }
    const before = await book.standing(jobId)
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
    await keepMovement(database, move, plannedReturn(await shelves(), before.taken))
    return { kind: 'done', move }
  }

  return {
    trims: trimTable,
    take: (taking) => write(() => take(taking)),
    giveBack: (act) => write(() => giveBack(act)),
    moves: book.latest,
  }
}
