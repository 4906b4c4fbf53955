import { pickBelow, type Random } from '../../random/index.ts'
import type { Incumbent } from '../incumbent.ts'
import type { Instance } from '../instance.ts'
import { modulo } from '../intervals.ts'
import type { Strategy } from '../strategy.ts'
import { overlapsOf, piecesIn, totalDepth } from './overlaps.ts'
import { Packing, type Snapshot } from './packing.ts'
import { PairTable } from './pair-table.ts'
import { relocate } from './relocate.ts'

/** Rounds without a smaller overlap after which a state is given up, and how often weights go on from it at most. */
const PATIENCE = 40
const STRIKES = 2
/** States given up at one length before another length is tried. */
const TRIES = 6
/** Of the states given up the next try begins from one of the better ones: how far down the list, as a share of it. */
const SPREAD = 0.25

/** What looking at one place takes, in the unit of work. */
const LOOK = 2

/** Shares by which the strip is shortened at a time: the first, and the least. */
const FIRST_CUT = 0.02
const LEAST_CUT = 0.0005

/**
 * Shortens the strip a little below the best lay, lets pieces overlap, and moves overlapping ones
 * to where they overlap least, pairs that go on overlapping weighing ever more, until nothing
 * overlaps; then shortens again. Where that fails, two large pieces of a state that came near change places.
 */
export function* separation(instance: Instance, incumbent: Incumbent, bound: number, random: Random): Strategy {
  const pairs = new PairTable(instance, 'eased')
  let cut = FIRST_CUT
  for (;;) {
    const start = incumbent.best()
    const known = start.left.length > 0 ? instance.maxY : start.length
    const target = start.left.length > 0 ? instance.maxY : Math.max(bound, known * (1 - cut))
    const packing = new Packing(instance, pairs, { ...start, length: known }, random)
    if (start.left.length === 0) squeeze(packing, known, target, random)
    const isStale = () => incumbent.best().left.length === 0 && incumbent.best().length < target
    const isFound = packing.confine(target) && (yield* tried(packing, random, isStale))
    if (isFound) incumbent.offer(packing.arrangement())
    cut = isFound ? Math.min(FIRST_CUT, cut * 1.2) : Math.max(LEAST_CUT, cut * 0.6)
    yield 1
  }
}

/** A state in which pieces still overlap, and the sum of their depths. */
interface NearMiss {
  readonly overlap: number
  readonly state: Snapshot
}

/** Separates from several states at one length; false when all were given up, or a shorter lay was found elsewhere. */
function* tried(packing: Packing, random: Random, isStale: () => boolean): Generator<number, boolean> {
  const misses: NearMiss[] = []
  for (let turn = 0; turn < TRIES; turn++) {
    const end = yield* separate(packing, random, isStale)
    if (end === 'apart') return true
    if (isStale()) return false
    misses.push(end)
    misses.sort((a, b) => a.overlap - b.overlap)
    const rank = Math.floor(Math.abs(normal(random)) * SPREAD * misses.length)
    packing.restore(misses[Math.min(rank, misses.length - 1)]!.state)
    swapTwo(packing, random)
  }
  return false
}

/** Normally distributed about 0 (Box and Muller 1958). */
const normal = (random: Random): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** Pieces above a level somewhere on the strip come down together. */
function squeeze(packing: Packing, from: number, to: number, random: Random): void {
  const level = random() * from
  for (let i = 0; i < packing.count; i++)
    if (packing.y[i]! > level) packing.y[i] = Math.max(0, packing.y[i]! - (from - to))
}

/** Moves overlapping pieces until none overlap; the state of least overlap when it was given up. */
function* separate(packing: Packing, random: Random, isStale: () => boolean): Generator<number, 'apart' | NearMiss> {
  packing.weights.reset()
  let least: NearMiss = { overlap: Infinity, state: packing.snapshot() }
  let overlaps = overlapsOf(packing)
  for (let strike = 0; strike < STRIKES; strike++) {
    const before = least.overlap
    for (let dry = 0; dry < PATIENCE && !isStale(); dry++) {
      if (overlaps.length === 0) return 'apart'
      for (const i of shuffled(piecesIn(overlaps, packing.count), random)) {
        const looked = packing.surroundings.looked
        relocate(packing, i, random)
        yield (packing.surroundings.looked - looked) * LOOK
      }
      if (packing.instance.groups.length > 0 && random() < 0.3) shiftGroup(packing, random)
      overlaps = overlapsOf(packing)
      packing.weights.follow(overlaps)
      const overlap = totalDepth(overlaps)
      if (overlap === 0) return 'apart'
      if (overlap < least.overlap * NEARER) {
        if (overlap < least.overlap * MUCH_NEARER) dry = 0
        least = { overlap, state: packing.snapshot() }
      }
    }
    packing.restore(least.state)
    overlaps = overlapsOf(packing)
    if (least.overlap >= before * NEARER) break
  }
  return least
}

/** An overlap counts as less from here on, and from here it is worth going on. */
const NEARER = 0.98
const MUCH_NEARER = 0.9

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
    members.reduce((sum, i) => {
      packing.surroundings.gather(i, packing.weights.values)
      return sum + packing.surroundings.cost(packing.postures[i]!.shape, packing.x[i]!, packing.y[i]!, Infinity)
    }, 0)
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
