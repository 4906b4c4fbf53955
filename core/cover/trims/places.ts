import type { Side, TiePlace } from '../../../contract/index.ts'
import { at, boxOf, edgeLength, onEdge, type Point } from '../../outline/index.ts'
import { alongSide, sideLength, type Solid } from '../../seat/index.ts'
import type { CoverDraft } from '../cover.ts'
import { isTopPlate, type PanelRole } from '../panel.ts'
import { inSpace, type Space } from '../space.ts'
import { pointOn } from './point-on.ts'
import { markOnSide } from './side-places.ts'

/** One place at which something is caught, on the cushion. */
export type TrimPlace =
  | { readonly on: 'edge'; readonly row: 'top' | 'foot'; readonly side: Side; readonly share: number }
  | { readonly on: 'face'; readonly side: Side; readonly share: number; readonly upMm: number }
  | { readonly on: 'hinge'; readonly share: number }
  | { readonly on: 'underside'; readonly across: number; readonly deep: number; readonly marginMm: number }

/** A place on a panel of the cover. */
export interface Caught {
  readonly panel: string
  readonly at: Point
}

/** Each single place of a tie place, in order. */
export function singlePlaces(place: TiePlace, solid: Solid): readonly TrimPlace[] {
  switch (place.at) {
    case 'edge': {
      const { row, side, count, endMm } = place
      const end = endMm === undefined ? undefined : Math.min(0.5, endMm / Math.max(1, sideLength(solid, side)))
      return shares(count, end).map((share) => ({ on: 'edge', row, side, share }))
    }
    case 'face':
      return shares(place.count).map((share) => ({ on: 'face', side: place.side, share, upMm: place.upMm }))
    case 'corners':
      return [0, 1].map((share) => ({ on: 'face', side: place.side, share, upMm: place.upMm }))
    case 'hinge':
      return shares(place.count, 0).map((share) => ({ on: 'hinge', share }))
    case 'underside':
      return shares(place.rows, 0).flatMap((deep) =>
        shares(place.across, 0).map((across): TrimPlace => ({
          on: 'underside',
          across,
          deep,
          marginMm: place.marginMm,
        })),
      )
    default:
      return place satisfies never
  }
}

/** Evenly, the first and last so far from the ends (a sixth, where nothing is said); a single one in the middle. */
export const shares = (count: number, end = 1 / 6): readonly number[] =>
  Array.from({ length: count }, (_, i) => (count === 1 ? 0.5 : end + ((1 - 2 * end) * i) / (count - 1)))

/** Where on the cover a place comes to lie; null where this cover has no such place. */
export function caughtAt(draft: Pick<CoverDraft, 'panels' | 'patches'>, solid: Solid, place: TrimPlace): Caught | null {
  switch (place.on) {
    case 'edge':
      return place.row === 'foot' ? atFoot(draft, solid, place) : atTop(draft, solid, place)
    case 'face': {
      const foot = footOf(solid, place.side, place.share)
      return foot && place.upMm <= solid.thickness.value
        ? pointOn(draft, inSpace(foot.x, foot.y, place.upMm), ON_FACES)
        : null
    }
    case 'hinge':
      return atHinge(draft, place.share)
    case 'underside': {
      const { minX, maxX, minY, maxY } = boxOf(solid.outline)
      const { marginMm: m, across, deep } = place
      const [width, depth] = [maxX - minX - 2 * m, maxY - minY - 2 * m]
      if (width < 0 || depth < 0) return null
      return pointOn(draft, inSpace(minX + m + across * width, minY + m + deep * depth, 0), AT_THE_FOOT)
    }
    default:
      return place satisfies never
  }
}

type Order = Readonly<Record<PanelRole, number | null>>
/** Which panels a thing at the foot or at the top is caught in, the first first; none into boxing. */
const AT_THE_FOOT: Order = { plate: 0, base: 0, body: 1, blank: 2, boxing: null, gusset: null, band: null, trim: null }
/** On the face of a side: none into a gusset, where the zip runs. */
const ON_FACES: Order = { boxing: 0, band: 0, body: 1, blank: 2, plate: 3, base: null, gusset: null, trim: null }

/**
 * At the foot of a side, on whatever panel lies there. A cover without a foot to it, like a pillow, takes it in the
 * edge of its top.
 */
function atFoot(
  draft: Pick<CoverDraft, 'panels' | 'patches'>,
  solid: Solid,
  { side, share }: { readonly side: Side; readonly share: number },
): Caught | null {
  const foot = footOf(solid, side, share)
  // A rounded front has no edge at its foot: there it is caught half way up.
  const wanted = foot ? [foot, inSpace(foot.x, foot.y, solid.thickness.value / 2)] : []
  for (const place of wanted) {
    const found = pointOn(draft, place, AT_THE_FOOT)
    if (found) return found
  }
  return onTopPlate(draft, side, share)
}

function atTop(
  draft: Pick<CoverDraft, 'panels' | 'patches'>,
  solid: Solid,
  { side, share }: { readonly side: Side; readonly share: number },
): Caught | null {
  const foot = footOf(solid, side, share)
  return (
    onTopPlate(draft, side, share) ??
    (foot && pointOn(draft, inSpace(foot.x, foot.y, solid.thickness.value), AT_THE_FOOT))
  )
}

function onTopPlate({ panels }: Pick<CoverDraft, 'panels'>, side: Side, share: number): Caught | null {
  const top = panels.find(isTopPlate)
  const found = top && markOnSide(top, side, share)
  return found ? { panel: top.id, at: found } : null
}

/** The hinge is the line sewn through both panels. */
function atHinge({ panels }: Pick<CoverDraft, 'panels'>, share: number): Caught | null {
  for (const { id, marks = [] } of panels) {
    const path = marks.find((m) => m.kind === 'sew')?.path
    if (!path) continue
    const [a, b] = [path[0]!, path.at(-1)!]
    return { panel: id, at: at(a.x + (b.x - a.x) * share, a.y + (b.y - a.y) * share) }
  }
  return null
}

/** A place at a share of a side, on the seat. */
function footOf(solid: Solid, side: Side, share: number): Space | null {
  const place = alongSide(solid, side, share * sideLength(solid, side))
  if (!place) return null
  const { x, y } = onEdge(solid.outline, place.edge, place.atMm / edgeLength(solid.outline, place.edge))
  return inSpace(x, y, 0)
}
