import { edgeLength, edgeOf, isStraight } from '../outline/index.ts'
import { modulo } from '../pattern/index.ts'
import type { CushionFrames } from './pattern-frame.ts'
import {
  asDrawn,
  frontOf,
  hasPlate,
  LEVEL,
  mainEdge,
  pairOf,
  stripStretch,
  type MatchedPanel,
  type SewnUp,
} from './sewn-up.ts'

/** How far the ends of a bowed front run off the stripe when its middle matches; 0 for a straight front. */
export function frontMismatch(cover: SewnUp): number {
  const i = mainEdge(cover, 'front')
  const [a, b] = edgeOf(cover.solid.outline, i)
  return isStraight(a.bulge) ? 0 : (edgeLength(cover.solid.outline, i) - Math.hypot(b.x - a.x, b.y - a.y)) / 2
}

/**
 * How far the pattern is off on the other legs of a side that is boxed in one strip, as on a seat with ears: the strip
 * runs on round the inner corners, so it matches its longest leg alone. In mm within one repeat; 0 where all legs
 * match.
 */
export function legMismatch(
  sewn: SewnUp,
  piece: MatchedPanel,
  frames: CushionFrames,
  repeats: { readonly row: number | null; readonly depth: number | null },
): number {
  const [cover, panel] = asDrawn(sewn, piece)
  const [frame, repeat] = frames.row?.axis === 'x' ? [frames.row, repeats.row] : [frames.depth, repeats.depth]
  if (panel.role !== 'boxing' || !cover.wall || !hasPlate(cover) || frame?.axis !== 'x' || repeat === null) return 0
  const alongRow = frame === frames.row
  const { outline, edges } = cover.solid
  const offs = edges.flatMap((_, i) => {
    const on = stripStretch(cover, panel, i)
    const [a, b] = edgeOf(outline, i)
    const [across, along] = alongRow ? [b.y - a.y, b.x - a.x] : [b.x - a.x, b.y - a.y]
    if (
      !on ||
      !isStraight(a.bulge) ||
      Math.abs(across) > LEVEL * Math.abs(along) ||
      edgeLength(outline, i) < SHORT_LEG_MM
    )
      return []
    const placed = pairOf(cover, i, panel)!.a
    const wanted = (alongRow ? a.x - frontOf(cover).from : a.y) + Math.sign(along) * placed.from
    const off = modulo(frame.start + frame.rises * on.from - wanted, repeat)
    return [Math.min(off, repeat - off)]
  })
  return Math.max(0, ...offs)
}

/** Shorter legs show no stripe to speak of. */
const SHORT_LEG_MM = 20
