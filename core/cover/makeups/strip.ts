import { rectangle } from '../../outline/index.ts'
import { figure, plus, type Figure, type Operand, asExpression } from '../../working/index.ts'
import type { EdgeTreatment, Panel, PanelEdge, PanelRole } from '../panel.ts'

export interface RectangleDraft {
  readonly id: string
  readonly name: string
  readonly role: PanelRole
  readonly isSeen: boolean
  readonly width: Operand
  readonly height: Operand
  readonly rule: string
  /** Bottom, right, top, left, as drawn. */
  readonly edges: readonly [EdgeDraft, EdgeDraft, EdgeDraft, EdgeDraft]
}

export interface EdgeDraft {
  readonly name: string
  readonly treatment: EdgeTreatment
  /** Added one after the other from the sewing line outwards. */
  readonly allowances: readonly Figure[]
}

/** A rectangular panel with its finished and cut sizes as figures. Notches are marked later. */
export function rectanglePanel(draft: RectangleDraft): Panel {
  const [bottom, right, top, left] = draft.edges
  const size = (way: string, line: 'net' | 'cut', sum: Operand, rule: string) =>
    figure({ id: `${draft.id}.${line}${way}`, label: `${draft.name}, ${line} ${way.toLowerCase()}`, quantity: 'length', line, sum: asExpression(sum), rule, change: 'make-up.seamMm' })
  const finishedWidth = size('Width', 'net', draft.width, draft.rule)
  const finishedHeight = size('Height', 'net', draft.height, draft.rule)
  return {
    id: draft.id,
    name: draft.name,
    role: draft.role,
    isSeen: draft.isSeen,
    finished: rectangle(finishedWidth.value, finishedHeight.value),
    edges: draft.edges.map((e) => panelEdge(draft.id, e)),
    notches: [],
    figures: {
      finishedWidth,
      finishedHeight,
      cutWidth: size('Width', 'cut', plus(finishedWidth, ...left.allowances, ...right.allowances), 'finished, and the allowance at each end'),
      cutHeight: size('Height', 'cut', plus(finishedHeight, ...bottom.allowances, ...top.allowances), 'finished, and the allowance at each edge'),
    },
  }
}

function panelEdge(panel: string, e: EdgeDraft): PanelEdge {
  const [only, ...more] = e.allowances
  const allowance =
    only && more.length === 0
      ? only
      : figure({ id: `${panel}.${e.name}.allowance`, label: `Allowance at the ${e.name}`, quantity: 'length', sum: plus(...e.allowances), rule: 'added one after the other' })
  return { name: e.name, treatment: e.treatment, allowance }
}
