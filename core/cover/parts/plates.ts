import type { ClothRole } from '../../../contract/index.ts'
import { mirrored, moved, at, boxOf, edgeLength, type Outline, type Point } from '../../outline/index.ts'
import { isPlainBox } from '../../filling/index.ts'
import type { SeatEdge, Solid } from '../../seat/index.ts'
import type { Figure } from '../../working/index.ts'
import { inSpace } from '../space.ts'
import type { Patch } from '../patch.ts'
import type { Stretch } from '../seam.ts'
import { rectanglePanel, shapedPanel, type EdgeDraft, type PanelDraft } from './panel-draft.ts'

/** A plate, and where the stretches of a cushion's edge lie on it. */
export interface Plate {
  readonly panel: PanelDraft
  readonly patch: Patch
  /** A stretch of edge i, in mm from its start as the cushion is walked round counter-clockwise. */
  readonly stretch: (edge: number, from: number, to: number) => Stretch
}

export interface PlateDraft {
  readonly which: 'top' | 'bottom'
  /** Another name than top or bottom plate. */
  readonly called?: { readonly id: string; readonly name: string; readonly role: 'base' }
  readonly outline: Outline
  /** How high the plate lies. */
  readonly heightMm: number
  readonly cloth: ClothRole
  /** Added one after the other at every edge. */
  readonly allowances: readonly Figure[]
}

/** The top plate lies as it is seen; the bottom plate is cut as its mirror image, since its right side looks down. */
export function plateOf(solid: Solid, { which, called, outline, heightMm, cloth, allowances }: PlateDraft): Plate {
  const names = edgeNames(solid.edges)
  const isTop = which === 'top'
  const order = isTop ? outline.map((_, i) => i) : mirroredOrder(outline.length)
  const edges = order.map((i): EdgeDraft => ({
    name: names[i]!,
    treatment: 'seam',
    allowances,
    side: solid.edges[i]!.side,
  }))
  const head = {
    id: called?.id ?? `${which}-plate`,
    name: called?.name ?? (isTop ? 'Top plate' : 'Bottom plate'),
    role: called?.role ?? 'plate',
    face: which,
    cloth,
    isSeen: isTop,
    rule: 'the plate finishes at the cover size',
  } as const
  const panel = isLevelBox(solid)
    ? rectanglePanel(head, solid.width, solid.depth, edges)
    : shapedPanel(head, isTop ? outline : frontFirst(outline), edges)
  const stretch = (edge: number, from: number, to: number): Stretch => {
    const length = edgeLength(outline, edge)
    return isTop
      ? { panel: panel.id, edge: names[edge]!, from, to }
      : { panel: panel.id, edge: names[edge]!, from: length - from, to: length - to }
  }
  // A mirrored plate begins at the right end of what is seen from above.
  const { maxX, minY } = boxOf(outline)
  const place = (p: Point) => (isTop ? inSpace(p.x, p.y, heightMm) : inSpace(maxX - p.x, p.y + minY, heightMm))
  return { panel, patch: { panel: panel.id, bend: 'flat', outline: panel.finished, place }, stretch }
}

/** A rectangle that begins with its front edge, at the foot: sums of sizes say everything about it. */
export function isLevelBox(solid: Solid): boolean {
  const [a, b] = solid.outline
  return isPlainBox(solid) && solid.outline.length === 4 && Math.hypot(a!.x, a!.y) < 1e-6 && Math.abs(b!.y) < 1e-6
}

/** Each side's edges by its name, numbered where a side has several. */
export function edgeNames(edges: readonly SeatEdge[]): readonly string[] {
  const seen = new Map<string, number>()
  return edges.map(({ side }) => {
    const times = (seen.get(side) ?? 0) + 1
    seen.set(side, times)
    return times === 1 ? side : `${side} ${times}`
  })
}

/** Which edge of the outline each edge of its mirror image is, when both begin with edge 0. */
export const mirroredOrder = (n: number): readonly number[] => Array.from({ length: n }, (_, i) => (2 * n - i) % n)

/** Mirrored, its box at the origin, still beginning with edge 0; the others follow the other way round. */
export function frontFirst(outline: Outline): Outline {
  const flipped = mirrored(outline)
  const back = moved(flipped, at(-boxOf(flipped).minX, -boxOf(flipped).minY))
  return [back.at(-1)!, ...back.slice(0, -1)]
}
