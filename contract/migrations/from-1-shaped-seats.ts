import type { Document } from './document.ts'

/** Version 1 knew rectangles alone. */
export const withShapedSeat = (document: Document): Document => ({
  ...document,
  version: 2,
  seat: shapedSeat(document['seat']),
})

const SIDES = ['near', 'right', 'far', 'left'] as const

/** Version 1 knew rectangles alone: a bench in so many, or single cushions. */
function shapedSeat(seat: unknown): unknown {
  if (typeof seat !== 'object' || seat === null) return seat
  const { kind, width, depth, thickness, front, roles, clearanceMm, count, gapMm, ...unknown } = seat as Document
  const meets = typeof roles === 'object' && roles !== null ? (roles as Document) : {}
  return {
    ...unknown,
    footprint: { kind: 'rectangle', width, depth, rising: null, falling: null },
    thickness,
    edges: Object.fromEntries(
      SIDES.filter((side) => meets[side] !== 'open').map((side) => [
        side,
        { meets: meets[side], lean: null, riseMm: 0 },
      ]),
    ),
    corners: {},
    front,
    turnDeg: 0,
    mirrored: false,
    clearanceMm,
    division:
      kind === 'bench' ? { kind: 'run', count, gapMm, cuts: 'straight' } : { kind: 'singles', count, mirrored: 0 },
    old: { measured: null, label: null },
  }
}
