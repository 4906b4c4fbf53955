import type { Cloth, LayPiece } from '../../contract/index.ts'
import { middleOfCutEdge, type Panel } from '../cover/index.ts'
import { at, distanceFromEdge, type Point } from '../outline/index.ts'

type Flat = readonly (readonly [number, number])[]

/**
 * What the lay is asked for a panel with ready edges: which edges of its flattened cut outline lie on a side of the
 * cloth. A remnant of its own outline has no sides.
 */
export function readySides({ supply }: Cloth, panel: Panel, flat: Flat): NonNullable<LayPiece['sides']> {
  if (supply.kind === 'remnant') return []
  return panel.edges.flatMap(({ name, ready }) => {
    if (!ready) return []
    return [{ edge: edgeAt(flat, middleOfCutEdge(panel, name)), of: 'either' as const }]
  })
}

/** The straight edge that a place lies on. */
export function edgeAt(flat: Flat, place: Point): number {
  const points = flat.map(([x, y]) => at(x, y))
  const off = points.map((a, i) => distanceFromEdge([a, points[(i + 1) % points.length]!], place))
  return off.indexOf(Math.min(...off))
}
