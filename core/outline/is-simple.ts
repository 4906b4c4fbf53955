import { orient2d } from 'robust-predicates'
import { edgeOf, type Point, type Polygon } from './polygon.ts'

/** True when no two edges touch but neighbours at their common corner, and no edge is empty. */
export function isSimple(outline: Polygon): boolean {
  const n = outline.length
  if (n < 3) return false
  for (let i = 0; i < n; i++) {
    const [a, b] = edgeOf(outline, i)
    if (a.x === b.x && a.y === b.y) return false
    const next = outline[(i + 2) % n]!
    if (foldsBack(a, b, next)) return false
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue
      if (segmentsTouch(a, b, ...edgeOf(outline, j))) return false
    }
  }
  return true
}

/** robust-predicates counts y downwards; turned round here, once: positive is a left turn. */
const turn = (a: Point, b: Point, c: Point): number => -orient2d(a.x, a.y, b.x, b.y, c.x, c.y)

const foldsBack = (a: Point, b: Point, c: Point): boolean => turn(a, b, c) === 0 && (b.x - a.x) * (c.x - b.x) + (b.y - a.y) * (c.y - b.y) < 0

function segmentsTouch(a: Point, b: Point, c: Point, d: Point): boolean {
  const abc = Math.sign(turn(a, b, c))
  const abd = Math.sign(turn(a, b, d))
  const cda = Math.sign(turn(c, d, a))
  const cdb = Math.sign(turn(c, d, b))
  if (abc !== abd && cda !== cdb) return true
  return (abc === 0 && isWithin(a, b, c)) || (abd === 0 && isWithin(a, b, d)) || (cda === 0 && isWithin(c, d, a)) || (cdb === 0 && isWithin(c, d, b))
}

const isWithin = (a: Point, b: Point, p: Point): boolean =>
  Math.min(a.x, b.x) <= p.x && p.x <= Math.max(a.x, b.x) && Math.min(a.y, b.y) <= p.y && p.y <= Math.max(a.y, b.y)
