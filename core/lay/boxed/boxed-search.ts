import type { Random } from '../../random/index.ts'
import { lowerBound } from '../bounds/index.ts'
import { boxBeams, isBeamInstance, layOnSkyline, skylineWalks } from '../boxes/index.ts'
import type { Incumbent } from '../incumbent.ts'
import type { Instance } from '../instance.ts'
import { asItLies, firstRecipes, type Decoder } from '../orders.ts'
import type { Arrangement } from '../placer.ts'
import type { Strategy } from '../strategy.ts'
import { EQUAL_LENGTH_MM } from '../tolerances.ts'
import { boxedOf } from './boxed.ts'
import { leastBox } from './bundle.ts'

/** Work a piece for the walks, and for the beams at first; later beams count so many times, to leave the rest time. */
const WALKS = 2000
const BEAMS = 20_000
const LATER = 5
/** Work between two looks at whether the boxes lie better: opening and checking a lay takes as long as many of them. */
const OPEN_EVERY = 30_000

/** Where boxes have this share more area than the shapes in them, shapes laid as they are lie closer. */
const MOST_MORE = 0.15

/** Pieces without phases on one length of cloth, most of which nearly fill the boxes round them. */
export const mayBeBoxed = (instance: Instance): boolean =>
  !instance.hasSides &&
  instance.sheets === 1 &&
  instance.items.every((i) => i.across === null && i.along === null) &&
  instance.items.reduce((sum, item) => sum + leastBox(item), 0) <= (1 + MOST_MORE) * instance.totalArea

/**
 * Lays the boxes round true shapes, two in one box where they nest, in the ways that lay boxes well and at once. What
 * it finds is where the search for shapes begins.
 */
export function* boxedSearch(
  instance: Instance,
  incumbent: Incumbent,
  decode: Decoder,
  lane: number,
  random: Random,
): Strategy {
  const { items } = instance
  const boxed = yield* boxedOf(instance)
  let best = layOnSkyline(boxed.instance, firstRecipes(boxed.instance)[0]!.order)
  const boxes: Incumbent = {
    best: () => best,
    offer: (a) => {
      if (a.length < best.length - EQUAL_LENGTH_MM) best = a
      return a.length
    },
  }
  let opened: Arrangement | null = null
  const open = () => {
    if (opened === best) return
    opened = best
    offerOpened(boxed.opened(best))
  }
  yield* opening(skylineWalks(boxed.instance, boxes, random), WALKS * items.length)
  if (!isBeamInstance(boxed.instance)) return
  const beams = boxBeams(boxed.instance, boxes, lowerBound(boxed.instance).length, lane, random)
  yield* opening(beams, BEAMS * items.length)
  for (const work of opening(beams, Infinity)) yield work * LATER

  function* opening(strategy: Strategy, most: number): Generator<number, void> {
    let [done, since] = [0, OPEN_EVERY]
    while (done < most) {
      const { value, done: isEnd } = strategy.next()
      if (isEnd) break
      done += value as number
      since += value as number
      if (since > OPEN_EVERY) {
        open()
        since = 0
      }
      yield value as number
    }
    open()
  }

  /** As it is where the cloth is free for it; else its pieces go down in their order round what is in the way. */
  function offerOpened(a: Arrangement): void {
    if (instance.obstacles.length === 0 && a.length <= instance.maxY) incumbent.offer(a)
    else {
      const down = decode(asItLies(instance, a))
      if (down) incumbent.offer(down)
    }
  }
}
