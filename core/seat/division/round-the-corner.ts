import type { Division } from '../../../contract/index.ts'
import { at, distance, edgeOf, keepLeftOf, minusPoint, unit, wholeOf, type CutOff } from '../../outline/index.ts'
import type { EdgedOutline } from '../shaped-seat.ts'
import { inOwnFrame, type Cut } from './own-frame.ts'
import { straightRun } from './straight-run.ts'

/** Legs A and B of a corner bench, and who keeps the corner. */
export function roundTheCorner(free: EdgedOutline, division: Extract<Division, { kind: 'corner' }>): readonly Cut[] {
  const { outline, edges } = free
  const line = (name: string) => {
    const [a, b] = edgeOf(
      outline,
      edges.findIndex((e) => e.name === name),
    )
    return { from: a, to: b, direction: unit(minusPoint(b, a)) }
  }
  const [a, b] = [line('A front'), line('B front')]
  const inside = (cut: CutOff, of: typeof a): CutOff => keepLeftOf(cut, of.from, of.direction)
  const outside = (cut: CutOff, of: typeof a, gap: number): CutOff =>
    keepLeftOf(
      cut,
      at(of.from.x + of.direction.y * gap, of.from.y - of.direction.x * gap),
      at(-of.direction.x, -of.direction.y),
    )
  const whole = wholeOf(outline)
  const { gapMm, corner } = division
  const runs = {
    a: (cut: CutOff) => straightRun(free, cut, a.direction, division.countA, gapMm),
    b: (cut: CutOff) => straightRun(free, cut, b.direction, division.countB, gapMm),
  }
  const legA = inside(whole, a)
  const legB = inside(whole, b)
  switch (corner) {
    case 'a-through':
      return [...runs.b(outside(legB, a, gapMm)), ...runs.a(legA)]
    case 'b-through':
      return [...runs.b(legB), ...runs.a(outside(legA, b, gapMm))]
    case 'square':
      return [
        ...runs.b(outside(legB, a, gapMm)),
        inOwnFrame(free, inside(legA, b), a.direction),
        ...runs.a(outside(legA, b, gapMm)),
      ]
    case 'mitre': {
      // From the inner corner to the one where both walls meet.
      const [wallA, wallB] = [line('A wall'), line('B wall')]
      const outer = distance(wallA.to, wallB.from) < 1e-6 ? wallA.to : wallA.from
      const isMirrored = distance(a.from, b.to) > 1e-6
      const inner = isMirrored ? a.to : a.from
      const diagonal = isMirrored ? unit(minusPoint(inner, outer)) : unit(minusPoint(outer, inner))
      const half = at((diagonal.y * gapMm) / 2, (-diagonal.x * gapMm) / 2)
      const onA = keepLeftOf(legA, at(inner.x + half.x, inner.y + half.y), at(-diagonal.x, -diagonal.y))
      const onB = keepLeftOf(legB, at(inner.x - half.x, inner.y - half.y), diagonal)
      return [...runs.b(onB), ...runs.a(onA)]
    }
    default:
      return corner satisfies never
  }
}
