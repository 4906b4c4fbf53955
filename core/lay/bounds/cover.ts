import { pricesOf, type Column, type Prices } from './covering.ts'
import type { Pattern } from './patterns.ts'

/** A slab of a kind of piece in one of the ways it may be turned. */
export interface Row {
  readonly kind: number
  readonly height: number
  readonly width: number
}

/** One way to turn a piece: its rows, and what of its area lies in none of them. */
export interface Way {
  readonly rows: readonly number[]
  readonly besideMm2: number
}

/** Pieces that may stand for each other. */
export interface Kind {
  readonly count: number
  readonly ways: readonly Way[]
}

/** What is to be crossed by lines across the cloth. */
export interface Crossed {
  readonly rows: readonly Row[]
  readonly kinds: readonly Kind[]
  /** Area of pieces that no row tells. */
  readonly othersMm2: number
  /** How wide the cloth is for what lies abreast. */
  readonly capacity: number
}

/** What lies abreast on one line: rows, and how often each. */
export type Abreast = readonly (readonly [row: number, count: number])[]

/** How what may lie abreast is searched. */
export interface Search {
  /** What is worth most at these prices; its worth no less than that of any line across a true lay. */
  readonly dearest: (prices: Prices) => Pattern
  /** Looks that one takes. */
  readonly work: number
  /** To begin with. */
  readonly known: readonly Abreast[]
  /** How often each row can lie abreast by itself. */
  readonly alone: readonly number[]
}

/** How much of each row is to be crossed for pieces that lie one way only. */
export const crossedByFixed = (rows: readonly Row[], kinds: readonly Kind[]): readonly number[] =>
  rows.map(({ kind, height }, r) => {
    const { count, ways } = kinds[kind]!
    return ways.length === 1 && ways[0]!.rows.includes(r) ? height * count : 0
  })

const PROVE_EVERY = 40
/** What is not found by then is left: the search for lays wants the time. */
const MOST_EXCHANGES = 600
/** A look, in the unit of work. */
const LOOK = 0.004

/**
 * The shortest pile of cross-sections that crosses every piece on all of its height, fractions allowed, solved column by
 * column. What of pieces lies in no slab takes what the patterns leave free. Whatever prices the search comes to, a bound
 * follows from the dearest pattern at them (Farley, A note on bounding a class of linear programming problems, 1990).
 * Yields the work done; `prove` is told of each bound.
 */
export function* shortestPile(
  { rows, kinds, othersMm2, capacity }: Crossed,
  { dearest, work, known, alone }: Search,
  prove: (length: number) => void,
): Generator<number, void> {
  /** A kind that may be turned is, in one of its ways, which then wants its rows crossed. */
  const turned = kinds.filter((k) => k.ways.length > 1)
  const fixed = kinds.filter((k) => k.ways.length === 1)
  /** The last row of all: area beside the slabs, as so much of the length of the cloth. */
  const beside = rows.length + turned.length
  const freeIn = (taken: Abreast) => taken.reduce((free, [r, n]) => free - n * rows[r]!.width, capacity) / capacity
  const patternOf = (taken: Abreast): Column => ({ cost: 1, brings: [...taken, [beside, Math.max(0, freeIn(taken))]] })
  const dearestAt = (prices: Prices) => {
    const each = Math.max(0, prices[beside]!)
    const { worth, taken } = dearest(prices.map((p, r) => Math.max(0, p) - ((rows[r]?.width ?? 0) / capacity) * each))
    return { worth: worth + each, column: patternOf(taken) }
  }
  const tell = (prices: Prices): void => {
    const priceOf = (r: number) => Math.max(0, prices[r]!)
    const priceOfWay = (way: Way) =>
      way.rows.reduce((sum, r) => sum + rows[r]!.height * priceOf(r), (way.besideMm2 / capacity) * priceOf(beside))
    const total = kinds.reduce(
      (sum, { count, ways }) => sum + count * Math.min(...ways.map(priceOfWay)),
      (othersMm2 / capacity) * priceOf(beside),
    )
    const { worth } = dearestAt(prices)
    if (worth > 0) prove(total / worth)
  }
  const turns = turned.map(({ ways }, k) =>
    ways.map((way): Column => ({
      cost: 0,
      brings: [
        [rows.length + k, 1],
        ...way.rows.map((r) => [r, -rows[r]!.height] as const),
        [beside, -way.besideMm2 / capacity],
      ],
    })),
  )
  const wanted = [
    ...crossedByFixed(rows, kinds),
    ...turned.map((k) => k.count),
    fixed.reduce((sum, { count, ways }) => sum + count * ways[0]!.besideMm2, othersMm2) / capacity,
  ]
  const columns = [...turns.flat(), ...known.map(patternOf)]
  const gainOf = (c: Column, prices: Prices) => c.brings.reduce((sum, [r, n]) => sum + n * prices[r]!, -c.cost)
  const entering = (prices: Prices): Column | null => {
    const best = columns.reduce<Column | null>(
      (a, b) => (a === null || gainOf(b, prices) > gainOf(a, prices) ? b : a),
      null,
    )
    if (best && gainOf(best, prices) > 1e-6) return best
    const { worth, column } = dearestAt(prices)
    return worth > 1 + 1e-6 ? column : null
  }
  /** Together they cross everything, each of them only what is its own. */
  const start: readonly Column[] = [
    ...rows.map((_, r): Column => ({ cost: 1, brings: [[r, alone[r]!]] })),
    ...turns.map((t) => t[0]!),
    patternOf([]),
  ]
  let last: Prices | null = null
  let since = 0
  for (const prices of pricesOf(start, wanted, entering)) {
    last = prices
    yield LOOK * (work + wanted.length ** 2)
    if (since > MOST_EXCHANGES) break
    if (++since % PROVE_EVERY > 0) continue
    tell(prices)
    yield LOOK * work
  }
  if (last) tell(last)
}
