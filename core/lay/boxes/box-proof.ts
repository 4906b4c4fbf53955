import type { Incumbent } from '../incumbent.ts'
import type { Instance } from '../instance.ts'
import type { Arrangement, Spot } from '../placer.ts'
import type { Strategy } from '../strategy.ts'
import type { Places } from './beside.ts'
import { searchBars, type BarKind, type Begun, type Beside, type OnAll } from './box-bars.ts'
import { kindsOf } from './box-kinds.ts'
import { isSkylineInstance } from './skyline.ts'
import { PROOF_ROUNDING_MM, ROUNDING_MM } from '../tolerances.ts'

/** With more boxes than this the ways are too many to be tried. */
const MOST_BOXES = 14
const UNITS = 1000

export const isProofInstance = (instance: Instance): boolean =>
  isSkylineInstance(instance) && instance.items.length <= MOST_BOXES

/**
 * Tries every way of laying a few boxes on less cloth than the best lay takes. Ways are tried from
 * the starting end up and from one selvedge to the other, both with places for every box and, which
 * is far quicker, by sums alone; whichever has no way left first proves the best lay. A way found is
 * the new best lay. Boxes carry their gap along, to the right and up.
 */
export function* proveBoxes(
  instance: Instance,
  incumbent: Incumbent,
  lane: number,
  prove: (length: number) => void,
): Strategy {
  const cloth = barsOfCloth(instance)
  const { width } = cloth
  let top = Infinity
  const shorten = () => {
    const { left, length } = incumbent.best()
    top = left.length > 0 ? Infinity : Math.min(top, cloth.below(length))
  }
  yield HEAD_START
  shorten()
  if (top === Infinity) return
  const ways = (beside: Beside, goal: () => number): Shared[] =>
    (['up', 'across'] as const).map((lie, i) => {
      const [room, levels] = lie === 'up' ? [() => width, goal] : [goal, () => width]
      const onAll: OnAll = (begun, places) => places && incumbent.offer(cloth.arrangement(begun, places, lie))
      // Lanes that run beside each other lean to different sides.
      return {
        search: searchBars({ kinds: cloth[lie], room, levels }, beside, onAll),
        share: SHARES[beside] * (lane % 2 === i ? 2 : 1),
        done: 0,
      }
    })
  const byPlace = ways('place', () => top)
  for (;;) {
    const goal = top
    byPlace.forEach((way) => (way.done = 0))
    const running = [...ways('sum', () => goal), ...byPlace]
    while (top === goal) {
      const next = running.reduce((x, y) => (y.done / y.share < x.done / x.share ? y : x))
      const { done, value } = next.search.next()
      if (!done) yield ((next.done += value as number), value as number)
      else if (value === 'none') return prove(cloth.proven(incumbent.best().length))
      else running.splice(running.indexOf(next), 1)
      if (running.length === 0) return
      shorten()
    }
  }
}

/** Work that other searches have done before: from a good lay there are far fewer ways. */
const HEAD_START = 100_000
/** Sums alone are much quicker at an end than places are, and places alone find lays. */
const SHARES = { sum: 3, place: 1 } as const

interface Shared {
  readonly search: ReturnType<typeof searchBars>
  readonly share: number
  done: number
}

interface BarsOfCloth {
  /** Levels go up the roll, widths across it; or the other way round. */
  readonly up: readonly BarKind[]
  readonly across: readonly BarKind[]
  readonly width: number
  /** The next shorter length of a lay, as a number of levels. */
  readonly below: (length: number) => number
  readonly proven: (length: number) => number
  readonly arrangement: (begun: readonly Begun[], places: Places, lie: 'up' | 'across') => Arrangement
}

/**
 * Boxes and cloth in whole numbers of the largest unit that divides all sizes, since boxes pushed together lie at sums
 * of sizes.
 */
function barsOfCloth(instance: Instance): BarsOfCloth {
  // Rounded down: what smaller boxes cannot do, these cannot either.
  const micrometres = (mm: number) => Math.floor(mm * UNITS + ROUNDING_MM)
  const gap = micrometres(instance.gap)
  const kinds = kindsOf(instance)
  const sizes = kinds.map((k) =>
    k.postures.map(({ shape }) => ({ w: micrometres(shape.width) + gap, h: micrometres(shape.height) + gap })),
  )
  const unit = sizes.flat().reduce((g, { w, h }) => divisor(divisor(g, w), h), 0)
  const isExact = kinds.every((k) =>
    k.postures.every(({ shape }) => isWhole(shape.width * UNITS) && isWhole(shape.height * UNITS)),
  )
  const kindsFor = (size: (s: { w: number; h: number }) => { long: number; wide: number }): BarKind[] =>
    kinds.map((k, i) => ({ count: k.members.length, sizes: sizes[i]!.map(size) }))
  return {
    up: kindsFor(({ w, h }) => ({ long: h / unit, wide: w / unit })),
    across: kindsFor(({ w, h }) => ({ long: w / unit, wide: h / unit })),
    width: Math.floor((Math.ceil((instance.maxX - instance.minX) * UNITS - ROUNDING_MM) + gap) / unit),
    below: (length) => Math.floor((micrometres(length) + gap - 1) / unit),
    proven: (length) => length - (isExact ? 0 : PROOF_ROUNDING_MM),
    arrangement: (begun, places, lie) => {
      const used = kinds.map(() => 0)
      const spots = begun.map(({ kind, size, at }, i): Spot => {
        const [x, y] = lie === 'up' ? [places[i]!, at] : [at, places[i]!]
        return {
          item: kinds[kind]!.members[used[kind]!++]!,
          posture: kinds[kind]!.postures[size]!,
          x: instance.minX + (x * unit) / UNITS,
          y: (y * unit) / UNITS,
          sheet: 0,
        }
      })
      return {
        spots,
        left: [],
        sheets: 1,
        length: Math.max(...spots.map((s) => s.y + s.posture.shape.height)),
        offsets: instance.groups.map(() => ({ across: null, along: null })),
      }
    },
  }
}

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b))
const isWhole = (v: number): boolean => Math.abs(v - Math.round(v)) < ROUNDING_MM
