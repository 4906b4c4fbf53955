import type { Division, Seat } from '../../contract/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import { areaOf, at, boxOf, distance, edgeLength, edgeOf, isSimple, keepLeftOf, minusPoint, mirrored, mirroredEdge, moved, offsetEdges, outwardOfChord, startedAt, turnedBy, unit, wholeOf, withoutSlivers, type CutOff, type Outline, type Point } from '../outline/index.ts'
import type { EdgedOutline, SeatEdge, ShapedSeat } from './shaped-seat.ts'
import { frontEdge, sidesOf } from './sides.ts'

/** Where a cushion stands: its own frame turned by `angleRad`, its origin at x, y of the seat. */
export interface Place {
  readonly x: number
  readonly y: number
  readonly angleRad: number
}

/** One cushion cut out of the seat, in its own frame: front at the foot, box at the origin. */
export interface Cut extends EdgedOutline {
  readonly place: Place | null
}

export type DivisionFault = { readonly code: 'parts-in-two' } | { readonly code: 'cushion-vanishes'; readonly number: number } | { readonly code: 'division-not-for-shape'; readonly division: Division['kind'] | 'radial' }

/** All cushions of a seat, in order from its left end (leg B, then the corner, then leg A of a corner bench). */
export function divide(seat: Seat, shaped: ShapedSeat): Result<readonly Cut[], DivisionFault> {
  const { division } = seat
  switch (division.kind) {
    case 'singles':
      return ok(singles(shaped.free, division.count, division.mirrored))
    case 'run':
      if (division.cuts === 'radial' && division.count > 1) return shaped.centre ? sound(radialRun(shaped, shaped.centre, division.count, division.gapMm, seat)) : err({ code: 'division-not-for-shape', division: 'radial' })
      return division.count === 1 ? ok([inOwnFrame(shaped.free, wholeOf(shaped.free.outline), at(1, 0))]) : sound(straightRun(shaped.free, wholeOf(shaped.free.outline), at(1, 0), division.count, division.gapMm))
    case 'corner':
      return shaped.free.edges.some((e) => e.name === 'A front') ? sound(roundTheCorner(shaped.free, division)) : err({ code: 'division-not-for-shape', division: 'corner' })
    default:
      return division satisfies never
  }
}

function sound(cuts: readonly Cut[]): Result<readonly Cut[], DivisionFault> {
  const vanished = cuts.findIndex((c) => c.outline.length < 3 || !(areaOf(c.outline) > 1))
  if (vanished >= 0) return err({ code: 'cushion-vanishes', number: vanished + 1 })
  return cuts.every((c) => isSimple(c.outline)) ? ok(cuts) : err({ code: 'parts-in-two' })
}

function singles(free: EdgedOutline, count: number, mirroredCount: number): readonly Cut[] {
  const one = inOwnFrame(free, wholeOf(free.outline), at(1, 0))
  const other = mirroredCut(one)
  return [one, ...Array.from({ length: count - 1 }, () => ({ ...one, place: null })), ...Array.from({ length: mirroredCount }, () => ({ ...other, place: null }))]
}

/** Equal widths along a direction: (B − (n − 1) g) / n, cut square to it. */
function straightRun(of: EdgedOutline, part: CutOff, along: Point, n: number, gapMm: number): readonly Cut[] {
  const reach = part.outline.length < 3 ? { minX: 0, maxX: 0 } : boxOf(turnedBy(part.outline, -Math.atan2(along.y, along.x)))
  const width = (reach.maxX - reach.minX - (n - 1) * gapMm) / n
  const on = (distance: number): Point => at(along.x * distance, along.y * distance)
  const up = at(-along.y, along.x)
  return Array.from({ length: n }, (_, i) => {
    const from = reach.minX + i * (width + gapMm)
    let cut = part
    if (i > 0) cut = keepLeftOf(cut, on(from), at(-up.x, -up.y))
    if (i < n - 1) cut = keepLeftOf(cut, on(from + width), up)
    return inOwnFrame(of, cut, along)
  })
}

/**
 * Equal sectors of a ring, cut towards its centre; gap and end clearance are taken on the front arc.
 * The ends keep their angle from the centre, so that all cushions are alike.
 */
function radialRun(shaped: ShapedSeat, centre: Point, n: number, gapMm: number, seat: Seat): readonly Cut[] {
  const { edges } = shaped.free
  // Clearance comes off the arcs here and off the ends by angle below.
  const outline = offsetEdges(shaped.bare.outline, edges.map((e) => (e.meets !== 'open' && (e.side === 'front' || e.side === 'back') ? -seat.clearanceMm : 0)))
  const of = { outline, edges }
  const arc = edges.findIndex((e) => e.side === 'front')
  const front = edgeOf(outline, Math.max(0, arc))
  const radius = Math.hypot(front[0].x - centre.x, front[0].y - centre.y)
  const angleOf = (p: Point): number => Math.atan2(p.y - centre.y, p.x - centre.x)
  const ends = { left: edges.find((e) => e.side === 'left'), right: edges.find((e) => e.side === 'right') }
  const bare = { from: angleOf(edgeOf(shaped.bare.outline, arc)[0]), to: angleOf(edgeOf(shaped.bare.outline, arc)[1]) }
  const turn = Math.sign(Math.sin(bare.to - bare.from)) || 1
  const whole = sweepOf(shaped, arc)
  const clear = (end: SeatEdge | undefined): number => (end && end.meets !== 'open' ? seat.clearanceMm / radius : 0)
  const free = whole - clear(ends.left) - clear(ends.right)
  const gap = gapMm / radius
  const each = (free - (n - 1) * gap) / n
  const way = arcTurn(shaped, arc) || turn
  const start = bare.from + way * clear(ends.left)
  // The end faces stay where the tape found them; the cut at an end with clearance is made afresh.
  return Array.from({ length: n }, (_, i) => {
    const [from, to] = [start + way * i * (each + gap), start + way * (i * (each + gap) + each)]
    let cut = wholeOf(outline)
    cut = keepTowards(cut, centre, i === 0 && clear(ends.left) === 0 ? from - way * 0.01 : from, way)
    cut = keepTowards(cut, centre, i === n - 1 && clear(ends.right) === 0 ? to + way * 0.01 : to, -way)
    const middle = (from + to) / 2
    const outwards = at(Math.cos(middle), Math.sin(middle))
    const along = way < 0 ? at(outwards.y, -outwards.x) : at(-outwards.y, outwards.x)
    return inOwnFrame(of, cut, along)
  })
}

/** Swept angle of the front arc, and the way it is walked from left to right as seen from the centre. */
const sweepOf = (shaped: ShapedSeat, arc: number): number => Math.abs(4 * Math.atan(shaped.bare.outline[arc]!.bulge ?? 0))
const arcTurn = (shaped: ShapedSeat, arc: number): number => Math.sign(shaped.bare.outline[arc]!.bulge ?? 0)

/** Keeps what lies beyond a ray from the centre, in the turning direction. */
const keepTowards = (cut: CutOff, centre: Point, angle: number, way: number): CutOff => keepLeftOf(cut, centre, at(way * Math.cos(angle), way * Math.sin(angle)))

/** Legs A and B of a corner bench, and who keeps the corner. */
function roundTheCorner(free: EdgedOutline, division: Extract<Division, { kind: 'corner' }>): readonly Cut[] {
  const { outline, edges } = free
  const line = (name: string) => {
    const [a, b] = edgeOf(outline, edges.findIndex((e) => e.name === name))
    return { from: a, to: b, direction: unit(minusPoint(b, a)) }
  }
  const [a, b] = [line('A front'), line('B front')]
  const inside = (cut: CutOff, of: typeof a): CutOff => keepLeftOf(cut, of.from, of.direction)
  const outside = (cut: CutOff, of: typeof a, gap: number): CutOff => keepLeftOf(cut, at(of.from.x + of.direction.y * gap, of.from.y - of.direction.x * gap), at(-of.direction.x, -of.direction.y))
  const whole = wholeOf(outline)
  const { gapMm, corner } = division
  const runs = { a: (cut: CutOff) => straightRun(free, cut, a.direction, division.countA, gapMm), b: (cut: CutOff) => straightRun(free, cut, b.direction, division.countB, gapMm) }
  const legA = inside(whole, a)
  const legB = inside(whole, b)
  switch (corner) {
    case 'a-through':
      return [...runs.b(outside(legB, a, gapMm)), ...runs.a(legA)]
    case 'b-through':
      return [...runs.b(legB), ...runs.a(outside(legA, b, gapMm))]
    case 'square':
      return [...runs.b(outside(legB, a, gapMm)), inOwnFrame(free, inside(legA, b), a.direction), ...runs.a(outside(legA, b, gapMm))]
    case 'mitre': {
      // From the inner corner to the one where both walls meet.
      const [wallA, wallB] = [line('A wall'), line('B wall')]
      const outer = distance(wallA.to, wallB.from) < 1e-6 ? wallA.to : wallA.from
      const isMirrored = distance(a.from, b.to) > 1e-6
      const inner = isMirrored ? a.to : a.from
      const diagonal = isMirrored ? unit(minusPoint(inner, outer)) : unit(minusPoint(outer, inner))
      const half = at((diagonal.y * gapMm) / 2, (-diagonal.x * gapMm) / 2)
      const onA = keepLeftOf(legA, at(inner.x + half.x, inner.y + half.y), at(-diagonal.x, -diagonal.y))
      const onB = keepLeftOf(legB, at(inner.x - half.x, inner.y - half.y), diagonal)
      return [...runs.b(onB), ...runs.a(onA)]
    }
    default:
      return corner satisfies never
  }
}

const SLIVER_MM = 0.6

/** Turned so that `along` runs to the right, box at the origin, starting at its front edge; edges named and sided. */
function inOwnFrame(of: EdgedOutline, whole: CutOff, along: Point): Cut {
  const cut = withoutSlivers(whole, SLIVER_MM)
  const angle = Math.atan2(along.y, along.x)
  if (cut.outline.length < 3) return { outline: [], edges: [], place: null }
  const turned = angle === 0 ? cut.outline : turnedBy(cut.outline, -angle)
  const box = boxOf(turned)
  const own = moved(turned, at(-box.minX, -box.minY))
  const isWhole = cut.sources.every((s, i) => s === i) && cut.outline.length === of.outline.length
  const front = isWhole ? of.edges.findIndex((e) => e.side === 'front') : (longestFront(of, own, cut.sources) ?? frontEdge(own))
  const sides = isWhole ? of.edges.map((e) => e.side) : sidesOf(own, front)
  const seen = new Map<string, number>()
  const edges = cut.sources.map((source, i): SeatEdge => {
    const from = of.edges[source]
    const base = from ? from.name : `${sides[i]!} cut`
    const times = (seen.get(base) ?? 0) + 1
    seen.set(base, times)
    return { name: times === 1 ? base : `${base} ${times}`, side: sides[i]!, meets: from?.meets ?? 'neighbour', leanRad: from?.leanRad ?? 0 }
  })
  const [origin] = turnedBy([at(box.minX, box.minY)], angle)
  return { outline: startedAt(own, front), edges: [...edges.slice(front), ...edges.slice(0, front)], place: { x: origin!.x, y: origin!.y, angleRad: angle } }
}

/** What a part has of the seat's own front, where it turns that to the foot. */
function longestFront(of: EdgedOutline, outline: Outline, sources: readonly number[]): number | null {
  const fronts = sources.flatMap((s, i) => (of.edges[s]?.side === 'front' && -outwardOfChord(outline, i).y > 0.5 ? [i] : []))
  return fronts.length === 0 ? null : fronts.reduce((best, i) => (edgeLength(outline, i) > edgeLength(outline, best) ? i : best))
}

const OTHER_HAND: Readonly<Record<SeatEdge['side'], SeatEdge['side']>> = { front: 'front', right: 'left', back: 'back', left: 'right' }

/** The same cushion for the other hand. */
function mirroredCut(cut: Cut): Cut {
  const n = cut.outline.length
  const flipped = mirrored(cut.outline)
  const outline: Outline = moved(flipped, at(-boxOf(flipped).minX, 0))
  const edges = outline.map((_, i): SeatEdge => {
    const e = cut.edges[mirroredEdge(i, n)]!
    return { ...e, side: OTHER_HAND[e.side] }
  })
  const front = edges.findIndex((e) => e.side === 'front')
  return { outline: startedAt(outline, front), edges: [...edges.slice(front), ...edges.slice(0, front)], place: null }
}
