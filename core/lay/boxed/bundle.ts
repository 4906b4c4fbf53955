import type { Item } from '../instance.ts'
import type { PairTable } from '../separation/index.ts'
import type { Posture } from '../shape.ts'
import { ROUNDING_MM } from '../tolerances.ts'

/** Pieces that lie together in a box, each so far from the box's lower left corner. */
export interface Bundle {
  readonly width: number
  readonly height: number
  readonly members: readonly Member[]
}

interface Member {
  readonly posture: Posture
  readonly dx: number
  readonly dy: number
}

/** So many places along each other are tried for two pieces, beside those where their boxes are flush. */
const OFFSETS = 24

export const alone = (posture: Posture): Bundle => ({
  width: posture.shape.width,
  height: posture.shape.height,
  members: [{ posture, dx: 0, dy: 0 }],
})

/**
 * The smallest boxes in which two items lie together: one with them beside each other, one with them above each other.
 * They are slid together from outside until they touch, in every turn of both.
 */
export function bundlesOf(pairs: PairTable, a: Item, b: Item): readonly Bundle[] {
  const ways = a.postures.flatMap((p) => b.postures.map((q) => [p, q] as const))
  const beside = ways.flatMap(([p, q]) =>
    offsets(p.shape.height, q.shape.height).flatMap((dy) => [
      bundle(p, q, pairs.clearRight(p.shape, q.shape, dy), dy),
      bundle(p, q, -pairs.clearRight(q.shape, p.shape, -dy), dy),
    ]),
  )
  const above = ways.flatMap(([p, q]) =>
    offsets(p.shape.width, q.shape.width).flatMap((dx) => [
      bundle(p, q, dx, pairs.clearAbove(p.shape, q.shape, dx)),
      bundle(p, q, dx, -pairs.clearAbove(q.shape, p.shape, -dx)),
    ]),
  )
  return [beside, above].map((all) => all.reduce((x, y) => (areaOf(y) < areaOf(x) - ROUNDING_MM ? y : x)))
}

export const areaOf = ({ width, height }: Pick<Bundle, 'width' | 'height'>): number => width * height

/** Area of the box round a piece, in the turn that has the smallest. */
export const leastBox = ({ postures }: Item): number => Math.min(...postures.map((p) => areaOf(p.shape)))

function offsets(a: number, b: number): readonly number[] {
  const low = -b / 2
  return [0, a - b, ...Array.from({ length: OFFSETS }, (_, k) => low + (a * (k + 0.5)) / OFFSETS)]
}

/** Two pieces in the box round them, the second so far from the first. */
function bundle(p: Posture, q: Posture, dx: number, dy: number): Bundle {
  const [x, y] = [Math.max(0, -dx), Math.max(0, -dy)]
  return {
    width: Math.max(p.shape.width + x, q.shape.width + x + dx),
    height: Math.max(p.shape.height + y, q.shape.height + y + dy),
    members: [
      { posture: p, dx: x, dy: y },
      { posture: q, dx: x + dx, dy: y + dy },
    ],
  }
}
