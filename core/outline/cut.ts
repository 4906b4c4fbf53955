import { arcBetween, isStraight } from './arc.ts'
import { curveOf, meet, type Curve } from './curve.ts'
import { onEdge, stretchOf } from './along.ts'
import { edgeOf, type Outline, type Vertex } from './outline.ts'
import { at, distance, dot, minusPoint, type Point } from './point.ts'

/**
 * The part of an outline on one side of a straight cut; `sources[i]` is the edge that edge i comes from, −1 for the cut
 * itself.
 */
export interface CutOff {
  readonly outline: Outline
  readonly sources: readonly number[]
}

/**
 * Keeps what lies to the left of a line through `from` along `direction`. An outline that the line
 * parts in more than two comes back crossed or touching itself: ask `isSimple`.
 */
export function keepLeftOf(part: CutOff, from: Point, direction: Point): CutOff {
  const outline: Vertex[] = []
  const sources: number[] = []
  const kept = keptEdges(part, from, direction)
  kept.forEach((piece, k) => {
    outline.push(piece.start)
    sources.push(piece.source)
    const next = kept[(k + 1) % kept.length]!.start
    if (distance(piece.end, next) > HAIR_MM) {
      outline.push(at(piece.end.x, piece.end.y))
      sources.push(-1)
    }
  })
  return { outline, sources }
}

/**
 * What lies to the left of a line, each part that it leaves by itself: a ring cut across its opening leaves both its
 * arms.
 */
export function islandsLeftOf(part: CutOff, from: Point, direction: Point): readonly CutOff[] {
  const chains = chainsOf(keptEdges(part, from, direction))
  const along = (p: Point) => dot(minusPoint(p, from), direction)
  const open = new Set(chains.keys())
  const islands: CutOff[] = []
  while (open.size > 0) {
    const [first] = open
    const outline: Vertex[] = []
    const sources: number[] = []
    for (let k: number | null = first!; k !== null;) {
      open.delete(k)
      const chain: readonly Kept[] = chains[k]!
      for (const { start, source } of chain) {
        outline.push(start)
        sources.push(source)
      }
      const end = chain.at(-1)!.end
      // Counter-clockwise, the cut runs on along the line to where the outline next rises from it.
      const ahead: number[] = [...open, first!].filter((c) => along(chains[c]![0]!.start) > along(end) - HAIR_MM)
      const next = ahead.reduce(
        (best, c) => (along(chains[c]![0]!.start) < along(chains[best]![0]!.start) ? c : best),
        ahead[0] ?? first!,
      )
      if (distance(end, chains[next]![0]!.start) > HAIR_MM) {
        outline.push(at(end.x, end.y))
        sources.push(-1)
      }
      k = next === first ? null : next
    }
    islands.push({ outline, sources })
  }
  return islands
}

/** Points nearer than this are one. */
const HAIR_MM = 1e-6

interface Kept {
  readonly start: Vertex
  readonly end: Point
  readonly source: number
}

/** The stretches of the edges that lie to the left of a line, in their order round the outline. */
function keptEdges(part: CutOff, from: Point, direction: Point): readonly Kept[] {
  const side = (p: Point): number => direction.x * (p.y - from.y) - direction.y * (p.x - from.x)
  const line: Curve = { kind: 'line', from, direction }
  return part.outline.flatMap((_, i): Kept[] => {
    const shares = [0, ...crossings(part.outline, i, line), 1]
    return shares.slice(1).flatMap((b, k) => {
      const a = shares[k]!
      return b - a < 1e-9 || side(onEdge(part.outline, i, (a + b) / 2)) <= 0
        ? []
        : [{ start: stretchOf(part.outline, i, a, b), end: onEdge(part.outline, i, b), source: part.sources[i]! }]
    })
  })
}

/** Stretches that run on into each other, parted where the outline leaves the kept side. */
function chainsOf(kept: readonly Kept[]): readonly (readonly Kept[])[] {
  const begins = kept.flatMap((piece, k) =>
    distance(kept[(k + kept.length - 1) % kept.length]!.end, piece.start) > HAIR_MM ? [k] : [],
  )
  if (begins.length === 0) return kept.length === 0 ? [] : [kept]
  return begins.map((begin, c) => {
    const count = (begins[(c + 1) % begins.length]! - begin + kept.length) % kept.length || kept.length
    return Array.from({ length: count }, (_, k) => kept[(begin + k) % kept.length]!)
  })
}

/** Edges too short to be sewn, left where a cut passes a corner by a hair, are closed up. */
export function withoutSlivers(part: CutOff, shortestMm: number): CutOff {
  const stays = part.outline.map((v, i) => distance(v, edgeOf(part.outline, i)[1]) >= shortestMm)
  return stays.every(Boolean)
    ? part
    : { outline: part.outline.filter((_, i) => stays[i]), sources: part.sources.filter((_, i) => stays[i]) }
}

export const wholeOf = (outline: Outline): CutOff => ({ outline, sources: outline.map((_, i) => i) })

/** Shares of an edge at which a line crosses it, rising. */
function crossings(outline: Outline, i: number, line: Extract<Curve, { kind: 'line' }>): readonly number[] {
  const [a, b] = edgeOf(outline, i)
  const curve = curveOf(outline, i)
  if (curve.kind === 'line') {
    const p = meet(line, curve, a)
    if (!p) return []
    const share = dot(minusPoint(p, a), minusPoint(b, a)) / dot(minusPoint(b, a), minusPoint(b, a))
    return share > 1e-9 && share < 1 - 1e-9 ? [share] : []
  }
  const arc = arcBetween(a, b, isStraight(a.bulge) ? 1e-4 : a.bulge!)
  const far = 4 * Math.abs(curve.radius) + distance(a, line.from)
  const ends = [-far, far].map((t) => at(line.from.x + line.direction.x * t, line.from.y + line.direction.y * t))
  const points = ends.flatMap((near) => meet(line, curve, near) ?? [])
  const shares = points.map((p) => {
    const turned = (Math.atan2(p.y - arc.centre.y, p.x - arc.centre.x) - arc.startAngle) * Math.sign(arc.sweep)
    return (((turned % TAU) + TAU) % TAU) / Math.abs(arc.sweep)
  })
  return [...new Set(shares)].filter((s) => s > 1e-9 && s < 1 - 1e-9).toSorted((p, q) => p - q)
}

const TAU = 2 * Math.PI
