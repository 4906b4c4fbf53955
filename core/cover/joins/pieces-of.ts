import { finishedEdgeLength, type Notch, type Panel } from '../panel.ts'
import type { PanelDraft } from '../parts/panel-draft.ts'
import type { EdgeSpan } from './on-pieces.ts'
import type { WithJoins } from './with-joins.ts'

/**
 * The panels as they are cut: whole ones as they stand, pieces with what their whole panel has of growth and notches.
 * `finish` works out what a drafted piece is cut at.
 */
export function piecesOf(
  { panels, pieces }: Pick<WithJoins, 'panels' | 'pieces'>,
  whole: readonly Panel[],
  finish: (draft: PanelDraft, own: Pick<Panel, 'lies' | 'growth'>) => Panel,
): readonly Panel[] {
  const byId = new Map(whole.map((p) => [p.id, p]))
  return panels.map((draft) => {
    if (!draft.piece) return byId.get(draft.id)!
    const own = byId.get(draft.piece.of)!
    const panel = finish(draft, own)
    const { spans } = pieces.get(own.id)!.find((p) => p.id === draft.id)!
    return { ...panel, notches: own.notches.flatMap((n) => notchOnPiece(n, spans, panel)) }
  })
}

/** At its corners a piece needs no notch. */
const CORNER_MM = 1

function notchOnPiece(notch: Notch, spans: readonly EdgeSpan[], panel: Panel): readonly Notch[] {
  const span = spans.find((s) => s.edge === notch.edge)
  if (!span) return []
  const atMm = notch.atMm - span.fromMm
  const length = finishedEdgeLength(panel, notch.edge)
  // Where the piece ends at a join its corner is the mark; where it ends as the whole panel did, that has decided.
  const isEnd = atMm < CORNER_MM || atMm > length - CORNER_MM
  return isEnd && !isWholeEnd(notch, span) ? [] : atMm < -1e-6 || atMm > length + 1e-6 ? [] : [{ ...notch, atMm }]
}

const isWholeEnd = ({ atMm }: Notch, { fromMm, toMm }: EdgeSpan): boolean =>
  (fromMm < 1e-6 && atMm < CORNER_MM) || Math.abs(atMm - toMm) < 1e-6
