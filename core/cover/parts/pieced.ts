import { edgeLength } from '../../outline/index.ts'
import type { SeatEdge } from '../../seat/index.ts'
import type { Wall, WallPart } from '../wall.ts'

/** No piece of a joined strip is shorter. A rule of the trade. */
const LEAST_PIECE_MM = 150
/** A join keeps so far from a front corner. */
const CORNER_CLEAR_MM = 30
const STEP_MM = 5

/**
 * A run of boxing in pieces no longer than the cloth gives: two joins, mirrored about its middle, on
 * the sides rather than on the front, never at a front corner nor mid-front. A run that cannot be
 * pieced so stays whole.
 */
export function pieced(
  wall: Wall,
  edges: readonly SeatEdge[],
  run: readonly WallPart[],
  longestMm: number | null,
): readonly (readonly WallPart[])[] {
  const length = runLength(run)
  if (longestMm === null || length <= longestMm) return [run]
  const least = Math.max(LEAST_PIECE_MM, (length - longestMm) / 2)
  const most = Math.min(longestMm, (length - LEAST_PIECE_MM) / 2)
  const tries = Array.from(
    { length: Math.max(0, Math.floor((most - least) / STEP_MM) + 1) },
    (_, k) => least + k * STEP_MM,
  )
  const clear = tries.filter((e) => [e, length - e].every((at) => isClear(wall, edges, run, at)))
  const end = clear.find((e) => !isOnFront(edges, run, e) && !isOnFront(edges, run, length - e)) ?? clear[0]
  if (end === undefined) return [run]
  return [cutRun(run, 0, end), cutRun(run, end, length - end), cutRun(run, length - end, length)]
}

export const runLength = (run: readonly WallPart[]): number => run.reduce((sum, p) => sum + p.to - p.from, 0)

/** The part of a run between two places along it. */
export function cutRun(run: readonly WallPart[], from: number, to: number): readonly WallPart[] {
  let before = 0
  return run.flatMap((p) => {
    const start = before
    before += p.to - p.from
    const [low, high] = [Math.max(p.from, p.from + from - start), Math.min(p.to, p.from + to - start)]
    return high - low > 1e-6 ? [{ edge: p.edge, from: low, to: high }] : []
  })
}

function partAt(run: readonly WallPart[], at: number): { readonly part: WallPart; readonly along: number } {
  let left = at
  for (const part of run) {
    if (left <= part.to - part.from + 1e-9) return { part, along: part.from + left }
    left -= part.to - part.from
  }
  const last = run.at(-1)!
  return { part: last, along: last.to }
}

const isOnFront = (edges: readonly SeatEdge[], run: readonly WallPart[], at: number): boolean =>
  edges[partAt(run, at).part.edge]!.side === 'front'

/** Away from both ends of an edge that ends at a front corner. */
function isClear(wall: Wall, edges: readonly SeatEdge[], run: readonly WallPart[], at: number): boolean {
  const { part, along } = partAt(run, at)
  const n = edges.length
  const [before, after] = [edges[(part.edge + n - 1) % n]!.side, edges[(part.edge + 1) % n]!.side]
  const own = edges[part.edge]!.side
  const length = edgeLength(wall.foot, part.edge)
  const turnsAt = (other: string) => own !== other && (own === 'front' || other === 'front')
  return !(turnsAt(before) && along < CORNER_CLEAR_MM) && !(turnsAt(after) && along > length - CORNER_CLEAR_MM)
}
