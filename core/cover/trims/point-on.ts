import { at, boxOf, distanceFromEdge, flatten, isInside, type Point } from '../../outline/index.ts'
import type { CoverDraft } from '../cover.ts'
import type { PanelRole } from '../panel.ts'
import type { Patch } from '../patch.ts'
import { spaceBetween, type Space } from '../space.ts'

/**
 * The point of a cover that comes to lie at a place: on the flat panels of the outside, by the order of their roles
 * (null: never). Null where none lies there.
 */
export function pointOn(
  { panels, patches }: Pick<CoverDraft, 'panels' | 'patches'>,
  wanted: Space,
  order: Readonly<Record<PanelRole, number | null>>,
): { readonly panel: string; readonly at: Point } | null {
  const outer = panels
    .filter((p) => p.cloth !== 'lining' && p.cloth !== 'liner' && order[p.role] !== null)
    .toSorted((a, b) => order[a.role]! - order[b.role]!)
  for (const panel of outer)
    for (const patch of patches.filter((q) => q.panel === panel.id && q.bend === 'flat')) {
      const found = pointAt(patch, wanted)
      if (found) return { panel: panel.id, at: found }
    }
  return null
}

const NEAR_MM = 0.5

/** The point of a flat patch that comes to lie at a place; null where none does. */
function pointAt({ outline, place }: Patch, wanted: Space): Point | null {
  const { minX, minY } = boxOf(outline)
  const [o, u, v] = [place(at(minX, minY)), place(at(minX + 1, minY)), place(at(minX, minY + 1))]
  const along = (to: Space): number =>
    (wanted.x - o.x) * (to.x - o.x) + (wanted.y - o.y) * (to.y - o.y) + (wanted.z - o.z) * (to.z - o.z)
  const p = at(minX + along(u), minY + along(v))
  if (spaceBetween(place(p), wanted) > NEAR_MM) return null
  const polygon = flatten(outline, 0.05)
  return isInside(polygon, p) || distanceFromEdge(polygon, p) < NEAR_MM ? p : null
}
