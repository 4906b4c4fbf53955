import type { Point } from '../../outline/index.ts'
import { freeRows, type FreeRows } from './free-rows.ts'
import { shareOut, type WantedRun } from './share-out.ts'
import { onTheCloth, type Bed, type FreeRow, type StripWay } from './strip-frame.ts'

/** Runs of strips of one height, and the ways in which these may lie. */
export interface WantedStrips {
  readonly ways: readonly StripWay[]
  readonly runs: readonly WantedRun[]
  /** Strips are no shorter, and as long as a whole number of steps where they are not the last of a run. */
  readonly leastMm: number
  readonly stepMm: number
}

/** A strip as it lies on the cloth, its length in mm along its row. */
export interface LaidStrip {
  readonly way: StripWay
  readonly at: Point
  readonly lengthMm: number
}

/** What runs are split into, on a cloth so long. */
export interface StripsLaid {
  readonly lengthMm: number
  /** By what is wanted, by run, in order. */
  readonly strips: readonly (readonly (readonly LaidStrip[])[])[]
}

/**
 * Ways of cutting strips beside what is laid (convex rings, none of which reaches beyond the shorter length), each on a
 * shorter cloth than the one before; none where even the longer length is not enough. Longer cloth may want fewer strips.
 */
export function stripsBeside(
  laid: readonly (readonly Point[])[],
  bed: Omit<Bed, 'lengthMm'>,
  wanted: readonly WantedStrips[],
  [shortestMm, longestMm]: readonly [number, number],
): readonly StripsLaid[] {
  const free = wanted.map(({ ways }) => ways.map((way) => freeRows(way, { ...bed, lengthMm: longestMm }, laid)))
  const found: StripsLaid[] = []
  let [low, lengthMm] = [shortestMm, longestMm]
  for (;;) {
    const next = onLength(lengthMm, wanted, free)
    if (next) found.push(next)
    else low = lengthMm
    const shortest = found.at(-1)
    if (!shortest || shortest.lengthMm - low <= PRECISE_MM) return found
    lengthMm = (low + shortest.lengthMm) / 2
  }
}

const PRECISE_MM = 4

/** The highest strips first; `free`: by what is wanted, by way. */
function onLength(
  lengthMm: number,
  wanted: readonly WantedStrips[],
  free: readonly (readonly FreeRows[])[],
): StripsLaid | null {
  const order = wanted.map((_, i) => i).toSorted((a, b) => heightOf(wanted[b]!) - heightOf(wanted[a]!))
  const strips = new Map<number, readonly (readonly LaidStrip[])[]>()
  const covered: (readonly Point[])[] = []
  for (const i of order) {
    const own = free[i]!.map((rows) => rows.onLength(lengthMm))
    own.forEach((rows) => covered.forEach(rows.cover))
    const found = cutFrom(own, wanted[i]!)
    if (!found) return null
    strips.set(i, found)
    covered.push(...found.flat().map(ringOf))
  }
  return { lengthMm, strips: wanted.map((_, i) => strips.get(i)!) }
}

const heightOf = ({ ways }: WantedStrips): number => Math.max(...ways.map((w) => w.riseMm))

/** Takes ever shorter rows until they are enough for all runs. */
function cutFrom(
  free: readonly FreeRows[],
  { ways, runs, leastMm, stepMm }: WantedStrips,
): readonly (readonly LaidStrip[])[] | null {
  const rows: (FreeRow & { readonly way: StripWay })[] = []
  const longestMm = Math.max(...runs.map((r) => r.lengthMm))
  for (let mm = longestMm; mm > leastMm * SHORTER; mm *= SHORTER) {
    free.forEach((own, i) => {
      const taken = own.take(Math.max(leastMm, mm)).map((row) => ({ ...row, way: ways[i]! }))
      rows.push(...taken)
      const rings = taken.map((row) => ringOf(asLaid(row, 0, row.u1 - row.u0)))
      free.forEach((other) => other !== own && rings.forEach(other.cover))
    })
    const lengths = rows.map((r) => r.u1 - r.u0)
    const shared = shareOut(runs, lengths, leastMm, stepMm)
    if (shared)
      return shared.map((cuts) => cuts.map(({ row, fromMm, lengthMm }) => asLaid(rows[row]!, fromMm, lengthMm)))
  }
  return null
}

/** Rows are taken so much shorter each time. */
const SHORTER = 0.85

const asLaid = ({ u0, v, way }: FreeRow & { readonly way: StripWay }, fromMm: number, lengthMm: number): LaidStrip => ({
  way,
  at: onTheCloth(way, u0 + fromMm, v),
  lengthMm,
})

/** The outline of a strip on the cloth. */
function ringOf({ way, at, lengthMm }: LaidStrip): readonly Point[] {
  const [rise, climb] = [way.riseMm, way.slope * lengthMm]
  const own = [
    [0, 0],
    [lengthMm, climb],
    [lengthMm, climb + rise],
    [0, rise],
  ] as const
  return own.map(([p, q]) => (way.turn === 0 ? { x: at.x + p, y: at.y + q } : { x: at.x - q, y: at.y + p }))
}
