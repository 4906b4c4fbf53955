import type { Footprint, Seat } from '../../contract/index.ts'

type Points = Extract<Footprint, { kind: 'points' }>

/** A point put into the middle of the edge after point `i`; both halves keep what was set on the edge. */
export function insertPoint(seat: Seat, i: number): Seat {
  if (seat.footprint.kind !== 'points') return seat
  const { points } = seat.footprint
  const [a, b] = [points[i]!, points[(i + 1) % points.length]!]
  const middle = { x: Math.round((a.x + b.x) / 2), y: Math.round((a.y + b.y) / 2), riseMm: 0 }
  const next = [...points.slice(0, i), { ...a, riseMm: 0 }, middle, ...points.slice(i + 1)]
  const shift = (j: number): readonly number[] => (j === i ? [i, i + 1] : [j > i ? j + 1 : j])
  return renumbered(seat, seat.footprint, next, shift, (j) => (j > i ? j + 1 : j))
}

/** Without point `i`; the edge that arrived there goes on to the next point. */
export function removePoint(seat: Seat, i: number): Seat {
  if (seat.footprint.kind !== 'points' || seat.footprint.points.length <= 3) return seat
  const { points } = seat.footprint
  const down = (j: number): number => (j > i ? j - 1 : j)
  return renumbered(
    seat,
    seat.footprint,
    points.filter((_, j) => j !== i),
    (j) => (j === i ? [] : [down(j)]),
    (j) => (j === i ? null : down(j)),
  )
}

/** Edges and corners are named by the numbers of their points: what was set on them moves along. */
function renumbered(
  seat: Seat,
  footprint: Points,
  points: Points['points'],
  edgesFrom: (j: number) => readonly number[],
  cornerFrom: (j: number) => number | null,
): Seat {
  const [before, after] = [footprint.points.length, points.length]
  const edgeName = (j: number, n: number): string => `${j + 1}-${((j + 1) % n) + 1}`
  const edges: Seat['edges'] = {}
  const corners: Seat['corners'] = {}
  let { front } = seat
  for (let j = 0; j < before; j++) {
    const old = edgeName(j, before)
    const names = edgesFrom(j).map((k) => edgeName(k, after))
    if (seat.edges[old]) for (const name of names) edges[name] = seat.edges[old]
    if (seat.front === old) front = names[0] ?? edgeName(Math.max(0, j - 1), after)
    const corner = cornerFrom(j)
    if (seat.corners[String(j + 1)] && corner !== null) corners[String(corner + 1)] = seat.corners[String(j + 1)]!
  }
  return { ...seat, footprint: { ...footprint, points }, edges, corners, front }
}
