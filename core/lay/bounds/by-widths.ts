import type { Instance } from '../instance.ts'
import { ACCEPTED_OVERLAP_MM } from '../tolerances.ts'
import { acceptedWidth, alikeOf, areaBeside } from './alike.ts'
import { crossedByFixed, shortestPile, type Abreast, type Crossed, type Kind, type Row, type Way } from './cover.ts'
import { patternsOn } from './patterns.ts'
import { profileOf } from './profile.ts'

/** Widths are counted in these steps. */
const STEP_MM = 0.5
const MOST_STEPS = 6000
/** The more slabs tell a piece that is no box, the nearer, and the longer it takes. */
const [LEAST_SLABS, MOST_SLABS, ROWS_WANTED] = [3, 10, 80]
/** With more rows than this the area says nearly as much, and at once. */
const MOST_ROWS = 240

/** Cross-sections of slabs whose widths go on the cloth together, each copy of a piece in them once at most. */
export function* byWidths(instance: Instance, prove: (length: number) => void): Generator<number, void> {
  const crossed = widthRowsOf(instance)
  const { rows, kinds, capacity } = crossed
  if (rows.length > MOST_ROWS) return
  const counts = kinds.map((k) => k.count)
  const patterns = patternsOn(rows, counts, capacity, Math.max(STEP_MM, capacity / MOST_STEPS))
  if (!patterns) return
  const alone = rows.map(({ kind, width }) => Math.max(1, Math.min(counts[kind]!, Math.floor(capacity / width))))
  yield* shortestPile(crossed, { ...patterns, known: piled(crossed), alone }, prove)
}

/** Rows laid abreast, the widest first, each as long as the shortest of them: a pile to begin with. */
function piled({ rows, kinds, capacity }: Crossed): readonly Abreast[] {
  const left = [...crossedByFixed(rows, kinds)]
  const order = [...rows.keys()].sort((a, b) => rows[b]!.width - rows[a]!.width)
  const pile: Abreast[] = []
  while (left.some((l) => l > 1e-6)) {
    let room = capacity
    const spare = kinds.map((k) => k.count)
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
    if (taken.length === 0) return pile
    pile.push(taken)
    const high = Math.min(...taken.map(([r, n]) => left[r]! / n))
    for (const [r, n] of taken) left[r]! -= n * high
  }
  return pile
}

/** Each way of a piece by its slabs, the widest first; where they lie in it does not matter. */
function widthRowsOf(instance: Instance): Crossed {
  const { items, shapes: all, reachMm, gap } = instance
  const bent = all.filter((s) => !s.isBox).length
  const slabsEach = Math.min(MOST_SLABS, Math.max(LEAST_SLABS, Math.floor(ROWS_WANTED / Math.max(1, bent))))
  const rows: Row[] = []
  const kinds = alikeOf(items, reachMm).map(({ shapes, count }, kind): Kind => {
    const profiles = shapes.map((shape) => ({ shape, slabs: profileOf(shape.ring, slabsEach) }))
    const different = new Map(profiles.map((p) => [JSON.stringify(p.slabs), p]))
    const ways = [...different.values()].map(({ shape, slabs }): Way => ({
      rows: slabs.map(({ height, width }) => rows.push({ kind, height, width: width + gap - ACCEPTED_OVERLAP_MM }) - 1),
      besideMm2: areaBeside(shape, slabs),
    }))
    return { count, ways }
  })
  return { rows, kinds, othersMm2: 0, capacity: acceptedWidth(instance) + gap }
}
