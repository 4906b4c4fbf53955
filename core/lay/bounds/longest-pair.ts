import type { Instance } from '../instance.ts'
import { STRIP_WORK, type PairTable } from '../separation/index.ts'
import type { Shape } from '../shape.ts'
import { acceptedWidth, alikeOf } from './alike.ts'

/** The second is tried above the first in steps of so much. */
const STRIP_MM = 1
/** With more kinds of pieces than this two of them seldom tell. */
const MOST_KINDS = 6

/**
 * A lay is no shorter than any two of its pieces by themselves: each pair in each of its turns as far up the cloth as its
 * whole outlines force the one above the other. Yields the work done; answers the length of the longest pair, 0 for none.
 */
export function* longestPair(instance: Instance, table: PairTable): Generator<number, number> {
  const alike = alikeOf(instance.items, instance.reachMm)
  if (alike.length > MOST_KINDS) return 0
  let longest = 0
  for (let i = 0; i < alike.length; i++)
    for (let j = i; j < alike.length; j++) {
      if (i === j && alike[i]!.count === 1) continue
      let least = Infinity
      for (const a of alike[i]!.shapes)
        for (const b of alike[j]!.shapes) {
          least = Math.min(least, lengthOf(instance, table, a, b, least), lengthOf(instance, table, b, a, least))
          yield ((a.height + b.height) / STRIP_MM) * STRIP_WORK
        }
      if (least < Infinity) longest = Math.max(longest, least)
    }
  return longest
}

/** Both, the foot of the first at the starting end and that of the second there or above; `known` where it is no less. */
function lengthOf(instance: Instance, table: PairTable, a: Shape, b: Shape, known: number): number {
  const { gap } = instance
  const width = acceptedWidth(instance)
  for (let low = 0; low < a.height + gap; low += STRIP_MM) {
    const length = Math.max(a.height, low + b.height)
    if (length >= known) return known
    const clear = table.leastClear(a, b, low, low + STRIP_MM, a.width - width)
    if (clear <= width - b.width) return length
  }
  return Math.min(known, a.height + b.height + gap)
}
