import type { Division, Seat } from '../../../contract/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import {
  areaOf,
  at,
  boxOf,
  isSimple,
  mirrored,
  mirroredEdge,
  moved,
  startedAt,
  wholeOf,
  type Outline,
} from '../../outline/index.ts'
import type { EdgedOutline, SeatEdge, ShapedSeat } from '../shaped-seat.ts'
import { inOwnFrame, type Cut } from './own-frame.ts'
import { radialRun } from './radial-run.ts'
import { roundTheCorner } from './round-the-corner.ts'
import { straightRun } from './straight-run.ts'

export type DivisionFault =
  | { readonly code: 'parts-in-two' }
  | { readonly code: 'cushion-vanishes'; readonly number: number }
  | { readonly code: 'division-not-for-shape'; readonly division: Division['kind'] | 'radial' }

/** All cushions of a seat, in order from its left end (leg B, then the corner, then leg A of a corner bench). */
export function divide(seat: Seat, shaped: ShapedSeat): Result<readonly Cut[], DivisionFault> {
  const { division } = seat
  switch (division.kind) {
    case 'singles':
      return ok(singles(shaped.free, division.count, division.mirrored))
    case 'rows':
      // Each row is divided as a seat of its own: see `rowSeats`. Here stands the first.
      return ok(singles(shaped.free, division.rows[0]!.count, 0))
    case 'run':
      if (division.cuts === 'radial' && division.count > 1) {
        const sectors = shaped.centre && radialRun(shaped, division.count, division.gapMm, seat)
        return sectors ? sound(sectors) : err({ code: 'division-not-for-shape', division: 'radial' })
      }
      return division.count === 1
        ? ok([inOwnFrame(shaped.free, wholeOf(shaped.free.outline), at(1, 0))])
        : sound(straightRun(shaped.free, wholeOf(shaped.free.outline), at(1, 0), division.count, division.gapMm))
    case 'corner':
      return shaped.free.edges.some((e) => e.name === 'A front')
        ? sound(roundTheCorner(shaped.free, division))
        : err({ code: 'division-not-for-shape', division: 'corner' })
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
  return [
    one,
    ...Array.from({ length: count - 1 }, () => ({ ...one, place: null })),
    ...Array.from({ length: mirroredCount }, () => ({ ...other, place: null })),
  ]
}

const OTHER_HAND: Readonly<Record<SeatEdge['side'], SeatEdge['side']>> = {
  front: 'front',
  right: 'left',
  back: 'back',
  left: 'right',
}

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
