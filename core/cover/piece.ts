import { at, mapped, onEdge, outwardOn, withAllowances, type Outline, type Point } from '../outline/index.ts'
import { edgeIndex, finishedEdgeLength, type Fullness, type Mark, type Notch, type Panel } from './panel.ts'

/*
 * The piece of cloth that becomes a panel. Cloth that gives is cut smaller, cloth that shrinks larger: everything on
 * the piece moves with it, so that the sewing line, notches, marks and stripes are where they belong when it is worn.
 */

type Grown = Pick<Panel, 'growth'>

/** Where a point of the finished panel lies on the piece as it is cut. */
export const onPiece = (panel: Grown, p: Point): Point => washedOut(panel, stretched(panel, p))

/** The sewing line on the piece. */
export const sewnOutline = (panel: Pick<Panel, 'growth' | 'finished'>): Outline => onItsPiece(panel, panel.finished)

/** Any outline of the finished panel, on the piece. */
export const onItsPiece = (panel: Grown, outline: Outline): Outline =>
  isSteady(panel) ? outline : mapped(outline, (p) => onPiece(panel, p))

/** The line to cut along: the sewing line and its allowances, all of it larger where washing takes some. */
export function cutOutline(panel: Pick<Panel, 'finished' | 'edges' | 'growth'>): Outline {
  const cut = withAllowances(
    sewnBeforeWash(panel),
    panel.edges.map((e) => e.allowance.value),
  )
  const { whole } = panel.growth
  return whole.x === 1 && whole.y === 1 ? cut : mapped(cut, (p) => washedOut(panel, p))
}

/** What is chalked on the piece. */
export const marksOnPiece = (panel: Pick<Panel, 'growth' | 'marks'>): readonly Mark[] =>
  panel.marks.map((m) => ({ ...m, path: m.path.map((p) => onPiece(panel, p)) }))

/** A notch on the piece: on the sewing line, and at a depth below the cut edge. */
export interface NotchOnPiece {
  readonly sewn: Point
  /** So far inside the cut edge, square to the sewing line. */
  readonly below: (depthMm: number) => Point
}

export function notchOnPiece(panel: Panel, notch: Pick<Notch, 'edge' | 'atMm'>): NotchOnPiece {
  const i = edgeIndex(panel, notch.edge)
  const sewn = sewnBeforeWash(panel)
  const share = notch.atMm / finishedEdgeLength(panel, notch.edge)
  const [on, out] = [onEdge(sewn, i, share), outwardOn(sewn, i, share)]
  const allowance = panel.edges[i]!.allowance.value
  const outBy = (mm: number) => washedOut(panel, at(on.x + out.x * mm, on.y + out.y * mm))
  return { sewn: outBy(0), below: (depthMm) => outBy(allowance - depthMm) }
}

/** The middle of an edge of the piece, on the line that is cut. */
export const middleOfCutEdge = (panel: Panel, edge: string): Point =>
  notchOnPiece(panel, { edge, atMm: finishedEdgeLength(panel, edge) / 2 }).below(0)

/**
 * The share of its finished size that a piece has on the cloth, each way of its own plane, beside what deep buttons
 * take.
 */
export const pieceFactor = ({ growth }: Grown, axis: 'x' | 'y'): number => growth.finished[axis] * growth.whole[axis]

const isSteady = ({ growth: { finished, whole, fullness } }: Grown): boolean =>
  finished.x === 1 && finished.y === 1 && whole.x === 1 && whole.y === 1 && !fullness.x && !fullness.y

const sewnBeforeWash = (panel: Pick<Panel, 'growth' | 'finished'>): Outline =>
  isSteady(panel) ? panel.finished : mapped(panel.finished, (p) => stretched(panel, p))

const stretched = ({ growth: { finished, fullness } }: Grown, p: Point): Point =>
  at(fuller(fullness.x, p.x) * finished.x, fuller(fullness.y, p.y) * finished.y)

const washedOut = ({ growth: { whole } }: Grown, p: Point): Point => at(p.x * whole.x, p.y * whole.y)

function fuller(fullness: Fullness | null, v: number): number {
  if (!fullness) return v
  const { mm, from, to } = fullness
  return v + mm.value * Math.min(1, Math.max(0, (v - from) / (to - from)))
}
