import { flatten, isInside, type Outline, type Point } from '../outline/index.ts'
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
}

const HAIR_MM = 0.01

/** Where a point of a panel lies on the finished cushion; null where no patch of the panel holds it. */
export function placeOn(patches: readonly Patch[], panel: string, p: Point): Space | null {
  const own = patches.filter((patch) => patch.panel === panel)
  const patch = own.length === 1 ? own[0] : own.find(({ outline }) => isInside(flatten(outline, HAIR_MM), p) || isNearEdge(outline, p))
  return patch ? patch.place(p) : null
}

const NEAR_MM = 0.05

function isNearEdge(outline: Outline, p: Point): boolean {
  const points = flatten(outline, HAIR_MM)
  return points.some((a, i) => {
    const b = points[(i + 1) % points.length]!
    const [dx, dy] = [b.x - a.x, b.y - a.y]
    const share = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)))
    return Math.hypot(a.x + share * dx - p.x, a.y + share * dy - p.y) < NEAR_MM
  })
}
