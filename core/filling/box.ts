import { areaOf, boxOf, hasArcs, type Outline } from '../outline/index.ts'
import type { Solid } from '../seat/index.ts'

/** Upright and rectangular: its sizes over all say everything. */
export const isPlainBox = ({ outline, edges }: Solid): boolean =>
  edges.every((e) => e.leanRad === 0) && fillsItsBox(outline)

/** Rectangular: nothing of the box over all is missing. */
export function fillsItsBox(outline: Outline): boolean {
  const { minX, minY, maxX, maxY } = boxOf(outline)
  return !hasArcs(outline) && Math.abs(areaOf(outline) - (maxX - minX) * (maxY - minY)) < 1
}
