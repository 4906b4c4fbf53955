import { arcBetween, arcPoint, bulgeOfShare, isStraight } from './arc.ts'
import { edgeOf, vertex, type Outline, type Vertex } from './outline.ts'
import { at, between, distance, minusPoint, rightOf, unit, type Point } from './point.ts'

/** A place on an edge at a share of its length. */
export function onEdge(outline: Outline, i: number, share: number): Point {
  const [a, b] = edgeOf(outline, i)
  return isStraight(a.bulge) ? between(a, b, share) : arcPoint(arcBetween(a, b, a.bulge!), share)
}

/** How far along an edge a point on it lies, in mm from its first corner. */
export function alongEdge(outline: Outline, i: number, p: Point): number {
  const [a, b] = edgeOf(outline, i)
  if (isStraight(a.bulge) || distance(a, p) < HAIR_MM) return distance(a, p)
  const { centre, radius, startAngle, sweep } = arcBetween(a, b, a.bulge!)
  const turned = (Math.atan2(p.y - centre.y, p.x - centre.x) - startAngle) * Math.sign(sweep)
  return (((turned % TAU) + TAU) % TAU) * Math.abs(radius)
}

const HAIR_MM = 1e-6
const TAU = 2 * Math.PI

/** The direction of travel on an edge at a share of its length. */
export function directionOn(outline: Outline, i: number, share: number): Point {
  const [a, b] = edgeOf(outline, i)
  if (isStraight(a.bulge)) return unit(minusPoint(b, a))
  const arc = arcBetween(a, b, a.bulge!)
  const angle = arc.startAngle + arc.sweep * share
  const turn = Math.sign(arc.radius)
  return at(-Math.sin(angle) * turn, Math.cos(angle) * turn)
}

/** Square to the edge, away from the inside. */
export const outwardOn = (outline: Outline, i: number, share: number): Point => rightOf(directionOn(outline, i, share))

/** Square to the chord of an edge, away from the inside. */
export function outwardOfChord(outline: Outline, i: number): Point {
  const [a, b] = edgeOf(outline, i)
  return rightOf(unit(minusPoint(b, a)))
}

/** How far the outline turns at a corner, left positive, in radians. */
export function turnAt(outline: Outline, i: number): number {
  const before = directionOn(outline, (i + outline.length - 1) % outline.length, 1)
  const after = directionOn(outline, i, 0)
  return Math.atan2(before.x * after.y - before.y * after.x, before.x * after.x + before.y * after.y)
}

/** Edges run into each other without a corner. */
export const isSmoothAt = (outline: Outline, i: number): boolean => Math.abs(turnAt(outline, i)) < 1e-4

/** A stretch of one edge, as the vertex it starts from (its end is the start of what follows). */
export function stretchOf(outline: Outline, i: number, fromShare: number, toShare: number): Vertex {
  const { bulge } = outline[i]!
  return vertex(onEdge(outline, i, fromShare), isStraight(bulge) ? 0 : bulgeOfShare(bulge!, toShare - fromShare))
}
