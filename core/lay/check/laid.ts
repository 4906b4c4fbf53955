import type { LayPiece, Placement } from '../../../contract/index.ts'
import { boxOf, distanceToRing, insideDeeper, isInside, justWithin, type Box, type Ring } from './outlines.ts'

/** A piece as it lies on its cloth. */
export interface Laid {
  readonly name: string
  readonly ring: Ring
  /** Points within it, one to an edge. */
  readonly innards: readonly (readonly [number, number])[]
  readonly sheet: number
  /** Its edges that are to lie on a side of the cloth: where each of both ends lies, and which side it is for. */
  readonly sides: readonly { readonly of: 'left' | 'right' | 'either'; readonly xs: readonly [number, number] }[]
  readonly box: Box
}

/** A piece as it is put down: its outline turned, flipped and moved. Shares nothing with the search. */
export function laidPiece({ id, qty, outline, sides = [] }: LayPiece, place: Placement): Laid {
  const ring = outline.flatMap(([x, y]) => [...onCloth(place, x, y)])
  return {
    ...laidRing(ring, place.sheet ?? 1),
    name: qty > 1 ? `${id} (${place.copy})` : id,
    sides: sides.map(({ edge, of }) => ({ of, xs: [ring[2 * edge]!, ring[(2 * edge + 2) % ring.length]!] as const })),
  }
}

export const laidRing = (ring: Ring, sheet: number): Laid => ({
  name: '',
  sides: [],
  ring,
  innards: justWithin(ring, WITHIN_MM),
  sheet,
  box: boxOf(ring),
})

/** Thrice what may overlap: such a point of two pieces is an overlap beyond doubt. */
const WITHIN_MM = 0.15

/** The format's own rule, written here a second time on purpose: mirrored in x, turned counter-clockwise, moved. */
export function onCloth({ x: toX, y: toY, turn, flip }: Placement, x: number, y: number): readonly [number, number] {
  const angleRad = (turn * Math.PI) / 180
  const mirrored = flip ? -x : x
  return [
    toX + mirrored * Math.cos(angleRad) - y * Math.sin(angleRad),
    toY + mirrored * Math.sin(angleRad) + y * Math.cos(angleRad),
  ]
}

/** Whether two pieces of one sheet lie over each other farther than `mm`. */
export function overlapBeyond(a: Laid, b: Laid, mm: number): boolean {
  if (
    a.sheet !== b.sheet ||
    a.box[0] > b.box[2] - mm ||
    b.box[0] > a.box[2] - mm ||
    a.box[1] > b.box[3] - mm ||
    b.box[1] > a.box[3] - mm
  )
    return false
  const holds = ({ ring }: Laid, points: Laid['innards']) =>
    points.some(([x, y]) => isInside(ring, x, y) && distanceToRing(ring, x, y) > mm)
  return (
    insideDeeper(a.ring, b.ring, mm) || insideDeeper(b.ring, a.ring, mm) || holds(b, a.innards) || holds(a, b.innards)
  )
}
