import { desc, eq, like } from 'drizzle-orm'
import { StockMove, type TakeStock } from '../../contract/index.ts'
import { stockMoves, type Database } from '../db/index.ts'

/** What was taken off the shelves and put back, as the book has it. */
export interface StockBook {
  readonly move: (id: string) => Promise<StockMove | null>
  /** The taking of a job that was not given back. */
  readonly standing: (jobId: string) => Promise<StockMove | null>
  /** What is still to be taken, and in words what other tickets of its joint lays have taken already. */
  readonly withoutTakenJoints: (taking: TakeStock) => Promise<{ readonly left: TakeStock; readonly lines: string[] }>
  /** The newest first. */
  readonly latest: (most: number) => Promise<readonly StockMove[]>
}

export function stockBook({ orm }: Database): StockBook {
  const readMove = ({ document }: { readonly document: string }) => StockMove.parse(JSON.parse(document))

  async function standing(jobId: string): Promise<StockMove | null> {
    const rows = await orm.select().from(stockMoves).where(eq(stockMoves.jobId, jobId)).orderBy(desc(stockMoves.at))
    const moves = rows.map(readMove)
    const back = new Set(moves.map((m) => m.givesBack))
    return moves.find((m) => m.taken !== null && !back.has(m.id)) ?? null
  }

  /** The taking of a joint lay that was not given back. */
  async function takingOf(jointId: string): Promise<StockMove | null> {
    const rows = await orm
      .select()
      .from(stockMoves)
      .where(like(stockMoves.document, `%"jointId":"${jointId}"%`))
    for (const move of rows.map(readMove)) if (move.jobId && (await standing(move.jobId))?.id === move.id) return move
    return null
  }

  return {
    move: async (id) => {
      const [row] = await orm.select().from(stockMoves).where(eq(stockMoves.id, id))
      return row ? readMove(row) : null
    },
    standing,
    // A joint lay leaves the shelf once: what another job has taken of it is not taken again.
    withoutTakenJoints: async (taking) => {
      const lines: string[] = []
      const still: TakeStock['cloths'] = []
      for (const cloth of taking.cloths) {
        const before = cloth.jointId === null ? null : await takingOf(cloth.jointId)
        const was = before?.taken?.cloths.find((c) => c.jointId === cloth.jointId)?.was
        if (before && was) lines.push(`${was.name}: cut together, ${before.says.replace(/^Taken/, 'taken')}`)
        else still.push(cloth)
      }
      return { left: { ...taking, cloths: still }, lines }
    },
    latest: async (most) =>
      (await orm.select().from(stockMoves).orderBy(desc(stockMoves.at)).limit(most)).map(readMove),
  }
}
