import type { Incumbent } from '../incumbent.ts'
import type { Instance } from '../instance.ts'
import type { Arrangement, Spot } from '../placer.ts'
import type { Posture } from '../shape.ts'
import type { Strategy } from '../strategy.ts'
import { kindsOf } from './box-kinds.ts'
import { isSkylineInstance } from './skyline.ts'

/** With more boxes than this the ways are too many to be tried. */
const MOST_BOXES = 12
/** Beginnings remembered as tried; when there are more the proof is given up. */
const MOST_REMEMBERED = 1_000_000
const UNITS = 1000
/** What rounding may make of a stack of boxes. */
const ROUNDING_MM = 0.05
const STEP_WORK = 3

/** The staircase over all boxes laid so far: from x on it is y high, falling from left to right. */
interface Stair {
  readonly x: number
  readonly y: number
}

export const isProofInstance = (instance: Instance): boolean => isSkylineInstance(instance) && instance.items.length <= MOST_BOXES

/**
 * Tries every way of laying a few boxes on less cloth than the best lay takes, until one is found
 * (and then again below it) or none is left, which proves the best lay. Every lay can be taken apart
 * box by box so that each lies in a corner of the staircase over those before it (Martello, Pisinger
 * and Vigo), so corners are all the places there are; beginnings with the same boxes left and the
 * same staircase are tried once. Boxes carry their gap along, to the right and up.
 */
export function* proveBoxes(instance: Instance, incumbent: Incumbent, prove: (length: number) => void): Strategy {
  // Rounded down: what smaller boxes cannot do, these cannot either.
  const units = (mm: number) => Math.floor(mm * UNITS + 1e-6)
  const isExact = instance.items.every((item) => item.postures.every(({ shape }) => isWhole(shape.width * UNITS) && isWhole(shape.height * UNITS)))
  const gap = units(instance.gap)
  const width = Math.ceil((instance.maxX - instance.minX) * UNITS - 1e-6) + gap
  const kinds = kindsOf(instance).map((k) => ({ ...k, sizes: k.postures.map((p) => ({ posture: p, w: units(p.shape.width) + gap, h: units(p.shape.height) + gap })) }))
  const alone = kinds.findIndex((k) => k.members.length === 1)
  const wholeArea = kinds.reduce((sum, k) => sum + k.members.length * k.sizes[0]!.w * k.sizes[0]!.h, 0)
  const left = kinds.map((k) => k.members.length)
  const laid: { readonly kind: number; readonly posture: Posture; readonly x: number; readonly y: number }[] = []

  const reachFor = reaches(kinds, width, units(incumbent.best().length) + gap)
  for (;;) {
    const best = incumbent.best()
    if (best.left.length > 0) return
    const top = units(best.length) + gap - 1
    const tried = new Set<string>()
    const end = yield* extend([{ x: 0, y: 0 }], 0, { top, spare: width * top - wholeArea, tried })
    if (end === 'none') return prove(best.length - (isExact ? 0 : ROUNDING_MM))
    if (end === 'too many') return
  }

  function* extend(stairs: readonly Stair[], area: number, goal: { readonly top: number; readonly spare: number; readonly tried: Set<string> }): Generator<number, 'found' | 'none' | 'too many'> {
    if (laid.length === instance.items.length) {
      incumbent.offer(arrangement())
      return 'found'
    }
    if (lost(stairs, goal.top) - area > goal.spare) return 'none'
    const key = `${left.join()}|${stairs.map((s) => `${s.x},${s.y}`).join()}`
    if (goal.tried.has(key)) return 'none'
    if (goal.tried.size >= MOST_REMEMBERED) return 'too many'
    goal.tried.add(key)
    yield STEP_WORK * instance.items.length
    for (let kind = 0; kind < kinds.length; kind++) {
      if (left[kind] === 0) continue
      for (const { posture, w, h } of kinds[kind]!.sizes) {
        for (const { x, y } of stairs) {
          if (x + w > width || y + h > goal.top) continue
          // A lay mirrored or upside down is as long: one box may be kept to a quarter of the cloth.
          if (kind === alone && (2 * x > width - w || 2 * y > goal.top - h)) continue
          left[kind]!--
          laid.push({ kind, posture, x, y })
          const end = yield* extend(covered(stairs, x + w, y + h, width), area + w * h, goal)
          if (end !== 'none') return end
          laid.pop()
          left[kind]!++
        }
      }
    }
    return 'none'
  }

  /**
   * Area under the staircase and what cannot be used above it: across each level only widths that
   * boxes left can add up to, and up each column only heights.
   */
  function lost(stairs: readonly Stair[], top: number): number {
    const { across, along } = reachFor(left)
    let [byLevels, byColumns] = [stairs.at(-1)!.y * width, 0]
    stairs.forEach(({ x, y }, i) => {
      byLevels += ((stairs[i - 1]?.y ?? top) - y) * (width - across(width - x))
      byColumns += ((stairs[i + 1]?.x ?? width) - x) * (top - along(top - y))
    })
    return Math.max(byLevels, byColumns)
  }

  function arrangement(): Arrangement {
    const used = kinds.map(() => 0)
    const spots = laid.map(({ kind, posture, x, y }): Spot => ({ item: kinds[kind]!.members[used[kind]!++]!, posture, x: instance.minX + x / UNITS, y: y / UNITS, sheet: 0 }))
    // Left as found: the search goes on below this lay from an empty cloth.
    laid.splice(0).forEach((l) => left[l.kind]!++)
    return { spots, left: [], sheets: 1, length: Math.max(...spots.map((s) => s.y + s.posture.shape.height)), offsets: instance.groups.map(() => ({ across: null, along: null })) }
  }
}

/** The staircase after a box was laid up to `to` with its top at `y`: nothing left of `to` is lower than that. */
function covered(stairs: readonly Stair[], to: number, y: number, width: number): readonly Stair[] {
  const higher = stairs.filter((s) => s.y > y)
  const start = stairs[higher.length]!.x
  const under = stairs.findLast((s) => s.x <= to)!
  return [...higher, { x: start, y }, ...(to < width ? [{ x: to, y: under.y }] : []), ...stairs.filter((s) => s.x > to)]
}

const isWhole = (v: number): boolean => Math.abs(v - Math.round(v)) < 1e-6

interface Kind {
  readonly sizes: readonly { readonly w: number; readonly h: number }[]
}

/** The most of a free width (or height) that boxes side by side (or upon each other) can fill. */
interface Reach {
  readonly across: (free: number) => number
  readonly along: (free: number) => number
}

/** By the boxes that are left; each set is worked out once. Sizes that are not whole millimetres fill all. */
function reaches(kinds: readonly Kind[], width: number, height: number): (left: readonly number[]) => Reach {
  const isWhole = kinds.every((k) => k.sizes.every(({ w, h }) => w % UNITS === 0 && h % UNITS === 0))
  if (!isWhole) return () => ({ across: (free) => free, along: (free) => free })
  const known = new Map<string, Reach>()
  return (left) => {
    const key = left.join()
    let reach = known.get(key)
    if (!reach) known.set(key, (reach = { across: mostFilled(kinds, left, 'w', width), along: mostFilled(kinds, left, 'h', height) }))
    return reach
  }
}

function mostFilled(kinds: readonly Kind[], left: readonly number[], side: 'w' | 'h', most: number): (free: number) => number {
  const reached = new Uint8Array(Math.floor(most / UNITS) + 1)
  reached[0] = 1
  kinds.forEach((kind, k) => {
    for (let copy = 0; copy < left[k]!; copy++) {
      // From far to near, so that a copy counts once.
      for (let at = reached.length - 1; at >= 0; at--) {
        if (!reached[at]) continue
        for (const size of kind.sizes) {
          const to = at + size[side] / UNITS
          if (to < reached.length) reached[to] = 1
        }
      }
    }
  })
  const filled = new Int32Array(reached.length)
  for (let at = 1; at < filled.length; at++) filled[at] = reached[at] ? at : filled[at - 1]!
  return (free) => filled[Math.floor(free / UNITS)]! * UNITS
}
