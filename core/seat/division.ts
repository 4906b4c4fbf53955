import type { Division, Seat } from '../../contract/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import { arcBetween, areaOf, at, boxOf, distance, edgeLength, edgeOf, isSimple, isStraight, keepLeftOf, minusPoint, mirrored, mirroredEdge, moved, offsetEdges, onEdge, outwardOfChord, startedAt, stretchOf, turnedBy, unit, vertex, wholeOf, withoutSlivers, type Arc, type CutOff, type Outline, type Point } from '../outline/index.ts'
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
      if (division.cuts === 'radial' && division.count > 1) {
        const sectors = shaped.centre && radialRun(shaped, division.count, division.gapMm, seat)
        return sectors ? sound(sectors) : err({ code: 'division-not-for-shape', division: 'radial' })
      }
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
 * The ends keep their angle from the centre, so that all cushions are alike. Null when front and back
 * are not both arcs.
 */
function radialRun(shaped: ShapedSeat, n: number, gapMm: number, seat: Seat): readonly Cut[] | null {
  const { edges } = shaped.free
  // Clearance comes off the arcs here and off the ends by angle below.
  const outline = offsetEdges(shaped.bare.outline, edges.map((e) => (e.meets !== 'open' && (e.side === 'front' || e.side === 'back') ? -seat.clearanceMm : 0)))
  const [front, back] = [arcIndex(outline, edges, 'front'), arcIndex(outline, edges, 'back')]
  if (front < 0 || back < 0) return null
  const bare = arcOn(shaped.bare.outline, arcIndex(shaped.bare.outline, edges, 'front'))
  const radius = Math.abs(arcOn(outline, front).radius)
  const clear = (side: 'left' | 'right'): number => (edges.some((e) => e.side === side && e.meets !== 'open') ? seat.clearanceMm / radius : 0)
  const gap = gapMm / radius
  const each = (Math.abs(bare.sweep) - clear('left') - clear('right') - (n - 1) * gap) / n
  if (!(each > 0)) return [{ outline: [], edges: [], place: null }]
  const way = Math.sign(bare.sweep)
  const start = bare.startAngle + way * clear('left')
  return Array.from({ length: n }, (_, i) => {
    const [from, to] = [start + way * i * (each + gap), start + way * (i * (each + gap) + each)]
    // An end without clearance stays as the tape found it, corners and all.
    const keeps = { left: i === 0 && clear('left') === 0, right: i === n - 1 && clear('right') === 0 }
    const cut = sector(outline, front, back, from, to, keeps)
    const middle = (from + to) / 2
    return inOwnFrame({ outline, edges }, cut, at(-Math.sin(middle) * way, Math.cos(middle) * way))
  })
}

const arcIndex = (outline: Outline, edges: readonly SeatEdge[], side: SeatEdge['side']): number => edges.findIndex((e, i) => e.side === side && !isStraight(outline[i]!.bulge))

function arcOn(outline: Outline, i: number): Arc {
  const [a, b] = edgeOf(outline, i)
  return arcBetween(a, b, a.bulge!)
}

/** What lies between two angles: along the front arc, across, back along the back arc, across; or round an end of the seat. */
function sector(outline: Outline, front: number, back: number, from: number, to: number, keeps: { readonly left: boolean; readonly right: boolean }): CutOff {
  const [f, b] = [arcOn(outline, front), arcOn(outline, back)]
  const frontShare = [keeps.left ? 0 : shareAt(f, from), keeps.right ? 1 : shareAt(f, to)] as const
  const backShare = [keeps.right ? 0 : shareAt(b, to), keeps.left ? 1 : shareAt(b, from)] as const
  const chain = (after: number, until: number): readonly number[] => {
    const list: number[] = []
    for (let i = (after + 1) % outline.length; i !== until; i = (i + 1) % outline.length) list.push(i)
    return list
  }
  const across = (edge: number, share: number) => ({ vertex: vertex(onEdge(outline, edge, share)), source: -1 })
  const round = (list: readonly number[]) => list.map((i) => ({ vertex: outline[i]!, source: i }))
  const walk = [
    { vertex: stretchOf(outline, front, ...frontShare), source: front },
    ...(keeps.right ? round(chain(front, back)) : [across(front, frontShare[1])]),
    { vertex: stretchOf(outline, back, ...backShare), source: back },
    ...(keeps.left ? round(chain(back, front)) : [across(back, backShare[1])]),
  ]
  return { outline: walk.map((w) => w.vertex), sources: walk.map((w) => w.source) }
}

/** Where on an arc an angle from its centre lies, as a share of its sweep. */
function shareAt(arc: Arc, angle: number): number {
  const turns = [-2, -1, 0, 1, 2].map((k) => (angle + k * 2 * Math.PI - arc.startAngle) / arc.sweep)
  return turns.reduce((best, share) => (Math.abs(share - 0.5) < Math.abs(best - 0.5) ? share : best))
}

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
