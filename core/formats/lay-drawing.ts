import type { Lay } from '../../contract/index.ts'
import type { ClothLay } from '../cloth/index.ts'
import { marksOnPiece, notchDepth, notchOnPiece, sewnOutline } from '../cover/index.ts'
import { onTheCloth } from '../lay/index.ts'
import { at, boxOf, vertex, type Outline, type Point } from '../outline/index.ts'

/** One piece as it lies on the cloth: x across from the left edge, y along from the starting end. */
export interface DrawnPiece {
  readonly name: string
  readonly cut: Outline
  /** The sewing line; null for strips, which have none. */
  readonly sew: Outline | null
  readonly notches: readonly (readonly [Point, Point])[]
  /** Lines and places chalked inside. */
  readonly marks: readonly (readonly Point[])[]
  readonly middle: Point
}

/** A lay as it is drawn, true to size, whatever the file. */
export interface LayDrawing {
  readonly title: string
  readonly clothName: string
  readonly widthMm: number
  readonly lengthMm: number
  readonly pieces: readonly DrawnPiece[]
}

/** A lay as lines and words, mm, for whatever writes it: cut and sewing lines, notches so deep, names. */
export function layDrawing(title: string, plan: ClothLay, lay: Lay, notchMm: number): LayDrawing {
  return {
    title,
    clothName: plan.cloth.name,
    widthMm: plan.laidOn.widthMm,
    lengthMm: lay.length,
    pieces: lay.placements.map((place): DrawnPiece => {
      const piece = plan.pieces.find((p) => p.id === place.id)!
      const panel = piece.of?.panel
      const put = (p: Point): Point => at(...onTheCloth(place, p.x, p.y))
      const outline = (o: Outline): Outline =>
        o.map((v) => vertex(put(v), place.flip && v.bulge !== undefined ? -v.bulge : v.bulge))
      const cut = outline(piece.cut)
      const box = boxOf(cut)
      return {
        name: piece.qty > 1 ? `${piece.name} ${place.copy}` : piece.name,
        cut,
        sew: panel ? outline(sewnOutline(panel)) : null,
        notches: (panel?.notches ?? []).map((n) => {
          const { below } = notchOnPiece(panel!, n)
          return [put(below(0)), put(below(notchDepth(panel!, n, notchMm)))] as const
        }),
        marks: panel ? marksOnPiece(panel).map((m) => m.path.map(put)) : [],
        middle: at((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2),
      }
    }),
  }
}
