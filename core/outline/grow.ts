import { outwardOfChord } from './along.ts'
import { offsetEdges } from './offset.ts'
import { boxOf, type Outline } from './outline.ts'
import { at } from './point.ts'
import { moved } from './transform.ts'

/**
 * An outline made larger by so much over all across (x) and front to back (y), half on each side;
 * slanted and bowed edges move by what lies between. Its box is put back to the origin.
 */
export function grown(outline: Outline, acrossMm: number, frontToBackMm: number): Outline {
  if (acrossMm === 0 && frontToBackMm === 0) return outline
  const larger = offsetEdges(
    outline,
    outline.map((_, i) => moveOf(outwardOfChord(outline, i), acrossMm, frontToBackMm)),
  )
  const box = boxOf(larger)
  return moved(larger, at(-box.minX, -box.minY))
}

/** An ellipse of moves, so that equal growth both ways is the same all round. */
function moveOf(out: { readonly x: number; readonly y: number }, across: number, frontToBack: number): number {
  const size = Math.hypot(out.x * across, out.y * frontToBack) / 2
  return Math.abs(out.x) > Math.abs(out.y)
    ? size * (Math.sign(across) || Math.sign(frontToBack))
    : size * (Math.sign(frontToBack) || Math.sign(across))
}
