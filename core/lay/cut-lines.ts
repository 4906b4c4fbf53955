import type { Arrangement } from './placer.ts'
import { ONE_STROKE_MM } from './tolerances.ts'

/** Edges closer than this are cut in one stroke. */

type Stretch = readonly [from: number, to: number]

/**
 * How many straight strokes cut the pieces' boxes apart: edges on one line that touch are one
 * stroke. Slanted and round pieces are counted by their boxes.
 */
export function cutLines({ spots }: Pick<Arrangement, 'spots'>): number {
  const lines = new Map<string, Stretch[]>()
  const add = (axis: 'x' | 'y', at: number, from: number, to: number): void => {
    const key = `${axis}${Math.round(at / ONE_STROKE_MM)}`
    const own = lines.get(key)
    if (own) own.push([from, to])
    else lines.set(key, [[from, to]])
  }
  for (const { x, y, posture } of spots) {
    const [right, top] = [x + posture.shape.width, y + posture.shape.height]
    add('x', x, y, top)
    add('x', right, y, top)
    add('y', y, x, right)
    add('y', top, x, right)
  }
  return [...lines.values()].reduce((sum, stretches) => sum + strokes(stretches), 0)
}

function strokes(stretches: Stretch[]): number {
  let [count, end] = [0, -Infinity]
  for (const [from, to] of stretches.sort((a, b) => a[0] - b[0])) {
    if (from > end + ONE_STROKE_MM) count++
    end = Math.max(end, to)
  }
  return count
}
