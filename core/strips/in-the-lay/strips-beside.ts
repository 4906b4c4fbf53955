import type { Point } from '../../outline/index.ts'
import { freeRows, type FreeRows } from './free-rows.ts'
import { shareOut, type WantedRun } from './share-out.ts'
import { onTheCloth, type Bed, type FreeRow, type StripWay } from './strip-frame.ts'

/** Runs of strips of one height. */
export interface WantedStrips {
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

/** Rows for strips of several kinds, each in the ways in which it may lie. */
export type RowsBeside = readonly (readonly FreeRows[])[]

/** Every row beside what is laid, convex rings, on cloth as long as it may be. */
export const rowsBeside = (
  laid: readonly (readonly Point[])[],
  bed: Bed,
  ways: readonly (readonly StripWay[])[],
): RowsBeside => ways.map((own) => own.map((way) => freeRows(way, bed, laid)))

/**
 * Ways of cutting strips from rows, each on a shorter cloth than the one before: between the length that is laid already
 * and that of the rows, none where even this is not enough. Longer cloth may want fewer strips.
 */
export function stripsBeside(
  free: RowsBeside,
  wanted: readonly WantedStrips[],
  [shortestMm, longestMm]: readonly [number, number],
): readonly StripsLaid[] {
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

/** The highest strips first. */
function onLength(lengthMm: number, wanted: readonly WantedStrips[], free: RowsBeside): StripsLaid | null {
  const order = wanted.map((_, i) => i).toSorted((a, b) => heightOf(free[b]!) - heightOf(free[a]!))
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

const heightOf = (rows: readonly FreeRows[]): number => Math.max(...rows.map((r) => r.way.riseMm))

/** Takes ever shorter rows until they are enough for all runs. */
function cutFrom(
  free: readonly FreeRows[],
  { runs, leastMm, stepMm }: WantedStrips,
): readonly (readonly LaidStrip[])[] | null {
  const rows: (FreeRow & { readonly way: StripWay })[] = []
  const longestMm = Math.max(...runs.map((r) => r.lengthMm))
  for (let mm = longestMm; mm > leastMm * SHORTER; mm *= SHORTER) {
    free.forEach((own) => {
      const taken = own.take(Math.max(leastMm, mm)).map((row) => ({ ...row, way: own.way }))
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
