import { boxOf, distanceFromEdge, flatten, type Outline, type Point } from '../../outline/index.ts'
import { inSpace, type Space } from '../space.ts'

/** So near to the seam a plate lies flat, so that chords of its eased corners still meet those of its partner. */
const LIP_MM = 1.5

export interface PillowBox {
  /** What the filled pillow measures over all. */
  readonly width: number
  readonly depth: number
  readonly thickness: number
  /** How far from its seam it is as high as it gets: a block fills it to the edge. Without it, as a pillow. */
  readonly reachMm?: number
}

/**
 * Where a plate without boxing lies when it is filled: drawn in to the size of the cushion, and
 * rounded up from its seam, which lies at mid height. For looks and for the check that seams meet;
 * nothing is measured by it. The filled box stands with its left front corner at the origin.
 */
export function pillowPlace(outline: Outline, box: PillowBox, face: 1 | -1): (p: Point) => Space {
  const points = flatten(outline, 0.5)
  const { minX, minY, maxX, maxY } = boxOf(outline)
  const [scaleX, scaleY] = [box.width / (maxX - minX), box.depth / (maxY - minY)]
  const reach = box.reachMm ?? Math.max(box.thickness * 0.9, Math.min(maxX - minX, maxY - minY) * 0.34)
  return (p) => {
    const inside = Math.min(1, Math.max(0, distanceFromEdge(points, p) - LIP_MM) / reach)
    const up = (box.thickness / 2) * Math.sqrt(1 - (1 - inside) ** 2)
    // Seen from above, a plate that faces down lies mirrored.
    const x = (face > 0 ? p.x - minX : maxX - p.x) * scaleX
    return inSpace(x, (p.y - minY) * scaleY, box.thickness / 2 + face * up)
  }
}
