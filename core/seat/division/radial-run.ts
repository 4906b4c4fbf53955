import type { Seat } from '../../../contract/index.ts'
import {
  arcBetween,
  at,
  edgeLength,
  edgeOf,
  isStraight,
  offsetEdges,
  onEdge,
  stretchOf,
  vertex,
  type Arc,
  type CutOff,
  type Outline,
} from '../../outline/index.ts'
import type { SeatEdge, ShapedSeat } from '../shaped-seat.ts'
import { inOwnFrame, type Cut } from './own-frame.ts'

/**
 * Equal sectors of a ring, cut towards its centre; gap and end clearance are taken on the front arc.
 * The ends keep their angle from the centre, so that all cushions are alike. Null when front and back
 * are not both arcs.
 */
export function radialRun(shaped: ShapedSeat, n: number, gapMm: number, seat: Seat): readonly Cut[] | null {
  const { edges } = shaped.free
  // Clearance comes off the arcs here and off the ends by angle below.
  const outline = offsetEdges(
    shaped.bare.outline,
    edges.map((e) => (e.meets !== 'open' && (e.side === 'front' || e.side === 'back') ? -seat.clearanceMm : 0)),
  )
  const [front, back] = [arcIndex(outline, edges, 'front'), arcIndex(outline, edges, 'back')]
  if (front < 0 || back < 0) return null
  const bare = arcOn(shaped.bare.outline, arcIndex(shaped.bare.outline, edges, 'front'))
  const radius = Math.abs(arcOn(outline, front).radius)
  const clear = (side: 'left' | 'right'): number =>
    edges.some((e) => e.side === side && e.meets !== 'open') ? seat.clearanceMm / radius : 0
  const gap = gapMm / radius
  const whole = spanAbout(bare, shaped.bare.outline)
  const each = (whole.sweep - clear('left') - clear('right') - (n - 1) * gap) / n
  if (!(each > 0)) return [{ outline: [], edges: [], place: null }]
  const way = Math.sign(bare.sweep)
  const start = whole.startAngle + way * clear('left')
  return Array.from({ length: n }, (_, i) => {
    const [from, to] = [start + way * i * (each + gap), start + way * (i * (each + gap) + each)]
    // An end without clearance stays as the tape found it, corners and all.
    const keeps = { left: i === 0 && clear('left') === 0, right: i === n - 1 && clear('right') === 0 }
    const cut = sector(outline, front, back, from, to, keeps)
    const middle = (from + to) / 2
    return inOwnFrame({ outline, edges }, cut, at(-Math.sin(middle) * way, Math.cos(middle) * way))
  })
}

/** The longest arc on a side: a rounded corner may count to the side as well. −1 where there is none. */
function arcIndex(outline: Outline, edges: readonly SeatEdge[], side: SeatEdge['side']): number {
  const arcs = edges.flatMap((e, i) => (e.side === side && !isStraight(outline[i]!.bulge) ? [i] : []))
  return arcs.reduce((best, i) => (best < 0 || edgeLength(outline, i) > edgeLength(outline, best) ? i : best), -1)
}

function arcOn(outline: Outline, i: number): Arc {
  const [a, b] = edgeOf(outline, i)
  return arcBetween(a, b, a.bulge!)
}

/**
 * From end to end about the centre of the front arc, corners that were rounded or cut off it counted in: the ends point
 * to the centre.
 */
function spanAbout(front: Arc, outline: Outline): { readonly startAngle: number; readonly sweep: number } {
  const middle = front.startAngle + front.sweep / 2
  const offsets = outline.map((p) => {
    const angle = Math.atan2(p.y - front.centre.y, p.x - front.centre.x) - middle
    return Math.atan2(Math.sin(angle), Math.cos(angle)) * Math.sign(front.sweep)
  })
  const [first, last] = [Math.min(...offsets), Math.max(...offsets)]
  return { startAngle: middle + Math.sign(front.sweep) * first, sweep: last - first }
}

/**
 * What lies between two angles: along the front arc, across, back along the back arc, across; or round an end of the
 * seat.
 */
function sector(
  outline: Outline,
  front: number,
  back: number,
  from: number,
  to: number,
  keeps: { readonly left: boolean; readonly right: boolean },
): CutOff {
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
