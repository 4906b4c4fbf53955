import { isLyingRole, pieceFactor, type Cover } from '../cover/index.ts'
import { edgeLength, onEdge } from '../outline/index.ts'
import { alongSide, frontSpan, sideLength, type Cushions } from '../seat/index.ts'

/**
 * A row of cushions in mm of cloth, as its pieces are cut: cloth that gives or shrinks and deep buttons make it shorter
 * or longer than the cushions stand, and the pattern is counted on the cloth. A squeezed row is matched as if its
 * cushions touched: the cloth goes in with the foam. Single cushions are a row of their own each.
 */
export interface ClothRow {
  readonly lengthMm: number
  readonly startMm: (cushion: number) => number
  readonly widthMm: (cushion: number) => number
  readonly depthMm: (cushion: number) => number
  /** Where a place of a cushion lies that is so far from the left end of its front. */
  readonly inRow: (cushion: number, ownMm: number) => number
  /** How deep a place of a cushion lies that is so far from its front edge. */
  readonly atDepth: (cushion: number, ownMm: number) => number
  /** Where a mark on the furniture lies, taped from the left end of the seat. */
  readonly atMark: (markMm: number) => number
}

export function clothRow(cushions: Cushions, covers: readonly Cover[]): ClothRow {
  const scales = covers.map(scaleOf)
  const scale = (cushion: number): Scale => scales[cushions.inOrder[cushion]!.design]!
  const starts = rowStarts(cushions, scale)
  const last = cushions.count - 1
  const inRow = (cushion: number, own: number) => starts[cushion]! + scale(cushion).row(own)
  return {
    lengthMm: starts[last]! + scale(last).widthMm,
    startMm: (cushion) => starts[cushion]!,
    widthMm: (cushion) => scale(cushion).widthMm,
    depthMm: (cushion) => scale(cushion).depthMm,
    inRow,
    atDepth: (cushion, own) => scale(cushion).depth(own),
    atMark: (markMm) => {
      const { inOrder } = cushions
      if (isSingles(cushions)) return inRow(0, markMm - inOrder[0]!.leftMm)
      const cushion = Math.max(
        0,
        inOrder.findLastIndex((c) => c.leftMm <= markMm),
      )
      return inRow(cushion, acrossFront(cushions, cushion, markMm - inOrder[cushion]!.leftMm))
    },
  }
}

/** From a cushion's own mm to mm of the cloth of its face. */
interface Scale {
  readonly widthMm: number
  readonly depthMm: number
  readonly row: (ownMm: number) => number
  readonly depth: (ownMm: number) => number
  readonly gap: number
}

/** The face that is seen from above rules; boxing round it grows alike, but for deep buttons. */
function scaleOf({ panels, solid }: Cover): Scale {
  const face = panels.find((p) => p.isSeen && isLyingRole(p.role)) ?? panels[0]!
  const { from, to } = frontSpan(solid)
  const along = (axis: 'x' | 'y', wholeMm: number) => {
    const [factor, fuller] = [
      pieceFactor(face, axis),
      (face.growth.fullness[axis]?.mm.value ?? 0) * face.growth.finished[axis] * face.growth.whole[axis],
    ]
    return (own: number) => factor * own + fuller * Math.min(1, Math.max(0, own / wholeMm))
  }
  const [row, depth] = [along('x', to - from), along('y', solid.depth.value)]
  return { row, depth, widthMm: row(to - from), depthMm: depth(solid.depth.value), gap: pieceFactor(face, 'x') }
}

/** Where each front begins: where its neighbour's ended, and the gap if it is open to the eye. */
function rowStarts(cushions: Cushions, scale: (cushion: number) => Scale): readonly number[] {
  const starts = [0]
  for (let i = 1; i < cushions.count; i++)
    starts.push(
      isSingles(cushions)
        ? 0
        : starts[i - 1]! + scale(i - 1).widthMm + Math.max(0, gapAfter(cushions, i - 1)) * scale(i - 1).gap,
    )
  return starts
}

const solidOf = (cushions: Cushions, cushion: number) => cushions.designs[cushions.inOrder[cushion]!.design]!.solid

const isSingles = ({ inOrder }: Cushions): boolean => inOrder.length > 1 && inOrder[1]!.leftMm === inOrder[0]!.leftMm

/** Along the front, negative where neighbours are squeezed. */
function gapAfter(cushions: Cushions, cushion: number): number {
  const [here, next] = [cushions.inOrder[cushion]!, cushions.inOrder[cushion + 1]]
  return next ? next.leftMm - here.leftMm - frontLength(cushions, cushion) : 0
}

const frontLength = (cushions: Cushions, cushion: number): number => sideLength(solidOf(cushions, cushion), 'front')

/** How far across its front a place lies that was taped along it: the same on a straight front, less on a bowed one. */
function acrossFront(cushions: Cushions, cushion: number, alongMm: number): number {
  const solid = solidOf(cushions, cushion)
  const { from, to } = frontSpan(solid)
  const place = alongSide(solid, 'front', alongMm)
  return place
    ? onEdge(solid.outline, place.edge, place.atMm / edgeLength(solid.outline, place.edge)).x - from
    : to - from + alongMm - frontLength(cushions, cushion)
}
