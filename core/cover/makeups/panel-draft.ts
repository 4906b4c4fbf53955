import { boxOf, offsetEdges, rectangle, type Outline } from '../../outline/index.ts'
import type { SideName } from '../../seat/index.ts'
import { asExpression, entered, figure, plus, type Figure, type Operand } from '../../working/index.ts'
import type { EdgeTreatment, Panel, PanelEdge, PanelRole } from '../panel.ts'

interface PanelDraft {
  readonly id: string
  readonly name: string
  readonly role: PanelRole
  readonly isSeen: boolean
  readonly rule: string
}

export interface EdgeDraft {
  readonly name: string
  readonly treatment: EdgeTreatment
  /** Added one after the other from the sewing line outwards. */
  readonly allowances: readonly Figure[]
  readonly side?: SideName
}

export interface RectangleDraft extends PanelDraft {
  readonly width: Operand
  readonly height: Operand
  /** Bottom, right, top, left, as drawn. */
  readonly edges: readonly EdgeDraft[]
}

/** A rectangular panel with its finished and cut sizes as sums. Notches are marked later. */
export function rectanglePanel(draft: RectangleDraft): Panel {
  const [bottom, right, top, left] = draft.edges as readonly [EdgeDraft, EdgeDraft, EdgeDraft, EdgeDraft]
  const size = (way: string, line: 'net' | 'cut', sum: Operand, rule: string) =>
    figure({ ...sizeNames(draft, way, line), sum: asExpression(sum), rule, change: 'make-up.seamMm' })
  const finishedWidth = size('Width', 'net', draft.width, draft.rule)
  const finishedHeight = size('Height', 'net', draft.height, draft.rule)
  return {
    ...panelHead(draft),
    finished: rectangle(finishedWidth.value, finishedHeight.value),
    edges: draft.edges.map((e) => panelEdge(draft.id, e)),
    figures: {
      finishedWidth,
      finishedHeight,
      cutWidth: size('Width', 'cut', plus(finishedWidth, ...left.allowances, ...right.allowances), 'finished, and the allowance at each end'),
      cutHeight: size('Height', 'cut', plus(finishedHeight, ...bottom.allowances, ...top.allowances), 'finished, and the allowance at each edge'),
    },
  }
}

/** A panel of any outline; its sizes are those over all. */
export function shapedPanel(draft: PanelDraft & { readonly finished: Outline; readonly edges: readonly EdgeDraft[] }): Panel {
  const edges = draft.edges.map((e) => panelEdge(draft.id, e))
  const [net, cut] = [boxOf(draft.finished), boxOf(offsetEdges(draft.finished, edges.map((e) => e.allowance.value)))]
  const size = (way: string, line: 'net' | 'cut', value: number, rule: string) => entered({ ...sizeNames(draft, way, line), value, rule, setBy: 'rule', change: 'make-up.seamMm' })
  return {
    ...panelHead(draft),
    finished: draft.finished,
    edges,
    figures: {
      finishedWidth: size('Width', 'net', net.maxX - net.minX, `${draft.rule}; over all`),
      finishedHeight: size('Height', 'net', net.maxY - net.minY, `${draft.rule}; over all`),
      cutWidth: size('Width', 'cut', cut.maxX - cut.minX, 'over all, each edge moved out by its allowance'),
      cutHeight: size('Height', 'cut', cut.maxY - cut.minY, 'over all, each edge moved out by its allowance'),
    },
  }
}

const panelHead = ({ id, name, role, isSeen }: PanelDraft) => ({ id, name, role, isSeen, notches: [] })

const sizeNames = ({ id, name }: PanelDraft, way: string, line: 'net' | 'cut') => ({ id: `${id}.${line}${way}`, label: `${name}, ${line} ${way.toLowerCase()}`, quantity: 'length', line }) as const

function panelEdge(panel: string, e: EdgeDraft): PanelEdge {
  const [only, ...more] = e.allowances
  const allowance =
    only && more.length === 0
      ? only
      : figure({ id: `${panel}.${e.name}.allowance`, label: `Allowance at the ${e.name}`, quantity: 'length', sum: plus(...e.allowances), rule: 'added one after the other' })
  return { name: e.name, treatment: e.treatment, allowance, ...(e.side ? { side: e.side } : {}) }
}
