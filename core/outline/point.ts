/** A place in mm; axes as said in `units/unit.ts`. */
export interface Point {
  readonly x: number
  readonly y: number
}

export const at = (x: number, y: number): Point => ({ x, y })

export const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y)

export const minusPoint = (a: Point, b: Point): Point => at(a.x - b.x, a.y - b.y)

/** From `a` towards `b` by a share of the way. */
export const between = (a: Point, b: Point, share: number): Point =>
  at(a.x + (b.x - a.x) * share, a.y + (b.y - a.y) * share)

export const cross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x

export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y

/** Length 1; nought stays nought. */
export function unit(p: Point): Point {
  const length = Math.hypot(p.x, p.y) || 1
  return at(p.x / length, p.y / length)
}

/** A quarter turn to the right of a direction: outwards of a counter-clockwise outline. */
export const rightOf = (direction: Point): Point => at(direction.y, -direction.x)
