import { mirrored, moved, at, boxOf, edgeLength, type Outline } from '../../outline/index.ts'
import { isPlainBox } from '../../filling/index.ts'
import type { SeatEdge, Solid } from '../../seat/index.ts'
import type { Allowances } from '../allowances.ts'
import type { Panel } from '../panel.ts'
import type { Stretch } from '../seam.ts'
import { rectanglePanel, shapedPanel, type EdgeDraft } from './panel-draft.ts'

/** A plate, and where the stretches of a cushion's edge lie on it. */
export interface Plate {
  readonly panel: Panel
  /** A stretch of edge i, in mm from its start as the cushion is walked round counter-clockwise. */
  readonly stretch: (edge: number, from: number, to: number) => Stretch
}

/** The top plate lies as it is seen; the bottom plate is cut as its mirror image, since its right side looks down. */
export function plateOf(which: 'top' | 'bottom', solid: Solid, outline: Outline, allowances: Allowances): Plate {
  const names = edgeNames(solid.edges)
  const n = outline.length
  const isTop = which === 'top'
  const order = outline.map((_, i) => (isTop ? i : (2 * n - i) % n))
  const edges = order.map((i): EdgeDraft => ({ name: names[i]!, treatment: 'seam', allowances: [allowances.seamMm], side: solid.edges[i]!.side }))
  const head = { id: `${which}-plate`, name: isTop ? 'Top plate' : 'Bottom plate', role: 'plate', isSeen: isTop, rule: 'the plate finishes at the cover size' } as const
  const panel = isLevelBox(solid) ? rectanglePanel({ ...head, width: solid.width, height: solid.depth, edges }) : shapedPanel({ ...head, finished: isTop ? outline : frontFirst(outline), edges })
  const stretch = (edge: number, from: number, to: number): Stretch => {
    const length = edgeLength(outline, edge)
    return isTop ? { panel: panel.id, edge: names[edge]!, from, to } : { panel: panel.id, edge: names[edge]!, from: length - from, to: length - to }
  }
  return { panel, stretch }
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

/** Mirrored, its box at the origin, still beginning with edge 0; the others follow the other way round. */
function frontFirst(outline: Outline): Outline {
  const flipped = mirrored(outline)
  const back = moved(flipped, at(-boxOf(flipped).minX, -boxOf(flipped).minY))
  return [back.at(-1)!, ...back.slice(0, -1)]
}
