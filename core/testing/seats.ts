import fc from 'fast-check'
import type { CornerSetting, EdgeSetting, Footprint, Seat } from '../../contract/index.ts'
import { reading, shapedSeat } from '../job/index.ts'

const mm = (min: number, max: number) => fc.integer({ min, max })
const dimension = (min: number, max: number) => mm(min, max).map(reading)

/** Footprints of every kind in sizes that makers meet. */
export const anyFootprint: fc.Arbitrary<Footprint> = fc.oneof(
  fc.record({
    kind: fc.constant('rectangle' as const),
    width: dimension(300, 2200),
    depth: dimension(250, 900),
    rising: fc.constant(null),
    falling: fc.constant(null),
  }),
  fc
    .record({
      near: mm(500, 1500),
      share: fc.double({ min: 0.6, max: 1.3, noNaN: true }),
      depth: dimension(300, 900),
      left: fc.option(mm(-80, 200)),
    })
    .map(({ near, share, depth, left }): Footprint => ({
      kind: 'taper',
      near: reading(near),
      far: reading(Math.round(near * share)),
      depth,
      offset: left === null ? { kind: 'centred' } : { kind: 'left', mm: left },
      rising: null,
      falling: null,
    })),
  fc
    .record({ w: mm(500, 900), d: mm(450, 700), out: mm(30, 120), deep: mm(80, 250), both: fc.boolean() })
    .map(({ w, d, out, deep, both }): Footprint => {
      const ear = { out: reading(out), deep: reading(deep) }
      return { kind: 'eared', width: reading(w), depth: reading(d), left: ear, right: both ? ear : null }
    }),
  fc.record({
    kind: fc.constant('disc' as const),
    across: dimension(250, 900),
    part: fc.constantFrom('whole' as const, 'half' as const),
  }),
  fc.record({
    kind: fc.constant('corner-bench' as const),
    lengthA: dimension(1200, 2600),
    depthA: dimension(400, 600),
    lengthB: dimension(1100, 2400),
    depthB: dimension(400, 600),
  }),
  fc
    .record({ radius: mm(900, 3000), depth: mm(350, 600), degrees: mm(20, 170) })
    .map(({ radius, depth, degrees }): Footprint => ({
      kind: 'ring',
      at: 'inner',
      curve: { by: 'radius', radius: reading(radius) },
      depth: reading(depth),
      extent: { by: 'angle', degrees },
    })),
  fc
    .record({
      length: mm(1700, 2000),
      head: mm(550, 800),
      bulge: mm(0, 60),
      foot: mm(200, 500),
      smooth: fc.boolean(),
      stations: mm(0, 3),
    })
    .map(({ length, head, bulge, foot, smooth, stations }): Footprint => ({
      kind: 'berth',
      length: reading(length),
      head: reading(head),
      foot: reading(foot),
      hull: smooth ? 'smooth' : 'straight',
      stations: Array.from({ length: stations }, (_, i) => {
        const share = (i + 1) / (stations + 1)
        return {
          at: reading(Math.round(length * share)),
          width: reading(Math.round(head + (foot - head) * share + bulge * Math.sin(Math.PI * share))),
        }
      }),
    })),
)

const aCorner: fc.Arbitrary<CornerSetting> = fc.oneof(
  fc.record({ kind: fc.constant('round' as const), radiusMm: mm(10, 60) }),
  fc.record({ kind: fc.constant('cut' as const), arrivingMm: mm(10, 70), leavingMm: mm(10, 70) }),
)
const LEANING = ['left', 'right', 'far', 'near', 'hull', 'head', 'A wall'] as const

/** Seats with corners, leaning sides, bows, clearances, other fronts and divisions; some of them cannot be. */
export const anySeat: fc.Arbitrary<Seat> = fc
  .record({
    footprint: anyFootprint,
    thickness: mm(40, 150),
    corner: fc.option(
      fc.record({
        name: fc.constantFrom('near left', 'near right', 'far right', 'far left', 'inner', 'hull at the foot'),
        setting: aCorner,
      }),
    ),
    lean: fc.option(fc.record({ edge: fc.constantFrom(...LEANING), degrees: mm(-30, 35) })),
    bow: fc.option(fc.record({ edge: fc.constantFrom('near', 'far', 'A front'), riseMm: mm(-40, 60) })),
    wall: fc.option(fc.constantFrom('left', 'far', 'centre', 'A wall')),
    front: fc.option(fc.constantFrom('near', 'right', 'far', 'left', 'centre', 'B front')),
    mirrored: fc.boolean(),
    count: mm(1, 4),
    singles: fc.boolean(),
  })
  .map(({ footprint, thickness, corner, lean, bow, wall, front, mirrored, count, singles }) => {
    const division: Seat['division'] =
      footprint.kind === 'corner-bench'
        ? { kind: 'corner', countA: count, countB: 1, gapMm: 2, corner: singles ? 'square' : 'a-through' }
        : singles
          ? { kind: 'singles', count: 1, mirrored: count - 1 }
          : { kind: 'run', count, gapMm: 2, cuts: footprint.kind === 'ring' ? 'radial' : 'straight' }
    const seat = shapedSeat(footprint, thickness, division)
    const edges: Record<string, EdgeSetting> = {}
    const set = (name: string, change: Partial<EdgeSetting>) =>
      (edges[name] = { ...(edges[name] ?? { meets: 'open', lean: null, riseMm: 0 }), ...change })
    if (lean) set(lean.edge, { lean: { by: 'angle', degrees: lean.degrees } })
    if (bow) set(bow.edge, { riseMm: bow.riseMm })
    if (wall) set(wall, { meets: 'wall' })
    return {
      ...seat,
      edges,
      corners: corner ? { [corner.name]: corner.setting } : {},
      ...(front ? { front } : {}),
      mirrored,
    }
  })
