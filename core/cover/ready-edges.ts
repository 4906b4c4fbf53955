import type { ReadyEdge } from '../../contract/index.ts'
import { isStraight } from '../outline/index.ts'
import { entered, type Figure } from '../working/index.ts'
import type { EdgeDraft, PanelDraft } from './parts/panel-draft.ts'
import { withoutHem } from './without-hem.ts'

/** Edges that the cloth brings ready take no hem; which of a panel they are stays with them, for the lay. */
export function withReadyEdges(panel: PanelDraft, ready: readonly ReadyEdge[]): PanelDraft {
  const own = new Map(ready.filter((r) => r.panel === panel.id).map((r) => [r.edge, r.is]))
  if (own.size === 0) return panel
  return {
    ...panel,
    edges: panel.edges.map((e, i): EdgeDraft => {
      const is = own.get(e.name)
      return is && isStraight(panel.finished[i]!.bulge) ? { ...withoutHem(e, IS_READY), ready: is } : e
    }),
  }
}

/** Ready edges of which there is no such edge, or a bowed one, which no side of a cloth can be. */
export const readyNowhere = (
  panels: readonly Pick<PanelDraft, 'id' | 'finished' | 'edges'>[],
  ready: readonly ReadyEdge[],
): readonly ReadyEdge[] =>
  ready.filter(({ panel, edge }) => {
    const found = panels.find((p) => p.id === panel)
    const i = found?.edges.findIndex((e) => e.name === edge) ?? -1
    return i < 0 || !isStraight(found!.finished[i]!.bulge)
  })

const IS_READY: Figure = entered({
  id: 'cover.readyEdge',
  label: 'Ready edge',
  quantity: 'length',
  value: 0,
  rule: 'the cloth’s own edge takes no hem',
})
