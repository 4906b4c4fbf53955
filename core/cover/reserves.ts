import type { ClothChoice, EdgeReserve } from '../../contract/index.ts'
import { at, onEdge, outwardOn } from '../outline/index.ts'
import { entered, type Figure } from '../working/index.ts'
import { clothFor, usableWidth } from './on-the-roll.ts'
import type { Mark, Panel } from './panel.ts'
import type { PanelDraft } from './parts/panel-draft.ts'

/** A panel with what is left on its edges to be trimmed at the try-on, and the line that it is trimmed to as a rule. */
export function withReserves(panel: PanelDraft, reserves: readonly EdgeReserve[]): PanelDraft {
  const own = oneToAnEdge(reserves).filter((r) => r.panel === panel.id)
  if (own.length === 0) return panel
  const left = (edge: string) => own.find((r) => r.edge === edge)
  return {
    ...panel,
    edges: panel.edges.map((e) => {
      const reserve = left(e.name)
      // Before the hem, which stays the last of them.
      return reserve ? { ...e, allowances: [reserveFigure(panel, reserve), ...e.allowances] } : e
    }),
    marks: [...(panel.marks ?? []), ...panel.edges.flatMap((e, i) => (left(e.name) ? [trimLine(panel, i)] : []))],
  }
}

/** What is left on edges: of several on one edge the first counts. */
export const oneToAnEdge = (reserves: readonly EdgeReserve[]): readonly EdgeReserve[] =>
  reserves.filter(
    (r, i) => r.mm > 0 && !reserves.slice(0, i).some((o) => o.mm > 0 && o.panel === r.panel && o.edge === r.edge),
  )

/** An edge is left no longer than this to be trimmed; the job file takes as much. */
export const MOST_RESERVE_MM = 200

/**
 * Plates cut across the whole cloth and trimmed when they are sewn: what is left of the usable width goes to one side
 * of each. Only of rectangles that lie across it and leave no room for anything beside them.
 */
export function acrossTheWholeCloth(
  panels: readonly Panel[],
  choice: ClothChoice,
  reserves: readonly EdgeReserve[],
): readonly EdgeReserve[] {
  return panels.flatMap((panel) => {
    if (panel.role !== 'plate' || panel.finished.length !== 4) return []
    const isAcross = panel.lies === 'across'
    const edge = panel.edges[isAcross ? 1 : 2]!.name
    const own = reserves.find((r) => r.panel === panel.id && r.edge === edge)?.mm ?? 0
    const cut = panel.figures[isAcross ? 'cutWidth' : 'cutHeight'].value
    const mm = Math.floor((usableWidth(clothFor(choice, panel.cloth)) - cut + own) * 10) / 10
    return mm > 0 && mm <= MOST_RESERVE_MM ? [{ panel: panel.id, edge, mm }] : []
  })
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
