import type { JoinPlaces } from '../../../contract/index.ts'
import { at, boxOf, flatten, isInside, type Outline, type Point } from '../../outline/index.ts'
import type { Patch } from '../patch.ts'
import { normalTo } from '../space.ts'
import type { Axis } from './cut-panel.ts'

/** No piece is narrower, but where the maker says so. A rule of the trade. */
export const LEAST_PIECE_MM = 150

export interface Joinable {
  readonly finished: Outline
  /** How the panel lies on the cushion. */
  readonly patches: readonly Patch[]
  /** The widest piece that the cloth gives, sewing line to sewing line; null: no limit. */
  readonly widestMm: number | null
}

/** Where the joins of a panel come to lie in its own plane, rising. */
export function joinPlaces(places: JoinPlaces, panel: Joinable, axis: Axis): readonly number[] {
  const box = boxOf(panel.finished)
  const [low, high] = axis === 'x' ? [box.minX, box.maxX] : [box.minY, box.maxY]
  switch (places.kind) {
    case 'even':
      return evenly(low, high, places.pieces)
    case 'outer':
      return [
        low + places.outerMm,
        ...evenly(low + places.outerMm, high - places.outerMm, places.pieces - 2),
        high - places.outerMm,
      ]
    case 'at':
      return places.placesMm.map((mm) => low + mm).toSorted((a, b) => a - b)
    case 'least-seen':
      return leastSeen(panel, axis, low, high, places.pieces)
    default:
      return places satisfies never
  }
}

const evenly = (low: number, high: number, pieces: number): readonly number[] =>
  Array.from({ length: pieces - 1 }, (_, i) => low + ((high - low) * (i + 1)) / pieces)

/** So many places are tried along a panel. */
const TRIES = 160

/**
 * The joins that show least in all, every piece between the narrowest that is worth its seam and the widest that the
 * cloth gives; of joins that show alike those nearest to even pieces.
 */
function leastSeen(panel: Joinable, axis: Axis, low: number, high: number, pieces: number): readonly number[] {
  const even = evenly(low, high, pieces)
  const least = Math.min(LEAST_PIECE_MM, (high - low) / pieces)
  const widest = Math.max(panel.widestMm ?? Infinity, (high - low) / pieces)
  const tries = [
    ...even,
    ...Array.from({ length: TRIES }, (_, i) => low + ((high - low) * (i + 1)) / (TRIES + 1)),
  ].toSorted((a, b) => a - b)
  const shows = tries.map((place) => showing(panel, axis, place))
  // best[i]: the cheapest way to have the j-th join at tries[i], and where the one before it is.
  let best: readonly Way[] = tries.map((place, i) =>
    fits(place - low, least, widest)
      ? { cost: cost(shows[i]!, place, even[0]!, high - low), before: null, place }
      : NONE,
  )
  for (let j = 1; j < pieces - 1; j++) {
    const last = best
    best = tries.map((place, i) =>
      last.slice(0, i).reduce<Way>((found, way) => {
        if (way.place === null || !fits(place - way.place, least, widest)) return found
        const total = way.cost + cost(shows[i]!, place, even[j]!, high - low)
        return total < found.cost ? { cost: total, before: way, place } : found
      }, NONE),
    )
  }
  const end = best.reduce<Way>(
    (a, b) => (b.place !== null && fits(high - b.place, least, widest) && b.cost < a.cost ? b : a),
    NONE,
  )
  const found: number[] = []
  for (let way: Way | null = end; way && way.place !== null; way = way.before) found.unshift(way.place)
  return found.length === pieces - 1 ? found : even
}

interface Way {
  readonly cost: number
  readonly place: number | null
  readonly before: Way | null
}
const NONE: Way = { cost: Infinity, place: null, before: null }

const fits = (mm: number, least: number, widest: number): boolean => mm > least - 1e-6 && mm < widest + 1e-6

/** How little being off the even place counts beside being seen. */
const EVENNESS = 0.3
const cost = (shows: number, place: number, even: number, length: number): number =>
  shows + (EVENNESS * Math.abs(place - even)) / length

const ACROSS_TRIES = 24
/** A join beside a fold is thick where the cushion is handled. */
const FOLD_CLEAR_MM = 25
const FOLD_COST = 0.5

/** How much a join shows, 0 to 3: the mean over its length of how much each face of the cushion is looked at. */
function showing({ finished, patches }: Joinable, axis: Axis, place: number): number {
  const box = boxOf(finished)
  const reach = reachOf(patches)
  const [from, to] = axis === 'x' ? [box.minY, box.maxY] : [box.minX, box.maxX]
  const on = (v: number, along: number) => (axis === 'x' ? at(v, along) : at(along, v))
  const shown = Array.from({ length: ACROSS_TRIES }, (_, i) => {
    const along = from + ((to - from) * (i + 0.5)) / ACROSS_TRIES
    const patch = patches.find((p) => isInside(flatOf(p), on(place, along)))
    if (!patch) return []
    const isFold = [-FOLD_CLEAR_MM, FOLD_CLEAR_MM].some((off) => !isInside(flatOf(patch), on(place + off, along)))
    return [looked(patch, on(place, along), reach) + (isFold ? FOLD_COST : 0)]
  }).flat()
  return shown.length === 0 ? 0 : shown.reduce((sum, v) => sum + v, 0) / shown.length
}

/**
 * From above and in front a cushion is looked at, less from its sides, hardly from behind, never from below; in its
 * middle and at its front more than towards its sides and its back.
 */
function looked({ place }: Patch, p: Point, reach: Reach): number {
  const here = place(p)
  const n = normalTo(here, place(at(p.x + 0.1, p.y)), place(at(p.x, p.y + 0.1)))
  const aside = Math.abs(2 * shareOf(here.x, reach.x) - 1)
  const back = shareOf(here.y, reach.y)
  const faces = 3 * Math.max(0, n.z) + 3 * Math.max(0, -n.y) + 2 * Math.abs(n.x) + Math.max(0, n.y)
  return faces * (1 - OFF_CENTRE * Math.min(1, aside)) * (1 - FURTHER_BACK * Math.min(1, Math.max(0, back)))
}

/** So much less is looked at beside the middle, and at the back. */
const [OFF_CENTRE, FURTHER_BACK] = [0.4, 0.3]

interface Reach {
  readonly x: readonly [number, number]
  readonly y: readonly [number, number]
}

/** How far a panel reaches on the cushion. */
function reachOf(patches: readonly Patch[]): Reach {
  const places = patches.flatMap((p) => p.outline.map((v) => p.place(v)))
  const range = (values: readonly number[]) => [Math.min(...values), Math.max(...values)] as const
  return { x: range(places.map((p) => p.x)), y: range(places.map((p) => p.y)) }
}

const shareOf = (v: number, [from, to]: readonly [number, number]): number =>
  to - from < 1 ? 0.5 : (v - from) / (to - from)

const flats = new WeakMap<Outline, ReturnType<typeof flatten>>()

/** Each patch is asked many times. */
function flatOf({ outline }: Patch): ReturnType<typeof flatten> {
  const known = flats.get(outline)
  if (known) return known
  const flat = flatten(outline, 1)
  flats.set(outline, flat)
  return flat
}
