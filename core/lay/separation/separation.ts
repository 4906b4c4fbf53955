import { pickBelow, type Random } from '../../random/index.ts'
import type { Incumbent } from '../incumbent.ts'
import type { Instance } from '../instance.ts'
import { modulo } from '../intervals.ts'
import type { Strategy } from '../strategy.ts'
import { Packing, type Snapshot } from './packing.ts'
import { relocate } from './relocate.ts'

/** Rounds without a smaller overlap after which a length is given up for now. */
const PATIENCE = 60
const STRIKES = 2

/** What looking at one place takes, in the unit of work. */
const LOOK = 2

/** Shares by which the strip is shortened at a time: the first, and the least. */
const FIRST_CUT = 0.02
const LEAST_CUT = 0.0005

/** Weights grow by up to this factor a round where overlaps are deepest, and fade where there are none. */
const GROW = 1.8
const LEAST_GROW = 1.15
const FADE = 0.95

/**
 * Shortens the strip a little below the best lay, lets pieces overlap, and moves overlapping ones
 * to where they overlap least, pairs that go on overlapping weighing ever more, until nothing
 * overlaps; then shortens again. Where that fails, large pieces change places.
 */
export function* separation(instance: Instance, incumbent: Incumbent, bound: number, random: Random): Strategy {
  let cut = FIRST_CUT
  for (;;) {
    const start = incumbent.best()
    const known = start.left.length > 0 ? instance.maxY : start.length
    const target = start.left.length > 0 ? instance.maxY : Math.max(bound, known * (1 - cut))
    const packing = new Packing(instance, { ...start, length: known }, random)
    if (start.left.length === 0) squeeze(packing, known, target, random)
    const isFound = packing.confine(target) && (yield* separate(packing, random))
    if (isFound) incumbent.offer(packing.arrangement())
    cut = isFound ? Math.min(FIRST_CUT, cut * 1.2) : Math.max(LEAST_CUT, cut * 0.6)
    yield 1
  }
}

/** Pieces above a level somewhere on the strip come down together. */
function squeeze(packing: Packing, from: number, to: number, random: Random): void {
  const level = random() * from
  for (let i = 0; i < packing.count; i++)
    if (packing.y[i]! > level) packing.y[i] = Math.max(0, packing.y[i]! - (from - to))
}

/** Moves overlapping pieces until none overlap; false when it was given up. */
function* separate(packing: Packing, random: Random): Generator<number, boolean> {
  packing.weights.fill(1)
  let least = Infinity
  let leastState: Snapshot = packing.snapshot()
  for (let strike = 0; strike < STRIKES; strike++) {
    for (let dry = 0; dry < PATIENCE; dry++) {
      const crossing = overlapping(packing)
      if (crossing.length === 0) return true
      for (const i of shuffled(crossing, random)) {
        const before = packing.looked
        relocate(packing, i, random)
        yield (packing.looked - before) * LOOK
      }
      if (packing.instance.groups.length > 0 && random() < 0.3) shiftGroup(packing, random)
      const total = weigh(packing)
      if (total === 0) return true
      if (total < least * 0.98) {
        if (total < least * 0.9) dry = 0
        least = total
        leastState = packing.snapshot()
      }
    }
    packing.restore(leastState)
    swapTwo(packing, random)
  }
  return false
}

function overlapping(packing: Packing): number[] {
  const out: number[] = []
  for (let i = 0; i < packing.count; i++) {
    let crosses = packing.depth(i, packing.count) > 0
    for (let j = 0; j < packing.count && !crosses; j++) crosses = j !== i && packing.depth(i, j) > 0
    if (crosses) out.push(i)
  }
  return out
}

/** Lets weights grow by depth and fade without; answers the sum of all depths. */
function weigh(packing: Packing): number {
  const { count, weights } = packing
  const depths: [number, number, number][] = []
  let total = 0
  let deepest = 0
  for (let i = 0; i < count; i++) {
    for (let j = i + 1; j <= count; j++) {
      const d = packing.depth(i, j)
      depths.push([i, j, d])
      total += d
      deepest = Math.max(deepest, d)
    }
  }
  for (const [i, j, d] of depths) {
    const at = i * (count + 1) + j
    const weight =
      d > 0 ? weights[at]! * (LEAST_GROW + (GROW - LEAST_GROW) * (d / deepest)) : Math.max(1, weights[at]! * FADE)
    weights[at] = weight
    if (j < count) weights[j * (count + 1) + i] = weight
  }
  return total
}

/** Two pieces, large ones rather, change places. */
function swapTwo(packing: Packing, random: Random): void {
  const { items } = packing.instance
  const byArea = items.map((_, i) => i).sort((a, b) => items[b]!.area - items[a]!.area)
  const large = byArea.slice(0, Math.max(2, Math.ceil(byArea.length / 2)))
  if (large.length < 2) return
  const i = large[pickBelow(random, large.length)]!
  const j = large[pickBelow(random, large.length)]!
  ;[packing.x[i], packing.x[j]] = [packing.x[j]!, packing.x[i]!]
  ;[packing.y[i], packing.y[j]] = [packing.y[j]!, packing.y[i]!]
  packing.confine(packing.length)
}

/** Moves the free phase of a group, all its members with it, if they overlap less there. */
function shiftGroup(packing: Packing, random: Random): void {
  const { items, groups, repeatAcross, repeatAlong } = packing.instance
  const g = pickBelow(random, groups.length)
  const members = items.flatMap((item, i) => (item.group === g ? [i] : []))
  const axis = random() < 0.5 ? 'across' : 'along'
  const repeat = axis === 'across' ? repeatAcross : repeatAlong
  if (repeat === null || groups[g]![axis] !== null || !members.some((i) => items[i]![axis] !== null)) return
  const cost = () =>
    members.reduce((sum, i) => sum + packing.cost(i, packing.postures[i]!, packing.x[i]!, packing.y[i]!, Infinity), 0)
  let least = cost()
  let kept = packing.snapshot()
  for (let k = 0; k < 6; k++) {
    const by = (random() - 0.5) * repeat * (k < 3 ? 1 : 0.1)
    packing[axis][g] = modulo(packing[axis][g]! + by, repeat)
    for (const i of members) if (items[i]![axis] !== null) packing[axis === 'across' ? 'x' : 'y'][i]! += by
    const now = packing.confine(packing.length) ? cost() : Infinity
    if (now < least) {
      least = now
      kept = packing.snapshot()
    } else packing.restore(kept)
  }
}

function shuffled(list: readonly number[], random: Random): number[] {
  const out = [...list]
  for (let i = out.length - 1; i > 0; i--) {
    const j = pickBelow(random, i + 1)
    ;[out[i], out[j]] = [out[j]!, out[i]!]
  }
  return out
}
