import type { Point } from '../outline/index.ts'

/** A place in space: x across, y to the back, z up; mm. */
export interface Space {
  readonly x: number
  readonly y: number
  readonly z: number
}

export const inSpace = (x: number, y: number, z: number): Space => ({ x, y, z })

/** From the floor upwards. */
export const UP = inSpace(0, 0, 1)

export const spaceBetween = (a: Space, b: Space): number => Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z)

/** Square to the triangle a, b, c, of length 1, towards the eye that sees it counter-clockwise. */
export function normalTo(a: Space, b: Space, c: Space): Space {
  const [u, v] = [inSpace(b.x - a.x, b.y - a.y, b.z - a.z), inSpace(c.x - a.x, c.y - a.y, c.z - a.z)]
  const n = inSpace(u.y * v.z - u.z * v.y, u.z * v.x - u.x * v.z, u.x * v.y - u.y * v.x)
  const length = Math.hypot(n.x, n.y, n.z) || 1
  return inSpace(n.x / length, n.y / length, n.z / length)
}

/**
 * The plane that a flat piece lies in when the cushion is made up: where its point `from` comes to
 * lie, and where its x and y point. The two directions are square to each other and of length 1.
 */
export function onPlane(from: Point, at: Space, x: Space, y: Space): (p: Point) => Space {
  return (p) => {
    const [u, v] = [p.x - from.x, p.y - from.y]
    return inSpace(at.x + u * x.x + v * y.x, at.y + u * x.y + v * y.y, at.z + u * x.z + v * y.z)
  }
}
