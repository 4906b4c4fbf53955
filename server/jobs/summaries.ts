import { setImmediate as breath } from 'node:timers/promises'
import { and, asc, gt, isNull } from 'drizzle-orm'
import type { JobCard, JobSummary } from '../../contract/index.ts'
import { unreadableCard } from '../../core/card/index.ts'
import { cardKeeper } from '../cards/card-keeper.ts'
import { jobs, type Database } from '../db/index.ts'
import { chunksOf, gzipOf, type Chunk } from './packed-list.ts'
import { presentCard } from './repository.ts'

/** For the shelf a summary goes without what only the days, the stock and the learning need. */
export type ListForm = 'whole' | 'shelf'

export interface ListText {
  readonly json: Buffer
  readonly gzip: Buffer
  /** Another one for every change of the list. */
  readonly tag: string
}

export interface Summaries {
  readonly list: (form: ListForm) => Promise<ListText>
  readonly saved: (row: typeof jobs.$inferSelect) => void
  /** The tables were changed round the repository: all is read again. */
  readonly forget: () => void
  readonly close: () => Promise<void>
}

interface Line {
  readonly ticket: string
  readonly revision: number
  readonly texts: Readonly<Record<ListForm, string>>
}

const ROWS_AT_ONCE = 200
const CARDS_TOGETHER_MS = 300

/**
 * Every job as lists show it, held as text between changes: a list is put together from it, not from the tables.
 * Cards that are not worked out yet are ordered; `told` hears when some have come.
 */
export function summariesOf(database: Database, told: () => void): Summaries {
  const { orm } = database
  const epoch = Date.now().toString(36)
  let lines = new Map<string, Line>()
  let order: readonly string[] | null = null
  let timer: NodeJS.Timeout | undefined
  let reading: Promise<void> | null = null
  let version = 0

  const cards = cardKeeper(database, (id, revision, card) => {
    const line = lines.get(id)
    if (!line || line.revision !== revision) return
    put(id, { ...(JSON.parse(line.texts.whole) as JobSummary), card })
    cardsCame()
  })
  /** Cards come one by one: lists are made anew, and pages told, for some of them together. */
  function cardsCame(): void {
    timer ??= setTimeout(() => {
      timer = undefined
      version++
      told()
    }, CARDS_TOGETHER_MS).unref()
  }
  function put(id: string, summary: JobSummary): void {
    const { ticket, revision } = summary
    const texts = {
      whole: JSON.stringify(summary),
      shelf: JSON.stringify({ ...summary, card: shelfCard(summary.card) }),
    }
    const before = lines.get(id)
    if (before?.ticket !== ticket) order = null
    lines.set(id, { ticket, revision, texts })
  }
  function take(row: typeof jobs.$inferSelect): void {
    const known = lines.get(row.id)
    if (known && known.revision > row.revision) return
    const { document: _, comingWith: __, card: text, ...rest } = row
    const card = cardIn(text)
    put(row.id, { ...rest, card: card ?? { ...unreadableCard(''), worked: { kind: 'under-way' } } })
    version++
    if (card === null || card.worked.kind === 'under-way') cards.wanted(row, !card?.cushions)
  }
  async function readAll(): Promise<void> {
    const mine = lines
    for (let after = ''; mine === lines;) {
      const rows = await orm
        .select()
        .from(jobs)
        .where(and(gt(jobs.id, after), isNull(jobs.comingWith)))
        .orderBy(asc(jobs.id))
        .limit(ROWS_AT_ONCE)
      rows.forEach(take)
      if (rows.length < ROWS_AT_ONCE) return
      after = rows.at(-1)!.id
      await breath()
    }
  }
  /** Until all is read, and read again where it was forgotten meanwhile. */
  async function allRead(): Promise<void> {
    const mine = (reading ??= readAll())
    try {
      await mine
    } catch (error) {
      if (reading === mine) reading = null
      throw error
    }
    if (reading !== mine) await allRead()
  }
  const chunks: Record<ListForm, readonly Chunk[]> = { whole: [], shelf: [] }
  const made: Partial<Record<ListForm, ListText & { readonly version: number }>> = {}
  function textOf(form: ListForm): ListText {
    const known = made[form]
    if (known?.version === version) return known
    order ??= [...lines].sort(([a, x], [b, y]) => compare(x.ticket, y.ticket) || compare(a, b)).map(([id]) => id)
    chunks[form] = chunksOf(
      order.map((id) => lines.get(id)!.texts[form]),
      chunks[form],
    )
    const json = Buffer.concat(chunks[form].map((c) => c.json))
    const tag = `"${epoch}-${version}-${form}"`
    const text = { json, gzip: gzipOf(chunks[form], json), tag, version }
    made[form] = text
    return text
  }
  return {
    list: async (form) => {
      await allRead()
      return textOf(form)
    },
    saved: (row) => take(row),
    forget: () => {
      lines = new Map()
      order = null
      reading = null
      version++
    },
    close: () => {
      clearTimeout(timer)
      return cards.close()
    },
  }
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)

const shelfCard = (card: JobCard): JobCard => ({
  ...card,
  left: [],
  needs: { trims: [], cloths: [] },
  fits: [],
  times: [],
  trimmed: [],
  used: [],
})

function cardIn(text: string | null): JobCard | null {
  try {
    return presentCard(text)
  } catch {
    return null
  }
}
