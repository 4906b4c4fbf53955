/** A place in mm; axes as said in `units/unit.ts`. */
export interface Point {
  readonly x: number
  readonly y: number
}

/** A closed outline without its last point repeated; counter-clockwise unless said otherwise. */
export type Polygon = readonly Point[]

export const at = (x: number, y: number): Point => ({ x, y })

/** Counter-clockwise from the lower left corner at the origin. */
export const rectangle = (width: number, height: number): Polygon => [at(0, 0), at(width, 0), at(width, height), at(0, height)]

/** The i-th edge's ends; indices wrap round. */
export const edgeOf = (outline: Polygon, i: number): readonly [Point, Point] => [outline[i % outline.length]!, outline[(i + 1) % outline.length]!]

export const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y)

export const edgeLength = (outline: Polygon, i: number): number => distance(...edgeOf(outline, i))

export const perimeterOf = (outline: Polygon): number => outline.reduce((sum, _, i) => sum + edgeLength(outline, i), 0)

/** Signed area in mm², positive when counter-clockwise. */
export function areaOf(outline: Polygon): number {
  const origin = outline[0]
  if (!origin) return 0
  return outline.reduce((sum, _, i) => {
    const [a, b] = edgeOf(outline, i)
    return sum + ((a.x - origin.x) * (b.y - origin.y) - (b.x - origin.x) * (a.y - origin.y)) / 2
  }, 0)
}

export interface Box {
  readonly minX: number
  readonly minY: number
  readonly maxX: number
  readonly maxY: number
}

export function boxOf(points: readonly Point[]): Box {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const p of points) {
    minX = Math.min(minX, p.x)
    minY = Math.min(minY, p.y)
    maxX = Math.max(maxX, p.x)
    maxY = Math.max(maxY, p.y)
  }
  return { minX, minY, maxX, maxY }
}
