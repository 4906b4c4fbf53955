import type { Random } from '../../random/index.ts'
import type { Incumbent } from '../incumbent.ts'
import type { Instance } from '../instance.ts'
import type { Strategy } from '../strategy.ts'
import { beamOfBoxes } from './box-beam.ts'
import { HAIR_MM } from '../tolerances.ts'

/** More boxes than this make a beam too slow to be of use. */
const MOST_BOXES = 250

/** Beginnings kept in a first beam; each round keeps more, until they would take too much memory. */
const FIRST_WIDTH = 40
const WIDER = 2.5
const WIDEST = 6000

/** What is aimed at: the bound, and shares of the way from it to the best lay. */
const AIMS = [0, 0.3, 0.6, 0.85] as const

/** What counts in turn; found best over boxes cut from a whole, with and without waste. */
const MANNERS = [
  { largeFirst: 1, sparing: 80 },
  { largeFirst: 1, sparing: 20 },
  { largeFirst: 2, sparing: 160 },
  { largeFirst: 0.5, sparing: 80 },
] as const

/** Boxes only, on one length of cloth. */
export const isBeamInstance = (instance: Instance): boolean =>
  !instance.hasSides &&
  instance.sheets === 1 &&
  instance.obstacles.length === 0 &&
  instance.items.length <= MOST_BOXES &&
  instance.items.every((i) => i.postures.every((p) => p.shape.isBox))

/**
 * Beams ever wider, aimed at the bound and between it and the best lay. An aim that is reached is set anew at once.
 * Each lane begins in another manner.
 */
export function* boxBeams(
  instance: Instance,
  incumbent: Incumbent,
  bound: number,
  lane: number,
  random: Random,
): Strategy {
  for (let width = FIRST_WIDTH; ; width = Math.min(WIDEST, width * WIDER)) {
    for (let m = 0; m < MANNERS.length; m++) {
      const manner = MANNERS[(m + lane) % MANNERS.length]!
      for (const aim of AIMS) {
        for (let isFound = true; isFound;) {
          const best = incumbent.best()
          const length = best.left.length > 0 ? instance.maxY : bound + aim * (best.length - bound) + HAIR_MM
          if (!Number.isFinite(length) || best.length <= bound + HAIR_MM) return
          isFound =
            (yield* beamOfBoxes(instance, { length, width: Math.round(width), ...manner }, random, incumbent.offer)) ===
            'found'
          if (aim === 0 || best.left.length > 0) break
        }
      }
      yield 1
    }
  }
}
