import type { Cloth, LayPiece } from '../../contract/index.ts'
import { finishedEdgeLength, notchOnPiece, type Panel } from '../cover/index.ts'
import type { Point } from '../outline/index.ts'

type Flat = readonly (readonly [number, number])[]

/**
 * What the lay is asked for a panel with ready edges: which edges of its flattened cut outline lie on a side of the
 * cloth. A remnant of its own outline has no sides.
 */
export function readySides({ supply }: Cloth, panel: Panel, flat: Flat): NonNullable<LayPiece['sides']> {
  if (supply.kind === 'remnant') return []
  return panel.edges.flatMap(({ name, ready }) => {
    if (!ready) return []
    const middle = notchOnPiece(panel, { letter: '', edge: name, atMm: finishedEdgeLength(panel, name) / 2 }).below(0)
    return [{ edge: edgeAt(flat, middle), of: 'either' as const }]
  })
}

/** The straight edge that a place lies on. */
export function edgeAt(flat: Flat, { x, y }: Point): number {
  const off = flat.map(([ax, ay], i) => {
    const [bx, by] = flat[(i + 1) % flat.length]!
    const [dx, dy] = [bx - ax, by - ay]
    const share = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)))
    return Math.hypot(x - ax - share * dx, y - ay - share * dy)
  })
  return off.indexOf(Math.min(...off))
}
