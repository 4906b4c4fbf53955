import { asc, eq, max } from 'drizzle-orm'
import type { z } from 'zod'
import type { Change } from '../../contract/index.ts'
import type { cloths, foamStock, grades, trims, Database } from '../db/index.ts'
import { mergedChange, type ChangeOutcome } from './merged-change.ts'

interface Thing {
  readonly id: string
}

export interface ThingTable<T extends Thing> {
  readonly list: () => Promise<readonly T[]>
  /** Puts changes on top of what is kept, all or none; new things come at the end. */
  readonly change: (changes: readonly Change<T>[]) => Promise<ChangeOutcome<readonly T[]>>
  readonly remove: (id: string) => Promise<void>
}

export interface ThingKind<T> {
  readonly table: typeof grades | typeof cloths | typeof foamStock | typeof trims
  readonly schema: z.ZodType<T>
  /** Brings a document of an older release to the present form. */
  readonly migrate?: (document: unknown) => unknown
  /** Places of amounts, which go by movements. */
  readonly counted?: readonly string[]
}

/** One list of the shop: each row a thing as a document of its schema. */
export function thingTable<T extends Thing>(
  { orm, write }: Database,
  { table, schema, migrate = (d) => d, counted = [] }: ThingKind<T>,
): ThingTable<T> {
  const read = (row: { document: string }): T => schema.parse(migrate(JSON.parse(row.document)))
  return {
    list: async () => (await orm.select().from(table).orderBy(asc(table.place))).map(read),
    change: (changes) =>
      write(async () => {
        const [last] = await orm.select({ place: max(table.place) }).from(table)
        const kept: T[] = []
        for (const change of changes) {
          const [row] = await orm.select().from(table).where(eq(table.id, change.value.id))
          const outcome = mergedChange(schema, row ? read(row) : null, change, counted)
          if (outcome.kind === 'conflict') return { ...outcome, theirs: outcome.theirs ? [outcome.theirs] : null }
          if (outcome.kind !== 'kept') return outcome
          kept.push(outcome.value)
        }
        const [first, ...others] = kept.map((thing, i) => {
          const document = JSON.stringify(thing)
          return orm
            .insert(table)
            .values({ id: thing.id, place: (last?.place ?? -1) + 1 + i, document })
            .onConflictDoUpdate({ target: table.id, set: { document } })
        })
        if (first) await orm.batch([first, ...others])
        return { kind: 'kept', value: kept }
      }),
    remove: (id) =>
      write(async () => {
        await orm.delete(table).where(eq(table.id, id))
      }),
  }
}
