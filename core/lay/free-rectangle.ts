import type { Instance } from './instance.ts'
import type { Arrangement } from './placer.ts'
import { EQUAL_LENGTH_MM } from './tolerances.ts'

/** A piece of cloth on which nothing lies. */
export interface FreeRectangle {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

interface Box {
  readonly left: number
  readonly right: number
  readonly foot: number
  readonly top: number
}

/** With more pieces than this it is not worth its time while searching. */
export const MOST_FOR_FREE = 80

/**
 * The largest rectangle of an arrangement's used length between the selvedges that meets no piece's
 * box and no flaw: what could go back to the shelf. Between slanted pieces there may be more.
 * Every largest rectangle is bounded on its left by an edge of the cloth or of a box; from each such
 * line it grows to the right, split by what it meets.
 */
export function largestFree(
  instance: Instance,
  { spots, length }: Pick<Arrangement, 'spots' | 'length'>,
): FreeRectangle {
  const { minX, maxX, gap } = instance
  const taken: Box[] = [
    ...spots.map((s) => ({
      left: s.x - gap,
      right: s.x + s.posture.shape.width + gap,
      foot: s.y - gap,
      top: s.y + s.posture.shape.height + gap,
    })),
    ...instance.obstacles.map((ring) => ({
      left: least(ring, 0),
      right: most(ring, 0),
      foot: least(ring, 1),
      top: most(ring, 1),
    })),
  ].sort((a, b) => a.left - b.left)
  let best: FreeRectangle = { x: minX, y: 0, width: 0, height: 0 }
  for (const x of new Set([minX, ...taken.map((b) => b.right)])) {
    if (x < minX || x >= maxX) continue
    grow(
      x,
      taken.filter((b) => b.right > x + EQUAL_LENGTH_MM),
      0,
      0,
      length,
    )
  }
  return best

  /** Rectangles from `x` on between `foot` and `top`: as far as the next box, then above and below it. */
  function grow(x: number, boxes: readonly Box[], from: number, foot: number, top: number): void {
    const next = boxes.findIndex(
      (b, i) => i >= from && b.foot < top - EQUAL_LENGTH_MM && b.top > foot + EQUAL_LENGTH_MM,
    )
    const right = next < 0 ? maxX : Math.min(maxX, boxes[next]!.left)
    if ((right - x) * (top - foot) > best.width * best.height)
      best = { x, y: foot, width: right - x, height: top - foot }
    if (next < 0 || (maxX - x) * (top - foot) <= best.width * best.height) return
    const box = boxes[next]!
    if (box.foot > foot) grow(x, boxes, next + 1, foot, Math.min(top, box.foot))
    if (box.top < top) grow(x, boxes, next + 1, Math.max(foot, box.top), top)
  }
}

const least = (ring: readonly number[], axis: 0 | 1): number =>
  ring.reduce((low, v, i) => (i % 2 === axis ? Math.min(low, v) : low), Infinity)
const most = (ring: readonly number[], axis: 0 | 1): number =>
  ring.reduce((high, v, i) => (i % 2 === axis ? Math.max(high, v) : high), -Infinity)
