import type { Point } from '../../outline/index.ts'
import { bedFrame, inFrame, type Bed, type FreeRow, type StripWay } from './strip-frame.ts'

type Ring = readonly Point[]
type Stretch = readonly [number, number]

/** Rows that strips of one way could be cut from, beside what lies on the cloth already. */
export interface FreeRows {
  readonly way: StripWay
  /** Takes the rows that are at least so long, the lowest first; each is covered from then on. */
  readonly take: (leastMm: number) => readonly FreeRow[]
  /** Covers a ring on the cloth. */
  readonly cover: (ring: Ring) => void
  /** The same on cloth that is cut shorter; what is taken or covered there is not covered here. */
  readonly onLength: (lengthMm: number) => FreeRows
}

/**
 * Every row of a strip's height in what convex rings leave free, in steps of at most two millimetres that its height
 * divides, so that rows lie side by side without loss.
 */
export function freeRows(way: StripWay, bed: Bed, laid: readonly Ring[]): FreeRows {
  const { lowestV, highestV, stretchAt } = bedFrame(way, bed)
  const perRow = Math.ceil(way.riseMm / STEP_MM)
  const stepMm = way.riseMm / perRow
  const count = Math.max(0, Math.floor((highestV - lowestV) / stepMm + 1e-6) + 1)
  const grid = { way, bed, lowestV, stepMm, perRow, count }
  const rows = rowsOn(
    grid,
    Array.from({ length: count }, (_, i) => within(stretchAt(lowestV + i * stepMm))),
  )
  laid.forEach(rows.cover)
  return rows
}

/** A row may begin at each of so many heights. */
interface Grid {
  readonly way: StripWay
  readonly bed: Bed
  readonly lowestV: number
  readonly stepMm: number
  readonly perRow: number
  readonly count: number
}

function rowsOn(grid: Grid, free: (readonly Stretch[])[]): FreeRows {
  const { way, bed, lowestV, stepMm, perRow, count } = grid
  const vOf = (i: number) => lowestV + i * stepMm
  function takeOut(i: number, from: number, to: number): void {
    const isBeside = (own: Stretch) => own[1] <= from || own[0] >= to
    if (!free[i]!.every(isBeside)) free[i] = free[i]!.flatMap((own) => (isBeside(own) ? [own] : without(own, from, to)))
  }
  return {
    way,
    cover: (ring) => {
      const sheared = ring.map((p) => inFrame(way, p))
      const heights = sheared.map((p) => p.y)
      const first = Math.max(0, Math.ceil((Math.min(...heights) - way.riseMm - lowestV) / stepMm))
      const last = Math.min(count - 1, Math.floor((Math.max(...heights) - lowestV) / stepMm))
      const span: [number, number] = [0, 0]
      for (let i = first; i <= last; i++)
        if (free[i]!.length > 0 && spanWithin(sheared, vOf(i), vOf(i) + way.riseMm, span)) takeOut(i, span[0], span[1])
    },
    take: (leastMm) => {
      const taken: FreeRow[] = []
      for (let i = 0; i < count; i++)
        for (const [u0, u1] of free[i]!) {
          if (u1 - u0 < leastMm) continue
          taken.push({ u0, u1, v: vOf(i) })
          for (let j = Math.max(0, i - perRow + 1); j < Math.min(count, i + perRow); j++) takeOut(j, u0, u1)
        }
      return taken
    },
    onLength: (lengthMm) => {
      const { stretchAt } = bedFrame(way, { ...bed, lengthMm })
      return rowsOn(
        grid,
        free.map((stretches, i) => {
          const [from, to] = stretchAt(vOf(i))
          return stretches.flatMap(([a, b]) => within([Math.max(a, from), Math.min(b, to)]))
        }),
      )
    },
  }
}

const STEP_MM = 2

/** Slivers are no row. */
const SLIVER_MM = 50

const within = (stretch: Stretch): readonly Stretch[] => (stretch[1] - stretch[0] > SLIVER_MM ? [stretch] : [])

/** What is left of a stretch beside another. */
const without = (own: Stretch, from: number, to: number): readonly Stretch[] => [
  ...within([own[0], from]),
  ...within([to, own[1]]),
]

/** From where to where a convex ring reaches between two heights, into `span`; false where it lies outside them. */
function spanWithin(ring: Ring, low: number, high: number, span: [from: number, to: number]): boolean {
  span[0] = Infinity
  span[1] = -Infinity
  let a = ring[ring.length - 1]!
  for (const b of ring) {
    const below = a.y < b.y ? a : b
    const above = below === a ? b : a
    a = b
    if (above.y <= low + HAIR_MM || below.y >= high - HAIR_MM) continue
    const perMm = above.y > below.y ? (above.x - below.x) / (above.y - below.y) : 0
    const atLow = low > below.y ? below.x + (low - below.y) * perMm : below.x
    const atHigh = high < above.y ? above.x - (above.y - high) * perMm : above.x
    span[0] = Math.min(span[0], atLow, atHigh)
    span[1] = Math.max(span[1], atLow, atHigh)
  }
  return span[0] < span[1]
}

const HAIR_MM = 1e-6
