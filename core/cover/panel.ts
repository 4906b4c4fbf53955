import { edgeLength, edgeOf, offsetEdges, type Polygon } from '../outline/index.ts'
import type { Figure } from '../working/index.ts'

export type PanelRole = 'plate' | 'boxing' | 'gusset'

/** What is done to a finished edge. Only a seam may be joined to another panel; a zip edge is closed by the zip. */
export type EdgeTreatment = 'seam' | 'zip'

export interface PanelEdge {
  readonly name: string
  readonly treatment: EdgeTreatment
  /** From the sewing line to the cut edge. */
  readonly allowance: Figure
}

/** A small cut on an edge; the same letter stands on the edge it meets. */
export interface Notch {
  readonly letter: string
  readonly edge: string
  /** Along the finished edge from its first corner. */
  readonly atMm: number
}

/**
 * One piece of cloth in its own plane, right side up: x across, y up or to the back.
 * `edges[i]` runs from `finished[i]` to `finished[i + 1]`, counter-clockwise.
 */
export interface Panel {
  readonly id: string
  readonly name: string
  readonly role: PanelRole
  readonly finished: Polygon
  readonly edges: readonly PanelEdge[]
  readonly notches: readonly Notch[]
  readonly figures: { readonly finishedWidth: Figure; readonly finishedHeight: Figure; readonly cutWidth: Figure; readonly cutHeight: Figure }
  /** Hidden panels may be turned on the cloth more freely than seen ones. */
  readonly isSeen: boolean
}

/** The line to cut along. */
export const cutOutline = (panel: Panel): Polygon => offsetEdges(panel.finished, panel.edges.map((e) => e.allowance.value))

export function edgeIndex(panel: Panel, name: string): number {
  const index = panel.edges.findIndex((e) => e.name === name)
  if (index < 0) throw new RangeError(`panel ${panel.id} has no edge ${name}`)
  return index
}

export const finishedEdgeLength = (panel: Panel, name: string): number => edgeLength(panel.finished, edgeIndex(panel, name))

/**
 * Where a place counted from the left (or from the front, on an upright edge) lies along the edge
 * as it is drawn, which runs counter-clockwise.
 */
export function alongEdge(panel: Panel, name: string, fromLeftOrFront: number): number {
  const [a, b] = edgeOf(panel.finished, edgeIndex(panel, name))
  const runsForward = Math.abs(b.x - a.x) >= Math.abs(b.y - a.y) ? b.x > a.x : b.y > a.y
  return runsForward ? fromLeftOrFront : finishedEdgeLength(panel, name) - fromLeftOrFront
}
