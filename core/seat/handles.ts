import { phrase } from '../language/index.ts'
import type { Footprint, Seat } from '../../contract/index.ts'
import {
  at,
  distance,
  dot,
  edgeOf,
  isStraight,
  minusPoint,
  onEdge,
  outwardOfChord,
  type Point,
} from '../outline/index.ts'
import { cornerPulls, MOST_POINT_HANDLES, sizeOf } from './corner-pulls.ts'
import { footingOf, type Footing } from './footprints/index.ts'
import { PLAIN_EDGE, shapeSeat, type ShapedSeat } from './shaped-seat.ts'

/** A place on the drawing that can be taken hold of: a corner, or the middle of an edge that bows. */
export interface Handle {
  readonly id: string
  readonly kind: 'corner' | 'rise'
  /** The corner, or the edge that bows. */
  readonly of: string
  readonly label: string
  /** In the frame of the seat. */
  readonly at: Point
  /** The seat when the handle is let go there; sizes get one reading each. */
  readonly drag: (to: Point) => Seat
}

/** Handles of a seat as it is drawn; none for a shape that only tapes can change. */
export function handlesOf(seat: Seat): readonly Handle[] {
  const footing = footingOf(seat.footprint)
  const shaped = shapeSeat(seat)
  if (!footing.ok || !shaped.ok) return []
  return [...cornerHandles(seat, footing.value, shaped.value), ...riseHandles(seat, footing.value, shaped.value)]
}

function cornerHandles(seat: Seat, footing: Footing, shaped: ShapedSeat): readonly Handle[] {
  return cornerPulls(seat.footprint).flatMap(({ corner, pull }): readonly Handle[] => {
    const i = footing.corners.indexOf(corner)
    if (i < 0) return []
    return [
      {
        id: `corner ${corner}`,
        kind: 'corner',
        of: corner,
        label: phrase`Corner ${corner}`,
        at: shaped.toSeat(footing.outline[i]!),
        drag: (to) => ({ ...seat, footprint: pull(shaped.toFooting(to)) }),
      },
    ]
  })
}

function riseHandles(seat: Seat, footing: Footing, shaped: ShapedSeat): readonly Handle[] {
  const { footprint } = seat
  if (footprint.kind === 'ring') return ringRise(seat, footprint, shaped)
  if (footprint.kind === 'taped' || (footprint.kind === 'points' && footprint.points.length > MOST_POINT_HANDLES))
    return []
  return footing.edges.flatMap((name, i): readonly Handle[] => {
    const isPoints = footprint.kind === 'points'
    if (footing.curved.includes(name) && !isPoints) return []
    const own = shaped.bare.edges.findIndex((e) => e.name === name)
    if (own < 0) return []
    const [a, b] = edgeOf(footing.outline, i)
    const out = outwardOfChord(footing.outline, i)
    const middle = at((a.x + b.x) / 2, (a.y + b.y) / 2)
    const rise = (to: Point): number => {
      const mm = Math.round(dot(minusPoint(shaped.toFooting(to), middle), out))
      return Math.abs(mm) < NO_RISE_SHARE * distance(a, b) ? 0 : mm
    }
    const drag = (to: Point): Seat =>
      isPoints
        ? {
            ...seat,
            footprint: {
              ...footprint,
              points: footprint.points.map((p, j) => (name.startsWith(`${j + 1}-`) ? { ...p, riseMm: rise(to) } : p)),
            },
          }
        : { ...seat, edges: { ...seat.edges, [name]: { ...(seat.edges[name] ?? PLAIN_EDGE), riseMm: rise(to) } } }
    return [
      {
        id: `rise ${name}`,
        kind: 'rise',
        of: name,
        label: phrase`Bow of edge ${name}`,
        at: onEdge(shaped.bare.outline, own, 0.5),
        drag,
      },
    ]
  })
}

/** Flatter than this the edge is meant to be straight. */
const NO_RISE_SHARE = 0.008

function ringRise(seat: Seat, ring: Extract<Footprint, { kind: 'ring' }>, shaped: ShapedSeat): readonly Handle[] {
  const arcs = shaped.bare.edges.flatMap((e, i) =>
    isStraight(shaped.bare.outline[i]!.bulge) ? [] : [{ name: e.name, i }],
  )
  const taken = arcs.find((e) => e.name === (ring.at === 'inner' ? 'near' : 'far'))
  if (!taken || ring.curve.by !== 'chord') return []
  const { curve } = ring
  const drag = (to: Point): Seat => ({
    ...seat,
    footprint: { ...ring, curve: { ...curve, rise: sizeOf(shaped.toFooting(to).y) } },
  })
  return [
    {
      id: 'rise ring',
      kind: 'rise',
      of: taken.name,
      label: 'Rise of the chord',
      at: onEdge(shaped.bare.outline, taken.i, 0.5),
      drag,
    },
  ]
}
