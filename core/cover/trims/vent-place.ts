import type { Side } from '../../../contract/index.ts'
import { at, boxOf, edgeLength, onEdge, outwardOn, type Point } from '../../outline/index.ts'
import type { CoverDraft } from '../cover.ts'
import { edgeIndex, isTopPlate } from '../panel.ts'
import { partnerPlace } from '../seam.ts'
import { placeOnSide } from './side-places.ts'

/**
 * Half way down the boxing below a place on the top plate's side; null where no boxing is sewn there, or a zip runs in
 * it.
 */
export function ventPlace(
  { panels, seams }: CoverDraft,
  side: Side,
  share: number,
): { readonly panel: string; readonly at: Point } | null {
  const plate = panels.find(isTopPlate)
  const on = plate && placeOnSide(plate, side, share)
  if (!on) return null
  const pairs = seams.flatMap((s) => (s.kind === 'plate' ? s.pairs : []))
  const pair = pairs.find(
    ({ a }) => a.panel === plate.id && a.edge === plate.edges[on.edge]!.name && between(on.atMm, a.from, a.to),
  )
  const strip = panels.find((p) => p.id === pair?.b.panel && p.role === 'boxing')
  if (!pair || !strip) return null
  const i = edgeIndex(strip, pair.b.edge)
  const stripShare = partnerPlace(pair.a, pair.b, on.atMm) / edgeLength(strip.finished, i)
  const [foot, out] = [onEdge(strip.finished, i, stripShare), outwardOn(strip.finished, i, stripShare)]
  const box = boxOf(strip.finished)
  const half = (box.maxY - box.minY) / 2
  return { panel: strip.id, at: at(foot.x - out.x * half, foot.y - out.y * half) }
}

const between = (v: number, a: number, b: number): boolean => v >= Math.min(a, b) - 1e-6 && v <= Math.max(a, b) + 1e-6
