import { pickBelow, type Random } from '../../random/index.ts'
import type { Incumbent } from '../incumbent.ts'
import type { Instance } from '../instance.ts'
import { firstRecipes } from '../orders.ts'
import type { Strategy } from '../strategy.ts'
import { Skyline } from './skyline.ts'
import { SAME_COST } from '../tolerances.ts'

/** A walk may stray above its present length by this share at first, by nothing at its end. */
const STRAY = 0.002
/** Steps of a first walk, per box; each round of walks is longer by as many. */
const STEPS = 20
/** What a flatter upper edge counts beside the length: orders of equal length are told apart by the waste below. */
const FLATNESS = 0.3
const DECODES_A_STEP = 16

/**
 * Walks from the usual orders by exchanging and moving boxes in the order, each round of walks longer than the last.
 */
export function* skylineWalks(instance: Instance, incumbent: Incumbent, random: Random): Strategy {
  const n = instance.items.length
  const skyline = new Skyline(instance)
  const starts = firstRecipes(instance).map((r) => Int32Array.from(r.order))
  const flattest = instance.totalArea / (instance.maxX - instance.minX + instance.gap)
  let best = Infinity
  for (let round = 1; ; round++) {
    for (const start of starts) {
      const order = start.slice()
      let here = measured(order, Infinity)
      const steps = STEPS * n * round
      for (let s = 0; s < steps; s++) {
        if (s % DECODES_A_STEP === 0) yield DECODES_A_STEP * n * 1.2
        const undo = n < 2 ? () => {} : vary(order, random)
        const limit = here * (1 + STRAY * (1 - s / steps)) + SAME_COST
        const cost = measured(order, limit)
        if (cost < limit) here = cost
        else undo()
      }
    }
  }

  function measured(order: Int32Array, limit: number): number {
    const length = skyline.lengthOf(order, limit - FLATNESS * flattest)
    if (length < best - SAME_COST) {
      best = length
      incumbent.offer(skyline.arrangement())
    }
    return length === Infinity ? Infinity : length + FLATNESS * skyline.meanHeight()
  }
}

/** Two boxes change places, or one moves; answers how to take that back. */
function vary(order: Int32Array, random: Random): () => void {
  const i = pickBelow(random, order.length)
  const j = pickBelow(random, order.length)
  if (random() < 0.7) {
    exchange(order, i, j)
    return () => exchange(order, i, j)
  }
  move(order, i, j)
  return () => move(order, j, i)
}

function exchange(order: Int32Array, i: number, j: number): void {
  const v = order[i]!
  order[i] = order[j]!
  order[j] = v
}

function move(order: Int32Array, from: number, to: number): void {
  const v = order[from]!
  if (from < to) order.copyWithin(from, from + 1, to + 1)
  else order.copyWithin(to + 1, to, from)
  order[to] = v
}
