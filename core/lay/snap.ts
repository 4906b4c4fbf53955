import type { Lay, LayProblem, Placement } from '../../contract/index.ts'
import { onTheCloth, placementKey } from './around.ts'
import { modulo } from './intervals.ts'
import { held } from '../keyed/index.ts'

interface Box {
  readonly left: number
  readonly right: number
  readonly foot: number
  readonly top: number
}

/**
 * Where a piece that is dragged to a place comes to lie: on the nearest place of its pattern where it
 * is matched, else flush with an edge of the cloth or of a neighbour that is nearer than `reach`.
 * Never beyond the starting end.
 */
export function snapped(
  problem: LayProblem,
  lay: Pick<Lay, 'placements' | 'offsets'>,
  moved: Placement,
  reach: number,
): Placement {
  const piece = problem.pieces.find((p) => p.id === moved.id)!
  const box = boxOn(piece.outline, moved)
  const others = lay.placements
    .filter((p) => placementKey(p) !== placementKey(moved))
    .map((p) => boxOn(problem.pieces.find((q) => q.id === p.id)!.outline, p))
  const { cloth, gap } = problem
  const hasSides = (piece.sides ?? []).length > 0
  const group = piece.match && held(lay.offsets, piece.match.group)
  const [anchorX, anchorY] = piece.match ? onTheCloth(moved, ...piece.match.anchor) : [0, 0]
  const across = piece.match ? toPhase(anchorX, piece.match.across, group?.across ?? null, cloth.repeat.across) : null
  const along = piece.match ? toPhase(anchorY, piece.match.along, group?.along ?? null, cloth.repeat.along) : null
  const dx =
    across ??
    flush(
      box.left,
      box.right,
      [hasSides ? 0 : cloth.selvedge[0], ...others.map((o) => o.right + gap)],
      [cloth.width - (hasSides ? 0 : cloth.selvedge[1]), ...others.map((o) => o.left - gap)],
      reach,
    )
  const dy =
    along ??
    flush(
      box.foot,
      box.top,
      [0, ...others.map((o) => o.top + gap)],
      [...(cloth.length === null ? [] : [cloth.length]), ...others.map((o) => o.foot - gap)],
      reach,
    )
  const lift = along === null ? Math.max(0, -(box.foot + dy)) : 0
  return { ...moved, x: round(moved.x + dx), y: round(moved.y + dy + lift) }
}

/** How far a place is from the nearest one in phase; null where nothing is demanded. */
function toPhase(at: number, demand: number | null, offset: number | null, repeat: number | null): number | null {
  if (demand === null || repeat === null) return null
  const past = modulo(at - demand - (offset ?? 0), repeat)
  return past > repeat / 2 ? repeat - past : -past
}

/**
 * The least move that brings the low edge onto one of `lows` or the high edge onto one of `highs`; nought where none is
 * within reach.
 */
function flush(low: number, high: number, lows: readonly number[], highs: readonly number[], reach: number): number {
  const moves = [...lows.map((v) => v - low), ...highs.map((v) => v - high)].filter((d) => Math.abs(d) <= reach)
  return (
    moves.reduce((best, d) => (best === null || Math.abs(d) < Math.abs(best) ? d : best), null as number | null) ?? 0
  )
}

function boxOn(outline: readonly (readonly [number, number])[], place: Placement): Box {
  const points = outline.map(([x, y]) => onTheCloth(place, x, y))
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])]
  return { left: Math.min(...xs), right: Math.max(...xs), foot: Math.min(...ys), top: Math.max(...ys) }
}

const round = (v: number): number => Math.round(v * 1e4) / 1e4
