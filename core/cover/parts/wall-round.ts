import { edgeLength } from '../../outline/index.ts'
import type { SeatEdge, SideName } from '../../seat/index.ts'
import { runsOnFlat, wholePart, type Wall, type WallPart } from '../wall.ts'

/**
 * How the wall is shared between the strip that opens and the boxing, counter-clockwise: where it opens at the back,
 * the gusset from right to left, then left, front, right.
 */
export interface WallRound {
  readonly gusset: readonly WallPart[]
  /** How far the gusset runs on past its side where it starts (right, seen from behind a back) and where it ends. */
  readonly roundRight: number
  readonly roundLeft: number
  readonly boxing: readonly WallPart[]
}

const OPPOSITE: Readonly<Record<SideName, SideName>> = { front: 'back', back: 'front', left: 'right', right: 'left' }

/**
 * The gusset lies along one side, as far as that lies flat in one strip, and runs on round both of
 * its corners by up to `zipRoundMm`, unless the side there leans or is the opposite one.
 */
export function shareWall(wall: Wall, edges: readonly SeatEdge[], side: SideName, zipRoundMm: number): WallRound {
  const n = edges.length
  const back = longestFlatRun(wall, edges, side)
  const gusset: WallPart[] = back.map((i) => wholePart(wall, i))
  const left = takeAlong(wall, edges, (back.at(-1)! + 1) % n, 1, zipRoundMm, back, OPPOSITE[side])
  const right = takeAlong(wall, edges, (back[0]! + n - 1) % n, -1, zipRoundMm, back, OPPOSITE[side])
  const all = [...right.toReversed(), ...gusset, ...left]
  const used = new Map(all.map((p) => [p.edge, p]))
  const boxing = Array.from({ length: n }, (_, k) => (back.at(-1)! + 1 + k) % n).flatMap((i): readonly WallPart[] => {
    const taken = used.get(i)
    const length = edgeLength(wall.foot, i)
    if (!taken) return [wholePart(wall, i)]
    // What the gusset left of a side: before it where it starts inside the edge, after it where it ends inside.
    const rest = [
      { edge: i, from: 0, to: taken.from },
      { edge: i, from: taken.to, to: length },
    ]
    return rest.filter((p) => p.to - p.from > 1e-6)
  })
  const sum = (parts: readonly WallPart[]) => parts.reduce((total, p) => total + p.to - p.from, 0)
  return { gusset: all, roundRight: sum(right), roundLeft: sum(left), boxing }
}

/** The side asked for where the cushion has it, otherwise its back. */
export const sideOrBack = (edges: readonly { readonly side: SideName }[], wanted: SideName): SideName =>
  edges.some((e) => e.side === wanted) ? wanted : 'back'

/** The whole wall as boxing, walked round counter-clockwise from the end of a side. */
export function allRound(wall: Wall, edges: readonly SeatEdge[], side: SideName): readonly WallPart[] {
  const n = edges.length
  const last = longestFlatRun(wall, edges, side).at(-1)!
  return edges.map((_, k) => wholePart(wall, (last + 1 + k) % n))
}

/** The longest run of a side's edges whose walls lie flat in one strip. */
export function longestFlatRun(wall: Wall, edges: readonly SeatEdge[], side: SideName): readonly number[] {
  const n = edges.length
  const runs: number[][] = []
  const first = edges.findIndex((e, i) => e.side === side && edges[(i + n - 1) % n]!.side !== side)
  for (let k = 0; k < n; k++) {
    const i = (Math.max(0, first) + k) % n
    if (edges[i]!.side !== side) continue
    const run = runs.at(-1)
    if (run && run.at(-1) === (i + n - 1) % n && runsOnFlat(wall, i)) run.push(i)
    else runs.push([i])
  }
  const length = (run: readonly number[]) => run.reduce((sum, i) => sum + edgeLength(wall.foot, i), 0)
  return runs.reduce((best, run) => (length(run) > length(best) ? run : best))
}

/** A zip does not end a hair before or after a corner: it ends at the corner. */
const SLIVER_MM = 3

/** Parts of the edges from `start` on, as long as they lie flat with the gusset, up to a length. */
function takeAlong(
  wall: Wall,
  edges: readonly SeatEdge[],
  start: number,
  step: 1 | -1,
  upToMm: number,
  back: readonly number[],
  opposite: SideName,
): readonly WallPart[] {
  const n = edges.length
  const parts: WallPart[] = []
  let left = upToMm
  for (let i = start; left > SLIVER_MM && !back.includes(i) && edges[i]!.side !== opposite; i = (i + step + n) % n) {
    if (!runsOnFlat(wall, step === 1 ? i : (i + 1) % n)) break
    const length = edgeLength(wall.foot, i)
    const taken = length - left < SLIVER_MM ? length : left
    parts.push(step === 1 ? { edge: i, from: 0, to: taken } : { edge: i, from: length - taken, to: length })
    left -= taken
    if (parts.length > n) break
  }
  return parts
}

/** Boxing in strips: broken where it cannot lie flat, and at every change of side when wanted. */
export function boxingRuns(
  wall: Wall,
  edges: readonly SeatEdge[],
  parts: readonly WallPart[],
  perSide: boolean,
): readonly (readonly WallPart[])[] {
  const runs: WallPart[][] = []
  for (const part of parts) {
    const run = runs.at(-1)
    const before = run?.at(-1)
    const goesOn =
      run &&
      before &&
      (before.edge === part.edge || runsOnFlat(wall, part.edge)) &&
      !(perSide && edges[before.edge]!.side !== edges[part.edge]!.side)
    if (goesOn) run.push(part)
    else runs.push([part])
  }
  return runs
}
