import type { Instance } from '../instance.ts'
import type { Shape } from '../shape.ts'
import { ACCEPTED_OVERLAP_MM } from '../tolerances.ts'
import { pricesOf, type Column, type Prices } from './covering.ts'
import { patternsOn } from './patterns.ts'
import { profileOf } from './profile.ts'

/** A slab of a kind of piece in one of the ways it may be turned. */
interface Row {
  readonly kind: number
  readonly height: number
  readonly width: number
}

interface Kind {
  readonly count: number
  /** For each way of turning it, its rows. */
  readonly ways: readonly (readonly number[])[]
}

/** Widths are counted in these steps. */
const STEP_MM = 0.5
const MOST_STEPS = 6000
const PROVE_EVERY = 40
/** What is not found by then is left: the search for lays wants the time. */
const MOST_EXCHANGES = 600
/** The more slabs tell a piece that is no box, the nearer, and the longer it takes. */
const [LEAST_SLABS, MOST_SLABS, ROWS_WANTED] = [3, 10, 80]
/** With more rows than this the area says nearly as much, and at once. */
const MOST_ROWS = 240
/** A look, in the unit of work. */
const LOOK = 0.004

/**
 * No lay is shorter than the shortest pile of cross-sections that has every piece in it: on a line across the cloth lie
 * as many pieces as it is wide for, and each piece is crossed on all of its height. That is a covering by patterns,
 * fractions allowed, solved column by column; and whatever prices the search comes to, a bound follows from the dearest
 * pattern at them (Farley, A note on bounding a class of linear programming problems, 1990). Yields the work done;
 * `prove` is told of each better bound.
 */
export function* crossSections(instance: Instance, prove: (length: number) => void): Generator<number, void> {
  const { rows, kinds } = rowsOf(instance)
  if (rows.length > MOST_ROWS) return
  const capacity = instance.reachMm + instance.gap + 2 * ACCEPTED_OVERLAP_MM
  const counts = kinds.map((k) => k.count)
  const patterns = patternsOn(rows, counts, capacity, Math.max(STEP_MM, capacity / MOST_STEPS))
  if (!patterns) return
  let best = 0
  const tell = (prices: Prices): void => {
    const positive = prices.map((p) => Math.max(0, p))
    const priceOf = (way: readonly number[]) => way.reduce((sum, r) => sum + rows[r]!.height * positive[r]!, 0)
    const total = kinds.reduce((sum, { count, ways }) => sum + count * Math.min(...ways.map(priceOf)), 0)
    const { worth } = patterns.dearest(positive)
    if (worth > 0 && total / worth > best) prove((best = total / worth))
  }
  /** A kind that may be turned is, in one of its ways, which then wants its rows covered. */
  const turned = kinds.filter((k) => k.ways.length > 1)
  const turns = turned.map(({ ways }, k) =>
    ways.map((way): Column => ({
      cost: 0,
      brings: [[rows.length + k, 1], ...way.map((r) => [r, -rows[r]!.height] as const)],
    })),
  )
  const alone = rows.map(({ kind, width }, r): Column => ({
    cost: 1,
    brings: [[r, Math.max(1, Math.min(counts[kind]!, Math.floor(capacity / width)))]],
  }))
  const wanted = [
    ...rows.map(({ kind, height }) => (kinds[kind]!.ways.length > 1 ? 0 : height * counts[kind]!)),
    ...turned.map((k) => k.count),
  ]
  const worthOf = (column: Column, prices: Prices) => column.brings.reduce((sum, [r, n]) => sum + n * prices[r]!, 0)
  const known = [...turns.flat(), ...piled(rows, wanted, counts, capacity)]
  const dearest = (prices: Prices): Column | null => {
    const gain = (c: Column) => worthOf(c, prices) - c.cost
    const best = known.reduce((a, b) => (gain(b) > gain(a) ? b : a), known[0]!)
    if (known.length > 0 && gain(best) > 1e-6) return best
    const { worth, taken } = patterns.dearest(prices)
    return worth > 1 + 1e-6 ? { cost: 1, brings: taken } : null
  }
  let last: Prices | null = null
  let since = 0
  for (const prices of pricesOf([...alone, ...turns.map((t) => t[0]!)], wanted, dearest)) {
    last = prices
    yield LOOK * (patterns.work + wanted.length ** 2)
    if (since > MOST_EXCHANGES) break
    if (++since % PROVE_EVERY > 0) continue
    tell(prices)
    yield LOOK * patterns.work
  }
  if (last) tell(last)
}

/** Rows laid abreast, the widest first, each as long as the shortest of them: a pile to begin with. */
function piled(
  rows: readonly Row[],
  wanted: readonly number[],
  counts: readonly number[],
  capacity: number,
): readonly Column[] {
  const left = rows.map((_, r) => wanted[r]!)
  const order = [...rows.keys()].sort((a, b) => rows[b]!.width - rows[a]!.width)
  const columns: Column[] = []
  while (left.some((l) => l > 1e-6)) {
    let room = capacity
    const spare = [...counts]
    const taken = order.flatMap((r): [number, number][] => {
      const { kind, width, height } = rows[r]!
      const n =
        left[r]! <= 1e-6
          ? 0
          : Math.min(spare[kind]!, Math.ceil(left[r]! / height), Math.floor(room / Math.max(width, 0.1)))
      room -= n * width
      spare[kind]! -= n
      return n > 0 ? [[r, n]] : []
    })
    if (taken.length === 0) return columns
    columns.push({ cost: 1, brings: taken })
    const high = Math.min(...taken.map(([r, n]) => left[r]! / n))
    for (const [r, n] of taken) left[r]! -= n * high
  }
  return columns
}

/** Pieces that are the same in every way they may be turned are one kind. */
function rowsOf({ items, shapes: all, reachMm, gap }: Instance): {
  readonly rows: readonly Row[]
  readonly kinds: readonly Kind[]
} {
  const byKey = new Map<string, { shapes: readonly Shape[]; count: number }>()
  for (const { postures } of items) {
    const shapes = [...new Set(postures.map((p) => p.shape))].filter((s) => s.width <= reachMm + ACCEPTED_OVERLAP_MM)
    const key = shapes.map((s) => s.id).join()
    byKey.set(key, { shapes, count: (byKey.get(key)?.count ?? 0) + 1 })
  }
  const bent = all.filter((s) => !s.isBox).length
  const slabsEach = Math.min(MOST_SLABS, Math.max(LEAST_SLABS, Math.floor(ROWS_WANTED / Math.max(1, bent))))
  const rows: Row[] = []
  const kinds = [...byKey.values()].map(({ shapes, count }, kind): Kind => {
    const profiles = shapes.map((s) => profileOf(s.ring, slabsEach))
    const different = new Map(profiles.map((p) => [JSON.stringify(p), p]))
    const ways = [...different.values()].map((slabs) =>
      slabs.map(({ height, width }) => rows.push({ kind, height, width: width + gap - ACCEPTED_OVERLAP_MM }) - 1),
    )
    return { count, ways }
  })
  return { rows, kinds }
}
