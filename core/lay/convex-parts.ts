import earcut from 'earcut'

/** A flat ring [x0, y0, x1, y1, …], counter-clockwise. */
export type Ring = readonly number[]

export const ringArea = (ring: Ring): number => {
  let twice = 0
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2)
    twice += ring[j]! * ring[i + 1]! - ring[i]! * ring[j + 1]!
  return twice / 2
}

export const counterClockwise = (ring: Ring): Ring => (ringArea(ring) >= 0 ? ring : reversed(ring))

/**
 * Cuts a simple ring (with holes, perhaps) into convex rings: triangulated, then triangles joined
 * again across every diagonal that is not needed. A convex ring comes back whole.
 */
export function convexParts(ring: Ring, holes: readonly Ring[] = []): readonly Ring[] {
  const outer = counterClockwise(ring)
  if (holes.length === 0 && isConvex(outer)) return [outer]
  const points = [...outer, ...holes.flatMap((h) => h)]
  let count = outer.length / 2
  const starts = holes.map((h) => {
    const start = count
    count += h.length / 2
    return start
  })
  const triangles = earcut(points, starts)
  const parts: number[][] = []
  for (let i = 0; i < triangles.length; i += 3) {
    const part = [triangles[i]!, triangles[i + 1]!, triangles[i + 2]!]
    const area = ringArea(part.flatMap((k) => [points[2 * k]!, points[2 * k + 1]!]))
    if (Math.abs(area) > 1e-9) parts.push(area > 0 ? part : part.toReversed())
  }
  return joinConvex(parts, points).map((part) => part.flatMap((k) => [points[2 * k]!, points[2 * k + 1]!]))
}

/** True when a counter-clockwise ring never turns right; straight corners are allowed. */
export function isConvex(ring: Ring): boolean {
  const n = ring.length
  for (let i = 0; i < n; i += 2) if (cornerTurn(ring, i) < -1e-7) return false
  return true
}

function cornerTurn(ring: Ring, i: number): number {
  const n = ring.length
  const [ax, ay, bx, by, cx, cy] = [
    ring[i]!,
    ring[i + 1]!,
    ring[(i + 2) % n]!,
    ring[(i + 3) % n]!,
    ring[(i + 4) % n]!,
    ring[(i + 5) % n]!,
  ]
  return (
    ((bx - ax) * (cy - by) - (by - ay) * (cx - bx)) / (Math.hypot(bx - ax, by - ay) * Math.hypot(cx - bx, cy - by) || 1)
  )
}

/** Joins neighbours across a shared diagonal while the union stays convex. */
function joinConvex(parts: number[][], points: readonly number[]): readonly number[][] {
  const byEdge = new Map<string, number>()
  const alive: (number[] | null)[] = [...parts]
  const edgesOf = (part: readonly number[]) => part.map((a, i) => `${a},${part[(i + 1) % part.length]!}`)
  parts.forEach((part, i) => edgesOf(part).forEach((e) => byEdge.set(e, i)))
  for (let i = 0; i < alive.length; i++) {
    for (let k = 0; alive[i] && k < alive[i]!.length; k++) {
      const part = alive[i]!
      const [a, b] = [part[k]!, part[(k + 1) % part.length]!]
      const other = byEdge.get(`${b},${a}`)
      if (other === undefined || other === i || !alive[other]) continue
      const joined = joinAcross(part, alive[other]!, a, b)
      if (!isConvex(joined.flatMap((p) => [points[2 * p]!, points[2 * p + 1]!]))) continue
      alive[other] = null
      alive[i] = joined
      edgesOf(joined).forEach((e) => byEdge.set(e, i))
      k = -1
    }
  }
  return alive.filter((p) => p !== null)
}

/** Both rings without their common edge a→b (b→a in the other). */
function joinAcross(part: readonly number[], other: readonly number[], a: number, b: number): number[] {
  const from = (ring: readonly number[], start: number) => {
    const at = ring.indexOf(start)
    return [...ring.slice(at), ...ring.slice(0, at)]
  }
  return [...from(part, b), ...from(other, a).slice(1, -1)]
}

function reversed(ring: Ring): Ring {
  const out: number[] = []
  for (let i = ring.length - 2; i >= 0; i -= 2) out.push(ring[i]!, ring[i + 1]!)
  return out
}
