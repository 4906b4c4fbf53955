import { at, type Outline, type Vertex, vertex } from '../../../outline/index.ts'
import { seamEdge, shapedPanel, type PanelDraft } from '../../parts/index.ts'
import type { Patch } from '../../patch.ts'
import type { RecipeInput } from '../../recipe.ts'
import { inSpace, onPlane, UP } from '../../space.ts'

/** The band that closes a side, its front end rounded. */
export function band(
  side: 'left' | 'right',
  { solid, construction, allowances }: RecipeInput<'waterfall'>,
): PanelDraft {
  const [d, t, r] = [solid.depth.value, solid.thickness.value, construction.frontRadiusMm]
  const edges = bandEdgeNames(side, t, r).map((name) => seamEdge(name, allowances.seamMm))
  const outline = bandOutline(side, d, t, r)
  const sums = {
    width: solid.depth,
    height: solid.thickness,
    bottom: 'bottom',
    top: 'top',
    left: 'back',
    right: 'back',
  }
  return shapedPanel(
    {
      id: `band-${side}`,
      name: side === 'left' ? 'Left band' : 'Right band',
      role: 'band',
      face: side,
      cloth: 'boxing',
      isSeen: true,
      rule: 'depth by thickness, the front end rounded',
    },
    outline,
    edges,
    sums,
  )
}

/** Where a band stands beside the made-up cushion. */
export const bandPatch = (side: 'left' | 'right', w: number, d: number, t: number, r: number): Patch => ({
  panel: `band-${side}`,
  bend: 'flat',
  outline: bandOutline(side, d, t, r),
  place:
    side === 'right'
      ? onPlane(at(0, 0), inSpace(w, 0, 0), inSpace(0, 1, 0), UP)
      : onPlane(at(d, 0), inSpace(0, 0, 0), inSpace(0, -1, 0), UP),
})

/** Drawn from outside: the front of the right band lies at the left, of the left band at the right. */
function bandOutline(side: 'left' | 'right', d: number, t: number, r: number): Outline {
  const quarter = Math.tan(Math.PI / 8)
  const straight = t - 2 * r
  const right: readonly (Vertex | null)[] = [
    at(r, 0),
    at(d, 0),
    at(d, t),
    r > 0 ? vertex(at(r, t), quarter) : null,
    r > 0 && straight > 1e-6 ? at(0, t - r) : r > 0 ? null : at(0, t),
    r > 0 ? vertex(at(0, straight > 1e-6 ? r : t / 2), quarter) : null,
  ]
  const outline = right.filter((v): v is Vertex => v !== null)
  if (r === 0)
    return side === 'right' ? [at(0, 0), at(d, 0), at(d, t), at(0, t)] : [at(0, 0), at(d, 0), at(d, t), at(0, t)]
  return side === 'right' ? outline : mirrorBand(outline, d)
}

/** Mirrored in the middle of the band and walked from its lower back corner on. */
function mirrorBand(outline: Outline, d: number): Outline {
  const n = outline.length
  return Array.from({ length: n }, (_, i) => {
    const k = (2 * n + 1 - i) % n
    const corner = outline[k]!
    return vertex(at(d - corner.x, corner.y), outline[(k + n - 1) % n]!.bulge ?? 0)
  })
}

/** The edges of a band in the order of its outline. */
export const bandEdgeNames = (side: 'left' | 'right', t: number, r: number): readonly string[] => {
  const front =
    r === 0
      ? ['front']
      : t - 2 * r > 1e-6
        ? ['front, upper round', 'front', 'front, lower round']
        : ['front, upper round', 'front, lower round']
  return side === 'right' ? ['bottom', 'back', 'top', ...front] : ['bottom', ...front.toReversed(), 'top', 'back']
}
