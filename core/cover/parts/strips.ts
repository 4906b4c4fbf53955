import { areaOf, boxOf, edgeLength, type Outline } from '../../outline/index.ts'
import { asExpression, evaluate, type Figure, type Operand } from '../../working/index.ts'
import { finishedEdgeLength, type EdgeTreatment } from '../panel.ts'
import type { Patch } from '../patch.ts'
import type { SeamPair, Stretch } from '../seam.ts'
import { inSpace } from '../space.ts'
import { unroll, type UnrolledPart, type Wall, type WallPart } from '../wall.ts'
import { rectanglePanel, shapedPanel, type EdgeDraft, type PanelDraft, type PanelHead } from './panel-draft.ts'

/** A strip of boxing or half a gusset: its panel, and where each part of the wall lies on it. */
export interface Strip {
  readonly panel: PanelDraft
  readonly patches: readonly Patch[]
  readonly parts: readonly UnrolledPart[]
  /** The strip's stretch along the foot or the top of a part, left to right. */
  readonly along: (line: 'bottom' | 'top', part: UnrolledPart) => Stretch
  /** A stretch of one end, counted from the foot up as a share of its length. */
  readonly up: (end: 'start' | 'end', from: number, to: number) => Stretch
}

export interface EdgeKind {
  readonly treatment: EdgeTreatment
  readonly allowances: readonly Figure[]
}

export interface StripDraft {
  readonly head: PanelHead
  readonly parts: readonly WallPart[]
  /** Length and height as sums, for a strip that comes out as a rectangle. */
  readonly width: Operand
  readonly height: Operand
  readonly bottom: EdgeKind
  readonly top: EdgeKind
  readonly start: EdgeKind
  readonly end: EdgeKind
  /** How high the foot of the wall stands. */
  readonly liftMm: number
}

export function stripOf(wall: Wall, draft: StripDraft): Strip {
  const unrolled = unroll(wall, draft.parts)
  const nameOf = (line: 'bottom' | 'top', k: number) => {
    const { treatment } = draft[line]
    const base = treatment === 'seam' ? line : treatment
    return k === 0 ? base : `${base} ${k + 1}`
  }
  const long = (line: 'bottom' | 'top', count: number) =>
    Array.from({ length: count }, (_, k): EdgeDraft => ({ name: nameOf(line, k), ...draft[line] }))
  const edges = [
    ...long('bottom', unrolled.bottoms),
    { name: 'end', ...draft.end },
    ...long('top', unrolled.tops).reverse(),
    { name: 'start', ...draft.start },
  ]
  const isBox = isRectangleOf(
    unrolled.outline,
    evaluate(asExpression(draft.width)),
    evaluate(asExpression(draft.height)),
  )
  const panel = isBox
    ? rectanglePanel(draft.head, draft.width, draft.height, edges)
    : shapedPanel(draft.head, unrolled.outline, edges)
  return {
    panel,
    patches: unrolled.parts.map((part): Patch => ({
      panel: panel.id,
      bend: wall.foot[part.part.edge]!.bulge ? 'bent' : 'flat',
      outline: part.outline,
      place: (p) => {
        const { x, y, z } = part.place(p)
        return inSpace(x, y, z + draft.liftMm)
      },
    })),
    parts: unrolled.parts,
    along: (line, part) => {
      const on = part[line]
      const edge = nameOf(line, on.edge)
      // Top edges are drawn from right to left.
      const length = finishedEdgeLength(panel, edge)
      return line === 'bottom'
        ? { panel: panel.id, edge, from: on.from, to: on.to }
        : { panel: panel.id, edge, from: length - on.from, to: length - on.to }
    },
    up: (end, from, to) => {
      const length = finishedEdgeLength(panel, end)
      return end === 'end'
        ? { panel: panel.id, edge: end, from: from * length, to: to * length }
        : { panel: panel.id, edge: end, from: (1 - from) * length, to: (1 - to) * length }
    },
  }
}

/** A leaning side may unroll to a rectangle too, but then it is higher than the cushion is thick. */
function isRectangleOf(outline: Outline, width: number, height: number): boolean {
  const { maxX, maxY } = boxOf(outline)
  return (
    outline.length === 4 &&
    Math.abs(maxX - width) < 1e-3 &&
    Math.abs(maxY - height) < 1e-3 &&
    Math.abs(areaOf(outline) - width * height) < 0.01 * height
  )
}

/** One strip's end sewn to the next one's start, foot to foot. */
export const endToStart = (before: Strip, after: Strip): SeamPair => ({
  a: before.up('end', 0, 1),
  b: after.up('start', 0, 1),
})

/** True when parts cover their whole edge. */
export const isWholeEdge = (wall: Wall, part: WallPart): boolean =>
  part.from < 1e-6 && part.to > edgeLength(wall.foot, part.edge) - 1e-6
