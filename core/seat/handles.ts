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
import { valueOf } from './dimension.ts'
import { discFooting, footingOf, ringSizes, type Footing } from './footprints/index.ts'
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

type Pull = (to: Point) => Footprint

const LEAST_MM = 10
const one = (mm: number): { readings: { mm: number }[] } => ({
  readings: [{ mm: Math.max(LEAST_MM, Math.round(mm * 10) / 10) }],
})

function cornerHandles(seat: Seat, footing: Footing, shaped: ShapedSeat): readonly Handle[] {
  return pulls(seat.footprint).flatMap(({ corner, pull }): readonly Handle[] => {
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

/** What pulling a corner changes, in the footprint's own frame. */
function pulls(shape: Footprint): readonly { readonly corner: string; readonly pull: Pull }[] {
  switch (shape.kind) {
    case 'rectangle':
      return [
        { corner: 'near right', pull: (p) => ({ ...shape, width: one(p.x) }) },
        { corner: 'far right', pull: (p) => ({ ...shape, width: one(p.x), depth: one(p.y) }) },
        { corner: 'far left', pull: (p) => ({ ...shape, depth: one(p.y) }) },
      ]
    case 'taper': {
      const near = valueOf(shape.near)
      const { offset } = shape
      return [
        { corner: 'near right', pull: (p) => ({ ...shape, near: one(p.x) }) },
        {
          corner: 'far right',
          pull: (p) => ({
            ...shape,
            depth: one(p.y),
            far: one(offset.kind === 'centred' ? 2 * (p.x - near / 2) : p.x - offset.mm),
          }),
        },
        {
          corner: 'far left',
          pull: (p) => ({
            ...shape,
            depth: one(p.y),
            ...(offset.kind === 'centred'
              ? { far: one(2 * (near / 2 - p.x)) }
              : { offset: { kind: 'left' as const, mm: Math.round(p.x * 10) / 10 } }),
          }),
        },
      ]
    }
    case 'disc':
      return discPulls(shape)
    case 'eared': {
      const { left, right } = shape
      const width = valueOf(shape.width)
      return [
        { corner: 'near right', pull: (p) => ({ ...shape, width: one(p.x) }) },
        { corner: 'far right', pull: (p) => ({ ...shape, depth: one(p.y) }) },
        ...(right
          ? [
              {
                corner: 'right shoulder',
                pull: (p: Point): Footprint => ({ ...shape, right: { out: one(width - p.x), deep: one(p.y) } }),
              },
            ]
          : []),
        ...(left
          ? [
              {
                corner: 'left shoulder',
                pull: (p: Point): Footprint => ({ ...shape, left: { out: one(p.x), deep: one(p.y) } }),
              },
            ]
          : []),
      ]
    }
    case 'corner-bench':
      return [
        { corner: 'inner', pull: (p) => ({ ...shape, depthB: one(p.x), depthA: one(valueOf(shape.lengthB) - p.y) }) },
        { corner: 'A far', pull: (p) => ({ ...shape, lengthA: one(p.x), lengthB: one(p.y) }) },
      ]
    case 'ring':
      return ringPulls(shape)
    case 'berth':
      return [
        { corner: 'hull at the head', pull: (p) => ({ ...shape, head: one(-p.y) }) },
        { corner: 'hull at the foot', pull: (p) => ({ ...shape, length: one(p.x), foot: one(-p.y) }) },
        ...shape.stations.map((_, i) => ({
          corner: stationCorner(shape, i),
          pull: (p: Point): Footprint => ({
            ...shape,
            stations: shape.stations.map((s, j) => (j === i ? { at: one(p.x), width: one(-p.y) } : s)),
          }),
        })),
      ]
    case 'points':
      return shape.points.length > MOST_POINT_HANDLES
        ? []
        : shape.points.map((_, i) => ({
            corner: String(i + 1),
            pull: (p) => ({
              ...shape,
              points: shape.points.map((old, j) =>
                j === i ? { ...old, x: Math.round(p.x * 10) / 10, y: Math.round(p.y * 10) / 10 } : old,
              ),
            }),
          }))
    case 'taped':
      return []
    default:
      return shape satisfies never
  }
}

const MOST_POINT_HANDLES = 60

/** A smooth hull has two arcs between stations, a straight one a single edge. */
function stationCorner(shape: Extract<Footprint, { kind: 'berth' }>, i: number): string {
  const order =
    shape.stations
      .map((s, j) => ({ at: valueOf(s.at), j }))
      .toSorted((a, b) => a.at - b.at)
      .findIndex((s) => s.j === i) + 1
  const edge = shape.hull === 'smooth' && shape.stations.length > 1 ? 2 * order : order
  return `hull ${edge}/${edge + 1}`
}

/** A disc grows about the near left of its box: a corner stays at its share of what is across. */
function discPulls(
  shape: Extract<Footprint, { kind: 'disc' }>,
): readonly { readonly corner: string; readonly pull: Pull }[] {
  const { outline, corners } = discFooting(shape)
  const corner = 'near right'
  const share = outline[corners.indexOf(corner)]!.x / valueOf(shape.across)
  return [{ corner, pull: (p) => ({ ...shape, across: one(Math.max(p.x / share, 1)) }) }]
}

/** The ends of a ring run along its arc. */
function ringPulls(
  shape: Extract<Footprint, { kind: 'ring' }>,
): readonly { readonly corner: string; readonly pull: Pull }[] {
  const sizes = ringSizes(shape)
  if (!sizes.ok || shape.extent.by === 'chord') return []
  const { innerRadius, outerRadius } = sizes.value
  const footing = footingOf(shape)
  const centre = footing.ok ? footing.value.centre! : at(0, 0)
  const pull: Pull = (p) => {
    const angle = 2 * Math.abs(Math.atan2(p.x - centre.x, p.y - centre.y))
    const taken = shape.at === 'inner' ? innerRadius : outerRadius
    return {
      ...shape,
      extent:
        shape.extent.by === 'length'
          ? { by: 'length', length: one(angle * taken) }
          : { by: 'angle', degrees: Math.min(350, Math.max(1, Math.round((angle * 180) / Math.PI))) },
    }
  }
  return [
    { corner: 'near right', pull },
    { corner: 'far right', pull },
  ]
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
    footprint: { ...ring, curve: { ...curve, rise: one(shaped.toFooting(to).y) } },
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
