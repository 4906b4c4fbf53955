import {
  at,
  boxOf,
  edgeLength,
  moved,
  outwardOfChord,
  startedAt,
  turnedBy,
  withoutSlivers,
  type CutOff,
  type Outline,
  type Point,
} from '../../outline/index.ts'
import type { EdgedOutline, SeatEdge } from '../shaped-seat.ts'
import { frontEdge, sidesOf } from '../sides.ts'

/** Where a cushion stands: its own frame turned by `angleRad`, its origin at x, y of the seat. */
export interface Place {
  readonly x: number
  readonly y: number
  readonly angleRad: number
}

/** One cushion cut out of the seat, in its own frame: front at the foot, box at the origin. */
export interface Cut extends EdgedOutline {
  readonly place: Place | null
}

const SLIVER_MM = 0.6

/** Turned so that `along` runs to the right, box at the origin, starting at its front edge; edges named and sided. */
export function inOwnFrame(of: EdgedOutline, whole: CutOff, along: Point): Cut {
  const cut = withoutSlivers(whole, SLIVER_MM)
  const angle = Math.atan2(along.y, along.x)
  if (cut.outline.length < 3) return { outline: [], edges: [], place: null }
  const turned = angle === 0 ? cut.outline : turnedBy(cut.outline, -angle)
  const box = boxOf(turned)
  const own = moved(turned, at(-box.minX, -box.minY))
  const isWhole = cut.sources.every((s, i) => s === i) && cut.outline.length === of.outline.length
  const front = isWhole
    ? of.edges.findIndex((e) => e.side === 'front')
    : (longestFront(of, own, cut.sources) ?? frontEdge(own))
  const sides = isWhole ? of.edges.map((e) => e.side) : sidesOf(own, front)
  const seen = new Map<string, number>()
  const edges = cut.sources.map((source, i): SeatEdge => {
    const from = of.edges[source]
    const base = from ? from.name : `${sides[i]!} cut`
    const times = (seen.get(base) ?? 0) + 1
    seen.set(base, times)
    return {
      name: times === 1 ? base : `${base} ${times}`,
      side: sides[i]!,
      meets: from?.meets ?? 'neighbour',
      leanRad: from?.leanRad ?? 0,
    }
  })
  const [origin] = turnedBy([at(box.minX, box.minY)], angle)
  return {
    outline: startedAt(own, front),
    edges: [...edges.slice(front), ...edges.slice(0, front)],
    place: { x: origin!.x, y: origin!.y, angleRad: angle },
  }
}

/** What a part has of the seat's own front, where it turns that to the foot. */
function longestFront(of: EdgedOutline, outline: Outline, sources: readonly number[]): number | null {
  const fronts = sources.flatMap((s, i) =>
    of.edges[s]?.side === 'front' && -outwardOfChord(outline, i).y > 0.5 ? [i] : [],
  )
  return fronts.length === 0
    ? null
    : fronts.reduce((best, i) => (edgeLength(outline, i) > edgeLength(outline, best) ? i : best))
}
