import type { ClothRole, ReadyEdge } from '../../../contract/index.ts'
import { rectangle, type Outline } from '../../outline/index.ts'
import type { SideName } from '../../seat/index.ts'
import type { Figure, Operand } from '../../working/index.ts'
import type { EdgeTreatment, Mark, PanelFace, PanelRole, PieceFact } from '../panel.ts'
import { asExpression, evaluate } from '../../working/index.ts'

export interface PanelHead {
  readonly id: string
  readonly name: string
  readonly role: PanelRole
  readonly face: PanelFace
  /** One of several that make up a plate. */
  readonly isPart?: boolean
  readonly cloth: ClothRole
  readonly isSeen: boolean
  /** Why it finishes at its size. */
  readonly rule: string
  readonly times?: number
  readonly marks?: readonly Mark[]
}

export interface EdgeDraft {
  readonly name: string
  readonly treatment: EdgeTreatment
  /** Added one after the other from the sewing line outwards. */
  readonly allowances: readonly Figure[]
  readonly side?: SideName
  /** The cloth's own edge, where it is one. */
  readonly ready?: ReadyEdge['is']
}

/** Sizes over all as sums, and the edges (by name) whose allowances are added to them. */
export interface SizeSums {
  readonly width: Operand
  readonly height: Operand
  readonly bottom: string
  readonly right: string
  readonly top: string
  readonly left: string
}

/** A panel before its cut sizes are worked out. Without sums it measures what it measures. */
export interface PanelDraft extends PanelHead {
  readonly finished: Outline
  readonly edges: readonly EdgeDraft[]
  readonly sums: SizeSums | null
  /** Which piece of a joined panel it is; left out for a whole one. */
  readonly piece?: PieceFact
  /** The panel it lies behind; left out for the cloth of the cover itself. */
  readonly behind?: string
}

/** A rectangle by sums; its edges are bottom, right, top, left, as drawn. */
export function rectanglePanel(
  head: PanelHead,
  width: Operand,
  height: Operand,
  edges: readonly EdgeDraft[],
): PanelDraft {
  const [bottom, right, top, left] = edges.map((e) => e.name) as [string, string, string, string]
  return {
    ...head,
    finished: rectangle(evaluate(asExpression(width)), evaluate(asExpression(height))),
    edges,
    sums: { width, height, bottom, right, top, left },
  }
}

/** A panel of any outline; where its sizes over all can be said as sums, they are. */
export const shapedPanel = (
  head: PanelHead,
  finished: Outline,
  edges: readonly EdgeDraft[],
  sums: SizeSums | null = null,
): PanelDraft => ({ ...head, finished, edges, sums })

/** An edge that is sewn to another. */
export const seamEdge = (name: string, allowance: Figure, side?: SideName): EdgeDraft => ({
  name,
  treatment: 'seam',
  allowances: [allowance],
  ...(side ? { side } : {}),
})
