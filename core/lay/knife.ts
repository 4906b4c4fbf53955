import type { Arrangement } from './placer.ts'
import { ONE_STROKE_MM } from './tolerances.ts'

/** What cutting a lay apart takes. Slanted and round pieces are counted by their boxes. */
export interface KnifeWork {
  /** Straight strokes: edges on one line are one stroke where no piece stands between them. */
  readonly strokes: number
  /** Of these the ones that go across all of the cloth, so that bands come off the roll. */
  readonly bands: number
}

type Stretch = readonly [from: number, to: number]
interface Side {
  readonly low: number
  readonly high: number
}
/** A box, along the line that is cut and across it. */
interface Seen {
  readonly along: Side
  readonly over: Side
}

export function knifeWork({ spots, length }: Pick<Arrangement, 'spots' | 'length'>): KnifeWork {
  const boxes = spots.map(({ x, y, posture: { shape } }) => ({
    x: { low: x, high: x + shape.width },
    y: { low: y, high: y + shape.height },
  }))
  const upright = boxes.map(({ x, y }): Seen => ({ along: y, over: x }))
  const across = boxes.map(({ x, y }): Seen => ({ along: x, over: y }))
  const acrossLines = linesOf(across)
  const bands = [...acrossLines.keys()].filter(
    (at) =>
      at > ONE_STROKE_MM && at < length - ONE_STROKE_MM && !across.some((box) => stands(box, at, -Infinity, Infinity)),
  )
  return { strokes: strokesOn(linesOf(upright), upright) + strokesOn(acrossLines, across), bands: bands.length }
}

/** Edges by the line they lie on. */
function linesOf(boxes: readonly Seen[]): ReadonlyMap<number, readonly Stretch[]> {
  const lines = new Map<number, Stretch[]>()
  for (const { along, over } of boxes)
    for (const at of [over.low, over.high]) {
      const key = Math.round(at / ONE_STROKE_MM) * ONE_STROKE_MM
      const own = lines.get(key)
      if (own) own.push([along.low, along.high])
      else lines.set(key, [[along.low, along.high]])
    }
  return lines
}

const strokesOn = (lines: ReadonlyMap<number, readonly Stretch[]>, boxes: readonly Seen[]): number =>
  [...lines].reduce((sum, [at, stretches]) => sum + strokes(at, stretches, boxes), 0)

function strokes(at: number, stretches: readonly Stretch[], boxes: readonly Seen[]): number {
  let [count, end] = [0, -Infinity]
  for (const [from, to] of stretches.toSorted((a, b) => a[0] - b[0])) {
    const isApart = from > end + ONE_STROKE_MM
    if (count === 0 || (isApart && boxes.some((box) => stands(box, at, end, from)))) count++
    end = Math.max(end, to)
  }
  return count
}

/** Whether a box stands on a line somewhere between two places: the knife would go through it. */
const stands = ({ along, over }: Seen, at: number, from: number, to: number): boolean =>
  over.low < at - ONE_STROKE_MM &&
  over.high > at + ONE_STROKE_MM &&
  along.low < to - ONE_STROKE_MM &&
  along.high > from + ONE_STROKE_MM
