import type { Random } from '../../random/index.ts'
import type { Incumbent } from '../incumbent.ts'
import type { Instance } from '../instance.ts'
import { HAIR } from '../intervals.ts'
import type { Strategy } from '../strategy.ts'
import { tileBoxes } from './box-tiling.ts'

/** More boxes than this are too many to try in turn. */
const MOST_BOXES = 60
const FIRST_STEPS = 3000

/** What goes lower than the best: nothing, and shares of the way from the bound to it. */
const AIMS = [0, 0.3, 0, 0.7] as const

/** Boxes only, on one length of cloth. */
export const isTilingInstance = (instance: Instance): boolean =>
  instance.sheets === 1 && instance.obstacles.length === 0 && instance.items.length <= MOST_BOXES && instance.items.every((i) => i.postures.every((p) => p.shape.isBox))

/** Depth-first tilings of ever more steps, aimed at the bound and between it and the best lay, the first as the fit says and later ones shaken. */
export function* tilings(instance: Instance, incumbent: Incumbent, bound: number, random: Random): Strategy {
  let isBoundOpen = true
  for (let round = 0; ; round++) {
    const aim = AIMS[round % AIMS.length]!
    yield 1
    if (aim === 0 && !isBoundOpen) continue
    const best = incumbent.best()
    const length = best.left.length > 0 ? instance.maxY : bound + aim * (best.length - bound) + HAIR
    const end = yield* tileBoxes(instance, length, FIRST_STEPS * 2 ** Math.min(6, round >> 2), round === 0 ? null : random, incumbent.offer)
    if (end === 'exhausted' && aim === 0) isBoundOpen = false
  }
}
