import { at, boxOf, keepLeftOf, turnedBy, type CutOff, type Point } from '../../outline/index.ts'
import type { EdgedOutline } from '../shaped-seat.ts'
import { inOwnFrame, type Cut } from './own-frame.ts'

/** Equal widths along a direction: (B − (n − 1) g) / n, cut square to it. */
export function straightRun(of: EdgedOutline, part: CutOff, along: Point, n: number, gapMm: number): readonly Cut[] {
  const reach =
    part.outline.length < 3 ? { minX: 0, maxX: 0 } : boxOf(turnedBy(part.outline, -Math.atan2(along.y, along.x)))
  const width = (reach.maxX - reach.minX - (n - 1) * gapMm) / n
  const on = (distance: number): Point => at(along.x * distance, along.y * distance)
  const up = at(-along.y, along.x)
  return Array.from({ length: n }, (_, i) => {
    const from = reach.minX + i * (width + gapMm)
    let cut = part
    if (i > 0) cut = keepLeftOf(cut, on(from), at(-up.x, -up.y))
    if (i < n - 1) cut = keepLeftOf(cut, on(from + width), up)
    return inOwnFrame(of, cut, along)
  })
}
