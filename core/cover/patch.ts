import { distanceFromEdge, flatten, isInside, type Outline, type Point } from '../outline/index.ts'
import type { Space } from './space.ts'

/**
 * A part of a panel as it lies on the finished cushion: `flat` keeps every distance, `bent` is rolled
 * one way and keeps lengths along the cloth, `full` is filled out like a pillow and eased at its edge.
 */
export interface Patch {
  readonly panel: string
  readonly bend: 'flat' | 'bent' | 'full'
  /** In the panel's plane, within its finished outline. */
  readonly outline: Outline
  readonly place: (p: Point) => Space
  /** One of several on the panel as it was drawn: beyond its outline it tells nothing, though it is alone on a piece. */
  readonly isOneOfSeveral?: boolean
}

/** Where a point of a panel lies on the finished cushion; null where no patch of the panel holds it. */
export function placeOn(patches: readonly Patch[], panel: string, p: Point): Space | null {
  const own = patches.filter((patch) => patch.panel === panel)
  const patch = own.length === 1 && !own[0]!.isOneOfSeveral ? own[0] : own.find(({ outline }) => holds(outline, p))
  return patch ? patch.place(p) : null
}

const HAIR_MM = 0.01
const NEAR_MM = 0.05

function holds(outline: Outline, p: Point): boolean {
  const polygon = flatten(outline, HAIR_MM)
  return isInside(polygon, p) || distanceFromEdge(polygon, p) < NEAR_MM
}
