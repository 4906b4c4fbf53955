import type { LayCloth, LayProblem } from '../../../contract/index.ts'
import { ACCEPTED_OVERLAP_MM } from '../tolerances.ts'
import type { LayFault } from './fault.ts'
import { laidRing, overlapBeyond, type Laid } from './laid.ts'
import { distanceToRing, insideDeeper, isInside, type Ring } from './outlines.ts'

/** What of a piece lies beyond its cloth, or on a flaw. */
export function clothFaults({ cloth }: LayProblem, piece: Laid): LayFault[] {
  return [
    ...edgeFaults(cloth, piece),
    ...sideFaults(cloth, piece),
    ...remnantFaults(cloth, piece),
    ...flawFaults(cloth, piece),
  ]
}

/** A piece with an edge on a side of the cloth reaches over the selvedge there, and no further. */
function edgeFaults(cloth: LayCloth, { name, sheet, sides, box: [x0, y0, x1, y1] }: Laid): LayFault[] {
  const reaches = (x: number) => sides.some(({ xs }) => xs.every((v) => Math.abs(v - x) <= ACCEPTED_OVERLAP_MM))
  const over = Math.max(
    (reaches(0) ? 0 : cloth.selvedge[0]) - x0,
    x1 - (cloth.width - (reaches(cloth.width) ? 0 : cloth.selvedge[1])),
    -y0,
    cloth.length === null ? 0 : y1 - cloth.length,
    sheet > (cloth.count ?? 1) ? Infinity : 0,
  )
  return over > ACCEPTED_OVERLAP_MM ? [{ code: 'off-cloth', piece: name, over }] : []
}

function sideFaults({ width }: LayCloth, { name, sides }: Laid): LayFault[] {
  return sides.flatMap(({ of, xs }) => {
    const offFrom = (x: number) => Math.max(...xs.map((v) => Math.abs(v - x)))
    const off = of === 'left' ? offFrom(0) : of === 'right' ? offFrom(width) : Math.min(offFrom(0), offFrom(width))
    return off > ACCEPTED_OVERLAP_MM ? [{ code: 'not-at-side', piece: name, off } as const] : []
  })
}

function remnantFaults({ outline }: LayCloth, { name, ring }: Laid): LayFault[] {
  if (!outline) return []
  const remnant = outline.flat()
  const over = Math.max(...corners(ring).map(([x, y]) => (isInside(remnant, x, y) ? 0 : distanceToRing(remnant, x, y))))
  const cutsIn = corners(remnant).some(
    ([x, y]) => isInside(ring, x, y) && distanceToRing(ring, x, y) > ACCEPTED_OVERLAP_MM,
  )
  return over > ACCEPTED_OVERLAP_MM || cutsIn || insideDeeper(remnant, ring, ACCEPTED_OVERLAP_MM)
    ? [{ code: 'off-cloth', piece: name, over }]
    : []
}

const flawFaults = ({ flaws }: LayCloth, piece: Laid): LayFault[] =>
  flaws.flatMap((place, flaw) => (liesOn(piece, place) ? [{ code: 'on-flaw', piece: piece.name, flaw } as const] : []))

/** A slit, or a hole of no size, lies within the piece, not only along its edge. */
function liesOn(piece: Laid, [x, y, w, h]: LayCloth['flaws'][number]): boolean {
  if (w === 0 && h === 0) return isInside(piece.ring, x, y) && distanceToRing(piece.ring, x, y) > ACCEPTED_OVERLAP_MM
  if (w === 0 || h === 0) return insideDeeper([x, y, x + w, y + h], piece.ring, ACCEPTED_OVERLAP_MM)
  return overlapBeyond(piece, laidRing([x, y, x + w, y, x + w, y + h, x, y + h], piece.sheet), ACCEPTED_OVERLAP_MM)
}

const corners = (ring: Ring): (readonly [number, number])[] =>
  ring.flatMap((x, i) => (i % 2 === 0 ? [[x, ring[i + 1]!] as const] : []))
