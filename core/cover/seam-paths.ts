import { edgeLength, onEdge, type Point } from '../outline/index.ts'
import type { Cover } from './cover.ts'
import { edgeIndex, type Panel } from './panel.ts'
import { placeOn } from './patch.ts'
import type { SeamPair, Stretch } from './seam.ts'
import type { Space } from './space.ts'

/** A stretch of an edge as points in the panel's plane. */
export function stretchPoints(panel: Panel, on: Stretch, steps: number): readonly Point[] {
  const i = edgeIndex(panel, on.edge)
  const length = edgeLength(panel.finished, i)
  return Array.from({ length: steps + 1 }, (_, k) =>
    onEdge(panel.finished, i, (on.from + ((on.to - on.from) * k) / steps) / length),
  )
}

/** A seam as it runs over the finished cushion; points that no patch holds are left out. */
export function seamPath(cover: Cover, pairs: readonly SeamPair[], steps = 12): readonly Space[] {
  return pairs.flatMap(({ a }) => {
    const panel = cover.panels.find((p) => p.id === a.panel)!
    return stretchPoints(panel, a, steps).flatMap((p) => placeOn(cover.patches, a.panel, p) ?? [])
  })
}
