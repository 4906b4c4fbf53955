import type { Seat } from '../../contract/index.ts'
import { shapedSeat } from './new-job.ts'

/** How far a quarter of a circle rises above its chord, as a share of the radius: 1 − cos 45°. */
const QUARTER_RISE = 1 - Math.SQRT1_2

/** A round cushion, four quarters of a circle, the near one in front. */
export function discSeat(acrossMm: number, thicknessMm: number, count: number): Seat {
  const r = acrossMm / 2
  const off = r * Math.SQRT1_2
  const corners = [
    [-off, -off],
    [off, -off],
    [off, off],
    [-off, off],
  ]
  return outlineSeat(
    corners.map(([x, y]) => ({ x: x! + r, y: y! + r, riseMm: r * QUARTER_RISE })),
    thicknessMm,
    count,
  )
}

/** Half of it: straight in front, round behind. */
export function halfDiscSeat(acrossMm: number, thicknessMm: number, count: number): Seat {
  const r = acrossMm / 2
  const rise = r * QUARTER_RISE
  return outlineSeat(
    [
      { x: 0, y: 0, riseMm: 0 },
      { x: acrossMm, y: 0, riseMm: rise },
      { x: r, y: r, riseMm: rise },
    ],
    thicknessMm,
    count,
  )
}

function outlineSeat(points: { x: number; y: number; riseMm: number }[], thicknessMm: number, count: number): Seat {
  const rounded = points.map((p) => ({
    x: Number(p.x.toFixed(3)),
    y: Number(p.y.toFixed(3)),
    riseMm: Number(p.riseMm.toFixed(3)),
  }))
  return shapedSeat({ kind: 'points', points: rounded, source: { kind: 'typed' }, template: null }, thicknessMm, {
    kind: 'singles',
    count,
    mirrored: 0,
  })
}
