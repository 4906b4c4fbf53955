import { orient2d } from 'robust-predicates'
import { flatten } from './flatten.ts'
import { edgeOf, type Outline, type Polygon } from './outline.ts'
import type { Point } from './point.ts'

/** Arcs are looked at as chords this near to them. */
const CHORD_MM = 0.05

/**
 * True when no two edges touch but neighbours at their common corner, and no edge is empty.
 * Edges are swept from left to right, so that only those over each other are compared.
 */
export function isSimple(outline: Outline): boolean {
  const polygon = flatten(outline, CHORD_MM)
  const n = polygon.length
  if (n < 3) return false
  for (let i = 0; i < n; i++) {
    const [a, b] = edgeOf(polygon, i)
    if (a.x === b.x && a.y === b.y) return false
    if (foldsBack(a, b, polygon[(i + 2) % n]!)) return false
  }
  return !someTouch(polygon)
}

function someTouch(polygon: Polygon): boolean {
  const n = polygon.length
  const edges = polygon.map((a, i) => {
    const b = polygon[(i + 1) % n]!
    return {
      i,
      a,
      b,
      left: Math.min(a.x, b.x),
      right: Math.max(a.x, b.x),
      low: Math.min(a.y, b.y),
      high: Math.max(a.y, b.y),
    }
  })
  edges.sort((p, q) => p.left - q.left)
  return edges.some((e, place) => {
    for (let k = place + 1; k < n && edges[k]!.left <= e.right; k++) {
      const f = edges[k]!
      const apart = Math.abs(e.i - f.i)
      if (apart === 1 || apart === n - 1 || f.low > e.high || f.high < e.low) continue
      if (segmentsTouch(e.a, e.b, f.a, f.b)) return true
    }
    return false
  })
}

/** robust-predicates counts y downwards; turned round here, once: positive is a left turn. */
const turn = (a: Point, b: Point, c: Point): number => -orient2d(a.x, a.y, b.x, b.y, c.x, c.y)

const foldsBack = (a: Point, b: Point, c: Point): boolean =>
  turn(a, b, c) === 0 && (b.x - a.x) * (c.x - b.x) + (b.y - a.y) * (c.y - b.y) < 0

function segmentsTouch(a: Point, b: Point, c: Point, d: Point): boolean {
  const abc = Math.sign(turn(a, b, c))
  const abd = Math.sign(turn(a, b, d))
  const cda = Math.sign(turn(c, d, a))
  const cdb = Math.sign(turn(c, d, b))
  if (abc !== abd && cda !== cdb) return true
  return (
    (abc === 0 && isWithin(a, b, c)) ||
    (abd === 0 && isWithin(a, b, d)) ||
    (cda === 0 && isWithin(c, d, a)) ||
    (cdb === 0 && isWithin(c, d, b))
  )
}

const isWithin = (a: Point, b: Point, p: Point): boolean =>
  Math.min(a.x, b.x) <= p.x && p.x <= Math.max(a.x, b.x) && Math.min(a.y, b.y) <= p.y && p.y <= Math.max(a.y, b.y)
