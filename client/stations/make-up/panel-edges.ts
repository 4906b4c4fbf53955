import type { Cover } from '../../../core/cover/index.ts'

export interface PanelEdgeChoice {
  readonly key: string
  readonly panel: string
  readonly edge: string
  readonly label: string
}

/** Every edge of a cover's whole panels by name, to choose one of. */
export const panelEdges = (cover: Pick<Cover, 'whole'> | null): readonly PanelEdgeChoice[] =>
  (cover?.whole.panels ?? [])
    .filter((p) => p.role !== 'trim')
    .flatMap((p) =>
      p.edges.map((e) => ({ key: `${p.id}/${e.name}`, panel: p.id, edge: e.name, label: `${p.name}, ${e.name}` })),
    )
