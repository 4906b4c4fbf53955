import type { Side } from '../../../contract/index.ts'
import { edgeLength, onEdge, type Point } from '../../outline/index.ts'
import { alongSide, sideLength } from '../../seat/index.ts'
import type { PanelDraft } from '../parts/index.ts'

/** A place on the edge of a panel that lies at a side; null where it has no such edge. */
export function markOnSide(panel: PanelDraft, side: Side, share: number): Point | null {
  const place = placeOnSide(panel, side, share)
  return place && onEdge(panel.finished, place.edge, place.atMm / edgeLength(panel.finished, place.edge))
}

/** The edge on which a share of a side falls, and how far along that edge. */
export function placeOnSide({ finished, edges }: PanelDraft, side: Side, share: number): ReturnType<typeof alongSide> {
  const of = { outline: finished, edges }
  return alongSide(of, side, share * sideLength(of, side))
}
