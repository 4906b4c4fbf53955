import type { Footprint } from '../../contract/index.ts'
import { at, type Point } from '../outline/index.ts'
import { valueOf } from './dimension.ts'
import { discFooting, footingOf, ringSizes } from './footprints/index.ts'

/** A corner that can be pulled, and what its footprint becomes when it is let go at a place in its own frame. */
export interface CornerPull {
  readonly corner: string
  readonly pull: Pull
}
type Pull = (to: Point) => Footprint
type Of<K extends Footprint['kind']> = Extract<Footprint, { kind: K }>

/** What pulling a corner changes, in the footprint's own frame. */
export function cornerPulls(shape: Footprint): readonly CornerPull[] {
  switch (shape.kind) {
    case 'rectangle':
      return [
        { corner: 'near right', pull: (p) => ({ ...shape, width: sizeOf(p.x) }) },
        { corner: 'far right', pull: (p) => ({ ...shape, width: sizeOf(p.x), depth: sizeOf(p.y) }) },
        { corner: 'far left', pull: (p) => ({ ...shape, depth: sizeOf(p.y) }) },
      ]
    case 'taper':
      return taperPulls(shape)
    case 'disc':
      return discPulls(shape)
    case 'eared':
      return earedPulls(shape)
    case 'corner-bench':
      return [
        {
          corner: 'inner',
          pull: (p) => ({ ...shape, depthB: sizeOf(p.x), depthA: sizeOf(valueOf(shape.lengthB) - p.y) }),
        },
        { corner: 'A far', pull: (p) => ({ ...shape, lengthA: sizeOf(p.x), lengthB: sizeOf(p.y) }) },
      ]
    case 'ring':
      return ringPulls(shape)
    case 'berth':
      return berthPulls(shape)
    case 'points':
      return pointPulls(shape)
    case 'taped':
      return []
    default:
      return shape satisfies never
  }
}

function taperPulls(shape: Of<'taper'>): readonly CornerPull[] {
  const near = valueOf(shape.near)
  const { offset } = shape
  return [
    { corner: 'near right', pull: (p) => ({ ...shape, near: sizeOf(p.x) }) },
    {
      corner: 'far right',
      pull: (p) => ({
        ...shape,
        depth: sizeOf(p.y),
        far: sizeOf(offset.kind === 'centred' ? 2 * (p.x - near / 2) : p.x - offset.mm),
      }),
    },
    {
      corner: 'far left',
      pull: (p) => ({
        ...shape,
        depth: sizeOf(p.y),
        ...(offset.kind === 'centred'
          ? { far: sizeOf(2 * (near / 2 - p.x)) }
          : { offset: { kind: 'left' as const, mm: tenth(p.x) } }),
      }),
    },
  ]
}

function earedPulls(shape: Of<'eared'>): readonly CornerPull[] {
  const { left, right } = shape
  const width = valueOf(shape.width)
  const ends: readonly CornerPull[] = [
    { corner: 'near right', pull: (p) => ({ ...shape, width: sizeOf(p.x) }) },
    { corner: 'far right', pull: (p) => ({ ...shape, depth: sizeOf(p.y) }) },
  ]
  const onRight: CornerPull = {
    corner: 'right shoulder',
    pull: (p) => ({ ...shape, right: { out: sizeOf(width - p.x), deep: sizeOf(p.y) } }),
  }
  const onLeft: CornerPull = {
    corner: 'left shoulder',
    pull: (p) => ({ ...shape, left: { out: sizeOf(p.x), deep: sizeOf(p.y) } }),
  }
  return [...ends, ...(right ? [onRight] : []), ...(left ? [onLeft] : [])]
}

const berthPulls = (shape: Of<'berth'>): readonly CornerPull[] => [
  { corner: 'hull at the head', pull: (p) => ({ ...shape, head: sizeOf(-p.y) }) },
  { corner: 'hull at the foot', pull: (p) => ({ ...shape, length: sizeOf(p.x), foot: sizeOf(-p.y) }) },
  ...shape.stations.map((_, i): CornerPull => ({
    corner: stationCorner(shape, i),
    pull: (p) => ({
      ...shape,
      stations: shape.stations.map((s, j) => (j === i ? { at: sizeOf(p.x), width: sizeOf(-p.y) } : s)),
    }),
  })),
]

const pointPulls = (shape: Of<'points'>): readonly CornerPull[] =>
  shape.points.length > MOST_POINT_HANDLES
    ? []
    : shape.points.map((_, i) => ({
        corner: String(i + 1),
        pull: (p) => ({
          ...shape,
          points: shape.points.map((old, j) => (j === i ? { ...old, x: tenth(p.x), y: tenth(p.y) } : old)),
        }),
      }))

/** More would lie on each other. */
export const MOST_POINT_HANDLES = 60

/** A smooth hull has two arcs between stations, a straight one a single edge. */
function stationCorner(shape: Of<'berth'>, i: number): string {
  const order =
    shape.stations
      .map((s, j) => ({ at: valueOf(s.at), j }))
      .toSorted((a, b) => a.at - b.at)
      .findIndex((s) => s.j === i) + 1
  const edge = shape.hull === 'smooth' && shape.stations.length > 1 ? 2 * order : order
  return `hull ${edge}/${edge + 1}`
}

/** A disc grows about the near left of its box: a corner stays at its share of what is across. */
function discPulls(shape: Of<'disc'>): readonly CornerPull[] {
  const { outline, corners } = discFooting(shape)
  const corner = 'near right'
  const share = outline[corners.indexOf(corner)]!.x / valueOf(shape.across)
  return [{ corner, pull: (p) => ({ ...shape, across: sizeOf(Math.max(p.x / share, 1)) }) }]
}

/** The ends of a ring run along its arc. */
function ringPulls(shape: Of<'ring'>): readonly CornerPull[] {
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
          ? { by: 'length', length: sizeOf(angle * taken) }
          : { by: 'angle', degrees: Math.min(350, Math.max(1, Math.round((angle * 180) / Math.PI))) },
    }
  }
  return [
    { corner: 'near right', pull },
    { corner: 'far right', pull },
  ]
}

const LEAST_MM = 10
const tenth = (mm: number): number => Math.round(mm * 10) / 10

/** A size as one reading, to a tenth of a millimetre. */
export const sizeOf = (mm: number): { readings: { mm: number }[] } => ({
  readings: [{ mm: Math.max(LEAST_MM, tenth(mm)) }],
})
