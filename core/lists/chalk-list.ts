import { phrase } from '../language/index.ts'
import type { Lay } from '../../contract/index.ts'
import type { ClothLay } from '../cloth/index.ts'
import { turned } from '../lay/index.ts'
import { distance, edgeOf, isStraight, riseOfBulge } from '../outline/index.ts'

/** One piece to chalk: its corners from the left selvedge edge and from the starting end of the cloth. */
export interface ChalkLine {
  readonly order: number
  readonly name: string
  readonly piece: string
  /**
   * `bowMm`: the edge to the next corner is an arc that rises so far above a straight line, outwards positive; 0 for a
   * straight edge.
   */
  readonly corners: readonly { readonly fromSelvedge: number; readonly fromStart: number; readonly bowMm: number }[]
  /** Which way the pattern's top points on the cloth, degrees counter-clockwise from along the roll. */
  readonly arrowDegrees: number
}

/** The lay in the order of marking: from the starting end on, left to right. */
export function chalkList(plan: ClothLay, lay: Lay): readonly ChalkLine[] {
  const lines = lay.placements.map((place) => {
    const piece = plan.pieces.find((p) => p.id === place.id)!
    const corners = piece.cut.map((p, i) => {
      const [x, y] = turned(p.x, p.y, place.turn, place.flip)
      return {
        fromSelvedge: x + place.x,
        fromStart: y + place.y,
        bowMm: isStraight(p.bulge) ? 0 : riseOfBulge(distance(p, edgeOf(piece.cut, i)[1]), p.bulge!),
      }
    })
    return {
      name: piece.qty > 1 ? phrase`${piece.name} ${place.copy}` : piece.name,
      piece: place.id,
      corners,
      arrowDegrees: place.turn,
    }
  })
  const low = (line: (typeof lines)[number], key: 'fromStart' | 'fromSelvedge') =>
    Math.min(...line.corners.map((c) => c[key]))
  return lines
    .toSorted(
      (a, b) =>
        Math.round(low(a, 'fromStart') - low(b, 'fromStart')) || low(a, 'fromSelvedge') - low(b, 'fromSelvedge'),
    )
    .map((line, i) => ({ ...line, order: i + 1 }))
}
