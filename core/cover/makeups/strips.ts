import { areaOf, boxOf, edgeLength, type Outline } from '../../outline/index.ts'
import { asExpression, evaluate, type Figure, type Operand } from '../../working/index.ts'
import type { Allowances } from '../allowances.ts'
import { finishedEdgeLength, type EdgeTreatment, type Panel } from '../panel.ts'
import type { SeamPair, Stretch } from '../seam.ts'
import { unroll, type OnStrip, type UnrolledPart, type Wall, type WallPart } from '../wall.ts'
import { rectanglePanel, shapedPanel, type EdgeDraft } from './panel-draft.ts'

/** A strip of boxing or half a gusset: its panel, and where each part of the wall lies on it. */
export interface Strip {
  readonly panel: Panel
  readonly parts: readonly UnrolledPart[]
  /** The strip's stretch along the foot or the top of a part, left to right. */
  readonly along: (line: 'bottom' | 'top', part: UnrolledPart) => Stretch
  /** A stretch of one end, counted from the foot up as a share of its length. */
  readonly up: (end: 'start' | 'end', from: number, to: number) => Stretch
}

export interface StripDraft {
  readonly id: string
  readonly name: string
  readonly role: 'boxing' | 'gusset'
  readonly isSeen: boolean
  readonly rule: string
  readonly parts: readonly WallPart[]
  /** Length and height as sums, for a strip that comes out as a rectangle. */
  readonly width: Operand
  readonly height: Operand
  /** The long edge that the zip is sewn to. */
  readonly zip: 'bottom' | 'top' | null
}

export function stripOf(wall: Wall, draft: StripDraft, allowances: Allowances): Strip {
  const unrolled = unroll(wall, draft.parts)
  const name = (line: 'bottom' | 'top', k: number) => (k === 0 ? line : `${line} ${k + 1}`)
  const edge = (edgeName: string, treatment: EdgeTreatment, allowance: Figure): EdgeDraft => ({ name: edgeName, treatment, allowances: [allowance] })
  const long = (line: 'bottom' | 'top', count: number) =>
    Array.from({ length: count }, (_, k) => (draft.zip === line ? edge(zipName(k), 'zip', allowances.gussetTurnMm) : edge(name(line, k), 'seam', allowances.seamMm)))
  const edges = [...long('bottom', unrolled.bottoms), edge('end', 'seam', allowances.seamMm), ...long('top', unrolled.tops).reverse(), edge('start', 'seam', allowances.seamMm)]
  const panel = isRectangleOf(unrolled.outline, evaluate(asExpression(draft.width)), evaluate(asExpression(draft.height))) ? rectanglePanel({ ...draft, edges }) : shapedPanel({ ...draft, finished: unrolled.outline, edges })
  return {
    panel,
    parts: unrolled.parts,
    along: (line, part) => {
      const on: OnStrip = part[line]
      const edgeName = draft.zip === line ? zipName(on.edge) : name(line, on.edge)
      // Top edges are drawn from right to left.
      const length = finishedEdgeLength(panel, edgeName)
      return line === 'bottom' ? { panel: panel.id, edge: edgeName, from: on.from, to: on.to } : { panel: panel.id, edge: edgeName, from: length - on.from, to: length - on.to }
    },
    up: (end, from, to) => {
      const length = finishedEdgeLength(panel, end)
      return end === 'end' ? { panel: panel.id, edge: end, from: from * length, to: to * length } : { panel: panel.id, edge: end, from: (1 - from) * length, to: (1 - to) * length }
    },
  }
}

/** A leaning side may unroll to a rectangle too, but then it is higher than the cushion is thick. */
function isRectangleOf(outline: Outline, width: number, height: number): boolean {
  const { maxX, maxY } = boxOf(outline)
  return outline.length === 4 && Math.abs(maxX - width) < 1e-3 && Math.abs(maxY - height) < 1e-3 && Math.abs(areaOf(outline) - width * height) < 0.01 * height
}

const zipName = (k: number): string => (k === 0 ? 'zip' : `zip ${k + 1}`)

/** One strip's end sewn to the next one's start, foot to foot. */
export const endToStart = (before: Strip, after: Strip): SeamPair => ({ a: before.up('end', 0, 1), b: after.up('start', 0, 1) })

/** True when parts cover their whole edge. */
export const isWholeEdge = (wall: Wall, part: WallPart): boolean => part.from < 1e-6 && part.to > edgeLength(wall.foot, part.edge) - 1e-6
