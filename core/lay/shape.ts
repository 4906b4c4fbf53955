import { fillHollows } from './fill-hollows.ts'
import { convexParts, counterClockwise, ringArea, type Ring } from './convex-parts.ts'
import { HOLLOW_MM, ROUNDING_MM } from './tolerances.ts'

/** A piece in one allowed turn, moved so that its box starts at the origin. */
export interface Shape {
  /** Index within the instance; equal shapes share it, so that no-fit regions can be kept by pair. */
  readonly id: number
  readonly ring: Ring
  readonly parts: readonly Ring[]
  readonly width: number
  readonly height: number
  readonly area: number
  readonly isBox: boolean
}

/** How a piece is turned, and where its own origin then lies in the shape's box. */
export interface Turning {
  readonly turn: number
  readonly flip: boolean
  readonly originX: number
  readonly originY: number
}

/** One way to put a piece down: its shape, and where its own origin and anchor lie in the shape's box. */
export interface Posture extends Turning {
  readonly shape: Shape
  /** Other turns that come to the same outline and anchor: a lay may say any of them. */
  readonly alike: readonly Turning[]
  readonly anchorX: number
  readonly anchorY: number
  /** Where the left of its box stands for an edge to lie on a side of the cloth; null where it may stand anywhere. */
  readonly standsAt: number | null
}

/** Mirrored (x to −x), then turned counter-clockwise, about the piece's own origin. Quarter turns are exact. */
export function turned(x: number, y: number, turn: number, flip: boolean): readonly [number, number] {
  const fx = flip ? -x : x
  const [c, s] = cosSin(turn)
  return [c * fx - s * y, s * fx + c * y]
}

/** Keeps one shape for each different outline. */
export class ShapeTable {
  readonly shapes: Shape[] = []
  private readonly byKey = new Map<string, Shape>()

  shapeOf(ring: Ring): Shape {
    const key = ring.map((v) => Math.round(v * 1000)).join(',')
    const known = this.byKey.get(key)
    if (known) return known
    const [width, height] = [maxOf(ring, 0), maxOf(ring, 1)]
    const parts = convexParts(fillHollows(ring, HOLLOW_MM))
    const area = ringArea(ring)
    const shape = {
      id: this.shapes.length,
      ring,
      parts,
      width,
      height,
      area,
      isBox: Math.abs(area - width * height) < ROUNDING_MM * width * height,
    }
    this.shapes.push(shape)
    this.byKey.set(key, shape)
    return shape
  }
}

/** The outline turned, with its box moved to the origin; `at` says where its own origin went. */
export function posedRing(
  outline: readonly (readonly [number, number])[],
  turn: number,
  flip: boolean,
): { ring: Ring; originX: number; originY: number } {
  const points = outline.map(([x, y]) => turned(x, y, turn, flip))
  const minX = Math.min(...points.map((p) => p[0]))
  const minY = Math.min(...points.map((p) => p[1]))
  const ring = counterClockwise(points.flatMap(([x, y]) => [x - minX, y - minY]))
  return { ring: fromLowestLeft(ring), originX: -minX, originY: -minY }
}

function cosSin(turn: number): readonly [number, number] {
  const t = ((turn % 360) + 360) % 360
  if (t === 0) return [1, 0]
  if (t === 90) return [0, 1]
  if (t === 180) return [-1, 0]
  if (t === 270) return [0, -1]
  return [Math.cos((t * Math.PI) / 180), Math.sin((t * Math.PI) / 180)]
}

/** Started from the same corner, equal outlines give equal keys. */
function fromLowestLeft(ring: Ring): Ring {
  let start = 0
  for (let i = 2; i < ring.length; i += 2) {
    if (
      ring[i + 1]! < ring[start + 1]! - ROUNDING_MM ||
      (Math.abs(ring[i + 1]! - ring[start + 1]!) <= ROUNDING_MM && ring[i]! < ring[start]!)
    )
      start = i
  }
  return [...ring.slice(start), ...ring.slice(0, start)]
}

function maxOf(ring: Ring, offset: 0 | 1): number {
  let most = -Infinity
  for (let i = offset; i < ring.length; i += 2) most = Math.max(most, ring[i]!)
  return most
}
