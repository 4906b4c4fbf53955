import {
  arcBetween,
  distance,
  isInside,
  rightOf,
  unit,
  minusPoint,
  between,
  at,
  type Outline,
  type Point,
} from '../../../core/outline/index.ts'
import type { Mark } from '../../../core/seat/index.ts'

/** A dimension line of the sketch, in mm of the seat: where it is drawn, and the places it measures between. */
export interface PlacedMark {
  readonly slot: string
  readonly line: readonly [Point, Point]
  readonly between: readonly [Point, Point]
  /** Of an arc, drawn round the same centre; 0 for a straight line. */
  readonly bulge: number
}

/** Pixels from the outline to the first line beside it, and to the next. */
const FIRST_PX = 40
const NEXT_PX = 30

/**
 * Lines along the outside of the outline are drawn beside it, as on a sketch by hand; those across it
 * where they are. `k` is pixels for a millimetre. Lines on one side are set out one behind the other.
 */
export function placeMarks(marks: readonly Mark[], outline: Outline, k: number): readonly PlacedMark[] {
  const taken = new Map<number, number>()
  return marks.map((mark): PlacedMark => {
    const { from, to, bulge } = mark
    if (bulge !== undefined) return beside(mark, bulge, outline, k)
    const out = mark.isDirect ? null : outwards(from, to, outline)
    if (!out) return { slot: mark.slot, line: [from, to], between: [from, to], bulge: 0 }
    const side = Math.round(Math.atan2(out.y, out.x) / (Math.PI / 6))
    const level = taken.get(side) ?? 0
    taken.set(side, level + 1)
    const by = (FIRST_PX + level * NEXT_PX) / k
    const moved = (p: Point) => at(p.x + out.x * by, p.y + out.y * by)
    return { slot: mark.slot, line: [moved(from), moved(to)], between: [from, to], bulge: 0 }
  })
}

/** A length along an arc is drawn as an arc on the side that is free. */
function beside({ slot, from, to }: Mark, bulge: number, outline: Outline, k: number): PlacedMark {
  const { centre, radius, startAngle, sweep } = arcBetween(from, to, bulge)
  const on = (r: number, share: number) =>
    at(centre.x + r * Math.cos(startAngle + sweep * share), centre.y + r * Math.sin(startAngle + sweep * share))
  const r = Math.abs(radius)
  const by = (isInside(outline, on(r + 5, 0.5)) ? -1 : 1) * (FIRST_PX / k)
  return { slot, line: [on(r + by, 0), on(r + by, 1)], between: [from, to], bulge }
}

/** The side of a line that is free of the seat; null when the line crosses the seat. */
function outwards(from: Point, to: Point, outline: Outline): Point | null {
  if (distance(from, to) < 1) return null
  const right = rightOf(unit(minusPoint(to, from)))
  const near = (sign: number, share: number) => {
    const p = between(from, to, share)
    const by = Math.max(2, distance(from, to) * 0.02) * sign
    return isInside(outline, at(p.x + right.x * by, p.y + right.y * by))
  }
  const [onRight, onLeft] = [0.25, 0.5, 0.75].reduce<[number, number]>(
    (sum, share) => [sum[0] + Number(near(1, share)), sum[1] + Number(near(-1, share))],
    [0, 0],
  )
  if (onRight > 0 && onLeft > 0) return null
  return onRight === 0 ? right : at(-right.x, -right.y)
}
