import { areaOf, hasArcs } from '../outline/index.ts'
import type { Solid } from '../seat/index.ts'

/** Upright and rectangular: its sizes over all say everything. */
export function isPlainBox({ outline, edges, width, depth }: Solid): boolean {
  return !hasArcs(outline) && edges.every((e) => e.leanRad === 0) && Math.abs(areaOf(outline) - width.value * depth.value) < 1
}
