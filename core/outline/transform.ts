import { vertex, type Outline } from './outline.ts'
import { at, type Point } from './point.ts'

export const movePoint = (p: Point, by: Point): Point => at(p.x + by.x, p.y + by.y)

export const moved = (outline: Outline, by: Point): Outline => outline.map((v) => vertex(movePoint(v, by), v.bulge))

/** Turned counter-clockwise about the origin. */
export function turnedBy(outline: Outline, angleRad: number): Outline {
  const [c, s] = [Math.cos(angleRad), Math.sin(angleRad)]
  return outline.map((v) => vertex(at(v.x * c - v.y * s, v.x * s + v.y * c), v.bulge))
}

/**
 * Mirrored, x to −x, and read backwards so that it stays counter-clockwise. Edge i of the result is
 * edge `mirroredEdge(i, n)` of the original.
 */
export function mirrored(outline: Outline): Outline {
  const n = outline.length
  return outline.map((_, i) => {
    const corner = outline[(n - i) % n]!
    return vertex(at(-corner.x, corner.y), outline[mirroredEdge(i, n)]!.bulge)
  })
}

export const mirroredEdge = (i: number, n: number): number => n - 1 - i

/** The same outline started from another corner. */
export const startedAt = (outline: Outline, first: number): Outline => [
  ...outline.slice(first),
  ...outline.slice(0, first),
]
