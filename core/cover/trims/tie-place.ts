import type { Side } from '../../../contract/index.ts'
import { at, boxOf, distanceFromEdge, edgeLength, flatten, isInside, onEdge, type Point } from '../../outline/index.ts'
import { alongSide, sideLength, type Solid } from '../../seat/index.ts'
import type { CoverDraft } from '../cover.ts'
import { isTopPlate, type PanelRole } from '../panel.ts'
import type { Patch } from '../patch.ts'
import { inSpace, spaceBetween, type Space } from '../space.ts'
import { markOnSide } from './trims.ts'

/**
 * The one place at which a tie or a handle is caught: at the foot of the cushion's side, on whatever panel lies there,
 * plates before wraps and blanks. A cover without a foot to it, like a pillow, takes it in the edge of its top. Null
 * where neither is.
 */
export function tiePlace(
  { panels, patches }: Pick<CoverDraft, 'panels' | 'patches'>,
  solid: Solid,
  side: Side,
  share: number,
): { readonly panel: string; readonly at: Point } | null {
  const foot = footOf(solid, side, share)
  // A rounded front has no edge at its foot: there it is caught half way up.
  const wanted = foot ? [foot, inSpace(foot.x, foot.y, solid.thickness.value / 2)] : []
  const outer = panels
    .filter((p) => p.cloth !== 'lining' && p.cloth !== 'liner' && CATCHES[p.role] !== null)
    .toSorted((a, b) => CATCHES[a.role]! - CATCHES[b.role]!)
  for (const place of wanted) {
    for (const panel of outer) {
      for (const patch of patches.filter((q) => q.panel === panel.id && q.bend === 'flat')) {
        const found = pointAt(patch, place)
        if (found) return { panel: panel.id, at: found }
      }
    }
  }
  const top = panels.find(isTopPlate)
  const found = top && markOnSide(top, side, share)
  return found ? { panel: top.id, at: found } : null
}

/** Which panels a tie is caught in, the first first; none into boxing. */
const CATCHES: Readonly<Record<PanelRole, number | null>> = {
  plate: 0,
  base: 0,
  body: 1,
  blank: 2,
  boxing: null,
  gusset: null,
  band: null,
  trim: null,
}

/** A place at a share of a side, on the seat. */
function footOf(solid: Solid, side: Side, share: number): Space | null {
  const place = alongSide(solid, side, share * sideLength(solid, side))
  if (!place) return null
  const { x, y } = onEdge(solid.outline, place.edge, place.atMm / edgeLength(solid.outline, place.edge))
  return inSpace(x, y, 0)
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
