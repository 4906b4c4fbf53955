import type { Dimension, Footprint, Seat } from '../../contract/index.ts'
import { boxOf } from '../outline/index.ts'
import { shapeSeat } from './shaped-seat.ts'

/** Another footprint of about the same size; what was set on edges and corners belonged to the old one. */
export function reshape(seat: Seat, kind: Footprint['kind']): Seat {
  if (seat.footprint.kind === kind) return seat
  const shaped = shapeSeat(seat)
  const box = shaped.ok ? boxOf(shaped.value.bare.outline) : { maxX: 600, maxY: 500 }
  const footprint = startFootprint(kind, Math.round(box.maxX), Math.round(box.maxY))
  return {
    ...seat,
    footprint,
    edges: {},
    corners: {},
    front: FRONTS[kind],
    turnDeg: 0,
    mirrored: false,
    division: divisionFor(seat, kind),
  }
}

/** The edge a sitter would face, until another is chosen; where there is none of the name, as on a round, the first. */
export const FRONTS: Readonly<Record<Footprint['kind'], string>> = {
  rectangle: 'near',
  taper: 'near',
  disc: 'near',
  eared: 'near',
  'corner-bench': 'A front',
  ring: 'near',
  berth: 'foot',
  taped: 'AB',
  points: '1-2',
}

/** Whether cushions stand beside each other on one seat. */
export const isRow = (division: Seat['division']): division is Extract<Seat['division'], { gapMm: number }> =>
  division.kind === 'run' || division.kind === 'corner'

function countIn(division: Seat['division']): number {
  if (division.kind === 'corner') return division.countA + division.countB
  return division.kind === 'rows' ? division.rows.reduce((sum, row) => sum + row.count, 0) : division.count
}

function divisionFor({ division }: Seat, kind: Footprint['kind']): Seat['division'] {
  const count = countIn(division)
  const gapMm = isRow(division) ? division.gapMm : 0
  if (kind === 'corner-bench')
    return {
      kind: 'corner',
      countA: Math.max(1, Math.ceil(count / 2)),
      countB: Math.max(1, Math.floor(count / 2)),
      gapMm,
      corner: 'a-through',
    }
  if (kind === 'disc') return { kind: 'singles', count, mirrored: 0 }
  if (kind === 'ring') return { kind: 'run', count, gapMm, cuts: 'radial' }
  if (!isRow(division)) return division
  return { kind: 'run', count, gapMm, cuts: 'straight' }
}

function startFootprint(kind: Footprint['kind'], w: number, d: number): Footprint {
  const one = (mm: number): Dimension => ({ readings: [{ mm: Math.max(10, Math.round(mm)) }] })
  switch (kind) {
    case 'rectangle':
      return { kind, width: one(w), depth: one(d), rising: null, falling: null }
    case 'taper':
      return {
        kind,
        near: one(w),
        far: one(w * 0.8),
        depth: one(d),
        offset: { kind: 'centred' },
        rising: null,
        falling: null,
      }
    case 'disc':
      return { kind, across: one(Math.min(w, d)), part: 'whole' }
    case 'eared': {
      const ear = { out: one(w * 0.1), deep: one(d * 0.27) }
      return { kind, width: one(w), depth: one(d), left: ear, right: ear }
    }
    case 'corner-bench': {
      const depth = Math.min(d, w, 500) * 0.9
      return {
        kind,
        lengthA: one(Math.max(w, 2 * depth)),
        depthA: one(depth),
        lengthB: one(Math.max(d, 2 * depth)),
        depthB: one(depth),
      }
    }
    case 'ring':
      return {
        kind,
        at: 'inner',
        curve: { by: 'radius', radius: one(Math.max(w, 2 * d)) },
        depth: one(d),
        extent: { by: 'length', length: one(w) },
      }
    case 'berth':
      return {
        kind,
        length: one(Math.max(w, d)),
        head: one(Math.min(w, d)),
        foot: one(Math.min(w, d) * 0.4),
        stations: [],
        hull: 'straight',
      }
    case 'taped':
      return {
        kind,
        corners: 4,
        hollow: [],
        tapes: tapesRound(w, d).map(([name, mm]) => ({ from: name[0]!, to: name[1]!, length: one(mm) })),
      }
    case 'points':
      return {
        kind,
        source: { kind: 'typed' },
        template: null,
        points: [
          [0, 0],
          [w, 0],
          [w, d],
          [0, d],
        ].map(([x, y]) => ({ x: x!, y: y!, riseMm: 0 })),
      }
    default:
      return kind satisfies never
  }
}

/** Four sides and one diagonal of a rectangle. */
const tapesRound = (w: number, d: number): readonly (readonly [string, number])[] => [
  ['AB', w],
  ['BC', d],
  ['CD', w],
  ['DA', d],
  ['AC', Math.hypot(w, d)],
]
