import type { EdgeReserve } from '../../contract/index.ts'
import { at, onEdge, outwardOn } from '../outline/index.ts'
import { entered, type Figure } from '../working/index.ts'
import type { Mark } from './panel.ts'
import type { PanelDraft } from './parts/panel-draft.ts'

/** A panel with what is left on its edges to be trimmed at the try-on, and the line that it is trimmed to as a rule. */
export function withReserves(panel: PanelDraft, reserves: readonly EdgeReserve[]): PanelDraft {
  const own = reserves.filter((r) => r.panel === panel.id && r.mm > 0)
  if (own.length === 0) return panel
  const left = (edge: string) => own.find((r) => r.edge === edge)
  return {
    ...panel,
    edges: panel.edges.map((e) => {
      const reserve = left(e.name)
      return reserve ? { ...e, allowances: [...e.allowances, reserveFigure(panel, reserve)] } : e
    }),
    marks: [...(panel.marks ?? []), ...panel.edges.flatMap((e, i) => (left(e.name) ? [trimLine(panel, i)] : []))],
  }
}

const reserveFigure = (panel: PanelDraft, { edge, mm }: EdgeReserve): Figure =>
  entered({
    id: `${panel.id}.${edge}.reserve`,
    label: 'Left to trim',
    quantity: 'length',
    value: mm,
    rule: 'trimmed at the try-on',
    setBy: 'job',
    change: 'make-up.reserves',
  })

/** Where the edge would be cut without its reserve. */
function trimLine({ finished, edges }: PanelDraft, i: number): Mark {
  const out = edges[i]!.allowances.reduce((sum, a) => sum + a.value, 0)
  const path = [0, 0.5, 1].map((share) => {
    const [p, n] = [onEdge(finished, i, share), outwardOn(finished, i, share)]
    return at(p.x + n.x * out, p.y + n.y * out)
  })
  return { kind: 'trim', label: 'trim to here at the try-on', path }
}
