import { edgeLength } from '../outline/index.ts'
import { frontSpan, type Solid } from '../seat/index.ts'
import type { CoverDraft } from './cover.ts'
import { isTopPlate, type Panel, type PanelShape } from './panel.ts'
import type { Seam } from './seam.ts'

/** A panel as far as it can be matched. */
export type MatchedPanel = PanelShape &
  Pick<Panel, 'role' | 'face' | 'cloth'> &
  Partial<Pick<Panel, 'isPart' | 'piece'>>

/** A cover as far as it can be matched, drafted or finished. */
export interface SewnUp extends Pick<CoverDraft, 'patches' | 'wall'> {
  readonly solid: Solid
  readonly panels: readonly MatchedPanel[]
  readonly seams: readonly Pick<Seam, 'kind' | 'pairs'>[]
  /** The cover before panels were cut in pieces; left out where it is that itself. */
  readonly whole?: SewnUp
}

/** A panel on its whole cover: a piece of a joined panel lies where that does, drawn in the same plane. */
export function asDrawn(cover: SewnUp, panel: MatchedPanel): readonly [SewnUp, MatchedPanel] {
  const whole = cover.whole ?? cover
  const { piece } = panel
  return [whole, piece ? whole.panels.find((p) => p.id === piece.of)! : panel]
}

export const plateOf = (cover: SewnUp): MatchedPanel => cover.panels.find(isTopPlate)!

export const hasPlate = (cover: SewnUp): boolean => cover.panels.some(isTopPlate)

/** Off square by less than this, stripes are as good as matched. */
export const LEVEL = 0.005

export const frontOf = (cover: SewnUp) => frontSpan(cover.solid)

/** The longest edge of a side. */
export function mainEdge(cover: SewnUp, side: 'front' | 'right' | 'left'): number {
  return cover.solid.edges.reduce(
    (best, e, i) =>
      e.side === side && (best < 0 || edgeLength(cover.solid.outline, i) > edgeLength(cover.solid.outline, best))
        ? i
        : best,
    -1,
  )
}

/** The pair that sews the top plate's edge to this panel. */
export function pairOf(cover: SewnUp, i: number, panel?: MatchedPanel) {
  const top = plateOf(cover)
  const name = top.edges[i]!.name
  const pairs = cover.seams.flatMap((s) => (s.kind === 'plate' ? s.pairs : []))
  return pairs.find((p) => p.a.panel === top.id && p.a.edge === name && (!panel || p.b.panel === panel.id))
}

/** Where an edge of the cushion lies on a strip, in mm from the strip's left end. */
export function stripStretch(
  cover: SewnUp,
  panel: MatchedPanel,
  i: number,
): { readonly from: number; readonly to: number } | null {
  const pair = pairOf(cover, i, panel)
  if (!pair) return null
  // Top edges of strips are drawn from right to left.
  const index = panel.edges.findIndex((e) => e.name === pair.b.edge)
  const length = edgeLength(panel.finished, index)
  return { from: length - pair.b.from, to: length - pair.b.to }
}
