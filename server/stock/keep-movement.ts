import { eq } from 'drizzle-orm'
import type { StockMove } from '../../contract/index.ts'
import { cloths, foamStock, stockMoves, trims, type Database } from '../db/index.ts'
import type { Movement } from './taking.ts'

/** Writes a move into the book and what it did to the shelves beside it: all of it or nothing. */
export async function keepMovement({ orm }: Database, move: StockMove, done: Movement): Promise<void> {
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
    ...done.trims.map(put(trims)),
    ...done.cloths.map(put(cloths)),
    ...done.clothsGone.map((id) => orm.delete(cloths).where(eq(cloths.id, id))),
    ...done.foam.map(put(foamStock)),
    ...done.foamGone.map((id) => orm.delete(foamStock).where(eq(foamStock.id, id))),
  ])
}

/** What comes back to a shelf it had left comes at its end. */
const LAST = 1_000_000
