import { arcBetween, isStraight } from './arc.ts'
import { at, distance, type Point } from './point.ts'

/** A corner, and the edge that leaves it: straight, or an arc by its bulge (see `arc.ts`). */
export interface Vertex extends Point {
  readonly bulge?: number
}

/**
 * Closed, its first corner not repeated; counter-clockwise unless said otherwise. Edge i runs from corner i to the
 * next.
 */
export type Outline = readonly Vertex[]

/** An outline of straight edges alone. */
export type Polygon = readonly (Point & { readonly bulge?: never })[]

export const vertex = (p: Point, bulge = 0): Vertex => (isStraight(bulge) ? at(p.x, p.y) : { x: p.x, y: p.y, bulge })

/** Counter-clockwise from the lower left corner at the origin. */
export const rectangle = (width: number, height: number): Polygon => [
  at(0, 0),
  at(width, 0),
  at(width, height),
  at(0, height),
]

/** The i-th edge's ends; indices wrap round. */
export const edgeOf = (outline: Outline, i: number): readonly [Vertex, Vertex] => [
  outline[i % outline.length]!,
  outline[(i + 1) % outline.length]!,
]

export const hasArcs = (outline: Outline): boolean => outline.some((v) => !isStraight(v.bulge))

/** Length of edge `i`, along its arc where it has one, mm. */
export function edgeLength(outline: Outline, i: number): number {
  const [a, b] = edgeOf(outline, i)
  if (isStraight(a.bulge)) return distance(a, b)
  const { radius, sweep } = arcBetween(a, b, a.bulge!)
  return Math.abs(radius * sweep)
}

export const perimeterOf = (outline: Outline): number => outline.reduce((sum, _, i) => sum + edgeLength(outline, i), 0)

/** Signed area in mm², positive when counter-clockwise: the polygon of the corners, and a segment for each arc. */
export function areaOf(outline: Outline): number {
  const origin = outline[0]
  if (!origin) return 0
  return outline.reduce((sum, _, i) => {
    const [a, b] = edgeOf(outline, i)
    return sum + ((a.x - origin.x) * (b.y - origin.y) - (b.x - origin.x) * (a.y - origin.y)) / 2 + segmentArea(a, b)
  }, 0)
}

export interface Box {
  readonly minX: number
  readonly minY: number
  readonly maxX: number
  readonly maxY: number
}

/** The box of an outline, its arcs counted in; also of loose points. */
export function boxOf(points: Outline): Box {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity]
  const take = (x: number, y: number): void => {
    minX = Math.min(minX, x)
    minY = Math.min(minY, y)
    maxX = Math.max(maxX, x)
    maxY = Math.max(maxY, y)
  }
  points.forEach((p, i) => {
    take(p.x, p.y)
    if (isStraight(p.bulge)) return
    const { centre, radius, startAngle, sweep } = arcBetween(p, edgeOf(points, i)[1], p.bulge!)
    for (const quarter of [0, 1, 2, 3]) {
      const angle = (quarter * Math.PI) / 2
      const turned = sweep > 0 ? angle - startAngle : startAngle - angle
      if (((turned % TAU) + TAU) % TAU < Math.abs(sweep))
        take(
          centre.x + Math.abs(radius) * Math.round(Math.cos(angle)),
          centre.y + Math.abs(radius) * Math.round(Math.sin(angle)),
        )
    }
  })
  return { minX, minY, maxX, maxY }
}

/** The box of several outlines together. */
export function boxRound(outlines: readonly Outline[]): Box {
  const boxes = outlines.map(boxOf)
  return {
    minX: Math.min(...boxes.map((b) => b.minX)),
    minY: Math.min(...boxes.map((b) => b.minY)),
    maxX: Math.max(...boxes.map((b) => b.maxX)),
    maxY: Math.max(...boxes.map((b) => b.maxY)),
  }
}

const TAU = 2 * Math.PI

function segmentArea(a: Vertex, b: Vertex): number {
  if (isStraight(a.bulge)) return 0
  const { radius, sweep } = arcBetween(a, b, a.bulge!)
  return (radius * radius * (sweep - Math.sin(sweep))) / 2
}
