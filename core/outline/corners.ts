import { curveOf, footOn, meet, movedCurve } from './curve.ts'
import { edgeLength, edgeOf, vertex, type Outline, type Vertex } from './outline.ts'
import { arcBetween, isStraight } from './arc.ts'
import { onEdge, stretchOf, turnAt } from './along.ts'
import { distance, type Point } from './point.ts'

/**
 * What is done to a corner: left square, rounded, or cut off by two legs along the edge that arrives and the edge that
 * leaves.
 */
export type CornerCut =
  | { readonly kind: 'square' }
  | { readonly kind: 'round'; readonly radiusMm: number }
  | { readonly kind: 'cut'; readonly arrivingMm: number; readonly leavingMm: number }

/** Each edge of the dressed outline comes from an edge of the bare one, or dresses one of its corners. */
export type EdgeSource =
  { readonly kind: 'edge'; readonly edge: number } | { readonly kind: 'corner'; readonly corner: number }

export interface Dressed {
  readonly outline: Outline
  readonly sources: readonly EdgeSource[]
}

/** A corner that its neighbours leave no room for. */
export interface CornerFault {
  readonly corner: number
  readonly roomMm: number
}

/** Rounds and cuts the corners of an outline; `cuts[i]` is for the corner where edge i begins. */
export function dressCorners(outline: Outline, cuts: readonly CornerCut[]): Dressed | CornerFault {
  const n = outline.length
  const ends = outline.map((_, i) => cornerEnds(outline, i, cuts[i] ?? { kind: 'square' }))
  for (let i = 0; i < n; i++) {
    const room = edgeLength(outline, i)
    const used = ends[i]!.leaving + ends[(i + 1) % n]!.arriving
    if (!(used <= room + 1e-6))
      return { corner: ends[i]!.leaving > ends[(i + 1) % n]!.arriving ? i : (i + 1) % n, roomMm: room }
  }
  const result: Vertex[] = []
  const sources: EdgeSource[] = []
  for (let i = 0; i < n; i++) {
    const end = ends[i]!
    if (end.edge) {
      result.push(end.edge)
      sources.push({ kind: 'corner', corner: i })
    }
    const length = edgeLength(outline, i)
    const [from, to] = [end.leaving / length, 1 - ends[(i + 1) % n]!.arriving / length]
    if (to - from < 1e-9) continue
    result.push(stretchOf(outline, i, from, to))
    sources.push({ kind: 'edge', edge: i })
  }
  return { outline: result, sources }
}

interface CornerEnds {
  /** How much of the edges is used, measured from the corner. */
  readonly arriving: number
  readonly leaving: number
  /** The edge put in, starting on the edge that arrives. */
  readonly edge: Vertex | null
}

function cornerEnds(outline: Outline, i: number, cut: CornerCut): CornerEnds {
  const before = (i + outline.length - 1) % outline.length
  if (cut.kind === 'square' || (cut.kind === 'round' && !(cut.radiusMm > 0)))
    return { arriving: 0, leaving: 0, edge: null }
  if (cut.kind === 'cut') {
    if (!(cut.arrivingMm > 0) || !(cut.leavingMm > 0)) return { arriving: 0, leaving: 0, edge: null }
    return {
      arriving: cut.arrivingMm,
      leaving: cut.leavingMm,
      edge: vertex(onEdge(outline, before, Math.max(0, 1 - cut.arrivingMm / edgeLength(outline, before)))),
    }
  }
  return rounded(outline, before, i, cut.radiusMm)
}

function rounded(outline: Outline, before: number, i: number, radiusMm: number): CornerEnds {
  const turn = turnAt(outline, i)
  if (Math.abs(turn) < 1e-4) return { arriving: 0, leaving: 0, edge: null }
  const radius = radiusMm * Math.sign(turn)
  const [arriving, leaving] = [curveOf(outline, before), curveOf(outline, i)]
  const centre = meet(movedCurve(arriving, -radius), movedCurve(leaving, -radius), outline[i]!)
  if (!centre) return { arriving: Infinity, leaving: Infinity, edge: null }
  const [start, end] = [footOn(arriving, centre), footOn(leaving, centre)]
  const sweep = arcTurn(start, end, centre, Math.sign(radius))
  return {
    arriving: alongCurve(outline, before, start, outline[i]!),
    leaving: alongCurve(outline, i, outline[i]!, end),
    edge: vertex(start, Math.tan(sweep / 4)),
  }
}

function arcTurn(a: Point, b: Point, centre: Point, way: number): number {
  const turn = Math.atan2(b.y - centre.y, b.x - centre.x) - Math.atan2(a.y - centre.y, a.x - centre.x)
  const positive = (((turn * way) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)
  return positive * way
}

/** Length between two points of an edge's curve, the short way. */
function alongCurve(outline: Outline, edge: number, from: Point, to: Point): number {
  const [a, b] = edgeOf(outline, edge)
  if (isStraight(a.bulge)) return distance(from, to)
  const { radius } = arcBetween(a, b, a.bulge!)
  return 2 * Math.abs(radius) * Math.asin(Math.min(1, distance(from, to) / (2 * Math.abs(radius))))
}
