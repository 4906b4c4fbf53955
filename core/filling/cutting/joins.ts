import type { Use } from '../../../contract/index.ts'
import { boxOf } from '../../outline/index.ts'
import type { Solid } from '../../seat/index.ts'

/** Rules of the trade for glued joins. */
export const SITTER_CLEAR_MM = 150
export const FRONT_CLEAR_MM = 100
export const STAGGER_MM = 200
/** A narrower strip is not worth gluing on. */
const LEAST_PART_MM = 60
const PLACE_MM = 600
const STEP_MM = 5
/** A block glued from more parts than this is no cushion. */
const MOST_PARTS = 4

/** Where a block is joined, as distances from its left and its front edge. */
export interface Joins {
  readonly across: readonly number[]
  readonly deep: readonly number[]
  /** True when a rule had to give: there was no other place. */
  readonly underSitter: boolean
  readonly unstaggered: boolean
}

export const NO_JOINS: Joins = { across: [], deep: [], underSitter: false, unstaggered: false }

export interface SheetRoom {
  readonly lengthMm: number
  readonly widthMm: number
}

/** Middles of the places along the front: a sleeper takes the whole length, a sitter about 600 mm. */
export function placesAcross(widthMm: number, use: Use): readonly number[] {
  const places = use === 'sleeping' ? 1 : Math.max(1, Math.round(widthMm / PLACE_MM))
  return Array.from({ length: places }, (_, i) => ((i + 0.5) * widthMm) / places)
}

/**
 * Where a layer is joined so that its parts come out of a sheet: clear of the middle of every place and of the front,
 * staggered from the layer below, the offcut at the least seen end. Without a sheet to speak of there is nothing to
 * join from.
 */
export function planJoins(
  block: Solid,
  need: { readonly width: number; readonly depth: number },
  rooms: readonly SheetRoom[],
  use: Use,
  below: Joins,
): Joins {
  if (rooms.length === 0 || rooms.some((r) => fitsIn(need, r))) return NO_JOINS
  const ways = rooms.flatMap((r) => [r, { lengthMm: r.widthMm, widthMm: r.lengthMm }])
  const parts = (r: SheetRoom) => Math.ceil(need.width / r.lengthMm) * Math.ceil(need.depth / r.widthMm)
  const room = ways.reduce((best, r) => (parts(r) < parts(best) ? r : best))
  if (parts(room) > MOST_PARTS) return NO_JOINS
  const { minX, minY } = boxOf(block.outline)
  const across = cutsOf(
    need.width,
    room.lengthMm,
    placesAcross(need.width, use).map((m) => [m - SITTER_CLEAR_MM, m + SITTER_CLEAR_MM]),
    hiddenEnd(block),
    below.across.map((p) => p - minX),
  )
  const middle = need.depth / 2
  const deep = cutsOf(
    need.depth,
    room.widthMm,
    [
      [0, FRONT_CLEAR_MM],
      [middle - SITTER_CLEAR_MM, middle + SITTER_CLEAR_MM],
    ],
    'high',
    below.deep.map((p) => p - minY),
  )
  return {
    across: across.at.map((p) => p + minX),
    deep: deep.at.map((p) => p + minY),
    underSitter: across.underSitter || deep.underSitter,
    unstaggered: across.unstaggered || deep.unstaggered,
  }
}

export const fitsIn = (
  need: { readonly width: number; readonly depth: number },
  { lengthMm, widthMm }: SheetRoom,
): boolean =>
  (need.width <= lengthMm + HAIR && need.depth <= widthMm + HAIR) ||
  (need.width <= widthMm + HAIR && need.depth <= lengthMm + HAIR)

const HAIR = 0.01

type Span = readonly [number, number]

interface Cuts {
  readonly at: readonly number[]
  readonly underSitter: boolean
  readonly unstaggered: boolean
}

/** As few cuts as the room allows, one more where only that keeps the rules; else the rules give, staggering first. */
function cutsOf(
  lengthMm: number,
  mostMm: number,
  forbidden: readonly Span[],
  offcutEnd: 'low' | 'high',
  below: readonly number[],
): Cuts {
  if (lengthMm <= mostMm + HAIR) return { at: [], underSitter: false, unstaggered: false }
  const mirror = (p: number) => (offcutEnd === 'high' ? p : lengthMm - p)
  const spans = forbidden.map(([a, b]): Span => (offcutEnd === 'high' ? [a, b] : [lengthMm - b, lengthMm - a]))
  const staggered = below.map((p): Span => [mirror(p) - STAGGER_MM, mirror(p) + STAGGER_MM])
  const fewest = Math.ceil(lengthMm / mostMm - 1e-9) - 1
  const tries = [
    { spans: [...spans, ...staggered], cuts: fewest, underSitter: false, unstaggered: false },
    { spans: [...spans, ...staggered], cuts: fewest + 1, underSitter: false, unstaggered: false },
    { spans, cuts: fewest, underSitter: false, unstaggered: below.length > 0 },
    { spans: [] as readonly Span[], cuts: fewest, underSitter: true, unstaggered: below.length > 0 },
  ]
  for (const { spans: closed, cuts, ...gives } of tries) {
    const at = longestFirst(lengthMm, mostMm, closed, cuts)
    if (at) return { at: at.map(mirror).toSorted((a, b) => a - b), ...gives }
  }
  return {
    at: Array.from({ length: fewest }, (_, i) => ((i + 1) * lengthMm) / (fewest + 1)),
    underSitter: true,
    unstaggered: below.length > 0,
  }
}

/**
 * Cut places from the seen end on, each part as long as it goes, the short one last; null when there are none.
 * Looked for on a grid and where whole parts end; places that led nowhere are not tried again.
 */
function longestFirst(
  lengthMm: number,
  mostMm: number,
  closed: readonly Span[],
  cuts: number,
): readonly number[] | null {
  if (cuts > MOST_PARTS) return null
  const grid = [
    ...Array.from({ length: Math.floor(lengthMm / STEP_MM) }, (_, i) => (i + 1) * STEP_MM),
    ...Array.from({ length: cuts }, (_, i) => (i + 1) * mostMm),
  ]
  const open = grid
    .filter((p) => p <= lengthMm - LEAST_PART_MM && !closed.some(([a, b]) => p > a && p < b))
    .toSorted((a, b) => b - a)
  const dead = new Set<string>()
  const from = (start: number, left: number): readonly number[] | null => {
    if (left === 0) return lengthMm - start <= mostMm + HAIR ? [] : null
    const key = `${left} ${start}`
    if (dead.has(key)) return null
    for (const p of open) {
      if (p > start + mostMm + HAIR || p < start + LEAST_PART_MM || lengthMm - p > left * mostMm + HAIR) continue
      const rest = from(p, left - 1)
      if (rest) return [p, ...rest]
    }
    dead.add(key)
    return null
  }
  return from(0, cuts)
}

/** The end that nobody sees: against a wall or the hull, else the right one. */
function hiddenEnd({ edges }: Solid): 'low' | 'high' {
  const hides = (side: 'left' | 'right') =>
    edges.some((e) => e.side === side && (e.meets === 'wall' || e.meets === 'hull'))
  return hides('left') && !hides('right') ? 'low' : 'high'
}
