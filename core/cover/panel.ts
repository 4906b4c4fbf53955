import { edgeLength, offsetEdges, type Outline } from '../outline/index.ts'
import type { SideName } from '../seat/index.ts'
import type { Figure } from '../working/index.ts'

export type PanelRole = 'plate' | 'boxing' | 'gusset'

/** What is done to a finished edge. Only a seam may be joined to another panel; a zip edge is closed by the zip. */
export type EdgeTreatment = 'seam' | 'zip'

export interface PanelEdge {
  readonly name: string
  readonly treatment: EdgeTreatment
  /** From the sewing line to the cut edge. */
  readonly allowance: Figure
  /** On a plate: the side of the cushion this edge lies at. */
  readonly side?: SideName
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
 * `edges[i]` leaves corner i of `finished`, counter-clockwise. A bottom plate is therefore the
 * mirror image of what is seen from above.
 */
export interface Panel {
  readonly id: string
  readonly name: string
  readonly role: PanelRole
  readonly finished: Outline
  readonly edges: readonly PanelEdge[]
  readonly notches: readonly Notch[]
  readonly figures: { readonly finishedWidth: Figure; readonly finishedHeight: Figure; readonly cutWidth: Figure; readonly cutHeight: Figure }
  /** Hidden panels may be turned on the cloth more freely than seen ones. */
  readonly isSeen: boolean
}

/** The line to cut along. */
export const cutOutline = (panel: Panel): Outline => offsetEdges(panel.finished, panel.edges.map((e) => e.allowance.value))

export function edgeIndex(panel: Panel, name: string): number {
  const index = panel.edges.findIndex((e) => e.name === name)
  if (index < 0) throw new RangeError(`panel ${panel.id} has no edge ${name}`)
  return index
}

export const finishedEdgeLength = (panel: Panel, name: string): number => edgeLength(panel.finished, edgeIndex(panel, name))
